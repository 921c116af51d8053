package org.undanus.core.station.running;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/**
 * Stages as they were seen, named by what tells them: {@code cooling low 5.1 A, cooling high 8.9 A, heating 62 Hz}.
 *
 * @param seen in the order written
 */
record NamedStages(List<Stage> seen) implements Notation.Listing {

    /**
     * One.
     *
     * @param name as the control calls it; may be empty
     * @param shown a current, a frequency or a share
     */
    record Stage(String mode, String name, Quantity shown) {
        private Text said() {
            return name.isEmpty()
                    ? Text.of("{mode} {shown}", mode, shown)
                    : Text.of("{mode} {name} {shown}", mode, name, shown);
        }
    }

    static final Notation NOTATION = new Written();

    NamedStages {
        seen = List.copyOf(seen);
    }

    /** The currents of a mode, from the least up. */
    List<Double> currents(String mode) {
        return seen.stream()
                .filter(stage -> stage.mode.equals(mode) && stage.shown.dimension() == Dimension.CURRENT)
                .map(stage -> stage.shown.si())
                .sorted()
                .toList();
    }

    /** The modes that something was seen of, in the order written. */
    List<String> modes() {
        return seen.stream().map(Stage::mode).distinct().toList();
    }

    @Override
    public Text summary() {
        return Text.list(seen.stream().map(Stage::said).toList());
    }

    private static final class Written extends ListNotation<Stage, NamedStages> {
        private static final List<Dimension> TELLING = List.of(Dimension.CURRENT, Dimension.FREQUENCY, Dimension.RATIO);
        private static final Pattern STAGE =
                Pattern.compile("(?i)(cooling|heating|fan)\\b\\s*((?:\\p{L}[\\p{L}\\d ]*?)?)\\s*(\\d\\S*\\s*\\S+)");
        private static final String HOW = "write mode, name and what tells it in A, Hz or %: cooling high 8.9 A";

        private Written() {
            super("cooling low 5.1 A, cooling high 8.9 A, heating 62 Hz", "No stage is written.");
        }

        @Override
        protected Stage part(Place place, List<Stage> before) {
            Matcher stage = place.matching(STAGE, HOW);
            return new Stage(stage.group(1).toLowerCase(Locale.ROOT), stage.group(2), shown(place, stage.group(3)));
        }

        private static Quantity shown(Place place, String value) {
            for (Dimension dimension : TELLING) {
                try {
                    Quantity shown = FieldNotation.parse(value, dimension).value();
                    if (shown.si() > 0) {
                        return shown;
                    }
                } catch (FieldNotationException another) {
                    continue;
                }
            }
            throw place.wrong(HOW);
        }

        @Override
        protected NamedStages of(List<Stage> stages) {
            return new NamedStages(stages);
        }
    }
}
