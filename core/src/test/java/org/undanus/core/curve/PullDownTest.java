package org.undanus.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class PullDownTest {
    @Test
    void throughAWideHoseItFallsAsTheExponentialDoes() {
        PullDown pull = new PullDown(2e-3, 1e-3, 1, 0.5, 0.1);
        assertThat(pull.time(101_325, 100)).isCloseTo(2 * Math.log((101_325 - 1) / 99.0), within(0.01));
        assertThat(pull.speedAt(1000)).isCloseTo(1e-3, within(1e-6));
    }

    @Test
    void aNarrowHoseRulesAtLowPressure() {
        PullDown narrow = new PullDown(2e-3, 1e-3, 1, 0.005, 1.5);
        // C = π·0.005⁴·p̄/(128·18.2e-6·1.5) + 121·0.005³/1.5 at a mean of 10 Pa
        double c = Math.PI * Math.pow(0.005, 4) * 10 / (128 * 18.2e-6 * 1.5) + 121 * Math.pow(0.005, 3) / 1.5;
        assertThat(narrow.speedAt(19)).isCloseTo(1 / (1000 + 1 / c), within(1e-9));
        assertThat(narrow.time(101_325, 20))
                .isGreaterThan(10 * new PullDown(2e-3, 1e-3, 1, 0.02, 1.5).time(101_325, 20));
    }

    @Test
    void belowThePumpsOwnPressureItNeverComes() {
        PullDown pull = new PullDown(2e-3, 1e-3, 5, 0.01, 1);
        assertThat(pull.time(1e5, 5)).isInfinite();
        assertThat(pull.time(100, 200)).isZero();
        assertThatThrownBy(() -> new PullDown(0, 1e-3, 1, 0.01, 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
