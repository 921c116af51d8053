package org.undanus.core.installation;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Refrigerant;
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
    public static final Point REFRIGERANT = Point.choice(
            "plate.refrigerant",
            Scope.UNIT,
            "Refrigerant",
            "The designation on the plate.",
            Refrigerant.known().stream().map(Refrigerant::name).toList());
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
    public static final Point PHASES =
            Point.choice("plate.phases", Scope.POWERED_UNIT, "Phases", "1 or 3, on the plate.", List.of("1", "3"));
    public static final Point MINIMUM_CIRCUIT_AMPACITY = Point.quantity(
            "plate.minimum-circuit-ampacity",
            Scope.POWERED_UNIT,
            Dimension.CURRENT,
            "Minimum circuit ampacity",
            "Often marked MCA. Leave open where the plate has none; it is then computed from the motor currents.",
            0.5,
            600);
    public static final Point MAXIMUM_OVERCURRENT_DEVICE = Point.quantity(
            "plate.maximum-overcurrent-device",
            Scope.POWERED_UNIT,
            Dimension.CURRENT,
            "Maximum overcurrent device",
            "Often marked MOP or maximum fuse or breaker. Leave open where the plate has none.",
            1,
            1000);
    public static final Point COMPRESSOR_CURRENT = Point.quantity(
            "plate.compressor-current",
            Scope.OUTDOOR_UNIT,
            Dimension.CURRENT,
            "Compressor rated current",
            "Often marked RLA: the rated-load current of the motor-compressor.",
            0.2,
            400);
    public static final Point FAN_CURRENT = Point.quantity(
                    "plate.fan-current",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Fan full-load current",
                    "Often marked FLA: all other motors on the same circuit together.",
                    0.05,
                    100)
            .asOptional();
    public static final Point HEATER_CURRENT = Point.quantity(
                    "plate.heater-current",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Heater current, running with the compressor",
                    "Only heaters that may run at the same time on this circuit.",
                    0.1,
                    300)
            .asOptional();
    public static final Point COOLING_CAPACITY = Point.quantity(
                    "plate.cooling-capacity",
                    Scope.OUTDOOR_UNIT,
                    Dimension.POWER,
                    "Cooling capacity",
                    "Rated total capacity on the plate.",
                    500,
                    200_000)
            .asOptional();

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
                COOLING_CAPACITY);
    }
}
