package org.undanus.core.curve;

/**
 * A pump drawing gas out of a volume through a hose: dp/dt = −S(p)·(p − p_u)/V with 1/S = 1/S_pump + 1/C. The hose carries
 * C = π·d⁴·p̄/(128·η·L) + 121·d³/L, the sum of its viscous and its molecular conductance for air at 20 °C (m³/s, metres).
 *
 * @param volume V, m³
 * @param speed of the pump, m³/s
 * @param ultimate pressure the pump reaches by itself, Pa
 * @param bore of the hose, m
 * @param hose its length, m
 */
public record PullDown(double volume, double speed, double ultimate, double bore, double hose) {
    /** Of air at 20 °C, Pa·s. */
    private static final double VISCOSITY = 18.2e-6;
    /** Molecular conductance of a long tube for air at 20 °C, m/s. */
    private static final double MOLECULAR = 121;

    private static final int STEPS = 400;

    public PullDown {
        if (!(volume > 0 && speed > 0 && ultimate >= 0 && bore > 0 && hose > 0)) {
            throw new IllegalArgumentException("A pull-down needs a volume, a pump and a hose");
        }
    }

    /** What the pump draws through its hose at a pressure, m³/s. */
    public double speedAt(double pressure) {
        double middle = (pressure + ultimate) / 2;
        double conductance =
                Math.PI * Math.pow(bore, 4) * middle / (128 * VISCOSITY * hose) + MOLECULAR * Math.pow(bore, 3) / hose;
        return 1 / (1 / speed + 1 / conductance);
    }

    /**
     * Time from one pressure to a lower one, dry and tight, s; infinite where the pump does not reach it. Simpson's rule over the
     * logarithm of the pressure above the pump's own.
     */
    public double time(double from, double to) {
        if (!(to > ultimate)) {
            return Double.POSITIVE_INFINITY;
        }
        if (to >= from) {
            return 0;
        }
        double high = Math.log(from - ultimate);
        double low = Math.log(to - ultimate);
        double step = (high - low) / STEPS;
        double sum = 0;
        for (int i = 0; i <= STEPS; i++) {
            int weight = i == 0 || i == STEPS ? 1 : i % 2 == 1 ? 4 : 2;
            sum += weight / speedAt(ultimate + Math.exp(low + i * step));
        }
        return volume * sum * step / 3;
    }
}
