package org.undanus.server.commissioning;

import jakarta.annotation.PreDestroy;
import jakarta.validation.Validator;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.TemporaryFiles;
import org.undanus.server.work.Underway;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes in many filled-in templates from one ZIP file, in the background. Each is taken whole or not at all, the one whatever
 * becomes of the others; those that are in already stay as they are, so the same file may come again after a stop.
 */
@Service
class RecordImports {
    private static final Logger LOG = LoggerFactory.getLogger(RecordImports.class);
    private static final String JSON = ".json";
    private static final List<String> FORMS = List.of(".csv", JSON);
    private static final int MOST_FILES = 20_000;
    /** Bytes of one table; as many as a record typed at once may have. */
    private static final int MOST_BYTES = 2_000_000;

    private static final int LONGEST_NAME = 120;

    private final TemporaryFiles temporary;
    private final CommissioningRecords records;
    private final CaseFiles cases;
    private final JsonMapper json;
    private final Validator validator;
    private final Underway<RecordImport> known =
            new Underway<>("This import is no longer known. What was saved of it stands with its installations.");
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> new Thread(work, "record-import"));

    RecordImports(
            TemporaryFiles temporary,
            CommissioningRecords records,
            CaseFiles cases,
            JsonMapper json,
            Validator validator) {
        this.json = json;
        this.validator = validator;
        this.temporary = temporary;
        this.records = records;
        this.cases = cases;
    }

    /**
     * Takes the file and begins.
     *
     * @throws ConflictException where another of this person still runs
     * @throws UnsuitableException where it is no ZIP file, or holds nothing
     */
    RecordImport.RecordImportView begin(InputStream content, Person person, Wording wording) {
        if (!person.inspects()) {
            throw new NotAllowedException("Records are brought in and audited by the inspection office.");
        }
        if (known.of(person.name()).stream().anyMatch(RecordImport::running)) {
            throw new ConflictException(
                    "Your import before is still running. Wait for it or end it, then bring this one in. Nothing was changed.",
                    "",
                    "");
        }
        boolean begun = false;
        Path file = null;
        try {
            file = temporary.file(".zip");
            Files.copy(content, file, StandardCopyOption.REPLACE_EXISTING);
            RecordImport made = new RecordImport(UUID.randomUUID().toString(), person.name(), count(file), wording);
            known.begin(made);
            Path taken = file;
            worker.execute(() -> run(made, taken, person));
            begun = true;
            return made.view();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            if (!begun) {
                delete(file);
            }
        }
    }

    private static int count(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            int tables = tables(zip).size();
            if (tables == 0 || tables > MOST_FILES) {
                throw new UnsuitableException(
                        "file",
                        Text.of(
                                "A file of records holds 1 to {mostFiles} filled-in templates (.csv or .json); this one holds {tables}. Nothing was saved.",
                                MOST_FILES,
                                tables));
            }
            return tables;
        } catch (ZipException e) {
            throw new UnsuitableException(
                    "file",
                    "This is no ZIP file, or it is damaged. Put the filled-in templates into one. Nothing was saved.");
        }
    }

    private static List<? extends ZipEntry> tables(ZipFile zip) {
        return zip.stream()
                .filter(entry -> !entry.isDirectory() && FORMS.stream().anyMatch(entry.getName()::endsWith))
                .toList();
    }

    private void run(RecordImport made, Path file, Person person) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Map<String, CaseFiles.Named> installations = cases.named(person).stream()
                    .collect(Collectors.toMap(CaseFiles.Named::reference, Function.identity()));
            for (ZipEntry entry : tables(zip)) {
                if (!made.running()) {
                    return;
                }
                take(zip, entry, installations, made, person);
            }
            made.end(Underway.State.DONE, null);
        } catch (IOException | RuntimeException e) {
            LOG.warn("An import of records ended early", e);
            made.end(
                    Underway.State.FAILED,
                    "The import ended early; what is counted as saved is saved. The server's log says why.");
        } finally {
            delete(file);
        }
    }

    private RecordSheet sheet(String name, String text) {
        return name.endsWith(JSON) ? filled(text).sheet() : RecordSheet.read(text);
    }

    private FilledTemplate filled(String text) {
        try {
            FilledTemplate filled = json.readValue(text, FilledTemplate.class);
            validator.validate(filled).stream()
                    .min(Comparator.comparing(
                            problem -> problem.getPropertyPath().toString()))
                    .ifPresent(problem -> {
                        throw new UnsuitableException(
                                "file", Text.of("{field} {wrong}.", problem.getPropertyPath(), problem.getMessage()));
                    });
            return filled;
        } catch (JacksonException e) {
            throw new UnsuitableException(
                    "file", Text.of("This is no filled-in template in JSON: {why}", e.getOriginalMessage()));
        }
    }

    private void take(
            ZipFile zip, ZipEntry entry, Map<String, CaseFiles.Named> installations, RecordImport made, Person person)
            throws IOException {
        String name = entry.getName();
        String called = name.length() > LONGEST_NAME ? "…" + name.substring(name.length() - LONGEST_NAME) : name;
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] table = in.readNBytes(MOST_BYTES + 1);
            if (table.length > MOST_BYTES) {
                throw new UnsuitableException("file", "A record is a table of 2 MB at most.");
            }
            RecordSheet sheet = sheet(name, new String(table, StandardCharsets.UTF_8));
            CaseFiles.Named installation = installations.get(sheet.installation());
            if (installation == null) {
                throw new NotFoundException(
                        Text.of("There is no installation \"{installation}\".", sheet.installation()));
            }
            records.bring(installation.id(), reference -> sheet, person);
            made.brought();
        } catch (ConflictException same) {
            made.already();
        } catch (UnsuitableException | NotFoundException e) {
            made.refused(called, e.said());
        } catch (ZipException e) {
            made.refused(called, Text.plain(String.valueOf(e.getMessage())));
        }
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    RecordImport of(String id, String person) {
        return known.of(id, person);
    }

    private static void delete(Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @PreDestroy
    void stop() {
        known.stop();
        worker.shutdown();
    }
}
