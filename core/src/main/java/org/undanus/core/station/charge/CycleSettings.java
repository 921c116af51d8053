package org.undanus.core.station.charge;

import java.util.List;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Setting;

/** What a rule book says of a sound cycle and of how far its readings may be from that. */
final class CycleSettings {
    private CycleSettings() {}

    static final Setting LEAST_MOVE =
            new Setting("charge.least-move", Dimension.COUNT, "Bands that a cause moves a reading by, at least");
    static final Setting MOST_MOVE =
            new Setting("charge.most-move", Dimension.COUNT, "Bands that a cause moves a reading by, at most");
    static final Setting SOUND_SPREAD =
            new Setting("charge.sound-spread", Dimension.COUNT, "Bands that a sound machine's readings spread by");
    static final Setting USUAL_SUBCOOLING = new Setting(
            "charge.usual-subcooling", Dimension.TEMPERATURE_DIFFERENCE, "Subcooling, where nothing gives a target");
    static final Setting USUAL_SUPERHEAT =
            new Setting("charge.usual-superheat", Dimension.TEMPERATURE_DIFFERENCE, "Superheat that a valve holds");
    static final Setting CONDENSING =
            new Setting("charge.condensing-over", Dimension.TEMPERATURE_DIFFERENCE, "Condensing over the outdoor air");
    static final Setting CONDENSING_BAND = new Setting(
            "charge.condensing-band", Dimension.TEMPERATURE_DIFFERENCE, "How far condensing may be from that");
    static final Setting EVAPORATING = Setting.useful(
            "charge.evaporating-rated",
            Dimension.TEMPERATURE,
            "Evaporating temperature of a sound machine at the rating point");
    static final Setting EVAPORATING_BAND = Setting.useful(
            "charge.evaporating-band",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far evaporating may be from what this air asks");
    static final Setting OUTDOOR_RISE = Setting.useful(
            "charge.outdoor-rise", Dimension.TEMPERATURE_DIFFERENCE, "Rise of the air through the outdoor coil");
    static final Setting OUTDOOR_RISE_BAND = Setting.useful(
            "charge.outdoor-rise-band", Dimension.TEMPERATURE_DIFFERENCE, "How far that rise may be from it");
    static final Setting EFFICIENCY = Setting.useful(
            "charge.compressor-efficiency", Dimension.RATIO, "Isentropic efficiency of a sound compressor");
    static final Setting DISCHARGE_BAND = Setting.useful(
            "charge.discharge-band",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far the discharge may be from what that gives");
    static final Setting CURRENT =
            Setting.useful("charge.running-current", Dimension.RATIO, "Current of a sound compressor, of the plate's");
    static final Setting CURRENT_BAND = Setting.useful(
            "charge.running-current-band", Dimension.RATIO, "How far that current may be from it, of the plate's");
    static final Setting DRIER =
            new Setting("charge.drier-drop", Dimension.TEMPERATURE_DIFFERENCE, "Temperature drop of a good drier");
    static final Setting REST =
            new Setting("charge.rest-excess", Dimension.PRESSURE_DIFFERENCE, "How far the pressure at rest may be off");
    static final Setting SURE =
            new Setting("charge.diagnosis-sure", Dimension.RATIO, "Likelihood from which a cause is named");

    /** All of them; without those of a reading that is only useful, that reading tells nothing. */
    static final List<Setting> ALL = List.of(
            LEAST_MOVE,
            MOST_MOVE,
            SOUND_SPREAD,
            USUAL_SUBCOOLING,
            USUAL_SUPERHEAT,
            CONDENSING,
            CONDENSING_BAND,
            EVAPORATING,
            EVAPORATING_BAND,
            OUTDOOR_RISE,
            OUTDOOR_RISE_BAND,
            EFFICIENCY,
            DISCHARGE_BAND,
            CURRENT,
            CURRENT_BAND,
            DRIER,
            REST,
            SURE);
}
