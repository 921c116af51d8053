package org.undanus.core.quantity;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads quantities as people write them on site: {@code 3' 4-1/2"}, {@code 1,03 m}, {@code 118 psig}, {@code 75F},
 * {@code 29.6 inHg vac}, {@code 2 lb 6 oz}, {@code 8 AWG}, {@code 1:40}. The dimension asked for settles what an
 * ambiguous unit means ({@code t} is a ton of refrigeration for a power and a tonne for a mass), and a unit of another
 * dimension is refused by name and position. Runs in time linear in the text.
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
    public record Understood(Quantity value, String unit, double resolution) {}

    private static final int LONGEST = 60;
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,3}):(\\d{2})(?::(\\d{2}))?");
    private static final Pattern GAUGE_WIRE =
            Pattern.compile("#?\\s*(\\d{1,2})(/0)?\\s*(?:awg)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern NUMBER = Pattern.compile(
            "(?<sign>[+-])?\\s*(?:(?:(?<whole>\\d+)[-\\s]+)?(?<top>\\d+)\\s*/\\s*(?<bottom>\\d+)"
                    + "|(?<decimal>\\d{1,3}(?:,\\d{3})+\\.\\d+|\\d+(?:[.,]\\d+)?|[.,]\\d+)(?<power>[eE][+-]?\\d{1,3})?)");
    private static final Pattern THOUSANDS_OR_DECIMAL = Pattern.compile("[1-9]\\d{0,2},\\d{3}");

    private final String text;
    private final Dimension dimension;
    private int position;

    private FieldNotation(String text, Dimension dimension) {
        this.text = text;
        this.dimension = dimension;
    }

    /**
     * Reads one quantity.
     *
     * @param typed what was typed, at most 60 characters
     * @param dimension the kind expected
     * @throws FieldNotationException when it is empty, malformed or of another kind
     */
    public static Understood parse(String typed, Dimension dimension) {
        if (typed == null || typed.isBlank()) {
            throw new FieldNotationException("Nothing is written here. Write " + dimension.example() + ".", 0);
        }
        if (typed.length() > LONGEST) {
            throw new FieldNotationException(
                    "This is longer than a reading can be (" + LONGEST + " characters). Write " + dimension.example()
                            + ".",
                    LONGEST);
        }
        return new FieldNotation(plain(typed), dimension).read();
    }

    /** Folds typographic signs to the plain ones, one character for one so that positions stay true. */
    private static String plain(String typed) {
        StringBuilder folded = new StringBuilder(typed.length());
        for (char c : typed.toCharArray()) {
            folded.append(
                    switch (c) {
                        case 'µ', 'μ' -> 'u';
                        case '″', '”', '“' -> '"';
                        case '′', '’', '‘' -> '\'';
                        case '−', '–' -> '-';
                        case 'º' -> '°';
                        case '²' -> '2';
                        case '³' -> '3';
                        case '\u00a0', '\u202f', '\t' -> ' ';
                        default -> c;
                    });
        }
        return folded.toString().stripTrailing();
    }

    private Understood read() {
        skipSpaces();
        if (dimension == Dimension.CONDUCTOR_AREA) {
            Matcher wire = GAUGE_WIRE.matcher(text).region(position, text.length());
            if (wire.matches()
                    && (text.contains("#") || text.toLowerCase(Locale.ROOT).contains("awg"))) {
                return wireGauge(wire);
            }
        }
        if (dimension == Dimension.DURATION) {
            Matcher clock = CLOCK.matcher(text).region(position, text.length());
            if (clock.matches()) {
                return clock(clock);
            }
        }
        return terms();
    }

    private Understood wireGauge(Matcher wire) {
        int number = Integer.parseInt(wire.group(1));
        boolean aught = wire.group(2) != null;
        int gauge = aught ? 1 - number : number;
        if (gauge < -3 || gauge > 40 || (aught && number == 0)) {
            throw new FieldNotationException("AWG sizes run from 40 to 4/0. Write for example 8 AWG.", position);
        }
        return new Understood(ConductorArea.ofSquareMetres(WireGauge.area(gauge)), "AWG", 0);
    }

    private Understood clock(Matcher clock) {
        int minutes = Integer.parseInt(clock.group(2));
        int seconds = clock.group(3) == null ? 0 : Integer.parseInt(clock.group(3));
        if (minutes > 59 || seconds > 59) {
            throw new FieldNotationException(
                    "Minutes and seconds run to 59. 1:40 is one hour and forty minutes.", clock.start(2));
        }
        double total = Integer.parseInt(clock.group(1)) * 3600.0 + minutes * 60.0 + seconds;
        return new Understood(Duration.ofSeconds(total), "h:min", clock.group(3) == null ? 60 : 1);
    }

    /** One number with a unit, or several that add up: feet and inches, pounds and ounces, hours and minutes. */
    private Understood terms() {
        double total = 0;
        double resolution = 0;
        double smallestFactor = Double.POSITIVE_INFINITY;
        boolean negative = false;
        FieldUnit unit = null;
        do {
            int start = position;
            Matcher number = number();
            double magnitude = magnitude(number, start);
            skipSpaces();
            FieldUnit next = unit(unit);
            if (unit != null) {
                if (next.factor() >= smallestFactor || next.offset() != 0 || number.group("sign") != null) {
                    throw new FieldNotationException(
                            "\"" + text.substring(start).strip() + "\" cannot follow " + unit + ". Write "
                                    + dimension.example() + ".",
                            start);
                }
                total += (negative ? -1 : 1) * next.toSi(magnitude);
            } else {
                negative = "-".equals(number.group("sign"));
                total = next.toSi(negative ? -magnitude : magnitude);
            }
            unit = next;
            smallestFactor = next.factor();
            resolution = resolution(number, next);
            skipSpaces();
        } while (position < text.length());
        return new Understood(dimension.of(total), unit.symbol(), resolution);
    }

    private Matcher number() {
        Matcher number = NUMBER.matcher(text).region(position, text.length());
        if (!number.lookingAt()) {
            throw new FieldNotationException(
                    "A number is expected at character " + (position + 1) + ". Write " + dimension.example() + ".",
                    position);
        }
        position = number.end();
        return number;
    }

    private double magnitude(Matcher number, int start) {
        if (number.group("bottom") != null) {
            long bottom = wholeNumber(number.group("bottom"), start);
            if (bottom == 0) {
                throw new FieldNotationException("A fraction cannot be over zero.", number.start("bottom"));
            }
            long whole = number.group("whole") == null ? 0 : wholeNumber(number.group("whole"), start);
            return whole + wholeNumber(number.group("top"), start) / (double) bottom;
        }
        String decimal = number.group("decimal");
        if (THOUSANDS_OR_DECIMAL.matcher(decimal).matches()) {
            throw new FieldNotationException(
                    "\"" + decimal + "\" could be read two ways. Write " + decimal.replace(",", "") + " or "
                            + decimal.replace(',', '.') + ".",
                    start);
        }
        String plain = decimal.indexOf('.') >= 0 ? decimal.replace(",", "") : decimal.replace(',', '.');
        double value = Double.parseDouble(plain + (number.group("power") == null ? "" : number.group("power")));
        if (!Double.isFinite(value)) {
            throw new FieldNotationException("This number is too large.", start);
        }
        return value;
    }

    private static long wholeNumber(String digits, int start) {
        if (digits.length() > 9) {
            throw new FieldNotationException("This number is too large.", start);
        }
        return Long.parseLong(digits);
    }

    /**
     * The step of the last digit, SI. Feet and inches without a decimal point tell none: who reads 7' 0" off a tape
     * writes 7 ft.
     */
    private static double resolution(Matcher number, FieldUnit unit) {
        String decimal = number.group("decimal");
        int mark = decimal == null ? -1 : Math.max(decimal.lastIndexOf('.'), decimal.lastIndexOf(','));
        if (decimal == null || (mark < 0 && unit.inFeetOrInches())) {
            return 0;
        }
        double power = number.group("power") == null
                ? 0
                : Double.parseDouble(number.group("power").substring(1));
        return Math.pow(10, power - (mark < 0 ? 0 : decimal.length() - mark - 1)) * Math.abs(unit.factor());
    }

    private FieldUnit unit(FieldUnit previous) {
        if (position >= text.length()) {
            return bareNumberUnit(previous);
        }
        var spelling = FieldUnit.at(text, position, dimension);
        if (spelling.isPresent()) {
            position += spelling.get().text().length();
            return spelling.get().unit();
        }
        var foreign = FieldUnit.anyAt(text, position);
        if (foreign.isPresent()) {
            FieldUnit other = foreign.get().unit();
            throw new FieldNotationException(
                    "\"" + foreign.get().text() + "\" at character " + (position + 1) + " is "
                            + foreignKind(foreign.get().text(), other) + "; this line expects "
                            + dimension.named() + ", for example " + dimension.example() + ".",
                    position);
        }
        String word = text.substring(position).strip();
        throw new FieldNotationException(
                "\"" + word + "\" at character " + (position + 1) + " is not a unit known for " + dimension.named()
                        + ". Known: " + FieldUnit.known(dimension) + ".",
                position);
    }

    /** A bare psi or bar is a fault only where absolute pressure is asked for; say so rather than "a gauge pressure". */
    private String foreignKind(String written, FieldUnit other) {
        boolean undecided = dimension == Dimension.ABSOLUTE_PRESSURE
                && other.dimension() == Dimension.GAUGE_PRESSURE
                && !written.equalsIgnoreCase(other.symbol());
        return undecided
                ? "a pressure of unsaid kind (add \"a\" for absolute)"
                : "a unit of " + other.dimension().named();
    }

    /** Only where one unit is ever meant may it be left out. */
    private FieldUnit bareNumberUnit(FieldUnit previous) {
        if (previous == null) {
            switch (dimension) {
                case CURRENT:
                    return FieldUnit.of(dimension, "A");
                case VOLTAGE:
                    return FieldUnit.of(dimension, "V");
                case RATIO:
                    return FieldUnit.of(dimension, "%");
                case COUNT:
                    return FieldUnit.of(dimension, "");
                default:
                    break;
            }
        }
        throw new FieldNotationException("The unit is missing. Write " + dimension.example() + ".", position);
    }

    private void skipSpaces() {
        while (position < text.length() && text.charAt(position) == ' ') {
            position++;
        }
    }
}
