package org.undanus.core.quantity;

import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/**
 * A number with a kind. Every kind has its own type, so that a gauge pressure cannot be passed where an absolute one is
 * meant, nor a temperature where a difference is. {@code toString} prints field notation that parses back.
 */
public sealed interface Quantity extends Worded
        permits Length,
                Performance,
                ConductorArea,
                Mass,
                Duration,
                GaugePressure,
                AbsolutePressure,
                PressureDifference,
                Temperature,
                TemperatureDifference,
                Power,
                Current,
                Voltage,
                Resistance,
                VolumeFlow,
                Ratio,
                Count,
                Area,
                SoundLevel,
                Frequency,
                Torque,
                LinearDensity,
                Volume,
                Leak,
                LiquidFlow,
                Velocity,
                ThermalConductivity,
                HeatingValue,
                Concentration,
                Force {

    /** The number in the SI unit of its dimension (conductor areas in m², temperatures in K, ratios as fractions). */
    double si();

    Dimension dimension();

    @Override
    default String in(Wording wording) {
        return QuantityFormat.of(wording.units()).format(this);
    }
}
