package org.undanus.core.station.electrical;

import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** The points of a power circuit, from panel to unit. */
final class CircuitPoints {
    private CircuitPoints() {}

    private static final String LIVE =
            "Live parts: only a qualified person opens the cover, with protective equipment. Read through a closed front where you can.";

    static final Point DEVICE_RATING = Point.quantity(
                    "electrical.device-rating",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Breaker or fuse size (OCPD)",
                    "Read the number on the handle or fuse; the panel stays closed.",
                    1,
                    1000)
            .called("breaker", "fuse", "overcurrent device", "OCPD");
    static final Option OTHER_DEVICE = Option.of("other", "other");
    static final Point DEVICE_TYPE = Point.choice(
                    "electrical.device-type",
                    Scope.POWERED_UNIT,
                    "Overcurrent protective device, tripping type",
                    "The letter before the rating on the device; other for fuses and devices without one.",
                    List.of(Option.of("B", "B"), Option.of("C", "C"), Option.of("D", "D"), OTHER_DEVICE))
            .asOptional()
            .called("breaker type", "breaker curve");
    static final Point CONDUCTOR_SIZE = Point.quantity(
                    "electrical.conductor-size",
                    Scope.POWERED_UNIT,
                    Dimension.CONDUCTOR_AREA,
                    "Conductor size",
                    "Printed on the insulation.",
                    0.2e-6,
                    400e-6)
            .called("wire", "wire size", "cable");
    static final Option COPPER = Option.of("copper", "copper");
    static final Point CONDUCTOR_MATERIAL = Point.choice(
                    "electrical.conductor-material",
                    Scope.POWERED_UNIT,
                    "Conductor material",
                    "Printed on the insulation: CU or AL.",
                    List.of(COPPER, Option.of("aluminium", "aluminium")))
            .called("wire material");
    static final Point INSULATION = Point.choice(
            "electrical.insulation-rating",
            Scope.POWERED_UNIT,
            "Conductor insulation rating, °C",
            "From the type letters printed on it: 60, 70, 75 or 90.",
            List.of(Option.of("60", "60"), Option.of("70", "70"), Option.of("75", "75"), Option.of("90", "90")));
    static final Point TERMINALS = Point.choice(
                    "electrical.terminal-rating",
                    Scope.POWERED_UNIT,
                    "Terminal rating, °C",
                    "Marked at the terminals or on the device. Left open, the rule book's figure is taken.",
                    List.of(Option.of("60", "60"), Option.of("70", "70"), Option.of("75", "75"), Option.of("90", "90")))
            .asOptional();
    static final Point AMBIENT = Point.quantity(
                    "electrical.ambient",
                    Scope.POWERED_UNIT,
                    Dimension.TEMPERATURE,
                    "Ambient temperature, hottest along the run",
                    "Design figure of the hottest place the conductors pass, for example a roof or attic.",
                    253,
                    353)
            .with(InstrumentKind.THERMOMETER);
    static final Point BUNDLED = Point.quantity(
                    "electrical.bundled-conductors",
                    Scope.POWERED_UNIT,
                    Dimension.COUNT,
                    "Current-carrying conductors together",
                    "Current-carrying conductors in the same conduit or bundle, this circuit's own included.",
                    1,
                    60)
            .called("conductors together", "bundled");
    static final Point DISCONNECT_PRESENT = Point.yesNo(
                    "electrical.disconnect-present",
                    Scope.POWERED_UNIT,
                    "Disconnect fitted",
                    "A switch or pull-out that cuts all live conductors to this unit.")
            .called("disconnect");
    static final Point PANEL_VISIBLE = Point.yesNo(
                    "electrical.panel-visible",
                    Scope.POWERED_UNIT,
                    "Panel visible from unit",
                    "Only where no disconnect is fitted: whether the panel with this circuit's device can be seen from the"
                            + " unit.")
            .asOptional()
            .onlyWhere(DISCONNECT_PRESENT, "no");
    static final Point PANEL_DISTANCE = Point.quantity(
                    "electrical.panel-distance",
                    Scope.POWERED_UNIT,
                    Dimension.LENGTH,
                    "Panel, distance to unit",
                    "Only where the panel serves as the disconnect: walking distance between the two.",
                    0,
                    100)
            .with(InstrumentKind.TAPE)
            .asOptional()
            .onlyWhere(PANEL_VISIBLE, "yes");
    static final Point DISCONNECT_RATING = Point.quantity(
                    "electrical.disconnect-rating",
                    Scope.POWERED_UNIT,
                    Dimension.CURRENT,
                    "Disconnect, rating",
                    "On its label; the cover stays closed.",
                    1,
                    1000)
            .onlyWhere(DISCONNECT_PRESENT, "yes");
    static final Point DISCONNECT_DISTANCE = Point.quantity(
                    "electrical.disconnect-distance",
                    Scope.POWERED_UNIT,
                    Dimension.LENGTH,
                    "Disconnect, distance to unit",
                    "Walking distance between the two.",
                    0,
                    100)
            .with(InstrumentKind.TAPE)
            .onlyWhere(DISCONNECT_PRESENT, "yes");
    static final Point DISCONNECT_VISIBLE = Point.yesNo(
                    "electrical.disconnect-visible",
                    Scope.POWERED_UNIT,
                    "Disconnect visible from unit",
                    "Stand where the unit is served and look.")
            .onlyWhere(DISCONNECT_PRESENT, "yes");
    static final Point DISCONNECT_HEIGHT = Point.quantity(
                    "electrical.disconnect-height",
                    Scope.POWERED_UNIT,
                    Dimension.LENGTH,
                    "Disconnect, height of handle",
                    "From the standing place to the grip in its highest position.",
                    0,
                    6)
            .with(InstrumentKind.TAPE)
            .onlyWhere(DISCONNECT_PRESENT, "yes");
    static final Point RESIDUAL_DEVICE = Point.yesNo(
                    "electrical.residual-current-device",
                    Scope.POWERED_UNIT,
                    "Residual-current device",
                    "A device with a test button and a residual current in mA.")
            .asOptional();
    static final Point LOOP_IMPEDANCE = Point.quantity(
                    "electrical.loop-impedance",
                    Scope.POWERED_UNIT,
                    Dimension.RESISTANCE,
                    "Earth-fault loop impedance",
                    "From the circuit's test sheet, or read with a loop tester.",
                    0.01,
                    2000)
            .with(InstrumentKind.LOOP_TESTER)
            .withCaution(LIVE)
            .asOptional();
    static final Point STANDING_VOLTAGE = Point.quantity(
                    "electrical.standing-voltage",
                    Scope.POWERED_UNIT,
                    Dimension.VOLTAGE,
                    "Voltage at unit, standing",
                    "Between the line terminals with the machine off but supplied.",
                    0,
                    800)
            .with(InstrumentKind.VOLTMETER)
            .withCaution(LIVE)
            .called("standing voltage", "volts standing");
    static final Point RUNNING_VOLTAGE = Point.quantity(
                    "electrical.running-voltage",
                    Scope.POWERED_UNIT,
                    Dimension.VOLTAGE,
                    "Voltage at unit, running",
                    "Between the line terminals with the compressor running.",
                    0,
                    800)
            .with(InstrumentKind.VOLTMETER)
            .withCaution(LIVE)
            .called("running voltage", "volts running");

    static List<Point> all() {
        return List.of(
                DEVICE_RATING,
                DEVICE_TYPE,
                CONDUCTOR_SIZE,
                CONDUCTOR_MATERIAL,
                INSULATION,
                TERMINALS,
                AMBIENT,
                BUNDLED,
                DISCONNECT_PRESENT,
                PANEL_VISIBLE,
                PANEL_DISTANCE,
                DISCONNECT_RATING,
                DISCONNECT_DISTANCE,
                DISCONNECT_VISIBLE,
                DISCONNECT_HEIGHT,
                RESIDUAL_DEVICE,
                LOOP_IMPEDANCE,
                STANDING_VOLTAGE,
                RUNNING_VOLTAGE,
                UnitPoints.RUNNING_CURRENT);
    }
}
