package org.undanus.core.station.evacuation;

import java.util.List;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * How deep each of several pulls went, nitrogen let in between them: {@code 180 Pa, 150 Pa, 60 Pa}.
 *
 * @param depths absolute, Pa, in order
 */
record Pulls(List<Double> depths) implements Notation.Listing {
    static final Notation NOTATION = new Written();

    Pulls {
        depths = List.copyOf(depths);
    }

    @Override
    public Text summary() {
        return Text.of(
                "{count} pulls, the last to {depth}",
                depths.size(),
                AbsolutePressure.ofPascals(depths.get(depths.size() - 1)));
    }

    private static final class Written extends ListNotation<Double, Pulls> {
        private Written() {
            super("1300 micron, 1100 micron, 450 micron", "No pull is written.");
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI ? List.of("200 Pa", "60 Pa") : List.of("1500 micron", "500 micron");
        }

        @Override
        protected Double part(Place place, List<Double> before) {
            return place.si(place.text(), Dimension.ABSOLUTE_PRESSURE);
        }

        @Override
        protected Pulls of(List<Double> depths) {
            return new Pulls(depths);
        }
    }
}
