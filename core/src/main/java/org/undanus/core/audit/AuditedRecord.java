package org.undanus.core.audit;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** A record laid on the table beside its installation, the inspector's own readings and the rule book. */
final class AuditedRecord {
    private static final About RECORD =
            About.of("papers.record", Station.PAPERS, Scope.SYSTEM, "Commissioning record", Severity.RECORD);

    private final Case facts;
    private final CommissioningRecord record;
    private final Evidence own;
    private final Evidence taken;
    private final RuleBook rules;

    /** @param own what was read by others than who wrote the record */
    AuditedRecord(Case facts, CommissioningRecord record, Evidence own, RuleBook rules) {
        this.facts = facts;
        this.record = record;
        this.own = own;
        this.rules = rules;
        List<Reading> all = new ArrayList<>();
        own.readings().stream()
                .filter(reading -> record.claim(reading.key()).isEmpty())
                .forEach(all::add);
        record.claims().stream()
                .filter(claim -> RecordLines.point(claim.key().point())
                        .filter(RecordLines::ofWalk)
                        .isPresent())
                .map(claim -> taken(claim, record, facts.site().zone()))
                .forEach(all::add);
        this.taken = Evidence.of(all);
    }

    /** At its word: what follows from a record is asked, not how good an evidence it is. */
    private static Reading taken(Claim claim, CommissioningRecord record, ZoneId zone) {
        Instant at = claim.at().orElse(record.on().atStartOfDay()).atZone(zone).toInstant();
        return new Reading(
                claim.id(),
                claim.key(),
                claim.typed(),
                claim.value(),
                claim.unit(),
                Optional.empty(),
                Grade.WITNESSED,
                record.signedBy(),
                at,
                Stage.FINAL,
                false);
    }

    Case facts() {
        return facts;
    }

    CommissioningRecord record() {
        return record;
    }

    /** What was read by others. */
    Evidence own() {
        return own;
    }

    RuleBook rules() {
        return rules;
    }

    /** The number that the rule book gives; empty where it leaves it open. */
    Optional<Double> number(Setting setting) {
        return rules.decides(setting) ? Optional.of(rules.number(setting)) : Optional.empty();
    }

    /**
     * How far a written time may be off, as a standard uncertainty, s: as the rule book says, or more where all of the record's times are
     * rounded to more. Empty where the rule book leaves it open.
     */
    Optional<Double> clock() {
        return number(AuditSettings.CLOCK).map(by -> Math.max(by, clock(List.of(record))));
    }

    /** What rounding alone makes of the times of some records, as a standard uncertainty, s. */
    static double clock(List<CommissioningRecord> records) {
        List<Double> times = records.stream()
                .flatMap(each -> each.claims().stream())
                .flatMap(claim -> claim.at().stream())
                .map(at -> (double) at.toLocalTime().toSecondOfDay())
                .distinct()
                .toList();
        return Rounding.ofClocks(times) / Math.sqrt(12);
    }

    Optional<Claim> claim(Point point, Subject subject) {
        return record.claim(RecordLines.key(point, subject.id()));
    }

    Optional<Value.Measured> measured(Point point, Subject subject) {
        return claim(point, subject).flatMap(Claim::measured);
    }

    /** SI. */
    Optional<Double> value(Point point, Subject subject) {
        return measured(point, subject).map(m -> m.quantity().si());
    }

    Optional<LocalDateTime> at(Point point, Subject subject) {
        return claim(point, subject).flatMap(Claim::at);
    }

    /** What the record says, and where it says nothing what others read. */
    Examination at(Subject subject) {
        return Examination.of(facts, taken, rules, RECORD, subject);
    }

    /** Those there are tables of. */
    Refrigerants refrigerants() {
        return facts.refrigerants();
    }

    Optional<Refrigerant> refrigerant(Subject outdoor) {
        return at(outdoor).refrigerant(PlatePoints.REFRIGERANT);
    }

    /** Apparent power by volts and amperes: √3 with three phases. */
    double perVoltAmpere(Subject unit) {
        return at(unit).chosen(PlatePoints.PHASES)
                        .filter(PlatePoints.THREE_PHASES::equals)
                        .isPresent()
                ? Math.sqrt(3)
                : 1;
    }

    /** What gauges count from: as the record has it, else that of the height. */
    AbsolutePressure air() {
        return record.claim(new PointKey(RecordLines.BAROMETER.id(), PointKey.SYSTEM))
                .flatMap(Claim::measured)
                .map(m -> AbsolutePressure.ofPascals(m.quantity().si()))
                .orElse(facts.site().atmosphere());
    }

    /** The outdoor unit that something belongs to, or that comes to it. */
    Optional<Subject> outdoor(Subject subject) {
        return at(subject).outdoor().map(Subject::of);
    }

    /**
     * Makes a check for every subject of a scope that the record says anything of; where a line or a setting it needs is missing it
     * cannot tell.
     */
    List<Found> each(Scope scope, AboutCheck about, BiFunction<AuditedRecord, Subject, Found> check) {
        List<Found> all = new ArrayList<>();
        for (Subject subject : facts.subjects(scope)) {
            List<Object> missing = about.needs().stream()
                    .filter(point -> claim(point, subject).isEmpty())
                    .map(Point::title)
                    .collect(Collectors.<Object, List<Object>>toCollection(ArrayList::new));
            about.settings().stream()
                    .filter(setting -> !rules.decides(setting))
                    .map(setting -> Text.of("in the rule book: {setting}", setting.title()))
                    .forEach(missing::add);
            all.add(
                    missing.isEmpty()
                            ? check.apply(this, subject)
                            : Found.cannotTell(
                                    about, subject.id(), Text.of("The record lacks: {missing}.", Text.list(missing))));
        }
        return all;
    }

    /** The keys of some points of a subject. */
    static List<PointKey> keys(Subject subject, Point... points) {
        return keys(List.of(points), subject);
    }

    private static List<PointKey> keys(Collection<Point> points, Subject subject) {
        return points.stream()
                .map(point -> RecordLines.key(point, subject.id()))
                .toList();
    }
}
