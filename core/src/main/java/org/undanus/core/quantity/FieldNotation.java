package org.undanus.core.quantity;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.words.Text;

/**
 * Reads quantities as people write them on site: {@code 3' 4-1/2"}, {@code 1,03 m}, {@code 118 psig}, {@code 75F},
 * {@code 29.6 inHg vac}, {@code 2 lb 6 oz}, {@code 8 AWG}, {@code 1:40 h}. The dimension asked for settles what an
 * ambiguous unit means ({@code t} is a ton of refrigeration for a power and a tonne for a mass), and a unit of another
 * dimension is refused by name and position. What could be read two ways is refused with both ways named, never taken
 * for one of them. Runs in time linear in the text.
 */
public final class FieldNotation {

    /**
     * What was understood.
     *
     * @param value the quantity
     * @param unit the unit as written, the last one where several were
     * @param resolution the step of the last digit written, in SI (a typed {@code 1.03 m} resolves 0.01 m); 0 where the
     *     writing does not tell
     */
    public record Understood(Quantity value, String unit, double resolution) {
        /** The size an accuracy in percent of reading is of: counted from the zero of the unit written, in SI. */
        public double size() {
            return FieldUnit.size(value, unit);
        }
    }

    private static final int LONGEST = 60;
    private static final Pattern CLOCK = Pattern.compile(
            "(\\d{1,3}):(\\d{2})(?::(\\d{2}))?\\s*(h|hr|hrs|hours?|min|mins|minutes)?\\.?", Pattern.CASE_INSENSITIVE);
    private static final Pattern WIRE = Pattern.compile(
            "(?<before>#|no\\.?|awg)?\\s*(?:(?<zeros>0{1,4})|(?<number>\\d{1,2})(?<aught>/0)?)\\s*-?\\s*(?<after>awg|ga\\.?|gauge|gage)?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern SLOPE = Pattern.compile("1\\s*:\\s*(\\d{1,4}(?:[.,]\\d{1,2})?)|1\\s+in\\s+(\\d{1,4})");
    private static final Pattern COEFFICIENT =
            Pattern.compile("COP\\s*[:=]?\\s*(\\d[\\d.,]*)\\s*", Pattern.CASE_INSENSITIVE);
    private static final Pattern SCALELESS = Pattern.compile("(?:°|deg(?:ree)?s?\\b)\\.?", Pattern.CASE_INSENSITIVE);
    private static final Pattern MINUTES_AFTER_HOURS = Pattern.compile("m\\.?(?!\\p{L})", Pattern.CASE_INSENSITIVE);
    private static final int THICKEST_GAUGE = -3;
    private static final int THINNEST_GAUGE = 40;
    private static final double MOST_APART = 0.05;
    private static final int UNITS_OFFERED = 3;

    /** Which unit may follow which in one amount: the smaller part of {@code 2 lb 6 oz}. */
    private static final Map<String, List<String>> SMALLER = Map.of(
            "ft",
            List.of("in"),
            "lb",
            List.of("oz"),
            "h",
            List.of("min", "s"),
            "min",
            List.of("s"),
            "m",
            List.of("cm"));

    /** One number with its unit, or several that add up to one amount. */
    private record Amount(int start, int end, double si, double step, WrittenNumber last, FieldUnit unit) {}

    private final FoldedText folded;
    private final String text;
    private final Dimension dimension;
    private final DoublePredicate usual;
    private final List<String> units;
    private int position;

    private FieldNotation(FoldedText folded, Dimension dimension, DoublePredicate usual, List<String> units) {
        this.usual = usual;
        this.units = units;
        this.folded = folded;
        this.text = folded.text();
        this.dimension = dimension;
    }

    /**
     * Reads one quantity.
     *
     * @param typed what was typed, at most 60 characters
     * @param dimension the kind expected
     * @throws FieldNotationException when it is empty, malformed, of another kind, could be read two ways, or cannot be
     *     (a temperature under absolute zero)
     */
    public static Understood parse(String typed, Dimension dimension) {
        return parse(typed, dimension, any -> true);
    }

    /**
     * Reads one quantity of which it is known what is usual: where a point may part thousands or decimals and only one of the
     * two is usual, that one is meant ({@code 2.288 m} of a height).
     *
     * @param usual whether a value in SI is
     */
    public static Understood parse(String typed, Dimension dimension, DoublePredicate usual) {
        return parse(typed, dimension, usual, dimension.usualUnits());
    }

    /**
     * Reads one quantity of something that is mostly read in certain units, of which it is known what is usual.
     *
     * @param units symbols of those offered where one was left out
     */
    public static Understood parse(String typed, Dimension dimension, DoublePredicate usual, List<String> units) {
        if (typed == null || typed.isBlank()) {
            throw new FieldNotationException(
                    Text.of("Nothing is written here. Write {example}.", dimension.example()), 0);
        }
        if (typed.length() > LONGEST) {
            throw new FieldNotationException(
                    Text.of(
                            "This is longer than a reading can be ({longest} characters). Write {example}.",
                            LONGEST,
                            dimension.example()),
                    LONGEST);
        }
        try {
            return single(typed, dimension, usual, units);
        } catch (FieldNotationException e) {
            throw new FieldNotationException(
                    e.said(),
                    e.position(),
                    e.choices().stream()
                            .filter(choice -> readable(choice, dimension, usual, units))
                            .toList());
        }
    }

    /**
     * What was typed with the unit it lacks: the first of those held that its number may be in; empty where it lacks none, or
     * none of them suits.
     *
     * @param units symbols of those it is mostly read in
     * @param held symbols of units said before of the same instrument, the last one first
     */
    public static Optional<String> completed(
            String typed, Dimension dimension, DoublePredicate usual, List<String> units, List<String> held) {
        try {
            parse(typed, dimension, usual, units);
            return Optional.empty();
        } catch (FieldNotationException e) {
            return held.stream()
                    .filter(units::contains)
                    .map(unit -> typed.strip() + " " + unit)
                    .filter(full -> readable(full, dimension, usual, units))
                    .findFirst();
        }
    }

    private static boolean readable(String choice, Dimension dimension, DoublePredicate usual, List<String> units) {
        try {
            single(choice, dimension, usual, units);
            return true;
        } catch (FieldNotationException e) {
            return false;
        }
    }

    private static Understood single(String typed, Dimension dimension, DoublePredicate usual, List<String> units) {
        FieldNotation notation = new FieldNotation(FoldedText.of(typed), dimension, usual, units);
        Understood read = notation.read();
        if (read.value.si() < dimension.lowest()) {
            throw new FieldNotationException(
                    Text.of("\"{typed}\" cannot be: it is under {floor}.", typed.strip(), dimension.floor()),
                    notation.folded.origin(0));
        }
        return read;
    }

    private Understood read() {
        skip(" ");
        Optional<Understood> special =
                switch (dimension) {
                    case CONDUCTOR_AREA -> wire();
                    case DURATION -> clock();
                    case RATIO -> slope();
                    case PERFORMANCE -> performance();
                    default -> Optional.empty();
                };
        return special.orElseGet(this::amounts);
    }

    private Optional<Understood> wire() {
        Matcher wire = WIRE.matcher(text).region(position, text.length());
        if (!wire.matches()) {
            return Optional.empty();
        }
        String zeros = wire.group("zeros");
        boolean marked = wire.group("before") != null || wire.group("after") != null;
        boolean aughts = wire.group("aught") != null || zeros != null && zeros.length() > 1;
        if (!marked && !aughts) {
            return Optional.empty();
        }
        int number = zeros == null ? Integer.parseInt(wire.group("number")) : zeros.length();
        int gauge = aughts || zeros != null ? 1 - number : number;
        if (gauge < THICKEST_GAUGE || gauge > THINNEST_GAUGE || zeros == null && number == 0) {
            throw refused("AWG sizes run from 40 to 4/0. Write for example 8 AWG.", position);
        }
        return Optional.of(new Understood(ConductorArea.ofSquareMetres(WireGauge.area(gauge)), "AWG", 0));
    }

    private Optional<Understood> clock() {
        Matcher clock = CLOCK.matcher(text).region(position, text.length());
        if (!clock.matches()) {
            return Optional.empty();
        }
        int first = Integer.parseInt(clock.group(1));
        int second = Integer.parseInt(clock.group(2));
        int third = clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3));
        if (second > 59 || third > 59) {
            throw refused(
                    "Minutes and seconds run to 59. Write 1:40 h for one hour and forty minutes.", clock.start(2));
        }
        boolean three = clock.group(3) != null;
        if (!three && clock.group(4) == null) {
            String hours = first + " h " + second + " min";
            String minutes = first + " min " + second + " s";
            throw new FieldNotationException(
                    Text.of(
                            "\"{group}\" could be hours or minutes. Write {hours} or {minutes}.",
                            clock.group(),
                            hours,
                            minutes),
                    folded.origin(position),
                    List.of(hours, minutes));
        }
        boolean inHours = three || clock.group(4).toLowerCase(Locale.ROOT).startsWith("h");
        double seconds = inHours ? first * 3600.0 + second * 60.0 + third : first * 60.0 + second;
        return Optional.of(
                new Understood(Duration.ofSeconds(seconds), inHours ? "h:min" : "min:s", inHours && !three ? 60 : 1));
    }

    /** {@code COP 2.5}: its sign is said first. */
    private Optional<Understood> performance() {
        Matcher performance = COEFFICIENT.matcher(text).region(position, text.length());
        if (!performance.matches()) {
            return Optional.empty();
        }
        position = performance.start(1);
        WrittenNumber number = number();
        return Optional.of(new Understood(Performance.ofRatio(number.value()), "COP", number.step()));
    }

    /** {@code 1:80}, {@code 1 in 80}. A bare fraction could be that or inches on a foot. */
    private Optional<Understood> slope() {
        Matcher slope = SLOPE.matcher(text).region(position, text.length());
        if (!slope.matches()) {
            return Optional.empty();
        }
        String run = slope.group(1) == null ? slope.group(2) : slope.group(1);
        double length = Double.parseDouble(run.replace(',', '.'));
        if (length == 0) {
            throw refused("A slope cannot be over zero.", position);
        }
        return Optional.of(new Understood(Ratio.ofFraction(1 / length), "1:n", 0));
    }

    /** One amount, or the same amount said twice in two units. */
    private Understood amounts() {
        List<Amount> said = new ArrayList<>();
        do {
            said.add(amount());
            skip(" (),=/");
        } while (position < text.length());
        Amount finest = said.get(0);
        for (Amount other : said) {
            if (!agree(said.get(0), other)) {
                throw new FieldNotationException(
                        Text.of(
                                "Two amounts that differ, {said} and {other}: which one? Write {example}.",
                                written(said.get(0)),
                                written(other),
                                dimension.example()),
                        folded.origin(other.start),
                        List.of(written(said.get(0)), written(other)));
            }
            finest = other.step < finest.step ? other : finest;
        }
        return new Understood(dimension.of(finest.si), finest.unit.symbol(), resolution(finest));
    }

    /** Within what was rounded off, and never by more than a twentieth: a coarse number must not bear out a slip. */
    private static boolean agree(Amount one, Amount other) {
        double apart = Math.abs(one.si - other.si);
        return one.unit.equals(other.unit)
                ? one.si == other.si
                : apart <= (one.step + other.step) / 2 && apart <= MOST_APART * Math.abs(one.si);
    }

    private String written(Amount amount) {
        return text.substring(amount.start, amount.end).strip();
    }

    /** A number with a unit, with its smaller parts: feet and inches, pounds and ounces, hours, minutes and seconds. */
    private Amount amount() {
        int start = position;
        WrittenNumber written = number();
        FieldUnit unit = unit(written, null);
        WrittenNumber number = oneReading(written, unit);
        double total = unit.toSi(number.value());
        double sign = number.negative() ? -1 : 1;
        int end = position;
        while (true) {
            skip(" ,");
            if (unit.symbol().equals("ft") && position < text.length() && text.charAt(position) == '-') {
                skip("- ");
            }
            Optional<Amount> part = number.decimals() ? Optional.empty() : smaller(unit);
            if (part.isEmpty()) {
                position = end;
                return new Amount(start, end, total, unit.step(number), number, unit);
            }
            number = part.get().last;
            unit = part.get().unit;
            total += sign * part.get().si;
            end = position;
        }
    }

    /** The smaller part that follows, if what follows is one: less than one of the larger unit. */
    private Optional<Amount> smaller(FieldUnit larger) {
        List<String> smaller = SMALLER.getOrDefault(larger.symbol(), List.of());
        if (smaller.isEmpty()
                || position >= text.length()
                || !Character.isDigit(text.charAt(position)) && text.charAt(position) != '.') {
            return Optional.empty();
        }
        int start = position;
        WrittenNumber number = number();
        FieldUnit unit = unit(number, larger);
        double si = unit.toSi(number.magnitude());
        if (smaller.contains(unit.symbol()) && si < larger.factor()) {
            return Optional.of(new Amount(start, position, si, unit.step(number), number, unit));
        }
        position = start;
        return Optional.empty();
    }

    private WrittenNumber number() {
        WrittenNumber number = WrittenNumber.at(folded, position, dimension);
        position = number.end();
        skip(" -");
        return number;
    }

    /** {@code 2.500 mm} may be two and a half or two thousand five hundred: what is usual decides, or nobody can. */
    private WrittenNumber oneReading(WrittenNumber number, FieldUnit unit) {
        boolean point = number.written().indexOf(',') < 0;
        if (!number.thousandOrDecimal()
                || point && (unit.customary() || unit.symbol().isEmpty())) {
            return number;
        }
        WrittenNumber thousands = number.asThousands();
        boolean usualAsDecimal = usual.test(unit.toSi(number.value()));
        boolean usualAsThousands = usual.test(unit.toSi(thousands.value()));
        if (usualAsDecimal != usualAsThousands) {
            return usualAsDecimal ? number : thousands;
        }
        String digits = number.written().replace(',', '.');
        String decimal = new BigDecimal(digits).stripTrailingZeros().toPlainString();
        // a fourth decimal leaves no doubt where three are meant
        String apart = digits.length() - 1 - digits.indexOf('.') == decimal.length() - 1 - decimal.indexOf('.')
                        && decimal.indexOf('.') >= 0
                ? decimal + "0"
                : decimal;
        String whole = digits.replace(".", "");
        String rest = text.substring(number.end());
        throw new FieldNotationException(
                Text.of(
                        "\"{number}\" could be read two ways. Write {apart} or {whole}.",
                        number.written(),
                        apart,
                        whole),
                folded.origin(number.start()),
                List.of(apart + rest, whole + rest));
    }

    /**
     * The step of the last digit, SI. Feet and inches without a decimal point tell none: who reads 7' 0" off a tape
     * writes 7 ft.
     */
    private static double resolution(Amount amount) {
        boolean none = amount.last.fraction() || !amount.last.decimals() && amount.unit.inFeetOrInches();
        return none ? 0 : amount.step;
    }

    private FieldUnit unit(WrittenNumber number, FieldUnit larger) {
        if (position >= text.length() || larger != null && "(,=".indexOf(text.charAt(position)) >= 0) {
            return bareNumberUnit(number, larger);
        }
        Optional<UnitSpelling.Found> found = FieldUnit.at(text, position, dimension);
        if (found.isPresent()) {
            position += found.get().text().length();
            return found.get().unit();
        }
        Matcher minutes = MINUTES_AFTER_HOURS.matcher(text).region(position, text.length());
        if (dimension == Dimension.DURATION && larger != null && minutes.lookingAt()) {
            position = minutes.end();
            return FieldUnit.of(dimension, "min");
        }
        throw unknownUnit(number);
    }

    private FieldNotationException unknownUnit(WrittenNumber number) {
        Matcher scaleless = SCALELESS.matcher(text).region(position, text.length());
        if (dimension == Dimension.TEMPERATURE && scaleless.matches()) {
            return which("Degrees of which scale?", number, "°F", "°C");
        }
        int place = folded.origin(position) + 1;
        return FieldUnit.anyAt(text, position)
                .map(foreign -> refused(
                        Text.of(
                                "\"{written}\" at character {place} is {kind}; this line expects {expected}, for example {example}.",
                                foreign.text(),
                                place,
                                foreignKind(foreign.text(), foreign.unit()),
                                dimension.named(),
                                dimension.example()),
                        position))
                .orElseGet(() -> refused(
                        Text.of(
                                "\"{written}\" at character {place} is not a unit known for {expected}. Known: {units}.",
                                text.substring(position).strip(),
                                place,
                                dimension.named(),
                                FieldUnit.known(dimension)),
                        position));
    }

    private FieldNotationException which(String question, WrittenNumber number, String one, String other) {
        List<String> choices = List.of(number.written() + " " + one, number.written() + " " + other);
        return new FieldNotationException(
                Text.of("{question} Write {one} or {other}.", question, choices.get(0), choices.get(1)),
                folded.origin(position),
                choices);
    }

    /** A bare psi or bar is a fault only where absolute pressure is asked for; say so rather than "a gauge pressure". */
    private Text foreignKind(String written, FieldUnit other) {
        boolean undecided = dimension == Dimension.ABSOLUTE_PRESSURE
                && other.dimension() == Dimension.GAUGE_PRESSURE
                && !written.equalsIgnoreCase(other.symbol());
        return undecided
                ? Text.of("a pressure of unsaid kind (add \"a\" for absolute)")
                : Text.of("a unit of {quantity}", other.dimension().named());
    }

    /** Only where one unit is ever meant may it be left out: {@code 27.4} for a current, {@code 7' 3} for inches. */
    private FieldUnit bareNumberUnit(WrittenNumber number, FieldUnit larger) {
        if (larger != null && larger.symbol().equals("ft")) {
            return FieldUnit.of(dimension, "in");
        }
        if (larger != null && larger.symbol().equals("h")) {
            return FieldUnit.of(dimension, "min");
        }
        if (dimension == Dimension.RATIO && number.fraction()) {
            throw which("A slope or a share?", number, "in/ft", "%");
        }
        return dimension
                .bareUnit()
                .filter(any -> larger == null)
                .map(symbol -> FieldUnit.of(dimension, symbol))
                .orElseThrow(() -> larger == null
                        ? new FieldNotationException(
                                Text.of("The unit is missing. Write {example}.", dimension.example()),
                                folded.origin(position),
                                withUsualUnits(number))
                        : refused(Text.of("The unit is missing. Write {example}.", dimension.example()), position));
    }

    /** A number without its unit, in each of the usual ones; in those that give something usual, where any does. */
    private List<String> withUsualUnits(WrittenNumber number) {
        List<String> all =
                units.stream().map(unit -> number.written() + " " + unit).toList();
        List<String> likely = all.stream().filter(this::isUsual).toList();
        return (likely.isEmpty() ? all : likely).stream().limit(UNITS_OFFERED).toList();
    }

    private boolean isUsual(String written) {
        try {
            return usual.test(single(written, dimension, usual, units).value.si());
        } catch (FieldNotationException e) {
            return false;
        }
    }

    private FieldNotationException refused(String message, int at) {
        return refused(Text.of(message), at);
    }

    private FieldNotationException refused(Text message, int at) {
        return new FieldNotationException(message, folded.origin(at));
    }

    private void skip(String characters) {
        while (position < text.length() && characters.indexOf(text.charAt(position)) >= 0) {
            position++;
        }
    }
}
