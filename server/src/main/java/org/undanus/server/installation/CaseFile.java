package org.undanus.server.installation;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Stage;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.StationPlan;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;

/** Everything known of one installation, judged. */
public record CaseFile(Header header, Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {

    /** What the register says of it. */
    public record Header(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            boolean replacement,
            Stage stage,
            LocalDate visitedOn,
            String visitId,
            int version) {}

    /** A line of the walk: a point of one component. */
    public record Line(Point point, Optional<Component> component) {
        public PointKey key() {
            return new PointKey(point.id(), component.map(Component::id).orElse(PointKey.SYSTEM));
        }
    }

    static CaseFile judged(Header header, Case facts, Evidence evidence, RuleBook rules) {
        return new CaseFile(
                header, facts, evidence, rules, new Judgements(Walk.judge().judge(facts, evidence, rules)));
    }

    /** The same with one more reading. */
    public CaseFile with(Evidence more) {
        return judged(header, facts, more, rules);
    }

    /** The lines of a station in the order they are read: the system's own first, then unit by unit. */
    public List<Line> lines(Station station) {
        List<Point> points = Walk.plan(station).map(StationPlan::points).orElse(List.of());
        List<Line> lines = new ArrayList<>();
        points.stream()
                .filter(point -> point.scope() == Scope.SYSTEM)
                .forEach(point -> lines.add(new Line(point, Optional.empty())));
        for (Component component : facts.components()) {
            points.stream()
                    .filter(point -> component.within(point.scope()))
                    .forEach(point -> lines.add(new Line(point, Optional.of(component))));
        }
        return lines;
    }

    /** Whether this installation has such a line. */
    public Optional<Line> line(PointKey key) {
        return Walk.plans().stream()
                .flatMap(plan -> lines(plan.station()).stream())
                .filter(line -> line.key().equals(key))
                .findFirst();
    }
}
