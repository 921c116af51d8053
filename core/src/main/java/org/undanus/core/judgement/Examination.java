package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;

/**
 * A case seen from one subject while one requirement is judged. It keeps account of every point looked at, so that a
 * judgement can name its evidence, and it sets aside readings of too weak a grade.
 */
public final class Examination {
    private final Case facts;
    private final Evidence evidence;
    private final RuleBook rules;
    private final About about;
    private final Optional<Component> subject;
    private final Optional<SchoolTopic.School> school;
    private final Set<PointKey> looked;
    private final List<Reading> tooWeak;

    Examination(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            About about,
            Optional<Component> subject,
            Optional<SchoolTopic.School> school) {
        this(facts, evidence, rules, about, subject, school, new LinkedHashSet<>(), new ArrayList<>());
    }

    private Examination(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            About about,
            Optional<Component> subject,
            Optional<SchoolTopic.School> school,
            Set<PointKey> looked,
            List<Reading> tooWeak) {
        this.facts = facts;
        this.evidence = evidence;
        this.rules = rules;
        this.about = about;
        this.subject = subject;
        this.school = school;
        this.looked = looked;
        this.tooWeak = tooWeak;
    }

    /** The same examination, reading the points of another unit. */
    public Examination at(Component other) {
        return new Examination(facts, evidence, rules, about, Optional.of(other), school, looked, tooWeak);
    }

    public Case facts() {
        return facts;
    }

    public RuleBook rules() {
        return rules;
    }

    public About about() {
        return about;
    }

    /** The unit judged. */
    public Component unit() {
        return subject.orElseThrow();
    }

    /** Whether the requirement is being judged by this school. */
    public boolean by(SchoolTopic.School wanted) {
        return school.filter(wanted::equals).isPresent();
    }

    public Optional<Value.Measured> measured(Point point) {
        return value(point).map(Value.Measured.class::cast);
    }

    /** The number in SI, where the point has been read. */
    public Optional<Double> number(Point point) {
        return measured(point).map(m -> m.quantity().si());
    }

    public Optional<String> chosen(Point point) {
        return value(point).map(v -> ((Value.Chosen) v).option());
    }

    public Optional<Boolean> affirmed(Point point) {
        return value(point).map(v -> ((Value.Affirmed) v).yes());
    }

    public Optional<String> written(Point point) {
        return value(point).map(v -> ((Value.Written) v).text());
    }

    public Optional<Value.Within> within(Point point) {
        return value(point).map(Value.Within.class::cast);
    }

    /** A measured point that is known to have been read. */
    public Value.Measured need(Point point) {
        return measured(point).orElseThrow(() -> new IllegalStateException(point.id() + " is not declared as needed"));
    }

    public boolean has(Point point) {
        return value(point).isPresent();
    }

    private Optional<Value> value(Point point) {
        PointKey key = key(point);
        looked.add(key);
        Optional<Reading> reading = evidence.latest(key);
        Optional<Grade> least = rules.minimumGrade(about.id(), about.station().key());
        if (reading.isPresent() && least.isPresent() && !reading.get().grade().atLeast(least.get())) {
            if (!tooWeak.contains(reading.get())) {
                tooWeak.add(reading.get());
            }
            return Optional.empty();
        }
        return reading.map(Reading::value);
    }

    private PointKey key(Point point) {
        return new PointKey(point.id(), point.scope() == Scope.SYSTEM ? PointKey.SYSTEM : unit().id());
    }

    /** The data sheet of the model on the subject's plate. */
    public Optional<DataSheet> sheet() {
        return written(PlatePoints.MODEL).flatMap(facts.sheets()::of);
    }

    /** The points among these that have not been read well enough. */
    public List<Point> missing(Point... points) {
        return Arrays.stream(points).filter(point -> !has(point)).toList();
    }

    /** A judgement being put together. */
    public Finding finding() {
        return new Finding(this);
    }

    /** The evidence is not there, or too weak: names the lines to read. */
    public Judgement notShown(List<Point> missing) {
        List<Reading> weak = missing.stream()
                .flatMap(point -> tooWeak.stream().filter(r -> r.key().equals(key(point))))
                .toList();
        Point first = missing.get(0);
        if (weak.isEmpty()) {
            return finding().conclude(Verdict.NOT_SHOWN, Text.of("Not read yet: {}.", titles(missing)), first.how());
        }
        Grade least = rules.minimumGrade(about.id(), about.station().key()).orElseThrow();
        String grades = weak.stream().map(r -> lower(r.grade())).distinct().collect(Collectors.joining(", "));
        return finding()
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "{}: the rule book asks for evidence at least {}; what is there is {}.",
                                titles(missing),
                                lower(least),
                                grades),
                        "Read it, or find it in the commissioning record.");
    }

    private static String titles(List<Point> points) {
        return points.stream().map(Point::title).collect(Collectors.joining(", "));
    }

    private static String lower(Grade grade) {
        return grade.title().toLowerCase(Locale.ROOT);
    }

    Judgement judgement(Finding finding) {
        return new Judgement(
                about,
                subject.map(Component::id).orElse(PointKey.SYSTEM),
                subject.map(Component::title).orElse(""),
                finding.verdict(),
                finding.because(),
                finding.remedy(),
                finding.comparison(),
                finding.steps(),
                List.copyOf(looked),
                school,
                List.of());
    }
}
