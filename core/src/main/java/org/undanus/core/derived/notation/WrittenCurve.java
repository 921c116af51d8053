package org.undanus.core.derived.notation;

import java.time.Instant;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Outline;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * A curve written by hand, as most records have it: {@code 14:05 480 psig, 14:35 481, 15:05 481}. A time, then what the gauge showed;
 * a unit said once holds on. Times of day go over midnight by themselves; {@code 5 min 62 Pa} counts from the start instead.
 *
 * @param outline in SI, times from midnight or from the start
 * @param resolution coarsest step written, SI
 */
public record WrittenCurve(Dimension dimension, Outline outline, double resolution) implements Notation.Listing {
    private static final double DAY = 86_400;
    private static final double MOST = DAY * 8;

    @Override
    public Text summary() {
        int last = outline.size() - 1;
        return Text.of(
                "{count} readings in {lasting}, {first} to {last}",
                outline.size(),
                Duration.ofSeconds(outline.lasting()),
                new Amount(dimension.of(outline.mean(0)), resolution, 0),
                new Amount(dimension.of(outline.mean(last)), resolution, 0));
    }

    /** How such a curve is written. */
    public static Notation notation(Dimension dimension) {
        return new Written(dimension);
    }

    private record Written(Dimension dimension) implements Notation {
        private static final Pattern CLOCK = Pattern.compile("(\\d{1,2}):(\\d{2})(?::(\\d{2}))?\\s*(?:h\\b)?\\s*(.*)");
        private static final Pattern ELAPSED = Pattern.compile("(\\d+(?:[.,]\\d+)?\\s*(?:s|sec|min|h)\\b)\\s*(.*)");

        @Override
        public String example() {
            return switch (dimension) {
                case ABSOLUTE_PRESSURE -> "0 min 300 micron, 5 min 420, 10 min 480";
                case TEMPERATURE -> "14:05 21 °C, 18:30 24.5";
                default -> "14:05 480 psig, 18:30 482";
            };
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
        public WrittenCurve read(String typed) {
            List<Part> parts = Notation.parts(typed);
            double[] seconds = new double[parts.size()];
            double[] values = new double[parts.size()];
            double coarsest = 0;
            String unit = "";
            Boolean byClock = null;
            double days = 0;
            for (int i = 0; i < parts.size(); i++) {
                String text = parts.get(i).text();
                Matcher clock = CLOCK.matcher(text);
                Matcher elapsed = ELAPSED.matcher(text);
                boolean clocked = clock.matches();
                if (!clocked && !elapsed.matches()) {
                    throw Lengths.wrong(
                            i,
                            text,
                            "write a time, then what was read: {parts}",
                            parts(example()).get(0));
                }
                if (byClock != null && byClock != clocked) {
                    throw Lengths.wrong(i, text, "times of day and times from the start do not go together");
                }
                byClock = clocked;
                double time = clocked ? ofDay(i, text, clock) : sinceStart(i, text, elapsed.group(1));
                if (clocked && i > 0 && time + days < seconds[i - 1] && seconds[i - 1] - time - days > DAY / 2) {
                    days += DAY;
                }
                seconds[i] = time + days;
                if (i > 0 && !(seconds[i] > seconds[i - 1])) {
                    throw Lengths.wrong(i, text, "its time is not after the one before");
                }
                if (seconds[i] > MOST) {
                    throw Lengths.wrong(i, text, "that is more than a week");
                }
                String written = clocked ? clock.group(4) : elapsed.group(2);
                FieldNotation.Understood read = value(i, text, written, unit);
                unit = read.unit();
                values[i] = read.value().si();
                coarsest = Math.max(coarsest, read.resolution());
            }
            if (parts.size() < 2) {
                throw new Entry.Unsuitable("A curve has two readings at least: " + example());
            }
            return new WrittenCurve(dimension, Outline.of(Instant.EPOCH, seconds, values), coarsest);
        }

        private static List<String> parts(String example) {
            return Notation.parts(example).stream().map(Part::text).toList();
        }

        private static double ofDay(int part, String text, Matcher clock) {
            int hour = Integer.parseInt(clock.group(1));
            int minute = Integer.parseInt(clock.group(2));
            int second = clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3));
            if (hour > 23 || minute > 59 || second > 59) {
                throw Lengths.wrong(part, text, "there is no such time of day");
            }
            return hour * 3600 + minute * 60 + second;
        }

        private static double sinceStart(int part, String text, String time) {
            return Lengths.si(time, Dimension.DURATION, why -> Lengths.wrong(part, text, why));
        }

        /** A number without a unit has the one said before. */
        private FieldNotation.Understood value(int part, String text, String written, String unit) {
            String whole = written.matches("[-+\\d.,]+") ? written + " " + unit : written;
            try {
                return FieldNotation.parse(whole.strip(), dimension);
            } catch (FieldNotationException e) {
                throw Lengths.wrong(part, text, RefusedException.said(e));
            }
        }
    }
}
