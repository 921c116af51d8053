package org.undanus.core.station.piping;

import static org.undanus.core.station.piping.PipingPoints.CABLE_PORT;
import static org.undanus.core.station.piping.PipingPoints.TUBE_PORT;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Several indoor units on one outdoor unit: tubes on the left, cables on the right, and which port each ends on. */
final class PortsFigure {
    private static final double ROW = 1;
    private static final double UNITS = 2.6;
    private static final double PORTS = 6;
    private static final double WIDE = 8;

    private PortsFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        List<Subject> sets = facts.subjects(Scope.LINE_SET);
        return sets.size() < 2 ? List.of() : List.of(drawing(facts, evidence, rules, judgements, sets));
    }

    private static Drawing drawing(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, List<Subject> sets) {
        TreeSet<String> letters = new TreeSet<>();
        for (Subject set : sets) {
            Examination x = Examination.of(facts, evidence, rules, Ports.ABOUT, set);
            x.chosen(TUBE_PORT).map(Option::id).ifPresent(letters::add);
            x.chosen(CABLE_PORT).map(Option::id).ifPresent(letters::add);
        }
        List<String> ports = List.copyOf(letters);
        double rows = Math.max(sets.size(), Math.max(1, ports.size()));
        Drawing.Builder drawing = Drawing.of("Ports", Frame.toScale(0, 0, WIDE, (rows + 0.6) * ROW));
        for (int i = 0; i < ports.size(); i++) {
            double y = height(rows, i);
            drawing.disc(Role.OUTLINE, Place.of(PORTS, y), 0.3)
                    .words(Text.of("{ports}", ports.get(i)), Place.of(PORTS, y), Weight.STRONG, Side.CENTRE);
        }
        for (int i = 0; i < sets.size(); i++) {
            Subject set = sets.get(i);
            Examination x = Examination.of(facts, evidence, rules, Ports.ABOUT, set);
            Meaning meaning = Meaning.of(judgements, Ports.ABOUT, set.id());
            double y = height(rows, i);
            String unit = x.indoor().map(indoor -> indoor.title()).orElse(set.title());
            drawing.words(
                    Text.of("{unit}", unit),
                    Place.of(UNITS, y),
                    Weight.PLAIN,
                    meaning.on(key(TUBE_PORT, set)),
                    Side.LEFT);
            leads(drawing, x, TUBE_PORT, Role.RUN, meaning, y + 0.12, ports, rows, set);
            leads(drawing, x, CABLE_PORT, Role.OUTLINE, meaning, y - 0.12, ports, rows, set);
        }
        return drawing.caption(Text.of("Thick: tubes. Thin: cable."))
                .spoken(Text.of("{sets} indoor units on {ports} ports", sets.size(), ports.size()));
    }

    private static double height(double rows, int row) {
        return (rows - row - 0.2) * ROW;
    }

    private static void leads(
            Drawing.Builder drawing,
            Examination x,
            Point point,
            Role role,
            Meaning meaning,
            double from,
            List<String> ports,
            double rows,
            Subject set) {
        Optional<Option> port = x.chosen(point);
        port.ifPresent(letter -> drawing.line(
                role,
                meaning.on(key(point, set)),
                Place.of(UNITS + 0.2, from),
                Place.of(PORTS - 0.35, height(rows, ports.indexOf(letter.id())) + (role == Role.RUN ? 0.12 : -0.12))));
    }

    private static PointKey key(Point point, Subject set) {
        return new PointKey(point.id(), set.id());
    }
}
