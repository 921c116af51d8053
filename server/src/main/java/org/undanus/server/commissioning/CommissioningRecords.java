package org.undanus.server.commissioning;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.audit.Auditor;
import org.undanus.core.audit.Claim;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Moment;
import org.undanus.view.CaseFile;

/** Takes in commissioning records, and holds them against everything else. */
@Service
public class CommissioningRecords {
    private static final int MOST_RECORDS = 50;
    /** A record with what was found in it. */
    public record Audited(RecordRow row, CaseFile file, CommissioningRecord record, List<Found> found) {}

    private final Clock clock;
    private final RecordMapper mapper;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Journal journal;

    CommissioningRecords(
            Clock clock, RecordMapper mapper, CaseFiles cases, KeptReadings keptReadings, Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.journal = journal;
    }

    static void requireOffice(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Records are brought in and audited by the inspection office.");
        }
    }

    /** Of an installation, oldest first. */
    @Transactional(readOnly = true)
    public List<RecordRow> of(CaseFile file) {
        return mapper.ofInstallation(file.header().id());
    }

    /** All there are, by installation. */
    @Transactional(readOnly = true)
    Map<String, List<RecordRow>> all() {
        return mapper.all().stream().collect(Collectors.groupingBy(RecordRow::installationId));
    }

    /** @throws NotFoundException where there is none, or it is none of this person's business */
    @Transactional(readOnly = true)
    RecordRow visible(String id, Person person) {
        RecordRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such record.");
        }
        cases.open(row.installationId(), person);
        return row;
    }

    List<ClaimRow> claims(String record) {
        return mapper.claims(record);
    }

    /**
     * Takes a record in, whole or not at all. What it says on lines of the walk is kept as recorded readings of the crew too: they
     * take the place of nothing that an inspector read.
     *
     * @param read makes the sheet of what came in, for an installation of this reference
     * @throws UnsuitableException with every line that cannot be taken
     */
    @Transactional
    RecordRow bring(String installation, Function<String, RecordSheet> read, Person person) {
        CaseFile file = cases.openForWriting(installation, person);
        requireOffice(person);
        RecordSheet sheet = read.apply(file.header().reference());
        String id = UUID.randomUUID().toString();
        UnderstoodSheet understood = UnderstoodSheet.of(sheet, id, file, LocalDate.now(clock));
        requireNew(file, understood.signedBy(), understood.day(), understood.claims());
        RecordRow row = new RecordRow(
                id,
                installation,
                understood.signedBy(),
                understood.day(),
                understood.weather().coldest(),
                understood.weather().warmest(),
                person.name(),
                Moment.kept(clock.instant()),
                false,
                1);
        keep(row, understood.claims(), person);
        understood.claims().forEach(claim -> recorded(claim, row, file, person));
        return row;
    }

    /** Keeps it as it is. */
    void keep(RecordRow row, List<ClaimRow> claims, Person person) {
        mapper.insert(row);
        journal.write(person.name(), "commissioning-record.brought", row.id(), row);
        for (ClaimRow claim : claims) {
            mapper.insertClaim(claim);
            journal.write(person.name(), "claim.added", claim.id(), claim);
        }
    }

    /** A record that is brought in once more, by a second click or a second hand, is none. */
    private void requireNew(CaseFile file, String signedBy, LocalDate day, List<ClaimRow> claims) {
        List<RecordRow> before = of(file);
        if (before.size() >= MOST_RECORDS) {
            throw new UnsuitableException(
                    "values",
                    Text.of("An installation has {mostRecords} records at most. Nothing was saved.", MOST_RECORDS));
        }
        Set<List<String>> said = said(claims, file);
        before.stream()
                .filter(row ->
                        row.signedBy().equals(signedBy) && row.recordedOn().equals(day))
                .filter(row -> said(mapper.claims(row.id()), file).equals(said))
                .findFirst()
                .ifPresent(row -> {
                    throw new ConflictException("This record is in already. Nothing was saved.", "", row.id());
                });
    }

    private static Set<List<String>> said(List<ClaimRow> claims, CaseFile file) {
        return claims.stream()
                .map(claim ->
                        List.of(claim.point(), claim.component(), kept(claim, file), String.valueOf(claim.claimedAt())))
                .collect(Collectors.toSet());
    }

    /** What a claim says as it is kept today: of a choice the id, by whatever words an earlier version kept it. */
    static String kept(ClaimRow claim, CaseFile file) {
        try {
            return RecordLines.point(claim.point())
                    .map(file.facts()::asked)
                    .filter(point -> point.kind() == Point.Kind.CHOICE)
                    .map(point -> Entry.option(point, claim.typed()).id())
                    .orElse(claim.typed());
        } catch (IllegalArgumentException setAside) {
            return claim.typed();
        }
    }

    private void recorded(ClaimRow claim, RecordRow row, CaseFile file, Person person) {
        Point point = RecordLines.point(claim.point()).orElseThrow();
        boolean read = file.evidence()
                .latest(new PointKey(claim.point(), claim.component()))
                .isPresent();
        if (!RecordLines.ofWalk(point) || read) {
            return;
        }
        Claim understood = claim(claim, file);
        LocalDateTime at = understood.at().orElse(row.recordedOn().atStartOfDay());
        keptReadings.keep(
                new Reading(
                        understood.id(),
                        understood.key(),
                        understood.typed(),
                        understood.value(),
                        understood.unit(),
                        understood
                                .instrument()
                                .filter(name ->
                                        file.facts().toolcase().find(name).isPresent()),
                        Grade.RECORDED,
                        row.signedBy(),
                        at.atZone(file.facts().site().zone()).toInstant(),
                        file.header().stage(),
                        true),
                file.header(),
                person.name());
    }

    private static Claim claim(ClaimRow row, CaseFile file) {
        Point point = file.facts().asked(RecordLines.point(row.point()).orElseThrow());
        Optional<String> instrument = Optional.ofNullable(row.instrument());
        return Claim.of(
                UUID.fromString(row.id()),
                new PointKey(row.point(), row.component()),
                row.typed(),
                Entry.understand(
                        point,
                        row.typed(),
                        UnderstoodSheet.accuracy(point, instrument, file),
                        file.facts().traces()),
                Optional.ofNullable(row.claimedAt()).map(LocalDateTime::parse),
                instrument,
                file.facts().traces());
    }

    /** As the audit takes it; what this version can no longer read is left out. */
    CommissioningRecord record(RecordRow row, List<ClaimRow> rows, CaseFile file) {
        List<Claim> claims = new ArrayList<>();
        for (ClaimRow each : rows) {
            if (RecordLines.point(each.point()).isPresent()) {
                try {
                    claims.add(claim(each, file));
                } catch (IllegalArgumentException setAside) {
                    continue;
                }
            }
        }
        return new CommissioningRecord(
                row.id(),
                file.header().reference(),
                file.header().building(),
                file.header().crew(),
                row.signedBy(),
                row.recordedOn(),
                row.coldest() == null
                        ? Optional.empty()
                        : Optional.of(new CommissioningRecord.DayWeather(
                                Temperature.ofKelvin(row.coldest()), Temperature.ofKelvin(row.warmest()))),
                claims);
    }

    /** What others read: not what came with a record. */
    static Evidence own(CaseFile file) {
        return Evidence.of(file.evidence().readings().stream()
                .filter(reading -> reading.grade() != Grade.RECORDED && reading.grade() != Grade.STATED)
                .toList());
    }

    /** A record held against everything. */
    @Transactional(readOnly = true)
    public Audited audited(RecordRow row, CaseFile file) {
        CommissioningRecord record = record(row, mapper.claims(row.id()), file);
        return new Audited(row, file, record, Auditor.audit(file.facts(), record, own(file), file.rules()));
    }

    /** Enters the weather of the day, or lets the crew's copy of the report have what was found. */
    @Transactional
    RecordRow amend(
            String id,
            Optional<String> coldest,
            Optional<String> warmest,
            boolean released,
            int version,
            Person person) {
        requireOffice(person);
        RecordRow before = visible(id, person);
        UnderstoodSheet.Weather weather = UnderstoodSheet.Weather.of(coldest, warmest);
        RecordRow wanted = new RecordRow(
                id,
                before.installationId(),
                before.signedBy(),
                before.recordedOn(),
                weather.coldest(),
                weather.warmest(),
                before.broughtBy(),
                before.broughtAt(),
                released,
                version);
        if (mapper.update(wanted) == 0) {
            throw new ConflictException("Somebody changed this record meanwhile. Nothing was saved.", "", before);
        }
        RecordRow now = mapper.find(id);
        journal.write(person.name(), "commissioning-record.amended", id, now);
        return now;
    }
}
