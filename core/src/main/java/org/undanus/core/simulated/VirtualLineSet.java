package org.undanus.core.simulated;

import org.undanus.core.curve.PullDown;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/**
 * A line set of one volume: pumped down through a hose, valved off, filled with nitrogen, warmed by its wall. Air leaks in at a
 * constant flow while it is under vacuum and nitrogen leaks out by p² − p_air² while it is under pressure; water comes off the wall
 * toward its vapour pressure with a time constant, as long as there is some.
 */
public final class VirtualLineSet {

    /**
     * What it is made of.
     *
     * @param volume m³
     * @param pump displacement, m³/s
     * @param ultimate of the pump, Pa
     * @param bore of the hose, m
     * @param hose its length, m
     * @param coresIn whether the pump draws through the valve cores
     * @param leak of air into a vacuum, Pa·m³/s
     * @param moist pressure that the water left in it would reach at most, Pa
     * @param moistening time constant of the water, s
     * @param wall mean temperature of the wall, K
     * @param swing of the wall's temperature over a day to either side, K
     */
    public record Making(
            double volume,
            double pump,
            double ultimate,
            double bore,
            double hose,
            boolean coresIn,
            double leak,
            double moist,
            double moistening,
            double wall,
            double swing) {}

    /** What is done to it. */
    private enum Doing {
        OPEN,
        PUMPED,
        ISOLATED,
        CHARGED
    }

    private static final double AIR = 101_325;
    private static final double DAY = 86_400;
    /** So many times the pressure it would reach must be pumped off before the water is gone: assumed. */
    private static final double WATER_HELD = 100;
    /** Nitrogen that breaks the vacuum carries away so much of it: assumed. */
    private static final double SWEPT = 0.3;
    /** A valve core leaves about so much of the hose's flow. */
    private static final double THROUGH_A_CORE = 0.05;

    private static final double LONGEST_STEP = 0.5;

    private final Making making;
    private double seconds;
    private double dry = AIR;
    private double water;
    private double chargedAt;
    private double warmer;
    /** Share of the water that is left. */
    private double left = 1;

    private Doing doing = Doing.OPEN;

    public VirtualLineSet(Making making) {
        this.making = making;
    }

    /** The pump runs and the way to it is open; what is over the air's pressure was let off first. */
    public void pump() {
        dry = Math.min(dry, AIR);
        doing = Doing.PUMPED;
    }

    /** The pump is valved off. */
    public void isolate() {
        doing = Doing.ISOLATED;
    }

    /** Nitrogen is let in up to a pressure, absolute, Pa. */
    public void charge(double pressure) {
        doing = Doing.CHARGED;
        dry = pressure;
        water = 0;
        left *= 1 - SWEPT;
        chargedAt = wall();
    }

    /** The valves are opened to the air. */
    public void open() {
        doing = Doing.OPEN;
        dry = AIR;
        water = 0;
    }

    /** The wall is warmed by so much, or left to cool by less than nothing, K. */
    public void warm(double kelvin) {
        warmer += kelvin;
    }

    /** Temperature of the wall now, K. */
    public double wall() {
        return making.wall + warmer + making.swing * Math.sin(2 * Math.PI * seconds / DAY);
    }

    /** Pressure now, absolute, Pa. */
    public double pressure() {
        return dry + water;
    }

    /** Lets time go on, s. */
    public void goOn(double longer) {
        double rest = longer;
        while (rest > 0) {
            double step = Math.min(rest, LONGEST_STEP);
            advance(step);
            rest -= step;
        }
    }

    private void advance(double step) {
        seconds += step;
        switch (doing) {
            case OPEN -> {}
            case PUMPED -> pumped(step);
            case ISOLATED -> {
                dry += making.leak / making.volume * step;
                moisten(step);
            }
            case CHARGED -> charged(step);
        }
    }

    private void pumped(double step) {
        PullDown pull = new PullDown(making.volume, making.pump, making.ultimate, making.bore, making.hose);
        double speed = pull.speedAt(pressure()) * (making.coresIn ? THROUGH_A_CORE : 1);
        double kept = Math.exp(-speed * step / making.volume);
        dry = making.ultimate + (dry - making.ultimate) * kept + making.leak / making.volume * step;
        water *= kept;
        moisten(step);
    }

    /** Water comes off the wall only once the pressure is low. */
    private void moisten(double step) {
        double saturated = vapour(wall());
        double most = Math.min(making.moist * left * saturated / vapour(making.wall), saturated);
        if (pressure() < AIR / 10) {
            double more = Math.max(0, most - water) * (1 - Math.exp(-step / making.moistening));
            water += more;
            left = Math.max(0, left - more / Math.max(making.moist, 1e-9) / WATER_HELD);
        }
    }

    private static double vapour(double wall) {
        return MoistAir.saturationPressure(Temperature.ofKelvin(wall)).si();
    }

    private void charged(double step) {
        double lost = making.leak * (dry * dry - AIR * AIR) / (AIR * AIR);
        dry = Nitrogen.warmed(
                        AbsolutePressure.ofPascals(dry - lost / making.volume * step),
                        Temperature.ofKelvin(chargedAt),
                        Temperature.ofKelvin(wall()))
                .si();
        chargedAt = wall();
    }
}
