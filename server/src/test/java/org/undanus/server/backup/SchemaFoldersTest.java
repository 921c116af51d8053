package org.undanus.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.undanus.core.evidence.Value;
import org.undanus.server.Undanus;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.JournalCheck;
import org.undanus.view.CaseFile;

/**
 * A small folder of every version of the schema, made once by that version, opens, checks and restores. They hold no key: what
 * their journals' ends were signed with stayed behind.
 */
class SchemaFoldersTest {
    private static final Path KEPT = Path.of("src/test/resources/schemas");
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");
    /** Its folder holds rule books and an account alone. */
    private static final int WITHOUT_INSTALLATIONS = 18;

    private static final int SOME = 7;

    private static final Person LEAD = new Person("lead", "Lead", Role.QUALITY_LEAD, Optional.empty());

    @TempDir
    Path elsewhere;

    private static int newest() {
        try (Stream<Path> files = Files.list(MIGRATIONS)) {
            return files.map(file -> file.getFileName().toString())
                    .mapToInt(name -> Integer.parseInt(name.substring(1, name.indexOf("__"))))
                    .max()
                    .orElseThrow();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** These never stood alone: their migrations were brought in together with the one after. */
    private static final Set<Integer> WITHIN_ANOTHER = Set.of(4, 5, 15, 25);

    static Stream<Integer> versions() {
        return IntStream.rangeClosed(1, newest())
                .filter(version -> Files.exists(KEPT.resolve("v" + version + ".zip")))
                .boxed();
    }

    @Test
    void thereIsOneOfEveryVersion() {
        assertThat(versions())
                .as("with a migration a folder of the new version is kept: see CONTRIBUTING.md")
                .containsExactlyElementsOf(IntStream.rangeClosed(1, newest())
                        .filter(version -> !WITHIN_ANOTHER.contains(version))
                        .boxed()
                        .toList());
    }

    private static void unpack(int version, Path to) throws IOException {
        Files.createDirectories(to);
        try (InputStream file = Files.newInputStream(KEPT.resolve("v" + version + ".zip"));
                ZipInputStream zip = new ZipInputStream(file)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Files.copy(zip, to.resolve(entry.getName()));
            }
        }
    }

    private static ConfigurableApplicationContext opened(Path folder, int version) {
        return new SpringApplication(Undanus.class)
                .run(
                        "--undanus.data=" + folder,
                        "--server.port=0",
                        "--undanus.demo=" + (version != WITHOUT_INSTALLATIONS));
    }

    /** Opening the oldest runs every migration; thoroughly all, else some of those between stand for what was kept otherwise. */
    static Stream<Integer> opened() {
        int oldest = 1;
        return versions()
                .filter(version -> Boolean.getBoolean("undanus.thorough")
                        || version == oldest
                        || version == WITHOUT_INSTALLATIONS
                        || version == newest()
                        || version % SOME == 0);
    }

    @ParameterizedTest
    @MethodSource("opened")
    void itOpensAndChecks(int version) throws IOException {
        Path folder = elsewhere.resolve("folder");
        unpack(version, folder);
        try (ConfigurableApplicationContext context = opened(folder, version)) {
            assertThat(context.getBean(JournalCheck.class).run().sentence()).contains("The data is sound");
            assertThat(judged(context)).isGreaterThan(version == WITHOUT_INSTALLATIONS ? -1 : 0);
        }
    }

    /** Once opened they are all of the same schema: the oldest stands for the rest. */
    @Test
    void theOldestIsBackedUpAndRestored() throws IOException {
        Path folder = elsewhere.resolve("folder");
        unpack(1, folder);
        Path backup = elsewhere.resolve("backup.zip");
        int installations;
        try (ConfigurableApplicationContext context = opened(folder, 1)) {
            installations = judged(context);
            context.getBean(Backup.class).to(backup);
        }
        Path restored = elsewhere.resolve("restored");
        BackupCommands.unpack(backup, restored);
        try (ConfigurableApplicationContext context = opened(restored, 1)) {
            assertThat(context.getBean(JournalCheck.class).run().sentence())
                    .contains("The data is sound", "Signed ends that agree");
            assertThat(judged(context)).isEqualTo(installations);
        }
    }

    private static int judged(ConfigurableApplicationContext context) {
        int installations = 0;
        for (CaseFile file : context.getBean(CaseFiles.class).all(LEAD)) {
            assertThat(file.judgements().all()).isNotEmpty();
            assertThat(file.evidence().readings())
                    .as("what was kept by the words of its day is understood")
                    .noneMatch(reading -> reading.value() instanceof Value.SetAside);
            installations++;
        }
        return installations;
    }
}
