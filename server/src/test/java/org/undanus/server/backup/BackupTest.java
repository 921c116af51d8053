package org.undanus.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.context.ConfigurableApplicationContext;
import org.undanus.server.Client;
import org.undanus.server.TestServer;
import org.undanus.server.Undanus;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.problem.StartRefusedException;
import org.undanus.server.seal.Seals;
import org.undanus.server.signing.SigningKey;

class BackupTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    @TempDir
    static Path elsewhere;

    private static Path backup;

    @BeforeAll
    static void aBackupIsTakenWhileOthersWrite() throws InterruptedException {
        Client inspector = SERVER.signedIn("inspector");
        inspector
                .post("/api/installations/" + inspector.installation("LH-23") + "/seals", Map.of())
                .expect(201);
        // what an earlier key signed is still to be verified once it is restored
        SigningKey.changed(SERVER.folder());
        String id = inspector.installation("LH-36");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "41 in")
                .expect(201);
        Thread writer = new Thread(() -> {
            for (int i = 0; i < 40; i++) {
                inspector.save(id, "siting.outdoor-clearance-front", "outdoor-1", (30 + i % 5) + " in");
            }
        });
        writer.start();
        backup = elsewhere.resolve("undanus.zip");
        BackupCommands.ask(SERVER.folder(), backup);
        writer.join();
    }

    @Test
    void restoredItIsSoundAndHoldsWhatWasAcknowledgedBefore() {
        Path folder = elsewhere.resolve("restored");
        BackupCommands.unpack(backup, folder);
        SpringApplication application = new SpringApplication(Undanus.class);
        application.setWebApplicationType(WebApplicationType.NONE);
        try (ConfigurableApplicationContext context = application.run("--undanus.data=" + folder)) {
            assertThat(context.getBean(JournalCheck.class).run().sentence())
                    .contains("sound", "20 installations", "Signed ends that agree");
            Person lead = new Person("lead", "Lead", Role.QUALITY_LEAD, Optional.empty());
            assertThat(context.getBean(CaseFiles.class).all(lead).stream()
                            .filter(file -> file.header().reference().equals("LH-36"))
                            .flatMap(file -> file.evidence().readings().stream())
                            .map(reading -> reading.typed()))
                    .contains("41 in");
            assertThat(SigningKey.known(folder)).isEqualTo(SigningKey.known(SERVER.folder()));
            Path sealed = elsewhere.resolve("sealed.zip");
            try (OutputStream out = Files.newOutputStream(sealed)) {
                context.getBean(Seals.class).write("LH-23/1", out);
            }
            assertThat(context.getBean(Seals.class).check(sealed).sound()).isTrue();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void nothingOfTheWishStaysInTheFolder() throws IOException {
        try (Stream<Path> files = Files.list(SERVER.folder())) {
            assertThat(files.map(file -> file.getFileName().toString())).noneMatch(name -> name.contains("backup"));
        }
    }

    @Test
    void aFolderWithDataIsNotOverwritten() {
        assertThatThrownBy(() -> BackupCommands.unpack(backup, SERVER.folder()))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("holds data already");
    }

    @Test
    void aFileThatIsThereIsNotOverwritten() {
        assertThatThrownBy(() -> BackupCommands.requireNew(backup))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("There is a file");
        assertThatThrownBy(() -> BackupCommands.requireNew(elsewhere.resolve("no/such/folder.zip")))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("Nothing can be written");
    }

    @Test
    void aCutOrForeignFileLeavesNothing() throws IOException {
        byte[] whole = Files.readAllBytes(backup);
        Path cut = Files.write(elsewhere.resolve("cut.zip"), Arrays.copyOf(whole, whole.length / 2));
        Path foreign = elsewhere.resolve("foreign.zip");
        try (OutputStream out = Files.newOutputStream(foreign);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (String name : new String[] {"undanus.mv.db", "journal-heads.jsonl", "../signing-key.pem"}) {
                zip.putNextEntry(new ZipEntry(name));
                zip.write(1);
            }
        }
        Path folder = elsewhere.resolve("empty");
        for (Path file : new Path[] {cut, foreign, elsewhere.resolve("none.zip")}) {
            assertThatThrownBy(() -> BackupCommands.unpack(file, folder))
                    .isInstanceOf(StartRefusedException.class)
                    .hasMessageContaining("backup");
            assertThat(folder).satisfiesAnyOf(f -> assertThat(f).doesNotExist(), f -> assertThat(f)
                    .isEmptyDirectory());
        }
    }

    @Test
    void whoAsksWhereNobodyRunsIsTold() throws IOException {
        Path folder = Files.createDirectory(elsewhere.resolve("nobody"));
        BackupRequest request = BackupRequest.leave(folder);
        assertThatThrownBy(() -> request.await(elsewhere.resolve("never.zip"), Duration.ofMillis(300)))
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("did not answer");
        assertThat(folder).isEmptyDirectory();
    }
}
