package org.undanus.core.station.tightness;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * A pressure raised in stages, each watched for a while: {@code 5 barg 3 min, 15 barg 3 min, 28 barg 10 min}; the last may leave its
 * time out.
 *
 * @param stages rising
 */
record PressureStages(List<Stage> stages) implements Notation.Listing {

    /**
     * @param pressure gauge, Pa
     * @param seconds 0 where no time is written
     */
    record Stage(double pressure, double seconds) {}

    static final Notation NOTATION = new Written();

    PressureStages {
        stages = List.copyOf(stages);
    }

    /** The highest, gauge, Pa. */
    double highest() {
        return stages.get(stages.size() - 1).pressure;
    }

    @Override
    public Text summary() {
        return Text.of("{stages} stages up to {highest}", stages.size(), GaugePressure.ofPascals(highest()));
    }

    private static final class Written extends ListNotation<Stage, PressureStages> {
        private static final Pattern STAGE =
                Pattern.compile("([\\d.,]+\\s*[^\\d\\s]+)(?:\\s+(\\d+(?:[.,]\\d+)?\\s*(?:s|sec|min|h)))?");

        private Written() {
            super("5 barg 3 min, 15 barg 3 min, 28 barg 10 min", "No stage is written.");
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI
                    ? List.of("5 barg 3 min", "15 barg 3 min", "28 barg 10 min")
                    : List.of("50 psig 3 min", "150 psig 3 min", "400 psig 10 min");
        }

        @Override
        protected Stage part(Place place, List<Stage> before) {
            Matcher stage = place.matching(STAGE, "write a pressure and how long it was watched: 15 barg 3 min");
            double pressure = place.si(stage.group(1), Dimension.GAUGE_PRESSURE);
            double time = stage.group(2) == null ? 0 : place.si(stage.group(2), Dimension.DURATION);
            if (pressure <= 0) {
                throw place.wrong("a stage stands over the air's pressure");
            }
            if (!before.isEmpty() && pressure <= before.get(before.size() - 1).pressure) {
                throw place.wrong("each stage is higher than the one before");
            }
            return new Stage(pressure, time);
        }

        @Override
        protected PressureStages of(List<Stage> stages) {
            return new PressureStages(stages);
        }
    }
}
