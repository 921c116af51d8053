package org.undanus.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.undanus.bench.RegisterFill;

/** The packaged application as a process of its own, with its own data, killed as hard as a test asks for. */
public final class Application implements AutoCloseable {
    /** Whether everything is tried, which takes long, or as much as every change can wait for. */
    static final boolean THOROUGH = Boolean.getBoolean("undanus.thorough");

    /** What the build of this module prepared: the unpacked application, and data that the demo has filled. */
    private static final Path PREPARED =
            Path.of(System.getProperty("prepared", "target")).toAbsolutePath();

    private static final Path JAR = PREPARED.resolve("app/undanus.jar");
    private static final String CLASSES = "-XX:SharedArchiveFile=" + PREPARED.resolve("app/undanus.jsa");

    /** It runs for minutes: what the second compiler would gain it would not live to see. */
    private static final String SOON = "-XX:TieredStopAtLevel=1";

    private static final Duration START = Duration.ofSeconds(240);

    private static final Pattern FIRST_PASSWORD = Pattern.compile("name lead, password (\\S+)");

    private final Path data;
    private final int port;
    private final boolean demo;
    private List<String> settings = List.of();
    private Process process;

    private Application(Path data, int port, boolean demo) {
        this.data = data;
        this.port = port;
        this.demo = demo;
    }

    /** Starts with an empty register, as an office does that begins with its own data. */
    static Application startEmpty() {
        try {
            Application application = new Application(Files.createTempDirectory("undanus-own"), freePort(), false);
            application.start();
            return application;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The password of the first account, which the first start of an empty register prints once. */
    String firstPassword() {
        try {
            Matcher said = FIRST_PASSWORD.matcher(Files.readString(data.resolve("output.log")));
            if (said.find()) {
                return said.group(1);
            }
            throw new IllegalStateException("No first account was told.");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts with the demo's data in a fresh folder and waits until it answers. */
    public static Application startDemo() {
        return startDemoBelow(Path.of(System.getProperty("java.io.tmpdir")));
    }

    /** The same with settings of one's own. */
    static Application startDemoWith(String... settings) {
        Application application = prepared(Path.of(System.getProperty("java.io.tmpdir")));
        application.settings = List.of(settings);
        application.start();
        return application;
    }

    /** The same with its folder in another. */
    static Application startDemoBelow(Path parent) {
        Application application = prepared(parent);
        application.start();
        return application;
    }

    /** The same with so many of some installations. */
    static Application startDemoOf(int copies, String... references) {
        Application application = prepared(Path.of(System.getProperty("java.io.tmpdir")));
        try {
            RegisterFill.main(Stream.concat(
                            Stream.of("jdbc:h2:file:" + application.data.resolve("undanus"), String.valueOf(copies)),
                            Stream.of(references))
                    .toArray(String[]::new));
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
        application.start();
        return application;
    }

    private static Application prepared(Path parent) {
        try {
            Application application =
                    new Application(Files.createTempDirectory(parent, "undanus-e2e"), freePort(), true);
            copy(PREPARED.resolve("demo-data"), application.data);
            return application;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path there = to.resolve(from.relativize(file));
                Files.createDirectories(there.getParent());
                Files.copy(file, there);
            }
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    public String address() {
        return "http://localhost:" + port;
    }

    /** Starts again on the same data. */
    void start() {
        process = run(Stream.concat(Stream.of("--server.port=" + port), settings.stream())
                .toList());
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(address() + "/actuator/health"))
                .build();
        long end = System.nanoTime() + START.toNanos();
        while (System.nanoTime() < end) {
            try {
                if (http.send(health, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // the port opens only when everything is ready
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
            pause();
        }
        throw new IllegalStateException("The application did not start; see " + data.resolve("output.log"));
    }

    /** Instruments that are acted and send here, until they are ended. */
    Process instruments(String act, int speed) {
        return run(List.of("instruments", "--to=" + address(), "--act=" + act, "--speed=" + speed));
    }

    /** Runs the data check on the stopped application's data. */
    int checkData() {
        try {
            return run(List.of("check-data")).waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Checks a sealed file as anybody would, away from the application. */
    int verify(Path file) {
        try {
            return run(List.of("verify", file.toString())).waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private Process run(List<String> arguments) {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                SOON,
                CLASSES,
                "-jar",
                JAR.toString()));
        command.addAll(arguments);
        // named from where it is started, as a person would
        command.addAll(List.of("--undanus.data=" + data.getFileName(), "--undanus.demo=" + demo));
        try {
            return new ProcessBuilder(command)
                    .directory(data.getParent().toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(
                            data.resolve("output.log").toFile()))
                    .start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** SIGKILL: no shutdown hook runs, nothing is flushed. */
    void kill() {
        process.destroyForcibly();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        kill();
        delete(data);
    }

    private static void delete(Path data) {
        try (Stream<Path> files = Files.walk(data)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void pause() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
