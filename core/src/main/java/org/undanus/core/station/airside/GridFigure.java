package org.undanus.core.station.airside;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.derived.Traverse;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The duct's cross-section with the places of the grid, each to be tapped and read. As wide as the sheet, so that numbers stand clear. */
final class GridFigure {
    /** Sides up to these lengths, m, take five and six lines; longer ones seven. Source: ASHRAE 111. */
    private static final double FIVE_UP_TO = 0.762;

    private static final double SIX_UP_TO = 0.914;

    private GridFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.DUCT_SYSTEM).stream()
                .flatMap(ducts ->
                        drawing(Examination.of(facts, evidence, rules, AirflowEnough.ABOUT, ducts), ducts, judgements)
                                .stream())
                .toList();
    }

    private static int lines(double side) {
        return side <= FIVE_UP_TO ? 5 : side <= SIX_UP_TO ? 6 : 7;
    }

    /** Nothing before the duct's sizes are known. */
    private static Optional<Drawing> drawing(Examination x, Subject ducts, Judgements judgements) {
        Optional<Double> width = x.number(AirPoints.DUCT_WIDTH);
        Optional<Double> height = x.number(AirPoints.DUCT_HEIGHT);
        if (width.isEmpty() || height.isEmpty()) {
            return Optional.empty();
        }
        Optional<Traverse> read = x.listed(AirPoints.GRID, Traverse.class);
        boolean equalAreas = x.chosen(AirPoints.GRID_RULE)
                .filter(Airflow.EQUAL_AREAS::equals)
                .isPresent();
        int rows = read.map(Traverse::rows).orElse(lines(height.get()));
        int columns = read.map(Traverse::columns).orElse(lines(width.get()));
        double[] down = Traverse.places(rows, equalAreas);
        double[] across = Traverse.places(columns, equalAreas);
        double wide = width.get();
        double high = height.get();
        PointKey line = new PointKey(AirPoints.GRID.id(), ducts.id());
        Meaning verdict = Meaning.of(judgements, AirflowEnough.ABOUT, ducts.id());
        Drawing.Builder drawing = Drawing.of(
                        Text.of(
                                "Grid, {indoor}",
                                x.indoor().map(unit -> unit.title()).orElse(ducts.title())),
                        Frame.stretched(-wide / 6, -high / 4, wide * 1.05, high * 1.08))
                .box(Role.OUTLINE, verdict, 0, 0, wide, high);
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Place at = Place.of(across[column] * wide, (1 - down[row]) * high);
                String thing = (row + 1) + "x" + (column + 1) + " of " + rows + "x" + columns;
                Meaning place = Meaning.of(line).ofDrawn(thing);
                Optional<String> value = written(read, row, column);
                if (value.isPresent()) {
                    drawing.words(Text.of("{value}", value.get()), at, Weight.PLAIN, place, Side.CENTRE);
                } else {
                    drawing.add(new Element.Dot(Role.READ, at, Optional.of(place)));
                }
            }
        }
        drawing.add(new Element.Dimension(
                        Place.of(0, -high / 8),
                        Place.of(wide, -high / 8),
                        Text.of("{wide}", Length.ofMetres(wide)),
                        Optional.of(Meaning.of(new PointKey(AirPoints.DUCT_WIDTH.id(), ducts.id())))))
                .add(new Element.Dimension(
                        Place.of(-wide / 14, 0),
                        Place.of(-wide / 14, high),
                        Text.of("{high}", Length.ofMetres(high)),
                        Optional.of(Meaning.of(new PointKey(AirPoints.DUCT_HEIGHT.id(), ducts.id())))));
        drawing.caption(read.map(grid -> Text.of("In {unit}.", grid.unit()))
                .orElse(Text.empty())
                .then(Text.of(
                        "{method}: lines at {shares} of the width.",
                        equalAreas ? Airflow.EQUAL_AREAS : Airflow.TCHEBYCHEFF,
                        shares(across))));
        return Optional.of(drawing.spoken(Text.of(
                "A grid of {rows} by {columns}; {read} places not read",
                rows,
                columns,
                read.map(Traverse::missing).orElse(rows * columns))));
    }

    private static String shares(double[] places) {
        StringBuilder shares = new StringBuilder();
        for (double place : places) {
            shares.append(shares.length() == 0 ? "" : ", ").append(String.format(Locale.ROOT, "%.3f", place));
        }
        return shares.toString();
    }

    private static Optional<String> written(Optional<Traverse> read, int row, int column) {
        return read.filter(grid -> !grid.values().get(row).get(column).isNaN())
                .map(grid -> grid.written().get(row).get(column));
    }
}
