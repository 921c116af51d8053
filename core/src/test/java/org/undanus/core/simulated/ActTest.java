package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.curve.PullDown;
import org.undanus.core.evidence.Stage;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/** The virtual line set obeys the physics that its curves are read by, and is read as what it is. */
class ActTest {
    private static final VirtualLineSet.Making DRY =
            new VirtualLineSet.Making(1.6e-3, 1.9e-3, 2, 0.0095, 1.2, false, 0, 0, 100, 291, 4);

    private static VirtualLineSet.Making leaking(double leak) {
        return new VirtualLineSet.Making(1.6e-3, 1.9e-3, 2, 0.0095, 1.2, false, leak, 0, 100, 291, 0);
    }

    @Test
    void itIsPumpedDownInTheTimeThatPumpAndHoseNeed() {
        VirtualLineSet lines = new VirtualLineSet(DRY);
        lines.pump();
        double time = new PullDown(1.6e-3, 1.9e-3, 2, 0.0095, 1.2).time(101_325, 50);
        lines.goOn(time);
        assertThat(lines.pressure()).isBetween(35.0, 65.0);
    }

    @Test
    void isolatedItRisesByItsLeak() {
        VirtualLineSet lines = new VirtualLineSet(leaking(4e-4));
        lines.pump();
        lines.goOn(600);
        lines.isolate();
        double before = lines.pressure();
        lines.goOn(300);
        assertThat(lines.pressure() - before).isCloseTo(4e-4 / 1.6e-3 * 300, within(1e-6));
    }

    @Test
    void chargedAndTightItFollowsItsWall() {
        VirtualLineSet lines = new VirtualLineSet(DRY);
        double cold = lines.wall();
        lines.charge(2.1e6);
        lines.goOn(3 * 3600);
        double expected = Nitrogen.warmed(
                        AbsolutePressure.ofPascals(2.1e6),
                        Temperature.ofKelvin(cold),
                        Temperature.ofKelvin(lines.wall()))
                .si();
        assertThat(lines.wall() - cold).isCloseTo(2.83, within(0.01));
        assertThat(lines.pressure()).isCloseTo(expected, within(1.0));
    }

    @Test
    void throughACoreItTakesManyTimesAsLong() {
        VirtualLineSet open = new VirtualLineSet(DRY);
        VirtualLineSet cored =
                new VirtualLineSet(new VirtualLineSet.Making(1.6e-3, 1.9e-3, 2, 0.0095, 1.2, true, 0, 0, 100, 291, 4));
        open.pump();
        cored.pump();
        open.goOn(30);
        cored.goOn(30);
        assertThat(cored.pressure()).isGreaterThan(20 * open.pressure());
    }

    @Test
    void aGaugeReadsTooHighDriftsAndShowsSteps() {
        VirtualGauge gauge = new VirtualGauge(0.01, 2, 0, 5);
        assertThat(gauge.shown(1000, 0, new Random(1))).isEqualTo(1010);
        assertThat(gauge.shown(1000, 3 * 3600, new Random(1))).isEqualTo(1015);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"dry, MEETS, Dry and tight", "moist, FAILS, moisture", "leak, FAILS, leak of", "both, FAILS, leak of"})
    void anEvacuationIsReadAsWhatItIs(String name, Verdict verdict, String because) {
        int right = 0;
        for (int seed = 0; seed < 20; seed++) {
            StringBuilder csv = new StringBuilder("time,Pa\n");
            Instant start = Instant.parse("2026-06-03T09:00:00Z");
            for (Act.Sample sample : Act.named(name, Act.Kind.EVACUATION).samples(new Random(seed))) {
                csv.append(start.plusSeconds((long) sample.seconds()))
                        .append(String.format(Locale.ROOT, ",%.4f%n", sample.shown()));
            }
            CaseFixture fixture = new CaseFixture()
                    .at(Stage.WITNESS)
                    .lines("tightness.volume", "1.6 L")
                    .lines("evacuation.gauge", "electronic vacuum gauge")
                    .lines("evacuation.isolated", "valved off at the system")
                    .logged("evacuation.log", "line-set-indoor", csv.toString());
            var judgement = fixture.find("evacuation.curve@line-set-indoor");
            right += judgement.verdict() == verdict
                            && judgement.because().toString().contains(because)
                    ? 1
                    : 0;
        }
        assertThat(right).isGreaterThanOrEqualTo(18);
    }

    @Test
    void theSameChanceActsTheSame() {
        Act act = Act.named("both", Act.Kind.PRESSURE_TEST);
        List<Act.Sample> once = act.samples(new Random(7));
        assertThat(act.samples(new Random(7))).isEqualTo(once);
        assertThat(once).hasSize(241);
        assertThat(once.get(240).shown()).as("it leaks").isLessThan(once.get(0).shown());
        assertThatThrownBy(() -> Act.named("wild", Act.Kind.EVACUATION)).hasMessageContaining("dry, moist");
    }
}
