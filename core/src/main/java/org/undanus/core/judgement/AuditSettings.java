package org.undanus.core.judgement;

import java.util.List;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Setting;

/** What the audit of commissioning records takes from a rule book. Where a book leaves one open, what needs it cannot tell. */
public final class AuditSettings {
    private AuditSettings() {}

    /** The share of sound records on which chance alone may raise a doubt. */
    public static final Setting FALSE_ALARMS = Setting.useful(
            "audit.false-alarms", Dimension.RATIO, "Doubts that chance alone may raise, of all that could be raised");
    /** How often somebody who reads a number writes another. */
    public static final Setting SLIP =
            Setting.useful("audit.slip", Dimension.RATIO, "Numbers that are written wrongly without meaning to");
    /** How far an honest time may be off. */
    public static final Setting CLOCK = Setting.useful(
            "audit.clock", Dimension.DURATION, "How far a written time may be off, as a standard uncertainty");

    public static final Setting TRAVEL =
            Setting.useful("audit.travel", Dimension.DURATION, "Shortest way from one building to another");
    public static final Setting TABLES = Setting.useful(
            "audit.tables",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far two saturation tables may be apart, as a standard uncertainty");
    public static final Setting GAS = Setting.useful(
            "audit.gas-temperature",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far the gas may be from what the thermometer touched, as a standard uncertainty");
    public static final Setting VOLUME = Setting.useful(
            "audit.volume", Dimension.RATIO, "How far a reckoned volume may be off, as a standard uncertainty");
    public static final Setting CHARGE = Setting.useful(
            "audit.charge",
            Dimension.RATIO,
            "How far a charge may be trimmed, of the factory's, as a standard uncertainty");
    public static final Setting OUTDOORS = Setting.useful(
            "audit.outdoors",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far the air at a unit may be from the day's weather, as a standard uncertainty");
    public static final Setting AIR = Setting.useful(
            "audit.air",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far air may be from what one thermometer in it shows, as a standard uncertainty");
    public static final Setting WEATHER_PRESSURE = Setting.useful(
            "audit.weather-pressure",
            Dimension.PRESSURE_DIFFERENCE,
            "How far weather takes the air pressure from that of the height, as a standard uncertainty");
    public static final Setting COIL = Setting.useful(
            "audit.coil",
            Dimension.RATIO,
            "How far a sound machine's split may be from the coil model's, as a standard uncertainty");
    /** From one day to another. */
    public static final Setting BETWEEN_DAYS = Setting.useful(
            "audit.between-days",
            Dimension.RATIO,
            "How far the same line may be on another day, as a standard uncertainty");

    public static List<Setting> all() {
        return List.of(
                FALSE_ALARMS,
                SLIP,
                CLOCK,
                TRAVEL,
                TABLES,
                GAS,
                VOLUME,
                CHARGE,
                OUTDOORS,
                AIR,
                WEATHER_PRESSURE,
                COIL,
                BETWEEN_DAYS);
    }
}
