package org.undanus.core.quantity;

/** An A-weighted sound pressure level. SI unit: decibel over 20 µPa. */
public record SoundLevel(double si) implements Quantity {
    public SoundLevel {
        FiniteNumber.require(si, Dimension.SOUND_LEVEL);
    }

    public static SoundLevel ofDecibels(double value) {
        return new SoundLevel(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.SOUND_LEVEL;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
