package org.undanus.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class RootTest {

    @Test
    void findsTheCrossingOfASmoothFunctionInFewCalls() {
        AtomicInteger calls = new AtomicInteger();
        double root = Root.of(
                x -> {
                    calls.incrementAndGet();
                    return Math.exp(x) - 5;
                },
                0,
                10,
                1e-9);
        assertThat(root).isCloseTo(Math.log(5), within(1e-8));
        assertThat(calls.get()).isLessThan(25);
    }

    @Test
    void aStepIsFoundWhereItStands() {
        assertThat(Root.of(x -> x < 0.3 ? -1 : 1, 0, 1, 1e-9)).isCloseTo(0.3, within(1e-6));
    }

    @Test
    void withoutACrossingTheNearerEndAnswers() {
        assertThat(Root.of(x -> x + 5, 0, 1, 1e-9)).isZero();
        assertThat(Root.of(x -> x - 5, 0, 1, 1e-9)).isEqualTo(1);
    }
}
