package org.undanus.core.installation;

import java.util.List;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** The points read off a nameplate. They stand here because every station judges against the plate. */
public final class PlatePoints {
    private PlatePoints() {}

    public static final Point LEGIBLE = Point.yesNo(
            "plate.legible", Scope.UNIT, "Plate present and legible", "Look for the maker's plate on the cabinet.");
    public static final Point MAKER = Point.text("plate.maker", Scope.UNIT, "Maker", "As stamped on the plate.");
    public static final Point MODEL = Point.text("plate.model", Scope.UNIT, "Model", "As stamped, to the last letter.");
    public static final Point SERIAL =
            Point.text("plate.serial", Scope.UNIT, "Serial number", "As stamped on the plate.");
    public static final Point MANUFACTURED = Point.month(
            "plate.manufactured",
            Scope.UNIT,
            "Date of manufacture",
            "Year and month (2025-03) or year and week (2025-W14).");
    public static final Point REFRIGERANT = Point.openChoice(
            "plate.refrigerant", Scope.REFRIGERANT_UNIT, "Refrigerant", "The designation on the plate.");
    public static final Point CHARGE = Point.quantity(
                    "plate.charge",
                    Scope.OUTDOOR_UNIT,
                    Dimension.MASS,
                    "Factory charge",
                    "The mass on the plate.",
                    0.05,
                    60)
            .asOptional();
    public static final Point RATED_VOLTAGE = Point.quantity(
            "plate.rated-voltage",
            Scope.POWERED_UNIT,
            Dimension.VOLTAGE,
            "Rated voltage",
            "Where the plate gives two (208/230), the lower here.",
            20,
            700);
    public static final Point UPPER_RATED_VOLTAGE = Point.quantity(
                    "plate.upper-rated-voltage",
                    Scope.POWERED_UNIT,
                    Dimension.VOLTAGE,
                    "Upper rated voltage",
                    "Only where the plate gives two (208/230): the higher.",
                    20,
                    700)
            .asOptional();
    public static final Option ONE_PHASE = Option.of("1", "1");
    public static final Option THREE_PHASES = Option.of("3", "3");
    public static final Point PHASES = Point.choice(
            "plate.phases", Scope.POWERED_UNIT, "Phases", "1 or 3, on the plate.", List.of(ONE_PHASE, THREE_PHASES));
    public static final Point MINIMUM_CIRCUIT_AMPACITY = Point.quantity(
                    "plate.minimum-circuit-ampacity",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Minimum circuit ampacity (MCA)",
                    "Marked MCA. Leave open where the plate has none; it is then computed from the motor currents.",
                    0.5,
                    600)
            .called("minimum circuit ampacity", "MCA", "minimum ampacity");
    public static final Point MAXIMUM_OVERCURRENT_DEVICE = Point.quantity(
                    "plate.maximum-overcurrent-device",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Maximum overcurrent protection (MOCP)",
                    "Marked MOCP, MOP, or maximum fuse or breaker. Leave open where the plate has none.",
                    1,
                    1000)
            .called("MOCP", "MOP", "maximum overcurrent device", "maximum fuse", "maximum breaker");
    public static final Point COMPRESSOR_CURRENT = Point.quantity(
                    "plate.compressor-current",
                    Scope.OUTDOOR_UNIT,
                    Dimension.CURRENT,
                    "Compressor rated-load amps (RLA)",
                    "Marked RLA on the plate.",
                    0.2,
                    400)
            .called("RLA", "rated load amps", "compressor rated current");
    public static final Point FAN_CURRENT = Point.quantity(
                    "plate.fan-current",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Fan full-load amps (FLA)",
                    "Marked FLA: all other motors on the same circuit together. 0 A where it has none.",
                    0,
                    100)
            .asOptional()
            .called("FLA", "full load amps", "fan full-load current");
    public static final Point HEATER_CURRENT = Point.quantity(
                    "plate.heater-current",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Electric heat amps",
                    "Nameplate amps of electric heat that may run at the same time on this circuit. 0 A where it has none.",
                    0,
                    300)
            .asOptional()
            .called("heater current", "strip heat amps");
    public static final Point COOLING_CAPACITY = Point.quantity(
                    "plate.cooling-capacity",
                    Scope.OUTDOOR_UNIT,
                    Dimension.POWER,
                    "Cooling capacity",
                    "Rated total capacity on the plate.",
                    500,
                    200_000)
            .asOptional();

    public static final Point HEATING_CAPACITY = stamped(
            "heating-capacity",
            Scope.OUTDOOR_UNIT,
            Dimension.POWER,
            "Heating capacity",
            "Rated heating capacity on the plate.",
            500,
            200_000);
    public static final Point HIGH_SIDE_TEST_PRESSURE = stamped(
            "high-side-test-pressure",
            Scope.OUTDOOR_UNIT,
            Dimension.GAUGE_PRESSURE,
            "Test pressure, high side",
            "Often marked design or test pressure, high. Never exceeded in any test.",
            5e5,
            8e6);
    public static final Point LOW_SIDE_TEST_PRESSURE = stamped(
            "low-side-test-pressure",
            Scope.OUTDOOR_UNIT,
            Dimension.GAUGE_PRESSURE,
            "Test pressure, low side",
            "Often marked design or test pressure, low. Never exceeded in any test.",
            5e5,
            8e6);
    public static final Point PRECHARGED_LENGTH = stamped(
            "precharged-length",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Line length the charge is for",
            "The factory charge is enough for lines of this length.",
            0,
            100);
    public static final Point EXTRA_CHARGE = stamped(
            "extra-charge",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LINEAR_DENSITY,
            "Extra charge per length",
            "For each length beyond it; none: 0.",
            0,
            1);
    public static final Point REDUCED_CHARGE = stamped(
                    "reduced-charge",
                    Scope.SPLIT_OUTDOOR_UNIT,
                    Dimension.LINEAR_DENSITY,
                    "Charge taken out per length",
                    "For each length shorter than that. Only where the maker asks for it: most leave it in. Else leave open.",
                    0,
                    1)
            .asOptional();
    public static final Point MINIMUM_LINE_LENGTH = stamped(
            "minimum-line-length",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Shortest lines",
            "Shorter lines are a fault too.",
            0,
            50);
    public static final Point MAXIMUM_LINE_LENGTH = stamped(
            "maximum-line-length",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Longest lines",
            "One way, as the maker counts it.",
            1,
            300);
    public static final Point MAXIMUM_LIFT = stamped(
            "maximum-lift",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Greatest height difference",
            "Between indoor and outdoor unit.",
            0.5,
            150);
    public static final Point LIQUID_LINE = stamped(
            "liquid-line",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Liquid line, outer diameter",
            "Tube size on the plate or at the valve.",
            0.004,
            0.04);
    public static final Point SUCTION_LINE = stamped(
            "suction-line",
            Scope.SPLIT_OUTDOOR_UNIT,
            Dimension.LENGTH,
            "Suction line, outer diameter",
            "Tube size on the plate or at the valve.",
            0.006,
            0.08);
    public static final Point TARGET_SUBCOOLING = stamped(
            "target-subcooling",
            Scope.OUTDOOR_UNIT,
            Dimension.TEMPERATURE_DIFFERENCE,
            "Target subcooling",
            "For units with an expansion valve.",
            1,
            20);
    public static final Option FIXED_ORIFICE = Option.of("orifice", "fixed orifice");
    public static final Point METERING_DEVICE = Point.choice(
                    "plate.metering-device",
                    Scope.COIL_UNIT,
                    "Metering device",
                    "Read at the coil: fixed orifice, thermostatic or electronic expansion valve.",
                    List.of(
                            FIXED_ORIFICE,
                            Option.of("thermostatic", "thermostatic valve"),
                            Option.of("electronic", "electronic valve")))
            .asOptional();
    public static final Point METERING_SIZE = stamped(
            "metering-size",
            Scope.COIL_UNIT,
            Dimension.LENGTH,
            "Orifice size",
            "Stamped on the orifice; only where there is one.",
            0.0005,
            0.006);
    public static final Point AIRFLOW =
            stamped("airflow", Scope.AIR_UNIT, Dimension.VOLUME_FLOW, "Rated airflow", "On the plate.", 0.02, 10);
    public static final Point STATIC_PRESSURE_LIMIT = stamped(
            "static-pressure-limit",
            Scope.AIR_UNIT,
            Dimension.PRESSURE_DIFFERENCE,
            "External static pressure limit",
            "Ducted units only.",
            5,
            1000);
    public static final Point LOWEST_TEMPERATURE_RISE = stamped(
            "lowest-temperature-rise",
            Scope.AIR_UNIT,
            Dimension.TEMPERATURE_DIFFERENCE,
            "Temperature rise, lowest",
            "Furnaces only.",
            5,
            60);
    public static final Point HIGHEST_TEMPERATURE_RISE = stamped(
            "highest-temperature-rise",
            Scope.AIR_UNIT,
            Dimension.TEMPERATURE_DIFFERENCE,
            "Temperature rise, highest",
            "Furnaces only.",
            5,
            80);

    private static Point stamped(
            String name, Scope scope, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("plate." + name, scope, dimension, title, how, least, most)
                .asOptional();
    }

    /** In the order a plate is read. */
    public static List<Point> all() {
        return List.of(
                LEGIBLE,
                MAKER,
                MODEL,
                SERIAL,
                MANUFACTURED,
                REFRIGERANT,
                CHARGE,
                RATED_VOLTAGE,
                UPPER_RATED_VOLTAGE,
                PHASES,
                MINIMUM_CIRCUIT_AMPACITY,
                MAXIMUM_OVERCURRENT_DEVICE,
                COMPRESSOR_CURRENT,
                FAN_CURRENT,
                HEATER_CURRENT,
                COOLING_CAPACITY,
                HEATING_CAPACITY,
                HIGH_SIDE_TEST_PRESSURE,
                LOW_SIDE_TEST_PRESSURE,
                PRECHARGED_LENGTH,
                EXTRA_CHARGE,
                REDUCED_CHARGE,
                MINIMUM_LINE_LENGTH,
                MAXIMUM_LINE_LENGTH,
                MAXIMUM_LIFT,
                LIQUID_LINE,
                SUCTION_LINE,
                TARGET_SUBCOOLING,
                METERING_DEVICE,
                METERING_SIZE,
                AIRFLOW,
                STATIC_PRESSURE_LIMIT,
                LOWEST_TEMPERATURE_RISE,
                HIGHEST_TEMPERATURE_RISE);
    }
}
