package org.undanus.core.station.evacuation;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

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
                "{} pulls, the last to {}", depths.size(), AbsolutePressure.ofPascals(depths.get(depths.size() - 1)));
    }

    private static final class Written implements Notation {
        @Override
        public String example() {
            return "1300 micron, 1100 micron, 450 micron";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI ? List.of("200 Pa", "60 Pa") : List.of("1500 micron", "500 micron");
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public Pulls read(String typed) {
            List<Double> depths = new ArrayList<>();
            for (Part part : Notation.parts(typed)) {
                try {
                    depths.add(FieldNotation.parse(part.text(), Dimension.ABSOLUTE_PRESSURE)
                            .value()
                            .si());
                } catch (FieldNotationException e) {
                    throw new Entry.Unsuitable(
                            "Part " + (depths.size() + 1) + ", \"" + part.text() + "\": " + e.getMessage());
                }
            }
            if (depths.isEmpty()) {
                throw new Entry.Unsuitable("No pull is written. For example: " + example());
            }
            return new Pulls(depths);
        }
    }
}
