package org.undanus.core.evidence;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.FieldNotation;

/** Takes what a person typed on a line and says what it means, or why it cannot be taken. */
public final class Entry {

    /**
     * @param unit the unit as typed, empty for other than quantities
     * @param plausible false when the value lies outside the point's plausible range and should be asked about once
     */
    public record Understood(Value value, String unit, boolean plausible) {}

    /** The typed text does not suit the point. The message is a sentence for the person who typed it. */
    public static final class Unsuitable extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        Unsuitable(String message) {
            super(message);
        }
    }

    private static final int LONGEST_TEXT = 200;
    private static final Pattern MONTH = Pattern.compile("(\\d{4})-(\\d{1,2})|(\\d{1,2})/(\\d{4})");
    private static final Pattern WEEK = Pattern.compile("(\\d{4})-?[wW](\\d{1,2})");

    private Entry() {}

    /**
     * @param accuracy of the instrument used
     * @throws IllegalArgumentException with a sentence that says what is expected
     */
    public static Understood understand(Point point, String typed, Accuracy accuracy) {
        return switch (point.kind()) {
            case QUANTITY -> quantity(point, typed, accuracy);
            case CHOICE -> new Understood(new Value.Chosen(option(point, typed)), "", true);
            case YES_NO -> new Understood(new Value.Affirmed(yes(typed)), "", true);
            case TEXT -> new Understood(new Value.Written(text(typed)), "", true);
            case MONTH -> new Understood(period(typed), "", true);
        };
    }

    private static Understood quantity(Point point, String typed, Accuracy accuracy) {
        var read = FieldNotation.parse(typed, point.dimension().orElseThrow());
        double si = read.value().si();
        double u = accuracy.standardUncertainty(si, read.resolution());
        return new Understood(new Value.Measured(read.value(), u, read.resolution()), read.unit(), point.plausible(si));
    }

    private static String option(Point point, String typed) {
        String wanted = typed == null ? "" : typed.strip();
        return point.options().stream()
                .filter(option -> option.equalsIgnoreCase(wanted))
                .findFirst()
                .orElseThrow(() -> new Unsuitable("\"" + shortened(wanted) + "\" is not one of the choices: "
                        + String.join(", ", point.options()) + "."));
    }

    private static boolean yes(String typed) {
        String answer = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        return switch (answer) {
            case "yes", "y", "true" -> true;
            case "no", "n", "false" -> false;
            default -> throw new Unsuitable("Answer yes or no.");
        };
    }

    private static String text(String typed) {
        String words = typed == null ? "" : typed.strip();
        if (words.isEmpty()) {
            throw new Unsuitable("Nothing is written here.");
        }
        if (words.length() > LONGEST_TEXT) {
            throw new Unsuitable("This is longer than " + LONGEST_TEXT + " characters.");
        }
        if (words.chars().anyMatch(Character::isISOControl)) {
            throw new Unsuitable("Control characters cannot be kept here.");
        }
        return words;
    }

    private static Value.Within period(String typed) {
        String words = typed == null ? "" : typed.strip();
        try {
            Matcher week = WEEK.matcher(words);
            if (week.matches()) {
                int number = Integer.parseInt(week.group(2));
                LocalDate monday = LocalDate.of(Integer.parseInt(week.group(1)), 1, 4)
                        .with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, number)
                        .with(DayOfWeek.MONDAY);
                return new Value.Within(monday, monday.plusDays(6));
            }
            Matcher month = MONTH.matcher(words);
            if (month.matches()) {
                boolean yearFirst = month.group(1) != null;
                YearMonth read = YearMonth.of(
                        Integer.parseInt(month.group(yearFirst ? 1 : 4)),
                        Integer.parseInt(month.group(yearFirst ? 2 : 3)));
                return new Value.Within(read.atDay(1), read.atEndOfMonth());
            }
        } catch (DateTimeException e) {
            throw new Unsuitable("\"" + shortened(words) + "\" is not in the calendar. Write 2025-03 or 2025-W14.");
        }
        throw new Unsuitable("\"" + shortened(words) + "\" is not a month or week. Write 2025-03 or 2025-W14.");
    }

    private static String shortened(String words) {
        return words.length() <= 40 ? words : words.substring(0, 40) + "…";
    }
}
