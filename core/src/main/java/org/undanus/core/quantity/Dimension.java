package org.undanus.core.quantity;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/** The kinds of quantity Undanus reads. Each has one SI unit and one value type. */
public enum Dimension {
    LENGTH("a length", "40.5 in, 3' 4-1/2\" or 1.03 m", Length::ofMetres),
    CONDUCTOR_AREA("a conductor size", "8 AWG or 10 mm²", ConductorArea::ofSquareMetres),
    MASS("a mass", "2 lb 6 oz or 1.08 kg", Mass::ofKilograms),
    DURATION("a length of time", "25 min or 1:40 h", Duration::ofSeconds),
    GAUGE_PRESSURE("a gauge pressure", "118 psig or 8.1 barg", GaugePressure::ofPascals),
    ABSOLUTE_PRESSURE("an absolute pressure", "350 micron or 46.7 Pa", AbsolutePressure::ofPascals),
    PRESSURE_DIFFERENCE("a pressure difference", "0.45 inwc or 112 Pa", PressureDifference::ofPascals),
    TEMPERATURE("a temperature", "75 °F or 24 °C", Temperature::ofKelvin),
    TEMPERATURE_DIFFERENCE("a temperature difference", "18 F° or 10 K", TemperatureDifference::ofKelvin),
    POWER("a power", "36 kBtu/h, 3 t or 10.5 kW", Power::ofWatts),
    CURRENT("a current", "27.4 A", Current::ofAmperes),
    VOLTAGE("a voltage", "238 V", Voltage::ofVolts),
    RESISTANCE("a resistance", "0.35 ohm", Resistance::ofOhms),
    VOLUME_FLOW("an airflow", "1200 cfm or 2040 m³/h", VolumeFlow::ofCubicMetresPerSecond),
    RATIO("a share", "45 %", Ratio::ofFraction),
    AREA("an area", "120 ft² or 11 m²", Area::ofSquareMetres),
    SOUND_LEVEL("a sound level", "48 dB", SoundLevel::ofDecibels),
    FREQUENCY("a speed of rotation", "850 rpm or 14 Hz", Frequency::ofHertz),
    TORQUE("a torque", "18 N·m or 13 ft·lb", Torque::ofNewtonMetres),
    LINEAR_DENSITY("a mass for each length", "0.6 oz/ft or 20 g/m", LinearDensity::ofKilogramsPerMetre),
    VOLUME("a volume", "1 gal or 4 L", Volume::ofCubicMetres),
    LIQUID_FLOW("a flow of water", "0.8 gal/h or 3 L/h", LiquidFlow::ofCubicMetresPerSecond),
    VELOCITY("a speed of air", "300 fpm or 1.5 m/s", Velocity::ofMetresPerSecond),
    THERMAL_CONDUCTIVITY(
            "a conductivity for heat",
            "0.25 Btu·in/h·ft²·F° or 0.036 W/m·K",
            ThermalConductivity::ofWattsPerMetreKelvin),
    HEATING_VALUE("a heating value", "1030 Btu/ft³ or 38.4 MJ/m³", HeatingValue::ofJoulesPerCubicMetre),
    CONCENTRATION("a share of a gas", "35 ppm", Concentration::ofParts),
    PERFORMANCE("a heat for the power taken", "COP 2.5 or 8.5 Btu/Wh", Performance::ofRatio),
    FORCE("a force", "20 lbf or 90 N", Force::ofNewtons),
    LEAK("a leak", "0.05 Pa·L/s", Leak::ofPascalCubicMetresPerSecond),
    COUNT("a number", "3", Count::of);

    /** Above any barometer's reading at sea level, Pa (WMO record 1085 hPa, reduced to sea level). */
    private static final double HIGHEST_AIR_PRESSURE = 110_000;

    private final String named;
    private final String example;
    private final DoubleFunction<Quantity> factory;

    Dimension(String named, String example, DoubleFunction<Quantity> factory) {
        this.named = named;
        this.example = example;
        this.factory = factory;
    }

    /** The kind with its article, for sentences: "a gauge pressure". */
    public String named() {
        return named;
    }

    /** What a person might type for it. */
    public String example() {
        return example;
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
