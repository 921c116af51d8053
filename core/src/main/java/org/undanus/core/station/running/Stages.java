package org.undanus.core.station.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

/**
 * Stages as they were seen, named by what tells them: {@code cooling low 5.1 A, cooling high 8.9 A, heating 62 Hz}.
 *
 * @param seen in the order written
 */
record Stages(List<Stage> seen) implements Notation.Listing {

    /**
     * One.
     *
     * @param name as the control calls it; may be empty
     * @param shown a current, a frequency or a share
     */
    record Stage(String mode, String name, Quantity shown) {
        private String said() {
            return String.join(" ", name.isEmpty() ? mode : mode + " " + name, shown.toString());
        }
    }

    static final Notation NOTATION = new Written();

    Stages {
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
        return Text.of("{}", seen.stream().map(Stage::said).collect(Collectors.joining(", ")));
    }

    private static final class Written implements Notation {
        private static final List<Dimension> TELLING = List.of(Dimension.CURRENT, Dimension.FREQUENCY, Dimension.RATIO);
        private static final Pattern STAGE =
                Pattern.compile("(?i)(cooling|heating|fan)\\b\\s*((?:\\p{L}[\\p{L}\\d ]*?)?)\\s*(\\d\\S*\\s*\\S+)");

        @Override
        public String example() {
            return "cooling low 5.1 A, cooling high 8.9 A, heating 62 Hz";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of();
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
                    throw wrong(i, text);
                }
                stages.add(new Stage(
                        stage.group(1).toLowerCase(Locale.ROOT), stage.group(2), shown(i, text, stage.group(3))));
            }
            if (stages.isEmpty()) {
                throw new Entry.Unsuitable("No stage is written. For example: " + example());
            }
            return new Stages(stages);
        }

        private static Quantity shown(int part, String text, String value) {
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
            throw wrong(part, text);
        }

        private static Entry.Unsuitable wrong(int part, String text) {
            return new Entry.Unsuitable("Part " + (part + 1) + ", \"" + text
                    + "\": write mode, name and what tells it in A, Hz or %: "
                    + "cooling high 8.9 A.");
        }
    }
}
