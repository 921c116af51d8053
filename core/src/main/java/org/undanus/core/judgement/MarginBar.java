package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.undanus.core.quantity.Amount;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * The layout of a margin bar: one axis from 0 to 1 with the permitted stretch, a tick for each limit, and the measured
 * value with ±U. Screen and report draw the same layout.
 */
public record MarginBar(
        double permittedFrom,
        double permittedTo,
        List<Tick> ticks,
        double needle,
        double whiskerFrom,
        double whiskerTo,
        Text reading) {

    /** The share of the axis one letter of a label is reckoned to cover when rows are given out. */
    private static final double LETTER_WIDTH = 0.0235;

    /** Labels this near an end of the axis run inwards from their tick instead of lying centred on it. */
    private static final double NEAR_END = 0.2;

    private static final double PADDING = 0.14;

    /**
     * @param label authority and value, for example "plate 40 A"
     * @param row 0 is nearest the axis; labels in one row do not overlap
     */
    public record Tick(double position, Text label, boolean binds, boolean defers, int row) {}

    public static MarginBar of(Comparison comparison) {
        double value = comparison.measured().value();
        double expanded = comparison.measured().expanded();
        double least = value - expanded;
        double most = value + expanded;
        for (Comparison.Held held : comparison.limits()) {
            least = Math.min(least, held.limit().value().si());
            most = Math.max(most, held.limit().value().si());
        }
        double span = most > least ? most - least : Math.max(Math.abs(value) * 0.2, 1e-9);
        double from = least - span * PADDING;
        double width = span * (1 + 2 * PADDING);
        double permittedFrom = 0;
        double permittedTo = 1;
        for (Comparison.Held held : comparison.limits()) {
            double position = (held.limit().value().si() - from) / width;
            if (held.binds() && held.limit().bound() == Bound.AT_LEAST) {
                permittedFrom = position;
            } else if (held.binds()) {
                permittedTo = position;
            }
        }
        return new MarginBar(
                permittedFrom,
                Math.max(permittedFrom, permittedTo),
                ticks(comparison, from, width),
                (value - from) / width,
                (value - expanded - from) / width,
                (value + expanded - from) / width,
                Text.of(
                        "{measured}",
                        Amount.of(comparison.dimension(), comparison.measured(), comparison.resolution())));
    }

    private static List<Tick> ticks(Comparison comparison, double from, double width) {
        List<Comparison.Held> byPosition = comparison.limits().stream()
                .sorted(Comparator.comparingDouble(held -> held.limit().value().si()))
                .toList();
        List<Double> endOfRow = new ArrayList<>();
        List<Tick> ticks = new ArrayList<>();
        for (Comparison.Held held : byPosition) {
            Limit limit = held.limit();
            double position = (limit.value().si() - from) / width;
            Text label = Text.of("{kind} {limit}", limit.authority().kind().key(), limit.value());
            double covered = covered(label);
            double start = position < NEAR_END
                    ? position
                    : position > 1 - NEAR_END ? position - covered : position - covered / 2;
            int row = 0;
            while (row < endOfRow.size() && endOfRow.get(row) > start - LETTER_WIDTH) {
                row++;
            }
            if (row == endOfRow.size()) {
                endOfRow.add(start + covered);
            } else {
                endOfRow.set(row, start + covered);
            }
            ticks.add(new Tick(position, label, held.binds(), held.deferral().isPresent(), row));
        }
        return ticks;
    }

    private static double covered(Text label) {
        return LETTER_WIDTH
                * Math.max(
                        label.in(UnitSystem.US).length(),
                        label.in(UnitSystem.SI).length());
    }
}
