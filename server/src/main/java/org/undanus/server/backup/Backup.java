package org.undanus.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.journal.SignedHeads;
import org.undanus.server.problem.StartRefusedException;
import org.undanus.server.signing.SigningKey;

/** Writes the database as it stands at one moment, with the journal's signed ends and the key, into one zip file. */
@Service
public class Backup {
    static final String DATABASE = "undanus.mv.db";
    static final String HEADS = "journal-heads.jsonl";
    static final String KEY = "signing-key.pem";
    /** Keys before the one that signs now; only where there were any. */
    static final String RETIRED = SigningKey.RETIRED;

    static final Set<String> ENTRIES = Set.of(DATABASE, HEADS, KEY);

    private final JdbcTemplate jdbc;
    private final SignedHeads heads;

    Backup(DataSource database, SignedHeads heads) {
        this.jdbc = new JdbcTemplate(database);
        this.heads = heads;
    }

    /**
     * Writes the file; others go on reading and writing meanwhile. Nothing is left of one that could not be finished.
     *
     * @throws StartRefusedException saying why it could not
     */
    public void to(Path file) {
        Path beside = file.resolveSibling(file.getFileName() + ".part");
        try {
            // signed ends first: none may speak of what the copied database does not hold yet
            heads.sign("backup");
            List<Path> small = List.of(heads.file(), heads.keyFile());
            byte[][] contents = {Files.readAllBytes(small.get(0)), Files.readAllBytes(small.get(1))};
            Optional<byte[]> retired = Files.exists(heads.retiredKeysFile())
                    ? Optional.of(Files.readAllBytes(heads.retiredKeysFile()))
                    : Optional.empty();
            Files.deleteIfExists(beside);
            jdbc.update("BACKUP TO ?", beside.toString());
            try (FileSystem zip = FileSystems.newFileSystem(beside)) {
                Files.write(zip.getPath(HEADS), contents[0]);
                Files.write(zip.getPath(KEY), contents[1]);
                if (retired.isPresent()) {
                    Files.write(zip.getPath(RETIRED), retired.get());
                }
            }
            Files.move(beside, file, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException | UncheckedIOException | DataAccessException e) {
            discard(beside);
            throw new StartRefusedException(
                    Text.of("The backup could not be written to {file}: {message}", file, RefusedException.said(e)));
        }
    }

    private static void discard(Path beside) {
        try {
            Files.deleteIfExists(beside);
        } catch (IOException e) {
            throw new StartRefusedException(Text.of("The unfinished backup {beside} could not be deleted.", beside));
        }
    }
}
