package org.undanus.core.quantity;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A unit people write, for one dimension. A value in SI is {@code typed * factor + offset}.
 *
 * <p>Factors: NIST Special Publication 811, appendix B; psi, inHg (0 °C) and inH2O (4 °C) as conventional there.
 *
 * @param symbol what it is printed as
 * @param aliases other spellings, matched without regard to case
 */
public record FieldUnit(String symbol, Dimension dimension, double factor, double offset, List<String> aliases) {

    private static final double INCH = 0.0254;
    private static final double FOOT = 0.3048;
    private static final double POUND = 0.45359237;
    private static final double OUNCE = 0.028349523;
    private static final double POUND_FORCE = 4.448222;
    private static final double PSI = 6894.757;
    private static final double INHG = 3386.389;
    private static final double INH2O = 249.0889;
    private static final double MICRON_HG = 0.1333224;
    private static final double TORR = 133.3224;
    private static final double KGF_PER_CM2 = 98_066.5;
    private static final double BTU_PER_HOUR = 0.29307107;
    private static final double TON_REFRIGERATION = 3516.853;
    private static final double CFM = 4.719474e-4;
    private static final double FAHRENHEIT = 5.0 / 9;

    private static FieldUnit unit(Dimension dimension, String symbol, double factor, String... aliases) {
        return new FieldUnit(symbol, dimension, factor, 0, List.of(aliases));
    }

    private static final List<FieldUnit> ALL = Stream.of(
                    Stream.of(
                            unit(Dimension.LENGTH, "m", 1, "metre", "metres", "meter", "meters"),
                            unit(Dimension.LENGTH, "mm", 1e-3, "millimetres", "millimeters"),
                            unit(Dimension.LENGTH, "cm", 1e-2),
                            unit(Dimension.LENGTH, "um", 1e-6),
                            unit(Dimension.LENGTH, "in", INCH, "\"", "inch", "inches", "ins"),
                            unit(Dimension.LENGTH, "ft", FOOT, "'", "foot", "feet"),
                            unit(Dimension.CONDUCTOR_AREA, "mm²", 1e-6, "mm2", "sqmm", "sq mm"),
                            unit(Dimension.CONDUCTOR_AREA, "kcmil", 5.067075e-7, "mcm"),
                            unit(Dimension.MASS, "kg", 1),
                            unit(Dimension.MASS, "g", 1e-3, "gram", "grams"),
                            unit(Dimension.MASS, "lb", POUND, "lbs"),
                            unit(Dimension.MASS, "oz", OUNCE),
                            unit(Dimension.MASS, "t", 1000, "tonne"),
                            unit(Dimension.DURATION, "s", 1, "sec", "secs", "seconds"),
                            unit(Dimension.DURATION, "min", 60, "mins", "minutes"),
                            unit(Dimension.DURATION, "h", 3600, "hr", "hrs", "hour", "hours"),
                            unit(Dimension.DURATION, "d", 86_400, "day", "days"),
                            unit(Dimension.DURATION, "a", 31_556_952, "year", "years")),
                    Stream.of(
                            unit(Dimension.GAUGE_PRESSURE, "psig", PSI, "psi", "psi(g)"),
                            unit(Dimension.GAUGE_PRESSURE, "barg", 1e5, "bar", "bar(g)"),
                            unit(Dimension.GAUGE_PRESSURE, "kPag", 1e3, "kPa", "kPa(g)"),
                            unit(Dimension.GAUGE_PRESSURE, "MPag", 1e6, "MPa"),
                            unit(Dimension.GAUGE_PRESSURE, "kgf/cm²", KGF_PER_CM2, "kgf/cm2", "kg/cm2"),
                            unit(Dimension.GAUGE_PRESSURE, "inHg vac", -INHG, "inhg vacuum", "in hg vac"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "Pa", 1, "Paa", "Pa abs"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "kPa abs", 1e3, "kPaa", "kPa(a)"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "bara", 1e5, "bar abs", "bar(a)"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "psia", PSI, "psi abs", "psi(a)"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "micron", MICRON_HG, "microns", "um", "umHg"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "torr", TORR, "mmHg"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "mbar", 100, "hPa"),
                            unit(Dimension.ABSOLUTE_PRESSURE, "inHg", INHG),
                            unit(Dimension.PRESSURE_DIFFERENCE, "Pa", 1),
                            unit(Dimension.PRESSURE_DIFFERENCE, "kPa", 1e3),
                            unit(Dimension.PRESSURE_DIFFERENCE, "mbar", 100),
                            unit(Dimension.PRESSURE_DIFFERENCE, "bar", 1e5),
                            unit(Dimension.PRESSURE_DIFFERENCE, "psi", PSI),
                            unit(Dimension.PRESSURE_DIFFERENCE, "inwc", INH2O, "inH2O", "in wc", "in w.c.", "in wg")),
                    Stream.of(
                            new FieldUnit("K", Dimension.TEMPERATURE, 1, 0, List.of("kelvin")),
                            new FieldUnit(
                                    "°C",
                                    Dimension.TEMPERATURE,
                                    1,
                                    Temperature.ZERO_CELSIUS,
                                    List.of("C", "degC", "deg C")),
                            new FieldUnit(
                                    "°F",
                                    Dimension.TEMPERATURE,
                                    FAHRENHEIT,
                                    Temperature.ZERO_CELSIUS - 32 * FAHRENHEIT,
                                    List.of("F", "degF", "deg F")),
                            unit(Dimension.TEMPERATURE_DIFFERENCE, "K", 1, "C°", "°C", "C", "kelvin"),
                            unit(Dimension.TEMPERATURE_DIFFERENCE, "F°", FAHRENHEIT, "°F", "F", "R"),
                            unit(Dimension.POWER, "W", 1, "watt", "watts"),
                            unit(Dimension.POWER, "kW", 1e3),
                            unit(Dimension.POWER, "Btu/h", BTU_PER_HOUR, "Btuh", "Btu/hr"),
                            unit(Dimension.POWER, "kBtu/h", 1e3 * BTU_PER_HOUR, "kBtuh", "MBH", "kBtu/hr"),
                            unit(Dimension.POWER, "t", TON_REFRIGERATION, "ton", "tons"),
                            unit(Dimension.CURRENT, "A", 1, "amp", "amps", "ampere", "amperes"),
                            unit(Dimension.CURRENT, "mA", 1e-3),
                            unit(Dimension.VOLTAGE, "V", 1, "volt", "volts", "Vac"),
                            unit(Dimension.VOLTAGE, "kV", 1e3),
                            unit(Dimension.RESISTANCE, "ohm", 1, "Ω", "ohms"),
                            unit(Dimension.VOLUME_FLOW, "m³/s", 1, "m3/s"),
                            unit(Dimension.VOLUME_FLOW, "m³/h", 1.0 / 3600, "m3/h", "m3/hr"),
                            unit(Dimension.VOLUME_FLOW, "L/s", 1e-3, "l/sec"),
                            unit(Dimension.VOLUME_FLOW, "cfm", CFM),
                            unit(Dimension.RATIO, "%", 0.01, "percent", "pct", "%RH"),
                            unit(Dimension.RATIO, "mm/m", 1e-3),
                            unit(Dimension.RATIO, "in/ft", INCH / FOOT),
                            unit(Dimension.COUNT, "", 1)),
                    Stream.of(
                            unit(Dimension.AREA, "m²", 1, "m2", "sqm", "sq m"),
                            unit(Dimension.AREA, "ft²", FOOT * FOOT, "ft2", "sqft", "sq ft"),
                            unit(Dimension.SOUND_LEVEL, "dB", 1, "dB(A)", "dBA"),
                            unit(Dimension.FREQUENCY, "Hz", 1),
                            unit(Dimension.FREQUENCY, "rpm", 1.0 / 60, "1/min", "r/min"),
                            unit(Dimension.TORQUE, "N·m", 1, "Nm", "N m"),
                            unit(Dimension.TORQUE, "ft·lb", FOOT * POUND_FORCE, "ft lb", "ftlb", "lbf ft"),
                            unit(Dimension.TORQUE, "in·lb", INCH * POUND_FORCE, "in lb", "inlb", "lbf in"),
                            unit(Dimension.LINEAR_DENSITY, "kg/m", 1),
                            unit(Dimension.LINEAR_DENSITY, "g/m", 1e-3),
                            unit(Dimension.LINEAR_DENSITY, "oz/ft", OUNCE / FOOT)))
            .flatMap(units -> units)
            .toList();

    /** A spelling of a unit, ready to be matched. */
    record Spelling(String text, FieldUnit unit) {}

    private static final List<Spelling> SPELLINGS = ALL.stream()
            .flatMap(unit ->
                    Stream.concat(Stream.of(unit.symbol), unit.aliases.stream()).map(s -> new Spelling(s, unit)))
            .filter(spelling -> !spelling.text.isEmpty())
            .sorted(Comparator.comparingInt((Spelling s) -> s.text.length()).reversed())
            .toList();

    /** The unit printed with this symbol in this dimension. */
    static FieldUnit of(Dimension dimension, String symbol) {
        return ALL.stream()
                .filter(unit -> unit.dimension == dimension && unit.symbol.equals(symbol))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No unit " + symbol + " for " + dimension.named()));
    }

    /** The longest spelling that stands at this place of the text and belongs to the dimension. */
    static Optional<Spelling> at(String text, int position, Dimension dimension) {
        return longest(text, position, dimension);
    }

    /** The longest spelling of any dimension that stands at this place. */
    static Optional<Spelling> anyAt(String text, int position) {
        return longest(text, position, null);
    }

    private static Optional<Spelling> longest(String text, int position, Dimension dimensionOrNull) {
        return SPELLINGS.stream()
                .filter(s -> dimensionOrNull == null || s.unit.dimension == dimensionOrNull)
                .filter(s -> text.regionMatches(true, position, s.text, 0, s.text.length()))
                .filter(s -> endsWord(text, position + s.text.length(), s.text))
                // "mW" and "MW" or "K" and "k" differ by case alone: the exact spelling wins over the folded one
                .min(Comparator.comparingInt((Spelling s) -> -s.text.length())
                        .thenComparing(s -> !text.startsWith(s.text, position)));
    }

    private static boolean endsWord(String text, int end, String spelling) {
        boolean wordUnit = Character.isLetter(spelling.charAt(spelling.length() - 1));
        return !wordUnit || end >= text.length() || !Character.isLetter(text.charAt(end));
    }

    boolean inFeetOrInches() {
        return factor == INCH || factor == FOOT;
    }

    double toSi(double typed) {
        return typed * factor + offset;
    }

    double fromSi(double si) {
        return (si - offset) / factor;
    }

    /** All spellings of a dimension's units, for messages. */
    static String known(Dimension dimension) {
        return String.join(
                ", ",
                ALL.stream()
                        .filter(u -> u.dimension == dimension && !u.symbol.isEmpty())
                        .map(FieldUnit::symbol)
                        .toList());
    }

    @Override
    public String toString() {
        return symbol.isEmpty() ? dimension.name().toLowerCase(Locale.ROOT) : symbol;
    }
}
