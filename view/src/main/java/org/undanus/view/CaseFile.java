package org.undanus.view;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judged;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.LinesRead;
import org.undanus.core.judgement.Scopes;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.rules.InspectionScope;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;

/** Everything known of one installation; it is judged when somebody asks for that, once. */
public final class CaseFile {
    private final Header header;
    private final Case facts;
    private final Known known;
    private final RuleBook rules;
    private final Judge judge;
    /** The lines of each station, as they are first asked for; the same for the same facts. */
    private final Map<Station, List<Line>> lines;

    /** How it, or what it came from, was judged before. */
    private Optional<Judged> before;

    private Judgements judgements;
    /** Lines that the present visit looks at, once they have been asked for. */
    private Set<PointKey> looked;

    /** What has been read, and in how many rows it is kept: some may be of points that are no longer known. */
    public record Known(int rows, Evidence evidence) {
        /** Nothing yet. */
        public static final Known NOTHING = new Known(0, Evidence.NONE);
    }

    /** @param before how it was judged before, of which only what changed is judged anew */
    public CaseFile(Header header, Case facts, Known known, RuleBook rules, Judge judge, Optional<Judged> before) {
        this(header, facts, known, rules, judge, before, new ConcurrentHashMap<>());
    }

    private CaseFile(
            Header header,
            Case facts,
            Known known,
            RuleBook rules,
            Judge judge,
            Optional<Judged> before,
            Map<Station, List<Line>> lines) {
        this.lines = lines;
        this.before = before;
        this.header = header;
        this.facts = facts;
        this.known = known;
        this.rules = rules;
        this.judge = judge;
    }

    public Header header() {
        return header;
    }

    public Case facts() {
        return facts;
    }

    public Evidence evidence() {
        return known.evidence;
    }

    /** What has been read, as it is kept. */
    public Known known() {
        return known;
    }

    public RuleBook rules() {
        return rules;
    }

    /** As it all stands. */
    public synchronized Judgements judgements() {
        if (judgements == null) {
            Judged judged = judge.judged(facts, evidence(), rules, before);
            before = Optional.of(judged);
            judgements = new Judgements(judged.judgements());
        }
        return judgements;
    }

    /** This file, of which only what changed since another state of it is judged anew. */
    public synchronized CaseFile after(CaseFile last) {
        before = last.judged();
        return this;
    }

    private synchronized Optional<Judged> judged() {
        return before;
    }

    /** Whether another says the same, so that its judgements are these. */
    public boolean saysTheSameAs(CaseFile other) {
        return rules == other.rules
                && header.equals(other.header)
                && known.rows == other.known.rows
                && evidence().readings().equals(other.evidence().readings())
                && facts.equals(other.facts);
    }

    /**
     * Whose an installation is, and where.
     *
     * @param name empty where the register does not say
     * @param address in one line; empty where the register does not say
     */
    public record Owner(String name, String address) {
        public static final Owner UNKNOWN = new Owner("", "");
    }

    /** What the register says of it. */
    public record Header(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            Owner owner,
            boolean replacement,
            Stage stage,
            LocalDate visitedOn,
            String visitId,
            List<Visit> visits,
            int version) {

        /** As a letter calls it. */
        public Text named() {
            return Text.of("{reference} {installation}, {building}", reference, title, building);
        }

        /** The visit that goes on, or was the last. */
        public Visit visit() {
            return visits.stream()
                    .filter(visit -> visit.id().equals(visitId))
                    .findFirst()
                    .orElseThrow();
        }

        /** This header as of another of its visits: for what is read in from files. */
        public Header at(Visit visit) {
            return new Header(
                    id,
                    reference,
                    title,
                    building,
                    system,
                    crew,
                    owner,
                    replacement,
                    visit.stage(),
                    visit.on(),
                    visit.id(),
                    visits,
                    version);
        }
    }

    /**
     * A visit, in the order they were begun.
     *
     * @param scopes ids of the rule book's scopes that it is confined to; none where it looks at the whole
     * @param sealedAs the number it was sealed under; empty while it goes on
     */
    public record Visit(
            String id,
            Stage stage,
            LocalDate on,
            boolean unannounced,
            Optional<String> sealedAs,
            List<String> scopes) {}

    /** A line of the walk: a point of one subject. */
    public record Line(Point point, Subject subject) {
        public PointKey key() {
            return new PointKey(point.id(), subject.id());
        }

        /** What it is called among those of all subjects. */
        public Text called() {
            return point.titled(subject.title());
        }
    }

    /** This installation with other facts: to see what a change would bring. */
    public CaseFile with(Case other) {
        return new CaseFile(header, other, known, rules, judge, judged());
    }

    public CaseFile with(Case other, Evidence tried) {
        return new CaseFile(header, other, new Known(known.rows, tried), rules, judge, judged());
    }

    /** This installation as it was at one of its visits, with what had been read by then. */
    public CaseFile at(Visit visit, Evidence readByThen) {
        Case then = facts.at(visit.stage(), visit.on());
        return new CaseFile(header.at(visit), then, new Known(known.rows, readByThen), rules, judge, Optional.empty());
    }

    /** This installation, held against another rule book. */
    public CaseFile heldAgainst(RuleBook other) {
        return new CaseFile(header, facts, known, other, judge, Optional.empty());
    }

    /** This installation as its entry in the register would have it: with other units, other work, another book. */
    public CaseFile corrected(Header other, Case put, RuleBook by) {
        return new CaseFile(other, put, known, by, judge, Optional.empty());
    }

    /** Lines that something has been read on, or was said of. */
    public List<Line> answered() {
        return lines().stream()
                .filter(line -> evidence().answer(line.key()).isPresent())
                .toList();
    }

    /** This installation after another reading. */
    public CaseFile with(Reading added) {
        Known more = new Known(known.rows + 1, evidence().with(added));
        return new CaseFile(header, facts, more, rules, judge, judged(), lines);
    }

    /** The model on a unit's plate, as read. */
    public Optional<String> model(Component component) {
        return evidence()
                .standing(new PointKey(PlatePoints.MODEL.id(), component.id()), Value.Written.class)
                .map(Value.Written::text);
    }

    /** Whether a unit's plate names this model. */
    public boolean uses(String model) {
        return facts.components().stream().flatMap(c -> model(c).stream()).anyMatch(written -> facts.sheets()
                .of(written)
                .map(sheet -> sheet.model().equals(model))
                .orElse(written.equals(model)));
    }

    /** The lines of a station in the order they are read: the system's own first, then subject by subject. */
    public List<Line> lines(Station station) {
        return lines.computeIfAbsent(station, this::told);
    }

    /** What the present visit is confined to, as its rule book says it. */
    public List<InspectionScope> scopes() {
        return header.visit().scopes().stream()
                .flatMap(id -> Optional.ofNullable(rules.scopes().get(id)).stream())
                .toList();
    }

    /** What the present visit looks at, and whatever is known to fail all the same. */
    public List<Judgement> told() {
        return Scopes.told(judgements().all(), scopes());
    }

    /** Whether the present visit looks at a line: where it is confined, at those that what it looks at goes by. */
    public boolean within(Line line) {
        return scopes().isEmpty() || looked().contains(line.key());
    }

    private synchronized Set<PointKey> looked() {
        if (looked == null) {
            looked = judgements().all().stream()
                    .filter(judgement -> Scopes.within(judgement, scopes()))
                    .flatMap(judgement -> judgement.evidence().stream())
                    .collect(Collectors.toSet());
        }
        return looked;
    }

    /**
     * Whether a line is to be read by the present visit: not where an answer on another line leaves nothing to read on it, nor outside
     * of its scopes.
     */
    public boolean due(Line line) {
        return asked(line) && !pointless(line);
    }

    /** Whether the present visit asks for a line. */
    public boolean asked(Line line) {
        return !line.point().optional() && facts.stage().reached(line.point().due()) && within(line);
    }

    /** Whether what would be read now can no longer count: out of sight, and nobody read it before. */
    public boolean hopeless(Line line) {
        return line.point().outOfSightAt(facts.stage())
                && evidence().latest(line.key()).isEmpty();
    }

    /** Whether it is open, and an answer on another line leaves nothing to read on it. */
    public boolean pointless(Line line) {
        return sparedBy(line).isPresent();
    }

    /** The answer on another line that leaves nothing to read on this one; empty where it is read or is to be read. */
    public Optional<Reading> sparedBy(Line line) {
        return evidence().answer(line.key()).isPresent()
                ? Optional.empty()
                : evidence().pointless(line.point(), line.key().component());
    }

    /** How far the present visit came. */
    public LinesRead linesRead() {
        return linesRead(lines());
    }

    /** How far the present visit came at one station. */
    public LinesRead linesRead(Station station) {
        return linesRead(lines(station));
    }

    private LinesRead linesRead(List<Line> some) {
        return LinesRead.of(
                some.stream()
                        .filter(line -> due(line) || readEarly(line))
                        .map(Line::key)
                        .toList(),
                evidence());
    }

    /** Whether something was said of a line that was not due yet. */
    private boolean readEarly(Line line) {
        return !line.point().optional()
                && within(line)
                && evidence().answer(line.key()).isPresent();
    }

    /** Of all stations, as they are walked. */
    public List<Line> lines() {
        return Arrays.stream(Station.values())
                .flatMap(station -> lines(station).stream())
                .toList();
    }

    private List<Line> told(Station station) {
        List<Point> points = Walk.plan(station).map(StationPlan::points).orElse(List.of());
        Map<Scope, List<Subject>> within = new EnumMap<>(Scope.class);
        points.forEach(point -> within.computeIfAbsent(point.scope(), facts::subjects));
        return facts.subjects().stream()
                .flatMap(subject -> points.stream()
                        .filter(point -> within.get(point.scope()).contains(subject))
                        .map(point -> new Line(facts.asked(point), subject)))
                .toList();
    }

    /** The station that a line is read at. */
    public Station station(Line line) {
        return Arrays.stream(Station.values())
                .filter(station -> lines(station).contains(line))
                .findFirst()
                .orElseThrow();
    }

    /** Whether this installation has such a line. */
    public Optional<Line> line(PointKey key) {
        return Walk.point(key.point()).flatMap(point -> facts.subjects(point.scope()).stream()
                .filter(subject -> subject.id().equals(key.component()))
                .findFirst()
                .map(subject -> new Line(facts.asked(point), subject)));
    }
}
