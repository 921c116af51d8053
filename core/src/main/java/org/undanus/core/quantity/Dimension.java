package org.undanus.core.quantity;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import org.undanus.core.words.Text;

/** The kinds of quantity Undanus reads. Each has one SI unit and one value type. */
public enum Dimension {
    LENGTH("a length", Length::ofMetres, "40.5 in", "3' 4-1/2\"", "1.03 m"),
    CONDUCTOR_AREA("a conductor size", ConductorArea::ofSquareMetres, "8 AWG", "10 mm²"),
    MASS("a mass", Mass::ofKilograms, "2 lb 6 oz", "1.08 kg"),
    DURATION("a length of time", Duration::ofSeconds, "25 min", "1:40 h"),
    GAUGE_PRESSURE("a gauge pressure", GaugePressure::ofPascals, "118 psig", "8.1 barg"),
    ABSOLUTE_PRESSURE("an absolute pressure", AbsolutePressure::ofPascals, "350 micron", "46.7 Pa"),
    PRESSURE_DIFFERENCE("a pressure difference", PressureDifference::ofPascals, "0.45 inwc", "112 Pa"),
    TEMPERATURE("a temperature", Temperature::ofKelvin, "75 °F", "24 °C"),
    TEMPERATURE_DIFFERENCE("a temperature difference", TemperatureDifference::ofKelvin, "18 F°", "10 K"),
    POWER("a power", Power::ofWatts, "36 kBtu/h", "3 t", "10.5 kW"),
    CURRENT("a current", Current::ofAmperes, "27.4 A"),
    VOLTAGE("a voltage", Voltage::ofVolts, "238 V"),
    RESISTANCE("a resistance", Resistance::ofOhms, "0.35 ohm"),
    VOLUME_FLOW("an airflow", VolumeFlow::ofCubicMetresPerSecond, "1200 cfm", "2040 m³/h"),
    RATIO("a share", Ratio::ofFraction, "45 %"),
    AREA("an area", Area::ofSquareMetres, "120 ft²", "11 m²"),
    SOUND_LEVEL("a sound level", SoundLevel::ofDecibels, "48 dB"),
    FREQUENCY("a speed of rotation", Frequency::ofHertz, "850 rpm", "14 Hz"),
    TORQUE("a torque", Torque::ofNewtonMetres, "18 N·m", "13 ft·lb"),
    LINEAR_DENSITY("a mass for each length", LinearDensity::ofKilogramsPerMetre, "0.6 oz/ft", "20 g/m"),
    VOLUME("a volume", Volume::ofCubicMetres, "1 gal", "4 L"),
    LIQUID_FLOW("a flow of water", LiquidFlow::ofCubicMetresPerSecond, "0.8 gal/h", "3 L/h"),
    VELOCITY("a speed of air", Velocity::ofMetresPerSecond, "300 fpm", "1.5 m/s"),
    THERMAL_CONDUCTIVITY(
            "a conductivity for heat",
            ThermalConductivity::ofWattsPerMetreKelvin,
            "0.25 Btu·in/h·ft²·F°",
            "0.036 W/m·K"),
    HEATING_VALUE("a heating value", HeatingValue::ofJoulesPerCubicMetre, "1030 Btu/ft³", "38.4 MJ/m³"),
    CONCENTRATION("a share of a gas", Concentration::ofParts, "35 ppm"),
    PERFORMANCE("a heat for the power taken", Performance::ofRatio, "COP 2.5", "8.5 Btu/Wh"),
    FORCE("a force", Force::ofNewtons, "20 lbf", "90 N"),
    LEAK("a leak", Leak::ofPascalCubicMetresPerSecond, "0.05 Pa·L/s"),
    COUNT("a number", Count::of, "3");

    /** Above any barometer's reading at sea level, Pa (WMO record 1085 hPa, reduced to sea level). */
    private static final double HIGHEST_AIR_PRESSURE = 110_000;

    private final String named;
    private final DoubleFunction<Quantity> factory;
    private final List<String> examples;

    Dimension(String named, DoubleFunction<Quantity> factory, String... examples) {
        this.named = named;
        this.factory = factory;
        this.examples = List.of(examples);
    }

    /** The kind with its article, for sentences: "a gauge pressure". */
    public String named() {
        return named;
    }

    /** What a person might type for it, in one unit each. */
    public List<String> examples() {
        return examples;
    }

    /** What a person might type for it, for sentences: "118 psig or 8.1 barg". */
    public Text example() {
        return Text.any(examples);
    }

    /** The smallest value there can be in nature, SI. A gauge shows no less than a full vacuum under the highest air. */
    double lowest() {
        return switch (this) {
            case TEMPERATURE, ABSOLUTE_PRESSURE -> 0;
            case GAUGE_PRESSURE -> -HIGHEST_AIR_PRESSURE;
            default -> Double.NEGATIVE_INFINITY;
        };
    }

    /** What lies at {@link #lowest}, for sentences. */
    String floor() {
        return this == TEMPERATURE ? "absolute zero" : "a full vacuum";
    }

    /** The symbol of the one unit that is ever meant where none is written; empty where the unit has to be said. */
    Optional<String> bareUnit() {
        return switch (this) {
            case CURRENT -> Optional.of("A");
            case VOLTAGE -> Optional.of("V");
            case RATIO -> Optional.of("%");
            case CONCENTRATION -> Optional.of("ppm");
            case COUNT -> Optional.of("");
            default -> Optional.empty();
        };
    }

    /** Symbols of the units people mostly write it in, to be offered where the unit was left out. */
    public List<String> usualUnits() {
        return switch (this) {
            case LENGTH -> List.of("in", "cm", "ft", "mm", "m");
            case CONDUCTOR_AREA -> List.of("AWG", "mm²");
            case MASS -> List.of("lb", "kg", "oz", "g");
            case DURATION -> List.of("min", "s", "h");
            case GAUGE_PRESSURE -> List.of("psig", "barg", "kPag");
            case ABSOLUTE_PRESSURE -> List.of("micron", "Pa", "mbar");
            case PRESSURE_DIFFERENCE -> List.of("inwc", "Pa", "kPa");
            case TEMPERATURE -> List.of("°F", "°C");
            case TEMPERATURE_DIFFERENCE -> List.of("F°", "K");
            case POWER -> List.of("kBtu/h", "kW", "t");
            case CURRENT -> List.of("A", "mA");
            case VOLTAGE -> List.of("V");
            case RESISTANCE -> List.of("ohm");
            case VOLUME_FLOW -> List.of("cfm", "m³/h", "L/s");
            case RATIO -> List.of("%", "mm/m", "in/ft");
            case AREA -> List.of("ft²", "in²", "m²", "cm²");
            case SOUND_LEVEL -> List.of("dB");
            case FREQUENCY -> List.of("rpm", "Hz");
            case TORQUE -> List.of("N·m", "ft·lb", "in·lb");
            case LINEAR_DENSITY -> List.of("oz/ft", "g/m");
            case VOLUME -> List.of("gal", "L", "mL");
            case LIQUID_FLOW -> List.of("gal/h", "L/h", "mL/min");
            case VELOCITY -> List.of("fpm", "m/s");
            case THERMAL_CONDUCTIVITY -> List.of("W/m·K", "Btu·in/h·ft²·F°");
            case HEATING_VALUE -> List.of("Btu/ft³", "MJ/m³", "kWh/m³");
            case CONCENTRATION -> List.of("ppm");
            case PERFORMANCE -> List.of("COP", "Btu/Wh");
            case FORCE -> List.of("N", "lbf");
            case LEAK -> List.of("Pa·L/s", "mbar·L/s");
            case COUNT -> List.of();
        };
    }

    /** The value type of this dimension for a number in its SI unit. */
    public Quantity of(double si) {
        return factory.apply(si);
    }
}
