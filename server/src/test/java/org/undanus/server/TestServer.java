package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import org.apache.catalina.Container;
import org.apache.catalina.Context;
import org.apache.catalina.session.ManagerBase;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.util.FileSystemUtils;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;

/** Starts the real application on a free port with a database of its own, for the tests of one class. */
public final class TestServer implements BeforeAllCallback, AfterAllCallback {
    private final List<String> properties = new ArrayList<>();
    private static final String DEMO = "--undanus.demo=true";

    private final List<Class<?>> sources = new ArrayList<>(List.of(Undanus.class, QuickPasswords.class));
    private Path data;
    private ServletWebServerApplicationContext context;

    private TestServer(boolean demo) {
        properties.add(demo ? DEMO : "--undanus.demo=false");
        properties.add("--server.port=0");
        properties.add("--springdoc.api-docs.enabled=true");
    }

    /** With the demo's people and installations. */
    public static TestServer withDemo() {
        return new TestServer(true);
    }

    /** With nothing in it but the shipped rule books. */
    public static TestServer empty() {
        return new TestServer(false);
    }

    /** The same with one more setting. */
    public TestServer with(String property) {
        properties.add(property);
        return this;
    }

    /** With something of the test's own in it. */
    public TestServer alongside(Class<?> more) {
        sources.add(more);
        return this;
    }

    @Override
    public void beforeAll(ExtensionContext test) {
        start();
    }

    @Override
    public void afterAll(ExtensionContext test) {
        stop();
    }

    void start() {
        data = folder(properties.contains(DEMO));
        List<String> arguments = new ArrayList<>(properties);
        arguments.add("--undanus.data=" + data);
        context = (ServletWebServerApplicationContext)
                new SpringApplication(sources.toArray(Class<?>[]::new)).run(arguments.toArray(String[]::new));
    }

    private static Path folder(boolean demo) {
        try {
            Path folder = Files.createTempDirectory("undanus-test");
            if (demo) {
                FileSystemUtils.copyRecursively(Seeded.FOLDER, folder);
            }
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The demo's database, made once for all tests. */
    private static final class Seeded {
        private static final Path FOLDER = made();

        private static Path made() {
            Path folder = TestServer.folder(false);
            new SpringApplication(Undanus.class, QuickPasswords.class)
                    .run(DEMO, "--server.port=0", "--undanus.data=" + folder)
                    .close();
            folder.toFile().deleteOnExit();
            return folder;
        }
    }

    /** A sign-in costs what it costs on purpose; here there are hundreds of them. */
    @Configuration
    static class QuickPasswords {
        private static final int LEAST_STRENGTH = 4;

        @Bean
        @Primary
        PasswordEncoder quickPasswords() {
            return new BCryptPasswordEncoder(LEAST_STRENGTH);
        }
    }

    void stop() {
        context.close();
        FileSystemUtils.deleteRecursively(data.toFile());
    }

    /** Where its data lie. */
    public Path folder() {
        return data;
    }

    public String address() {
        return "http://localhost:" + context.getWebServer().getPort();
    }

    /** A part of the running application, to look behind the scenes. */
    public <T> T bean(Class<T> kind) {
        return context.getBean(kind);
    }

    /** All parts of a kind. */
    public <T> List<T> beans(Class<T> kind) {
        return context.getBeanProvider(kind).stream().toList();
    }

    /** How many sessions are held; their number is bounded. */
    public int sessions() {
        Container[] applications =
                ((TomcatWebServer) context.getWebServer()).getTomcat().getHost().findChildren();
        int held = 0;
        for (Container application : applications) {
            ManagerBase manager = (ManagerBase) ((Context) application).getManager();
            assertThat(manager.getMaxActiveSessions()).isBetween(100, 10_000);
            held += manager.getActiveSessions();
        }
        return held;
    }

    /** The columns of a reading but its id. */
    static final String READING =
            "installation_id, visit_id, point, component, typed, si, standard_uncertainty, resolution, unit,"
                    + " instrument, grade, entered_by, entered_at, by_crew";

    /** A statement that adds readings like others, but for one column; the condition that tells which others is to follow. */
    static String readingLike(String column, String value) {
        return "INSERT INTO reading (id, " + READING + ") SELECT RANDOM_UUID(), "
                + READING.replace(" " + column + ",", " " + value + ",") + " FROM reading WHERE ";
    }

    /** Who the journal says did this. */
    public String journalled(String action, String subject) {
        try (Connection connection = bean(DataSource.class).getConnection();
                PreparedStatement statement =
                        connection.prepareStatement("SELECT by_whom FROM journal WHERE action = ? AND subject = ?")) {
            statement.setString(1, action);
            statement.setString(2, subject);
            ResultSet found = statement.executeQuery();
            return found.next() ? found.getString(1) : "";
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Nobody is signed in yet. */
    public Client client() {
        return new Client(address());
    }

    /** A quality lead entered and signed in where there was nobody. */
    public Client firstLead() {
        bean(Accounts.class)
                .add(new Person("lead2", "Lead", Role.QUALITY_LEAD, Optional.empty()), "lead2-demo", "test");
        return signedIn("lead2");
    }

    /** Signed in as one of the demo's people. */
    public Client signedIn(String name) {
        Client client = client();
        client.signIn(name, name + "-demo").expect(200);
        return client;
    }
}
