package org.undanus.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Outline;

class FallingTest {
    /** Through so wide a hose that the pump alone rules. */
    private static final PullDown ABLE = new PullDown(2e-3, 1e-3, 0, 0.5, 0.1);

    private static Outline pull(int samples, DoubleUnaryOperator pascals) {
        double[] t = new double[samples];
        Arrays.setAll(t, i -> 5.0 * i);
        double[] p = Arrays.stream(t).map(pascals).toArray();
        return Outline.of(Instant.EPOCH, t, p);
    }

    @Test
    void asFastAsPumpAndHoseItTakesTheirTime() {
        Falling falling =
                Falling.of(pull(60, t -> 1e5 * Math.exp(-t / 2)), 1e-60).orElseThrow();
        assertThat(falling.rate()).isCloseTo(0.5, within(1e-6));
        Falling.Span span = new Falling(0.5, 0, 1000).until(100, ABLE);
        assertThat(span.least()).isCloseTo(2 * Math.log(10), within(1e-3));
        assertThat(span.most()).isEqualTo(span.least());
    }

    @Test
    void halfAsFastItTakesTwiceAsLong() {
        assertThat(new Falling(0.25, 0, 1000).until(100, ABLE).most()).isCloseTo(4 * Math.log(10), within(2e-3));
    }

    @Test
    void whatMayNotFallAtAllHasNoEnd() {
        Falling.Span span = new Falling(0.01, 0.006, 1000).until(100, ABLE);
        assertThat(span.least()).isFinite();
        assertThat(span.most()).isInfinite();
        assertThat(new Falling(-0.01, 0.001, 1000).until(100, ABLE).least()).isInfinite();
        assertThat(new Falling(0.01, 0.001, 100).until(100, ABLE)).isEqualTo(new Falling.Span(0, 0));
    }

    @Test
    void fewSamplesOrNoneOverZeroTellNothing() {
        assertThat(Falling.of(pull(15, t -> 100), 1)).isEmpty();
        assertThat(Falling.of(pull(30, t -> 0), 1)).isEmpty();
        assertThat(Falling.of(pull(18, t -> 100 - t), 1)).isPresent();
    }

    @Test
    void theTimeItTakesLiesWithinWhatIsTold() {
        int right = 0;
        for (long seed = 0; seed < 100; seed++) {
            Random chance = new Random(seed);
            double slow = 20 + 60 * chance.nextDouble();
            Outline pull = pull(40, t -> 1e5 * Math.exp(-t / slow) * (1 + 0.01 * chance.nextGaussian()));
            Falling falling = Falling.of(pull, 1e-3).orElseThrow();
            double level = 1e5 * Math.exp(-195 / slow) / 20;
            double truth = slow * Math.log(20);
            Falling.Span span = falling.until(level, ABLE);
            right += span.least() <= truth * 1.01 && truth * 0.99 <= span.most() ? 1 : 0;
        }
        assertThat(right).isGreaterThanOrEqualTo(93);
    }
}
