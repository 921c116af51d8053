package org.undanus.core.curve;

import org.undanus.core.evidence.Outline;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;

/**
 * A pressure of nitrogen held in a closed system: the change of pressure left when that of its temperature is taken off. The
 * expected pressure is that of the same density at the later temperature, as a real gas ({@link Nitrogen}).
 *
 * @param first absolute, Pa
 * @param last absolute, Pa
 * @param expected last one by temperature alone, Pa
 * @param change last less expected, Pa: negative where gas was lost
 * @param lasting s
 */
public record NitrogenHold(double first, double last, double expected, Uncertain change, double lasting) {

    /** The fewest samples of a log that are read. */
    public static final int FEWEST = 6;

    /**
     * Two readings of pressure and temperature.
     *
     * @param first absolute, Pa
     * @param last absolute, Pa
     * @param cold temperature at the first, K
     * @param warm temperature at the last, K
     * @param lasting s, positive
     * @throws IllegalArgumentException where nitrogen is not described
     */
    public static NitrogenHold of(Uncertain first, Uncertain last, Uncertain cold, Uncertain warm, double lasting) {
        Uncertain expected = Propagation.through(
                in -> Nitrogen.warmed(
                                AbsolutePressure.ofPascals(in[0]),
                                Temperature.ofKelvin(in[1]),
                                Temperature.ofKelvin(in[2]))
                        .si(),
                Uncertain.exact(first.value()),
                cold,
                warm);
        double u = Math.hypot(
                Math.hypot(first.standardUncertainty(), last.standardUncertainty()), expected.standardUncertainty());
        return new NitrogenHold(
                first.value(),
                last.value(),
                expected.value(),
                new Uncertain(last.value() - expected.value(), u),
                lasting);
    }

    /**
     * A log of pressure with one of temperature: every sample is brought to the first temperature, and a straight line laid through
     * them. Chance is told from how they scatter about it; that samples follow one another is allowed for.
     *
     * @param pressure absolute, Pa
     * @param temperature K
     * @param pressureStep of the display, Pa
     * @param temperatureStep of the display, K
     * @param lag by which the temperature read may run ahead of the gas, as a standard deviation, s
     * @throws IllegalArgumentException of too few samples together, or where nitrogen is not described
     */
    public static NitrogenHold of(
            Outline pressure, Outline temperature, double pressureStep, double temperatureStep, double lag) {
        double from = Math.max(pressure.seconds(0), temperature.seconds(0));
        double to = Math.min(pressure.seconds(pressure.size() - 1), temperature.seconds(temperature.size() - 1));
        Outline together = pressure.between(from, to);
        if (together.size() < FEWEST) {
            throw new IllegalArgumentException("Pressure and temperature were logged together for too short a time");
        }
        int n = together.size();
        double[] t = new double[n];
        double[] one = new double[n];
        double[] corrected = new double[n];
        double[] shown = new double[n];
        Temperature at = Temperature.ofKelvin(temperature.at(together.seconds(0)));
        for (int i = 0; i < n; i++) {
            t[i] = together.seconds(i) - together.seconds(0);
            one[i] = 1;
            shown[i] = together.mean(i);
            corrected[i] = Nitrogen.warmed(
                            AbsolutePressure.ofPascals(together.mean(i)),
                            Temperature.ofKelvin(temperature.at(together.seconds(i))),
                            at)
                    .si();
        }
        double lasting = t[n - 1];
        LinearFit line = LinearFit.of(corrected, one, t);
        double first = line.coefficient(0);
        double slopeOfTemperature = first / at.si();
        double floor = (pressureStep * pressureStep
                        + slopeOfTemperature * slopeOfTemperature * temperatureStep * temperatureStep)
                / 12;
        double variance = Math.max(line.squares() / (n - 2), floor) * n / Independent.of(line.residuals(), shown);
        double chance = Math.sqrt(variance * line.spread(1, 1)) * lasting;
        double lagging = lag
                * slopeOfTemperature
                * Math.abs(rate(temperature, to, lasting, -1) - rate(temperature, from, lasting, 1));
        double change = line.coefficient(1) * lasting;
        double last = together.mean(n - 1);
        return new NitrogenHold(
                together.mean(0), last, last - change, new Uncertain(change, Math.hypot(chance, lagging)), lasting);
    }

    /** How fast a temperature moved in the tenth of the time next to a moment, K/s. */
    private static double rate(Outline temperature, double at, double lasting, int side) {
        double near = lasting / 10;
        return side * (temperature.at(at + side * near) - temperature.at(at)) / near;
    }

    /** What was lost by that change, Pa·m³/s; negative where more came in than expected. */
    public Uncertain leak(double volume) {
        return leak(volume, 0);
    }

    /** @param gain share by which the gauge may show every change too large or small, as a standard uncertainty */
    public Uncertain leak(double volume, double gain) {
        return new Uncertain(
                -change.value() * volume / lasting,
                Math.hypot(change.standardUncertainty(), gain * change.value()) * volume / lasting);
    }

    /** The smallest leak that would have stood out of the uncertainty, Pa·m³/s. */
    public double smallestLeak(double volume) {
        return volume * change.expanded() / lasting;
    }

    /** How long it has to be held for a leak to stand out, were the uncertainty to stay as it is, s. */
    public double needed(double volume, double leak) {
        return volume * change.expanded() / leak;
    }
}
