package org.undanus.core.quantity;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A unit people write, for one dimension. A value in SI is {@code typed * factor + offset}.
 *
 * <p>Factors: NIST Special Publication 811, appendix B; psi, inHg (0 °C) and inH2O (4 °C) as conventional there.
 *
 * @param symbol what it is printed as
 * @param customary a United States customary unit: its numbers carry a decimal point, never a point between thousands
 * @param aliases other spellings, matched without regard to case, spaces and full stops
 */
public record FieldUnit(
        String symbol, Dimension dimension, double factor, double offset, boolean customary, List<String> aliases) {

    /** m. */
    public static final double INCH = 0.0254;
    /** m. */
    public static final double FOOT = 0.3048;

    private static final double POUND = 0.45359237;
    private static final double OUNCE = 0.028349523;
    private static final double POUND_FORCE = 4.448222;
    private static final double PSI = 6894.757;
    private static final double INHG = 3386.389;
    /** Pa. */
    public static final double INH2O = 249.0889;

    private static final double MICRON_HG = 0.1333224;
    private static final double TORR = 133.3224;
    private static final double KGF_PER_CM2 = 98_066.5;
    private static final double BTU_PER_HOUR = 0.29307107;
    private static final double TON_REFRIGERATION = 3516.853;
    private static final double CFM = 4.719474e-4;
    private static final double FAHRENHEIT = 5.0 / 9;
    private static final double LITRE = 1e-3;
    private static final double GALLON = 3.785412e-3;
    private static final double BTU = 1055.056;
    private static final double BTU_INCH = 0.1442279;
    private static final double KILOWATT_HOUR = 3.6e6;

    private static FieldUnit unit(Dimension dimension, String symbol, double factor, String... aliases) {
        return new FieldUnit(symbol, dimension, factor, 0, false, List.of(aliases));
    }

    private static FieldUnit customary(Dimension dimension, String symbol, double factor, String... aliases) {
        return new FieldUnit(symbol, dimension, factor, 0, true, List.of(aliases));
    }

    /** Every way to name a torque: {@code ft lb}, {@code lbf-ft}, {@code foot-pounds}, {@code pound-feet}. */
    private static String[] poundTimes(String... arms) {
        return Stream.of(arms)
                .flatMap(arm -> Stream.of("lb", "lbs", "lbf", "pound", "pounds", "pound force")
                        .flatMap(pound -> Stream.of(arm + " " + pound, pound + " " + arm)))
                .toArray(String[]::new);
    }

    private static final List<FieldUnit> ALL = Stream.of(
                    lengths(), massesAndTimes(), pressures(), temperatures(), volumesAndFlows(), others())
            .flatMap(units -> units)
            .toList();

    private static Stream<FieldUnit> lengths() {
        return Stream.of(
                unit(Dimension.LENGTH, "m", 1, "metre", "metres", "meter", "meters"),
                unit(Dimension.LENGTH, "mm", 1e-3, "millimetre", "millimetres", "millimeter", "millimeters"),
                unit(Dimension.LENGTH, "cm", 1e-2, "centimetre", "centimetres", "centimeter", "centimeters"),
                unit(Dimension.LENGTH, "um", 1e-6),
                customary(Dimension.LENGTH, "in", INCH, "\"", "inch", "inches", "ins"),
                customary(Dimension.LENGTH, "ft", FOOT, "'", "foot", "feet"),
                unit(Dimension.CONDUCTOR_AREA, "mm²", 1e-6, "mm2", "mm^2", "sqmm", "sq mm", "square mm"),
                customary(Dimension.CONDUCTOR_AREA, "kcmil", 5.067075e-7, "mcm"),
                unit(Dimension.AREA, "cm²", 1e-4, "cm2", "cm^2", "sq cm"),
                customary(Dimension.AREA, "in²", INCH * INCH, "in2", "in^2", "sq in", "square inches"),
                unit(Dimension.AREA, "m²", 1, "m2", "m^2", "sqm", "sq m", "square metres", "square meters"),
                customary(
                        Dimension.AREA,
                        "ft²",
                        FOOT * FOOT,
                        "ft2",
                        "ft^2",
                        "sqft",
                        "sq ft",
                        "square feet",
                        "square foot"));
    }

    private static Stream<FieldUnit> massesAndTimes() {
        return Stream.of(
                unit(
                        Dimension.MASS,
                        "kg",
                        1,
                        "kgs",
                        "kilo",
                        "kilos",
                        "kilogram",
                        "kilograms",
                        "kilogramme",
                        "kilogrammes"),
                unit(Dimension.MASS, "g", 1e-3, "gram", "grams", "gramme", "grammes"),
                customary(Dimension.MASS, "lb", POUND, "lbs", "pound", "pounds"),
                customary(Dimension.MASS, "oz", OUNCE, "ozs", "ounce", "ounces"),
                unit(Dimension.MASS, "t", 1000, "tonne", "tonnes"),
                unit(Dimension.LINEAR_DENSITY, "kg/m", 1, "kg per m"),
                unit(Dimension.LINEAR_DENSITY, "g/m", 1e-3, "g per m", "grams per metre", "grams per meter"),
                customary(Dimension.LINEAR_DENSITY, "oz/ft", OUNCE / FOOT, "oz per ft", "ounces per foot"),
                unit(Dimension.DURATION, "s", 1, "sec", "secs", "second", "seconds"),
                unit(Dimension.DURATION, "min", 60, "mins", "minute", "minutes"),
                unit(Dimension.DURATION, "h", 3600, "hr", "hrs", "hour", "hours"),
                unit(Dimension.DURATION, "d", 86_400, "day", "days"),
                unit(Dimension.DURATION, "a", 31_556_952, "yr", "yrs", "year", "years"));
    }

    private static Stream<FieldUnit> pressures() {
        return Stream.of(
                customary(Dimension.GAUGE_PRESSURE, "psig", PSI, "psi", "psi g", "psi(g)", "psi gauge"),
                unit(Dimension.GAUGE_PRESSURE, "barg", 1e5, "bar", "bar g", "bar(g)", "bar gauge"),
                unit(Dimension.GAUGE_PRESSURE, "kPag", 1e3, "kPa", "kPa g", "kPa(g)", "kPa gauge"),
                unit(Dimension.GAUGE_PRESSURE, "MPag", 1e6, "MPa", "MPa g", "MPa(g)", "MPa gauge"),
                unit(Dimension.GAUGE_PRESSURE, "kgf/cm²", KGF_PER_CM2, "kgf/cm2", "kg/cm2", "kg/cm²"),
                customary(Dimension.GAUGE_PRESSURE, "inHg vac", -INHG, "in Hg vac", "in Hg vacuum", "\" Hg vac"),
                unit(Dimension.ABSOLUTE_PRESSURE, "Pa", 1, "Pa a", "Pa abs", "Pa absolute"),
                unit(Dimension.ABSOLUTE_PRESSURE, "kPa abs", 1e3, "kPa a", "kPa(a)", "kPa absolute"),
                unit(Dimension.ABSOLUTE_PRESSURE, "bara", 1e5, "bar a", "bar abs", "bar(a)", "bar absolute"),
                customary(Dimension.ABSOLUTE_PRESSURE, "psia", PSI, "psi a", "psi abs", "psi(a)", "psi absolute"),
                customary(Dimension.ABSOLUTE_PRESSURE, "micron", MICRON_HG, "microns", "mikron", "um", "um Hg", "u"),
                unit(Dimension.ABSOLUTE_PRESSURE, "mTorr", TORR / 1000, "millitorr"),
                unit(Dimension.ABSOLUTE_PRESSURE, "torr", TORR, "mm Hg"),
                unit(Dimension.ABSOLUTE_PRESSURE, "mbar", 100, "millibar", "millibars", "hPa"),
                customary(Dimension.ABSOLUTE_PRESSURE, "inHg abs", INHG, "inHg a", "in Hg abs", "inHg absolute"),
                customary(
                        Dimension.ABSOLUTE_PRESSURE, "inHg", INHG, "in Hg", "\" Hg", "inches Hg", "inches of mercury"),
                unit(Dimension.PRESSURE_DIFFERENCE, "Pa", 1, "pascal", "pascals"),
                unit(Dimension.PRESSURE_DIFFERENCE, "kPa", 1e3),
                unit(Dimension.PRESSURE_DIFFERENCE, "mbar", 100, "millibar", "millibars", "hPa"),
                unit(Dimension.PRESSURE_DIFFERENCE, "bar", 1e5),
                customary(Dimension.PRESSURE_DIFFERENCE, "psi", PSI),
                customary(
                        Dimension.PRESSURE_DIFFERENCE,
                        "inwc",
                        INH2O,
                        "iwc",
                        "in wc",
                        "in w c",
                        "in wg",
                        "in w g",
                        "in H2O",
                        "\" wc",
                        "\" w c",
                        "\" wg",
                        "\" w g",
                        "\" H2O",
                        "inches wc",
                        "inches w c",
                        "inches of water",
                        "inches water column"));
    }

    private static Stream<FieldUnit> temperatures() {
        double zeroFahrenheit = Temperature.ZERO_CELSIUS - 32 * FAHRENHEIT;
        String[] celsius = {"C", "deg C", "° C", "degree C", "degrees C", "celsius", "degrees celsius", "centigrade"};
        String[] fahrenheit = {"F", "deg F", "° F", "degree F", "degrees F", "fahrenheit", "degrees fahrenheit"};
        return Stream.of(
                new FieldUnit("K", Dimension.TEMPERATURE, 1, 0, false, List.of("kelvin", "kelvins")),
                new FieldUnit("°C", Dimension.TEMPERATURE, 1, Temperature.ZERO_CELSIUS, false, List.of(celsius)),
                new FieldUnit("°F", Dimension.TEMPERATURE, FAHRENHEIT, zeroFahrenheit, true, List.of(fahrenheit)),
                unit(Dimension.TEMPERATURE_DIFFERENCE, "K", 1, with(celsius, "C°", "°C", "kelvin", "kelvins")),
                customary(Dimension.TEMPERATURE_DIFFERENCE, "F°", FAHRENHEIT, with(fahrenheit, "°F", "R")));
    }

    private static String[] with(String[] some, String... more) {
        return Stream.concat(Stream.of(some), Stream.of(more)).toArray(String[]::new);
    }

    private static Stream<FieldUnit> volumesAndFlows() {
        double cubicFoot = FOOT * FOOT * FOOT;
        return Stream.of(
                unit(Dimension.VOLUME, "L", LITRE, "litre", "litres", "liter", "liters"),
                unit(Dimension.VOLUME, "mL", LITRE / 1000, "millilitre", "millilitres", "milliliter", "milliliters"),
                unit(Dimension.VOLUME, "m³", 1, "m3", "m^3", "cubic metres", "cubic meters"),
                customary(Dimension.VOLUME, "gal", GALLON, "gallon", "gallons"),
                customary(Dimension.VOLUME, "qt", GALLON / 4, "quart", "quarts"),
                customary(Dimension.VOLUME, "pt", GALLON / 8, "pint", "pints"),
                customary(Dimension.VOLUME, "ft³", cubicFoot, "ft3", "ft^3", "cu ft", "cf", "cubic foot", "cubic feet"),
                unit(Dimension.LIQUID_FLOW, "L/h", LITRE / 3600, "litres per hour", "L/hr"),
                unit(Dimension.LIQUID_FLOW, "L/min", LITRE / 60, "litres per minute"),
                unit(Dimension.LIQUID_FLOW, "mL/min", LITRE / 60_000),
                customary(Dimension.LIQUID_FLOW, "gal/h", GALLON / 3600, "gph", "gal/hr", "gallons per hour"),
                customary(Dimension.LIQUID_FLOW, "gpm", GALLON / 60, "gal/min", "gallons per minute"),
                unit(Dimension.VELOCITY, "m/s", 1, "metres per second", "meters per second"),
                unit(Dimension.VELOCITY, "cm/s", 0.01, "centimetres per second", "centimeters per second"),
                unit(Dimension.VELOCITY, "mm/s", 0.001, "millimetres per second", "millimeters per second"),
                customary(Dimension.VELOCITY, "fpm", FOOT / 60, "ft/min", "feet per minute"),
                customary(Dimension.VELOCITY, "in/s", INCH, "inches per second"),
                unit(Dimension.THERMAL_CONDUCTIVITY, "W/m·K", 1, "W/mK", "W/m K", "W/(m·K)", "W/(mK)", "W/(m K)"),
                customary(
                        Dimension.THERMAL_CONDUCTIVITY,
                        "Btu·in/h·ft²·F°",
                        BTU_INCH,
                        "Btu·in/h·ft2·F°",
                        "Btu in/h ft2 F",
                        "Btu·in/h·ft2·°F",
                        "Btu·in/(h·ft2·°F)"),
                unit(Dimension.HEATING_VALUE, "MJ/m³", 1e6, "MJ/m3"),
                unit(Dimension.HEATING_VALUE, "kWh/m³", KILOWATT_HOUR, "kWh/m3"),
                customary(Dimension.HEATING_VALUE, "Btu/ft³", BTU / cubicFoot, "Btu/ft3", "Btu/cf", "Btu/cu ft"),
                unit(Dimension.CONCENTRATION, "ppm", 1e-6, "parts per million", "ppm CO"),
                unit(Dimension.PERFORMANCE, "COP", 1, "W/W"),
                customary(Dimension.PERFORMANCE, "Btu/Wh", BTU_PER_HOUR, "Btu/W·h", "Btu/(W·h)", "Btu/W h"),
                unit(Dimension.FORCE, "N", 1, "newton", "newtons"),
                customary(Dimension.FORCE, "lbf", POUND_FORCE, "pounds force"),
                unit(Dimension.LEAK, "Pa·L/s", LITRE, "Pa L/s", "Pa.L/s"),
                unit(Dimension.LEAK, "mbar·L/s", 100 * LITRE, "mbar L/s", "mbar.L/s"));
    }

    private static Stream<FieldUnit> others() {
        return Stream.of(
                unit(Dimension.POWER, "W", 1, "watt", "watts"),
                unit(Dimension.POWER, "kW", 1e3, "kilowatt", "kilowatts"),
                customary(Dimension.POWER, "Btu/h", BTU_PER_HOUR, "Btuh", "Btu/hr", "Btu per hour"),
                customary(Dimension.POWER, "kBtu/h", 1e3 * BTU_PER_HOUR, "kBtuh", "MBH", "kBtu/hr"),
                customary(Dimension.POWER, "t", TON_REFRIGERATION, "ton", "tons"),
                unit(Dimension.CURRENT, "A", 1, "amp", "amps", "ampere", "amperes"),
                unit(Dimension.CURRENT, "mA", 1e-3, "milliamp", "milliamps"),
                unit(Dimension.VOLTAGE, "V", 1, "volt", "volts", "V ac"),
                unit(Dimension.VOLTAGE, "kV", 1e3),
                unit(Dimension.RESISTANCE, "ohm", 1, "Ω", "ohms"),
                unit(Dimension.VOLUME_FLOW, "m³/s", 1, "m3/s"),
                unit(Dimension.VOLUME_FLOW, "m³/h", 1.0 / 3600, "m3/h", "m3/hr"),
                unit(Dimension.VOLUME_FLOW, "L/s", 1e-3, "l/sec"),
                customary(Dimension.VOLUME_FLOW, "cfm", CFM, "ft3/min"),
                unit(Dimension.RATIO, "%", 0.01, "percent", "per cent", "pct", "% RH"),
                unit(Dimension.RATIO, "mm/m", 1e-3, "mm per m", "mm per metre", "mm per meter"),
                customary(
                        Dimension.RATIO,
                        "in/ft",
                        INCH / FOOT,
                        "\"/ft",
                        "\"/foot",
                        "\"/'",
                        "\" per ft",
                        "\" per foot",
                        "in/foot",
                        "in per ft",
                        "in per foot",
                        "inch per foot",
                        "inches per foot"),
                unit(Dimension.COUNT, "", 1),
                unit(Dimension.SOUND_LEVEL, "dB", 1, "dB(A)", "dB A"),
                unit(Dimension.FREQUENCY, "Hz", 1, "hertz"),
                unit(Dimension.FREQUENCY, "rpm", 1.0 / 60, "1/min", "r/min"),
                unit(Dimension.TORQUE, "N·m", 1, "Nm", "N m", "newton metre", "newton metres", "newton meters"),
                customary(Dimension.TORQUE, "ft·lb", FOOT * POUND_FORCE, poundTimes("ft", "foot", "feet")),
                customary(Dimension.TORQUE, "in·lb", INCH * POUND_FORCE, poundTimes("in", "inch", "inches")));
    }

    private static final Map<Dimension, List<UnitSpelling>> SPELLINGS = ALL.stream()
            .filter(unit -> !unit.symbol.isEmpty())
            .collect(Collectors.collectingAndThen(
                    Collectors.groupingBy(
                            FieldUnit::dimension,
                            () -> new EnumMap<>(Dimension.class),
                            Collectors.flatMapping(FieldUnit::spellings, Collectors.toUnmodifiableList())),
                    Collections::unmodifiableMap));

    private static final List<UnitSpelling> ALL_SPELLINGS =
            SPELLINGS.values().stream().flatMap(List::stream).toList();

    private Stream<UnitSpelling> spellings() {
        return Stream.concat(Stream.of(symbol), aliases.stream()).map(alias -> new UnitSpelling(alias, this));
    }

    /** All of a dimension, in the order they are known by. */
    static Stream<FieldUnit> all(Dimension dimension) {
        return ALL.stream().filter(unit -> unit.dimension() == dimension);
    }

    /** The unit printed with this symbol in this dimension. */
    static FieldUnit of(Dimension dimension, String symbol) {
        return ALL.stream()
                .filter(unit -> unit.dimension == dimension && unit.symbol.equals(symbol))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No unit " + symbol + " for " + dimension.named()));
    }

    /**
     * A quantity counted from the zero of a unit, in SI: 24 for 24 °C, 40 for 72 °F. What a thermometer's accuracy in
     * percent of reading is of.
     *
     * @param symbol the unit's symbol; where it is none of the dimension, the SI unit's zero counts
     */
    public static double size(Quantity quantity, String symbol) {
        double offset = ALL.stream()
                .filter(unit -> unit.dimension == quantity.dimension() && unit.symbol.equals(symbol))
                .mapToDouble(FieldUnit::offset)
                .findFirst()
                .orElse(0);
        return quantity.si() - offset;
    }

    /** The longest spelling that stands at this place of the text and belongs to the dimension. */
    /** The unit that a text names, and nothing else. */
    public static Optional<FieldUnit> named(Dimension dimension, String text) {
        return at(text, 0, dimension)
                .filter(found -> found.text().length() == text.length())
                .map(UnitSpelling.Found::unit);
    }

    static Optional<UnitSpelling.Found> at(String text, int position, Dimension dimension) {
        List<UnitSpelling> known = SPELLINGS.getOrDefault(dimension, List.of());
        return Optional.ofNullable(UnitSpelling.longest(known, text, position));
    }

    /** The longest spelling of any dimension that stands at this place. */
    static Optional<UnitSpelling.Found> anyAt(String text, int position) {
        return Optional.ofNullable(UnitSpelling.longest(ALL_SPELLINGS, text, position));
    }

    boolean inFeetOrInches() {
        return factor == INCH || factor == FOOT;
    }

    /** What the last place of a number in this unit is worth, SI. */
    double step(WrittenNumber number) {
        return number.step() * Math.abs(factor);
    }

    /** A value written in this unit, in SI. */
    public double toSi(double typed) {
        return typed * factor + offset;
    }

    /** A value in SI, in this unit. */
    public double fromSi(double si) {
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
