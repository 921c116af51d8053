package org.undanus.server.seal;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipFile;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.exchange.CaseExport;
import org.undanus.server.exchange.SealedFiles;
import org.undanus.server.hold.Holds;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.Visits;
import org.undanus.server.journal.HeadSigner;
import org.undanus.server.journal.Journal;
import org.undanus.server.live.LiveStore;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.seal.SealMapper.SealRow;
import org.undanus.server.signing.PublicKeyPart;
import org.undanus.server.signing.SigningKey;
import org.undanus.server.store.Commit;
import org.undanus.server.store.Moment;
import org.undanus.server.work.Gate;
import org.undanus.view.CaseFile;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Seals visits that are done, and hands out what was sealed. */
@Service
public class Seals implements SealedFiles {
    /** A seal as it is listed. */
    public record Sealed(
            String number, String installationId, String root, String fingerprint, String sealedBy, Instant sealedAt) {}

    private static final int CHECKED_AT_ONCE = 2;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Clock clock;
    private final Gate gate = new Gate(CHECKED_AT_ONCE, PATIENCE);
    private final SealMapper mapper;
    private final SealStore store;
    private final CaseFiles cases;
    private final Visits visits;
    private final CaseExport export;
    private final Holds holds;
    private final LiveStore live;
    private final Journal journal;
    private final HeadSigner heads;
    private final JsonMapper json;
    private final Path folder;

    Seals(
            Clock clock,
            SealMapper mapper,
            SealStore store,
            CaseFiles cases,
            Visits visits,
            CaseExport export,
            Holds holds,
            LiveStore live,
            Journal journal,
            HeadSigner heads,
            JsonMapper json,
            @Value("${undanus.data}") Path folder) {
        this.clock = clock;
        this.mapper = mapper;
        this.store = store;
        this.cases = cases;
        this.visits = visits;
        this.export = export;
        this.holds = holds;
        this.live = live;
        this.journal = journal;
        this.heads = heads;
        this.json = json;
        this.folder = folder;
    }

    @Transactional(readOnly = true)
    public List<Sealed> of(CaseFile file) {
        return mapper.of(file.header().id()).stream().map(Seals::listed).toList();
    }

    /**
     * The seal of one visit.
     *
     * @param number of the visit, from 1
     * @throws NotFoundException where it is not sealed
     */
    @Transactional(readOnly = true)
    public Sealed of(CaseFile file, int number) {
        SealRow row = mapper.find(file.header().reference() + "/" + number);
        if (row == null || !row.installationId().equals(file.header().id())) {
            throw new NotFoundException("There is no such seal.");
        }
        return listed(row);
    }

    private static Sealed listed(SealRow row) {
        return new Sealed(
                row.number(), row.installationId(), row.root(), row.fingerprint(), row.sealedBy(), row.sealedAt());
    }

    /**
     * Seals the visit that goes on: all of it or nothing.
     *
     * @throws ConflictException where it is sealed already
     * @throws UnsuitableException where something still runs, or the clock is behind
     */
    @Transactional
    public Sealed seal(String installation, Person person) {
        CaseFile file = cases.openForWriting(installation, person);
        if (!person.inspects()) {
            throw new NotAllowedException("A visit is sealed by the inspection office.");
        }
        CaseFile.Header header = file.header();
        header.visit().sealedAs().ifPresent(number -> {
            throw new ConflictException(
                    Text.of("This visit is sealed already, as {number}. Nothing was changed.", number), "", number);
        });
        requireNothingRuns(installation);
        Journal.End end = journal.end().orElseThrow();
        Instant now = Moment.kept(clock.instant());
        if (now.isBefore(end.at())) {
            throw new UnsuitableException(
                    "clock",
                    Text.of(
                            "The clock of this machine is behind the journal's last entry, of {at}. Set it right, then seal. Nothing was changed.",
                            end.at()));
        }
        String number = header.reference() + "/" + header.visits().size();
        SigningKey key = SigningKey.ensuredIn(folder);
        CaseExport.Frozen frozen = export.frozen(file, person);
        Seal seal = signed(number, file, frozen, end, now, person, key);
        SealRow row = new SealRow(
                number,
                installation,
                header.visitId(),
                seal.root(),
                key.fingerprint(),
                end.sequence(),
                end.hash(),
                person.name(),
                now);
        keep(row, seal, frozen, person);
        visits.seal(header, number, person);
        Commit.after(() -> heads.sign("seal " + number));
        return listed(row);
    }

    private void requireNothingRuns(String installation) {
        if (holds.running().stream().anyMatch(hold -> hold.installationId().equals(installation))) {
            throw new UnsuitableException("holds", "A hold is running here. End it, then seal. Nothing was changed.");
        }
        if (!live.at(installation).isEmpty()) {
            throw new UnsuitableException(
                    "lines", "A line still listens to an instrument. End it, then seal. Nothing was changed.");
        }
    }

    private Seal signed(
            String number,
            CaseFile file,
            CaseExport.Frozen frozen,
            Journal.End end,
            Instant now,
            Person person,
            SigningKey key) {
        CaseFile.Header header = file.header();
        SealParts parts = SealParts.of(new ByteArrayInputStream(frozen.document()), json);
        List<SealArchive.Entry> entries = entries(frozen);
        entries.stream()
                .filter(entry -> !entry.name().equals(SealCheck.CASE))
                .forEach(entry -> parts.file(entry.name(), entry.sha256()));
        Seal seal = new Seal(
                Seal.FORMAT,
                number,
                header.title(),
                header.stage().title(),
                header.visitedOn(),
                file.rules().id(),
                file.rules().version(),
                person.name(),
                now,
                new Seal.Anchor(end.sequence(), end.hash()),
                entries,
                parts.digests(),
                HashTree.root(parts.digests()),
                key.publicPart().encoded(),
                "");
        return seal.with(key.sign(Canonical.of(json.writeValueAsString(seal))));
    }

    private static List<SealArchive.Entry> entries(CaseExport.Frozen frozen) {
        try {
            List<SealArchive.Entry> entries = new ArrayList<>();
            entries.add(SealArchive.Entry.of(SealCheck.CASE, new ByteArrayInputStream(frozen.document())));
            for (CaseExport.Held held : frozen.files()) {
                entries.add(SealArchive.Entry.of(held.name(), held.opening().open()));
            }
            return entries;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void keep(SealRow row, Seal seal, CaseExport.Frozen frozen, Person person) {
        Map<String, CaseExport.Opening> contents = new HashMap<>();
        contents.put(SealCheck.CASE, () -> new ByteArrayInputStream(frozen.document()));
        frozen.files().forEach(held -> contents.put(held.name(), held.opening()));
        try {
            journal.write(
                    person.name(), "seal.made", row.number(), store.keep(row, seal, entry -> contents.get(entry.name())
                            .open()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> numbers() {
        return mapper.all().stream().map(SealRow::number).toList();
    }

    @Override
    public List<String> keys() {
        return SigningKey.known(folder).stream().map(PublicKeyPart::encoded).toList();
    }

    @Override
    public void adopt(List<String> keys) {
        SigningKey.adopt(folder, keys.stream().map(PublicKeyPart::new).toList());
    }

    @Override
    @Transactional
    public void keep(Path sealed, Person person) {
        SealCheck.Verification outcome = new SealCheck(json, Optional.empty()).check(sealed);
        if (!outcome.sound()) {
            throw new UnsuitableException("seals", outcome.sentence().then(Text.of("Nothing was saved.")));
        }
        Seal seal = SealCheck.seal(sealed, json).orElseThrow();
        int slash = seal.number().lastIndexOf('/');
        CaseFile.Header header = cases.named(person).stream()
                .filter(each -> each.reference().equals(seal.number().substring(0, Math.max(0, slash))))
                .findFirst()
                .map(each -> cases.open(each.id(), person).header())
                .filter(found -> isVisit(seal.number().substring(slash + 1), found))
                .orElseThrow(() -> new UnsuitableException(
                        "seals", Text.of("The seal {number} is of no visit here. Nothing was saved.", seal.number())));
        CaseFile.Header visit =
                header.at(header.visits().get(Integer.parseInt(seal.number().substring(slash + 1)) - 1));
        // its anchor is in another journal: here there is nothing to hold it against
        SealRow row = new SealRow(
                seal.number(),
                header.id(),
                visit.visitId(),
                seal.root(),
                outcome.fingerprint(),
                0,
                "",
                seal.sealedBy(),
                seal.sealedAt());
        try (ZipFile zip = new ZipFile(sealed.toFile())) {
            journal.write(
                    person.name(),
                    "seal.brought-in",
                    row.number(),
                    seal.older()
                            ? store.keep(row, sealed)
                            : store.keep(row, seal, entry -> zip.getInputStream(zip.getEntry(entry.name()))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        visits.seal(visit, seal.number(), person);
    }

    private static boolean isVisit(String number, CaseFile.Header header) {
        return number.matches("[1-9]\\d{0,5}")
                && Integer.parseInt(number) <= header.visits().size();
    }

    /** Writes a sealed file out. */
    @Override
    @Transactional(readOnly = true)
    public void write(String number, OutputStream to) {
        store.write(number, to);
    }

    /** The case as it was sealed. */
    @Transactional(readOnly = true)
    public JsonNode document(String number) {
        return store.document(number);
    }

    /**
     * Checks a file against this office's keys, a few at a time.
     *
     * @throws org.undanus.server.problem.BusyException where too many are being checked
     */
    public SealCheck.Verification check(Path file) {
        List<PublicKeyPart> keys = SigningKey.known(folder);
        return gate.through(() -> new SealCheck(json, Optional.of(keys)).check(file));
    }
}
