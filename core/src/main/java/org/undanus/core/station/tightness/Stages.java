package org.undanus.core.station.tightness;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

/**
 * A pressure raised in stages, each watched for a while: {@code 5 barg 3 min, 15 barg 3 min, 28 barg 10 min}; the last may leave its
 * time out.
 *
 * @param stages rising
 */
record Stages(List<Stage> stages) implements Notation.Listing {

    /**
     * @param pressure gauge, Pa
     * @param seconds 0 where no time is written
     */
    record Stage(double pressure, double seconds) {}

    static final Notation NOTATION = new Written();

    Stages {
        stages = List.copyOf(stages);
    }

    /** The highest, gauge, Pa. */
    double highest() {
        return stages.get(stages.size() - 1).pressure;
    }

    @Override
    public Text summary() {
        return Text.of("{} stages up to {}", stages.size(), GaugePressure.ofPascals(highest()));
    }

    private static final class Written implements Notation {
        private static final Pattern STAGE =
                Pattern.compile("([\\d.,]+\\s*[^\\d\\s]+)(?:\\s+(\\d+(?:[.,]\\d+)?\\s*(?:s|sec|min|h)))?");

        @Override
        public String example() {
            return "5 barg 3 min, 15 barg 3 min, 28 barg 10 min";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI
                    ? List.of("5 barg 3 min", "15 barg 3 min", "28 barg 10 min")
                    : List.of("50 psig 3 min", "150 psig 3 min", "400 psig 10 min");
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public Stages read(String typed) {
            List<Part> parts = Notation.parts(typed);
            List<Stage> stages = new ArrayList<>();
            for (int i = 0; i < parts.size(); i++) {
                String text = parts.get(i).text();
                Matcher stage = STAGE.matcher(text);
                if (!stage.matches()) {
                    throw wrong(i, text, "write a pressure and how long it was watched: 15 barg 3 min");
                }
                double pressure = si(i, text, stage.group(1), Dimension.GAUGE_PRESSURE);
                double time = stage.group(2) == null ? 0 : si(i, text, stage.group(2), Dimension.DURATION);
                if (pressure <= 0) {
                    throw wrong(i, text, "a stage stands over the air's pressure");
                }
                if (!stages.isEmpty() && pressure <= stages.get(i - 1).pressure) {
                    throw wrong(i, text, "each stage is higher than the one before");
                }
                stages.add(new Stage(pressure, time));
            }
            if (stages.isEmpty()) {
                throw new Entry.Unsuitable("No stage is written. For example: " + example());
            }
            return new Stages(stages);
        }

        private static double si(int part, String text, String written, Dimension dimension) {
            try {
                return FieldNotation.parse(written.strip(), dimension).value().si();
            } catch (FieldNotationException e) {
                throw wrong(part, text, e.getMessage());
            }
        }

        private static Entry.Unsuitable wrong(int part, String written, String why) {
            String end = why.endsWith(".") ? "" : ".";
            return new Entry.Unsuitable("Part " + (part + 1) + ", \"" + written + "\": " + why + end);
        }
    }
}
