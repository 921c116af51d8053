package org.undanus.core.evidence;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/** Takes what a person typed on a line and says what it means, or why it cannot be taken. */
public final class Entry {

    /**
     * @param unit the unit as typed, empty for other than quantities
     * @param plausible false when the value lies outside the point's plausible range and should be asked about once
     */
    public record Understood(Value value, String unit, boolean plausible) {
        /** What is kept of what was typed: of a choice its id, else every letter. */
        public String kept(String typed) {
            return value instanceof Value.Chosen chosen ? chosen.option().id() : typed.strip();
        }
    }

    /** The typed text does not suit the point. The message is a sentence for the person who typed it. */
    public static final class Unsuitable extends RefusedException {
        private static final long serialVersionUID = 1L;

        public Unsuitable(String template, Object... arguments) {
            super(template, arguments);
        }

        public Unsuitable(Text said) {
            super(said);
        }
    }

    /** Of what has parts. */
    public static final int LONGEST_LIST = 2000;

    private static final String MERCURY = "inHg";
    private static final int LONGEST_TEXT = 200;
    private static final Pattern INSTEAD = Pattern.compile(
            "(?:(?<access>not accessible)|not looked at|(?<back>taken back))"
                    + "(?:[\\s,:.]+(?:because\\s+)?(?<because>[^\\s,:.].*))?[\\s,:.]*",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern MONTH =
            Pattern.compile("(\\d{4})\\s*[-./]\\s*(\\d{1,2})|(\\d{1,2})\\s*[-./]\\s*(\\d{4})");
    private static final Pattern WEEK = Pattern.compile(
            "(\\d{4})[-\\s,/]*(?:w|wk|week)\\.?[-\\s]*(\\d{1,2})|(?:w|wk|week)\\.?\\s*(\\d{1,2})[-\\s,/]+(\\d{4})",
            Pattern.CASE_INSENSITIVE);
    private static final String NAMES = "(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|"
            + "sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\\.?";
    private static final Pattern NAMED_MONTH =
            Pattern.compile(NAMES + "[-\\s,/]*(\\d{4})|(\\d{4})[-\\s,/]*" + NAMES, Pattern.CASE_INSENSITIVE);

    private Entry() {}

    /**
     * @param accuracy of the instrument used
     * @throws IllegalArgumentException with a sentence that says what is expected
     */
    public static Understood understand(Point point, String typed, Accuracy accuracy) {
        return understand(point, typed, accuracy, Traces.NONE);
    }

    /**
     * @param traces where the curve is found that a digest names
     * @throws IllegalArgumentException with a sentence that says what is expected
     */
    public static Understood understand(Point point, String typed, Accuracy accuracy, Traces traces) {
        return switch (point.kind()) {
            case QUANTITY -> quantity(point, typed, accuracy);
            case CHOICE -> new Understood(new Value.Chosen(option(point, typed)), "", true);
            case YES_NO -> new Understood(new Value.Affirmed(yes(typed)), "", true);
            case TEXT -> new Understood(new Value.Written(text(typed)), "", true);
            case MONTH -> new Understood(period(typed), "", true);
            case CURVE -> curve(point, traces.find(typed.strip()));
            case LIST -> new Understood(new Value.Listed(list(point, typed)), "", true);
        };
    }

    /**
     * What was typed on a line of the walk: a reading, or what any line takes instead of one, which is why there is none or that the
     * one that stands is taken back.
     *
     * @throws IllegalArgumentException with a sentence that says what is expected
     */
    public static Understood answer(Point point, String typed, Accuracy accuracy, Traces traces) {
        Optional<Value> instead = insteadOfAReading(typed);
        return instead.isPresent()
                ? new Understood(instead.get(), "", true)
                : understand(point, typed, accuracy, traces);
    }

    private static Optional<Value> insteadOfAReading(String typed) {
        Matcher said = INSTEAD.matcher(typed == null ? "" : typed.strip());
        if (!said.matches()) {
            return Optional.empty();
        }
        boolean takenBack = said.group("back") != null;
        boolean notAccessible = said.group("access") != null;
        if (said.group("because") == null) {
            if (takenBack) {
                throw new Unsuitable("Say why it is taken back, for example: taken back: typed on the wrong line.");
            }
            if (notAccessible) {
                throw new Unsuitable("Say why, for example: not accessible: the hatch is screwed shut.");
            }
            return Optional.of(new Value.Unread(Value.Unread.Why.NOT_LOOKED_AT, ""));
        }
        String because = text(said.group("because"));
        return Optional.of(
                takenBack
                        ? new Value.TakenBack(because)
                        : new Value.Unread(
                                notAccessible ? Value.Unread.Why.NOT_ACCESSIBLE : Value.Unread.Why.NOT_LOOKED_AT,
                                because));
    }

    /**
     * What was typed with the unit it lacks, where one that was said before suits.
     *
     * @param held symbols of units said before of the same instrument, the last one first
     */
    public static Optional<String> completed(Point point, String typed, List<String> held) {
        return point.kind() == Point.Kind.QUANTITY
                ? FieldNotation.completed(typed, point.dimension().orElseThrow(), point::plausible, point.units(), held)
                : Optional.empty();
    }

    private static Understood curve(Point point, Optional<Trace> found) {
        Trace trace = found.filter(t -> t.dimension() == point.dimension().orElseThrow())
                .orElseThrow(() -> new Unsuitable("Choose the logger's file."));
        boolean plausible = point.plausible(trace.least()) && point.plausible(trace.most());
        return new Understood(new Value.Logged(trace), trace.unit().symbol(), plausible);
    }

    private static Understood quantity(Point point, String typed, Accuracy accuracy) {
        var read = FieldNotation.parse(typed, point.dimension().orElseThrow(), point::plausible, point.units());
        double si = read.value().si();
        requirePossible(point, typed, si);
        double u = accuracy.standardUncertainty(read.size(), read.resolution());
        return new Understood(new Value.Measured(read.value(), u, read.resolution()), read.unit(), point.plausible(si));
    }

    /**
     * Asks whoever types it now where inches of mercury are counted from: where a vacuum is read a needle counts down from the air, a
     * column of them up from nothing. What was kept or comes in from before was taken as absolute, and stays so.
     *
     * @throws FieldNotationException with what may be meant
     */
    public static void requireSaidFromWhere(Point point, String typed, Understood read) {
        if (read.unit().equals(MERCURY) && !point.units().contains(MERCURY)) {
            String absolute = typed.strip() + " abs";
            throw new FieldNotationException(
                    Text.of(
                            "\"{written}\": below the air's pressure, or absolute? A needle that counts down from the air is too coarse for this line: read a micron gauge. If it is absolute write {absolute}.",
                            shortened(typed.strip()),
                            absolute),
                    0,
                    List.of(absolute));
        }
    }

    private static void requirePossible(Point point, String typed, double si) {
        if (point.possible(si)) {
            return;
        }
        String written = shortened(typed.strip());
        Worded line = Text.lowered(point.title());
        if (point.counted() && si != Math.rint(si)) {
            throw new Unsuitable("\"{written}\" cannot be the {line}: it is counted in whole numbers.", written, line);
        }
        Dimension dimension = point.dimension().orElseThrow();
        if (si > point.highestPossible()) {
            throw new Unsuitable(
                    "\"{written}\" cannot be the {line}: it is never over {most}. Read it again.",
                    written,
                    line,
                    dimension.of(point.highestPossible()));
        }
        if (point.lowestPossible() > 0 && !point.counted() && si <= 0) {
            throw new Unsuitable(
                    "\"{written}\" cannot be the {line}: it is more than zero. Read it again.", written, line);
        }
        throw new Unsuitable(
                "\"{written}\" cannot be the {line}: it is never under {least}. Read it again.",
                written,
                line,
                dimension.of(point.lowestPossible()));
    }

    /**
     * What a choice comes to by its id, by its words as they are today or by those it had in an earlier version.
     *
     * @throws IllegalArgumentException with the options there are
     */
    public static Option option(Point point, String typed) {
        String wanted = typed == null ? "" : typed.strip();
        return point.option(wanted)
                .or(() -> point.options().stream()
                        .filter(option -> option.words().equalsIgnoreCase(wanted))
                        .findFirst())
                .or(() -> FormerWords.id(point, wanted).flatMap(point::option))
                .orElseThrow(() -> new Unsuitable(
                        "\"{wanted}\" is not one of the choices: {options}.",
                        shortened(wanted),
                        Text.list(point.options())));
    }

    private static boolean yes(String typed) {
        String answer = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        return switch (answer) {
            case "yes", "y", "true" -> true;
            case "no", "n", "false" -> false;
            default -> throw new Unsuitable("Answer yes or no.");
        };
    }

    private static Notation.Listing list(Point point, String typed) {
        Notation notation = point.notation().orElseThrow();
        String words = typed == null ? "" : typed.strip();
        if (words.isEmpty()) {
            throw new Unsuitable("Nothing is written here. Write for example: {example}", notation.example());
        }
        if (words.length() > LONGEST_LIST) {
            throw new Unsuitable("This is longer than {most} characters.", LONGEST_LIST);
        }
        return notation.read(words);
    }

    private static String text(String typed) {
        String words = typed == null ? "" : typed.strip();
        if (words.isEmpty()) {
            throw new Unsuitable("Nothing is written here.");
        }
        if (words.length() > LONGEST_TEXT) {
            throw new Unsuitable("This is longer than {most} characters.", LONGEST_TEXT);
        }
        if (words.chars().anyMatch(Character::isISOControl)) {
            throw new Unsuitable("Control characters cannot be saved here.");
        }
        return words;
    }

    private static Value.Within period(String typed) {
        String words = typed == null ? "" : typed.strip();
        try {
            Matcher week = WEEK.matcher(words);
            if (week.matches()) {
                return week(whole(week, 1, 4), whole(week, 2, 3));
            }
            Matcher month = MONTH.matcher(words);
            if (month.matches()) {
                return month(whole(month, 1, 4), whole(month, 2, 3));
            }
            Matcher named = NAMED_MONTH.matcher(words);
            if (named.matches()) {
                String name = named.group(1) == null ? named.group(4) : named.group(1);
                return month(whole(named, 2, 3), monthNamed(name));
            }
        } catch (DateTimeException e) {
            throw new Unsuitable("\"{written}\" is not in the calendar. Write 2025-03 or 2025-W14.", shortened(words));
        }
        throw new Unsuitable("\"{written}\" is not a month or week. Write 2025-03 or 2025-W14.", shortened(words));
    }

    /** The number of whichever of two groups has been found. */
    private static int whole(Matcher found, int one, int other) {
        return Integer.parseInt(found.group(one) == null ? found.group(other) : found.group(one));
    }

    private static Value.Within week(int year, int number) {
        LocalDate monday = LocalDate.of(inUse(year), 1, 4)
                .with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, number)
                .with(DayOfWeek.MONDAY);
        if (monday.get(IsoFields.WEEK_BASED_YEAR) != year) {
            throw new DateTimeException("no such week");
        }
        return new Value.Within(monday, monday.plusDays(6));
    }

    private static Value.Within month(int year, int number) {
        YearMonth read = YearMonth.of(inUse(year), number);
        return new Value.Within(read.atDay(1), read.atEndOfMonth());
    }

    private static int inUse(int year) {
        if (!Years.OF_MACHINES.hold(year)) {
            throw new DateTimeException("no year of a machine");
        }
        return year;
    }

    private static int monthNamed(String name) {
        String start = name.substring(0, 3).toLowerCase(Locale.ROOT);
        return Stream.of(Month.values())
                .filter(month -> month.name().toLowerCase(Locale.ROOT).startsWith(start))
                .map(Month::getValue)
                .findFirst()
                .orElseThrow();
    }

    private static String shortened(String words) {
        return words.length() <= 40 ? words : words.substring(0, 40) + "…";
    }
}
