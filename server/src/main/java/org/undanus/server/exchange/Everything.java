package org.undanus.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.unit.DataSize;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.mail.LetterKind;
import org.undanus.server.mail.MailChoice;
import org.undanus.server.mail.MailChoices;
import org.undanus.server.mail.Outbox;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.store.TemporaryFiles;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything there is as open files in one ZIP: the library of rule books, sheets and instruments, a case file of each
 * installation, letters, accounts without their secrets, and the sealed visits. Brought into an empty system it judges the same and the seals verify.
 */
@Service
class Everything {
    static final String FORMAT = "undanus-everything/1";
    private static final String CONTENTS = "everything.json";
    private static final String LIBRARY = "library.json";
    /** Not in what was taken out before letters and accounts were. */
    private static final String LETTERS = "letters.json";

    private static final String PEOPLE = "people.json";
    private static final Pattern CASES = Pattern.compile("cases/[A-Za-z0-9][A-Za-z0-9-]{0,80}\\.zip");
    private static final Pattern SEALS = Pattern.compile("seals/[A-Za-z0-9][A-Za-z0-9-]{0,80}\\.zip");
    private static final int MOST_ENTRIES = 50_000;

    /** @param keys public parts of the keys that signed what is sealed, base64 */
    record Contents(String format, Instant exportedAt, List<String> keys) {}

    /**
     * A letter.
     *
     * @param installation its reference
     * @param crew whose it is; empty for the inspection office
     * @param content as it would have gone out (RFC 5322)
     */
    record LetterRecord(
            String id, String installation, String crew, String subject, Instant writtenAt, String content) {

        static LetterRecord of(Outbox.Carried carried, String reference) {
            Outbox.Letter letter = carried.letter();
            return new LetterRecord(
                    letter.id(), reference, letter.crew(), letter.subject(), letter.writtenAt(), carried.content());
        }

        Outbox.Carried carried(String installationId) {
            return new Outbox.Carried(new Outbox.Letter(id, installationId, crew, subject, writtenAt), content);
        }
    }

    /**
     * An account without its secrets.
     *
     * @param mail where letters go to; not in what was taken out before there was mail
     */
    record PersonRecord(
            String name, String title, Role role, Optional<String> crew, boolean active, Optional<MailRecord> mail) {

        static PersonRecord of(Accounts.Account account, MailChoice choice) {
            Person person = account.person();
            return new PersonRecord(
                    person.name(),
                    person.title(),
                    person.role(),
                    person.crew(),
                    account.active(),
                    Optional.of(choice)
                            .filter(made -> made.version() > 0)
                            .map(made -> new MailRecord(made.address(), made.kinds())));
        }

        /** @throws UnsuitableException where it is none */
        Person person() {
            boolean crewed =
                    crew != null && crew.filter(named -> !named.isBlank()).isPresent();
            if (name == null
                    || !name.matches(Accounts.NAME)
                    || title == null
                    || title.isBlank()
                    || role == null
                    || (role == Role.CREW) != crewed) {
                throw new UnsuitableException("people", "An account in the file is none. Nothing was saved.");
            }
            return new Person(name, title, role, crew);
        }
    }

    /** Where somebody's letters go, and which of them. */
    record MailRecord(String address, Set<LetterKind> kinds) {

        /** @throws UnsuitableException where it is none */
        MailChoice choice() {
            if (!MailChoice.sound(address) || kinds == null || kinds.contains(null)) {
                throw new UnsuitableException("people", "A mail address in the file is none. Nothing was saved.");
            }
            return new MailChoice(address, kinds, 0);
        }
    }

    private final Clock clock;
    private final Outbox outbox;
    private final MailChoices mail;
    private final Accounts accounts;
    private final CaseExport export;
    private final CaseImport cases;
    private final TemporaryFiles temporary;
    private final CaseFiles files;
    private final RuleBooks books;
    private final RefrigerantStore refrigerants;
    private final SheetLibrary sheets;
    private final Instruments instruments;
    private final SealedFiles seals;
    private final TransactionTemplate transactions;
    private final JsonMapper json;
    private final long largest;

    Everything(
            Clock clock,
            Outbox outbox,
            MailChoices mail,
            Accounts accounts,
            TemporaryFiles temporary,
            CaseExport export,
            CaseImport cases,
            CaseFiles files,
            RuleBooks books,
            RefrigerantStore refrigerants,
            SheetLibrary sheets,
            Instruments instruments,
            SealedFiles seals,
            TransactionTemplate transactions,
            JsonMapper json,
            @Value("${undanus.largest-case-file}") DataSize largest) {
        this.clock = clock;
        this.temporary = temporary;
        this.outbox = outbox;
        this.mail = mail;
        this.accounts = accounts;
        this.export = export;
        this.cases = cases;
        this.files = files;
        this.books = books;
        this.refrigerants = refrigerants;
        this.sheets = sheets;
        this.instruments = instruments;
        this.seals = seals;
        this.transactions = transactions;
        this.json = json;
        this.largest = largest.toBytes();
    }

    /** Writes it out, one thing after another: the memory holds one case at a time. */
    void write(OutputStream to, Person person) throws IOException {
        Path one = temporary.file(".zip");
        try (ZipOutputStream zip = new ZipOutputStream(to)) {
            put(zip, CONTENTS, new Contents(FORMAT, clock.instant().truncatedTo(ChronoUnit.SECONDS), seals.keys()));
            put(
                    zip,
                    LIBRARY,
                    new CaseDocument(
                            CaseDocument.FORMAT,
                            Optional.empty(),
                            Optional.of(books.every().stream()
                                    .sorted(Comparator.comparing(
                                            book -> book.layers().size()))
                                    .map(RuleBook::yaml)
                                    .toList()),
                            Optional.of(refrigerants.known().files()),
                            Optional.of(sheets.newest().stream()
                                    .map(SheetLibrary.Version::sheet)
                                    .toList()),
                            Optional.of(instruments.records()),
                            List.of()));
            int number = 1;
            for (CaseFiles.Named each : files.named(person)) {
                try (OutputStream out = Files.newOutputStream(one)) {
                    export.zip(files.open(each.id(), person), ExchangeController.PhotoChoice.POSITIONED, person)
                            .writeTo(out);
                }
                zip.putNextEntry(new ZipEntry("cases/" + number++ + "-" + plain(each.reference()) + ".zip"));
                Files.copy(one, zip);
            }
            Map<String, String> references = files.named(person).stream()
                    .collect(Collectors.toMap(CaseFiles.Named::id, CaseFiles.Named::reference));
            put(
                    zip,
                    LETTERS,
                    outbox.all().stream()
                            .map(each -> LetterRecord.of(
                                    each, references.get(each.letter().installationId())))
                            .toList());
            put(
                    zip,
                    PEOPLE,
                    accounts.all().stream()
                            .map(each ->
                                    PersonRecord.of(each, mail.of(each.person().name())))
                            .toList());
            for (String seal : seals.numbers()) {
                zip.putNextEntry(new ZipEntry("seals/" + number++ + "-" + plain(seal) + ".zip"));
                seals.write(seal, zip);
            }
        } finally {
            Files.deleteIfExists(one);
        }
    }

    private void put(ZipOutputStream zip, String name, Object content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(json.writeValueAsBytes(content));
    }

    private static String plain(String name) {
        return name.replaceAll("[^A-Za-z0-9]", "-");
    }

    /** Whether a ZIP file is one of these. */
    static boolean is(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return zip.getEntry(CONTENTS) != null;
        }
    }

    /**
     * Brings it in, whole or not at all.
     *
     * @return ids of the installations entered
     * @throws UnsuitableException naming the file in it that cannot be taken
     */
    List<String> read(Path file, Person person, ImportProgress progress) {
        return transactions.execute(status -> {
            try (ZipFile zip = new ZipFile(file.toFile())) {
                return read(zip, file.getParent(), person, progress);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private List<String> read(ZipFile zip, Path folder, Person person, ImportProgress progress) throws IOException {
        List<? extends ZipEntry> entries = zip.stream().toList();
        if (entries.size() > MOST_ENTRIES) {
            throw new UnsuitableException("zip", Text.of("The file holds more than {most} files.", MOST_ENTRIES));
        }
        for (ZipEntry entry : entries) {
            String name = entry.getName();
            if (!name.equals(CONTENTS)
                    && !name.equals(LIBRARY)
                    && !name.equals(LETTERS)
                    && !name.equals(PEOPLE)
                    && !CASES.matcher(name).matches()
                    && !SEALS.matcher(name).matches()) {
                throw new UnsuitableException("zip", "The file holds other things too. Nothing was saved.");
            }
        }
        Contents contents = json.readValue(bytes(zip, CONTENTS), Contents.class);
        if (!FORMAT.equals(contents.format())) {
            throw new UnsuitableException("format", Text.of("This reads {format}.", FORMAT));
        }
        cases.library(json.readValue(bytes(zip, LIBRARY), CaseDocument.class), person);
        List<String> entered = new ArrayList<>();
        for (ZipEntry entry : entries) {
            if (CASES.matcher(entry.getName()).matches()) {
                Path own = Files.createTempDirectory(folder, "case");
                Path one = unpacked(zip, entry, own.resolve("file"));
                entered.addAll(cases.read(CaseZip.unpack(one, largest), person, progress));
            }
        }
        seals.adopt(contents.keys() == null ? List.of() : contents.keys());
        for (ZipEntry entry : entries) {
            if (SEALS.matcher(entry.getName()).matches()) {
                seals.keep(unpacked(zip, entry, Files.createTempFile(folder, "seal", ".zip")), person);
            }
        }
        bringLetters(zip, person);
        bringPeople(zip, person);
        return entered;
    }

    private void bringLetters(ZipFile zip, Person person) throws IOException {
        if (zip.getEntry(LETTERS) == null) {
            return;
        }
        Map<String, String> ids =
                files.named(person).stream().collect(Collectors.toMap(CaseFiles.Named::reference, CaseFiles.Named::id));
        for (LetterRecord letter : json.readValue(bytes(zip, LETTERS), LetterRecord[].class)) {
            String installation = ids.get(letter.installation());
            if (installation == null) {
                throw new UnsuitableException(
                        "letters",
                        Text.of(
                                "A letter is about {installation}, which is not here. Nothing was saved.",
                                letter.installation()));
            }
            outbox.bringIn(letter.carried(installation), installation, person.name());
        }
    }

    private void bringPeople(ZipFile zip, Person person) throws IOException {
        if (zip.getEntry(PEOPLE) == null) {
            return;
        }
        for (PersonRecord each : json.readValue(bytes(zip, PEOPLE), PersonRecord[].class)) {
            accounts.bringIn(each.person(), person.name());
            if (each.mail() != null) {
                each.mail().ifPresent(made -> mail.bringIn(each.name(), made.choice(), person.name()));
            }
        }
    }

    private byte[] bytes(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new UnsuitableException("zip", Text.of("The file holds no {name}. Nothing was saved.", name));
        }
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] read = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8L, largest) + 1);
            requireSize(read.length, name);
            return read;
        }
    }

    private Path unpacked(ZipFile zip, ZipEntry entry, Path to) throws IOException {
        try (InputStream in = zip.getInputStream(entry);
                OutputStream out = Files.newOutputStream(to)) {
            byte[] buffer = new byte[1 << 16];
            long size = 0;
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                size += read;
                requireSize(size, entry.getName());
                out.write(buffer, 0, read);
            }
        }
        return to;
    }

    private void requireSize(long size, String name) {
        if (size > largest) {
            throw new UnsuitableException(
                    "zip", Text.of("{name} is larger than what can be imported. Nothing was saved.", name));
        }
    }
}
