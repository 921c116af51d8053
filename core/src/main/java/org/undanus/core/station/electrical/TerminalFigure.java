package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.WiringPoints.TERMINALS;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.derived.notation.TerminalMap;
import org.undanus.core.derived.notation.TerminalMap.Wire;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The cable between outdoor and indoor unit, terminal by terminal: tap one at either end to wire them. */
final class TerminalFigure {
    private static final List<String> USUAL = List.of("1", "2", "3", TerminalMap.EARTH);
    private static final double LEFT = 2.2;
    private static final double RIGHT = 5.8;
    private static final double WIDE = 8;
    private static final double DISC = 0.3;

    private TerminalFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.components().stream()
                .filter(Component::split)
                .map(unit -> drawing(
                        Examination.of(facts, evidence, rules, Interconnection.NUMBERS.about(), unit),
                        unit,
                        judgements))
                .toList();
    }

    private static Drawing drawing(Examination x, Component unit, Judgements judgements) {
        PointKey line = new PointKey(TERMINALS.id(), unit.id());
        List<Wire> wires =
                x.listed(TERMINALS, TerminalMap.class).map(TerminalMap::wires).orElse(List.of());
        List<String> outdoor = marks(wires, true);
        List<String> indoor = marks(wires, false);
        Meaning numbers = Meaning.of(judgements, Interconnection.NUMBERS.about(), unit.id());
        Meaning earth = Meaning.of(judgements, Interconnection.EARTH.about(), unit.id());
        double rows = Math.max(outdoor.size(), indoor.size());
        Drawing.Builder drawing = Drawing.of(
                        Text.of("Cable, {unit}", unit.title()), Frame.toScale(0, 0, WIDE, rows + 1))
                .words(Text.of("outdoor"), Place.of(LEFT, rows + 0.6), Weight.QUIET, Side.CENTRE)
                .words(Text.of("indoor"), Place.of(RIGHT, rows + 0.6), Weight.QUIET, Side.CENTRE);
        for (Wire wire : wires) {
            Meaning meaning = wire.straight()
                    ? Meaning.of(Verdict.MEETS)
                    : wire.indoor().equals(TerminalMap.EARTH) ? earth : numbers;
            drawing.line(
                    Role.RUN,
                    meaning.on(line),
                    Place.of(LEFT + DISC, height(rows, outdoor.indexOf(wire.group() + wire.outdoor()))),
                    Place.of(RIGHT - DISC, height(rows, indoor.indexOf(wire.indoor()))));
        }
        terminals(drawing, outdoor, LEFT, rows, line, true);
        terminals(drawing, indoor, RIGHT, rows, line, false);
        return drawing.spoken(Text.of(
                "{wires} wires; number to number: {numbers}; earth: {earth}",
                wires.size(),
                numbers.said(),
                earth.said()));
    }

    private static void terminals(
            Drawing.Builder drawing, List<String> marks, double x, double rows, PointKey line, boolean outdoor) {
        for (int i = 0; i < marks.size(); i++) {
            Place at = Place.of(x, height(rows, i));
            Meaning meaning = Meaning.of(line)
                    .ofDrawn(outdoor ? TerminalMap.outdoorThing(marks.get(i)) : TerminalMap.indoorThing(marks.get(i)));
            drawing.disc(Role.BODY, meaning, at, DISC)
                    .words(Text.of("{marks}", marks.get(i)), at, Weight.STRONG, meaning, Side.CENTRE);
        }
    }

    private static double height(double rows, int row) {
        return rows - row - 0.3;
    }

    /** Those that are wired, and the usual ones that are not. */
    private static List<String> marks(List<Wire> wires, boolean outdoor) {
        Optional<String> group = wires.stream().map(Wire::group).findFirst();
        Set<String> marks = new LinkedHashSet<>();
        USUAL.forEach(mark -> marks.add(outdoor ? group.orElse("") + mark : mark));
        wires.forEach(wire -> marks.add(outdoor ? wire.group() + wire.outdoor() : wire.indoor()));
        List<String> sorted = new ArrayList<>(marks);
        sorted.sort((a, b) -> Boolean.compare(a.endsWith(TerminalMap.EARTH), b.endsWith(TerminalMap.EARTH)));
        return sorted;
    }
}
