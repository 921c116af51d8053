package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Voltage;

class InstrumentTest {

    private static Instrument gauge(List<Instrument.Calibration> calibrations) {
        return new Instrument(
                "gauge",
                "Gauge",
                InstrumentKind.GAUGE,
                List.of(new Channel(
                        "",
                        Dimension.GAUGE_PRESSURE,
                        Accuracy.ofConstant(1000),
                        Optional.of(new Channel.Range(Dimension.GAUGE_PRESSURE, 0, 3e6)))),
                List.of("R32", "R410A"),
                false,
                Optional.of(GaugePressure.ofPascals(3e6)),
                calibrations);
    }

    private static Instrument.Use use(String on, String refrigerant, boolean flammable, double highSide) {
        return new Instrument.Use(
                LocalDate.parse(on),
                List.of(GaugePressure.ofPascals(2e6)),
                Optional.of(refrigerant),
                flammable,
                Optional.of(GaugePressure.ofPascals(highSide)));
    }

    private static final List<Instrument.Calibration> TWICE = List.of(
            new Instrument.Calibration(LocalDate.parse("2026-03-01"), 12, "B"),
            new Instrument.Calibration(LocalDate.parse("2024-01-01"), 12, "A"));

    @ParameterizedTest(name = "on {0}: {1}")
    @CsvSource({
        "2024-06-01, ",
        "2025-01-01, ",
        "2025-06-01, held until 2025-01-01",
        "2026-06-01, ",
        "2027-03-02, held until 2027-03-01",
        "2023-06-01, first calibrated on 2024-01-01",
    })
    void aCalibrationHoldsForItsTimeAndAnEarlierOneForItsOwn(String on, String why) {
        Optional<String> unfit =
                gauge(TWICE).unfit(use(on, "R410A", false, 1e6)).map(Object::toString);
        if (why == null) {
            assertThat(unfit).isEmpty();
        } else {
            assertThat(unfit.orElseThrow()).contains(why);
        }
    }

    @ParameterizedTest(name = "{0}, flammable {1}, tested at {2} Pa: {3}")
    @CsvSource({
        "R454B, true, 1e6, not rated for R454B",
        "R32, true, 1e6, flammable",
        "R410A, false, 4e6, bears",
    })
    void ratingsAreHeldAgainstTheSystem(String refrigerant, boolean flammable, double highSide, String why) {
        assertThat(gauge(TWICE)
                        .unfit(use("2026-06-01", refrigerant, flammable, highSide))
                        .orElseThrow()
                        .toString())
                .contains(why);
    }

    @Test
    void theGoodEnoughAreListedBestFirst() {
        Instrument fine = Instrument.plain("a", "Fine", InstrumentKind.TAPE, Accuracy.ofConstant(0.001));
        Instrument usual = Instrument.plain("b", "Usual", InstrumentKind.TAPE, Accuracy.ofConstant(0.003));
        Instrument other = Instrument.plain("c", "Level", InstrumentKind.LEVEL, Accuracy.ofConstant(0.0001));
        Toolcase toolcase = new Toolcase(List.of(usual, other, fine));
        Instrument.Use use = new Instrument.Use(LocalDate.EPOCH, List.of(), Optional.empty(), false, Optional.empty());
        assertThat(toolcase.goodEnough(InstrumentKind.TAPE, Dimension.LENGTH, 1, 0.004, use))
                .containsExactly(fine, usual);
        assertThat(toolcase.goodEnough(InstrumentKind.TAPE, Dimension.LENGTH, 1, 0.002, use))
                .containsExactly(fine);
        assertThat(toolcase.goodEnough(InstrumentKind.TAPE, Dimension.LENGTH, 1, 0.0001, use))
                .isEmpty();
    }

    @Test
    void calibrationsOfNoTimeAreRefused() {
        assertThatThrownBy(() -> new Instrument.Calibration(LocalDate.EPOCH, 0, ""))
                .hasMessageContaining("1 to 120");
        assertThatThrownBy(() -> new Channel.Range(Dimension.LENGTH, 2, 1)).hasMessageContaining("lower");
    }

    @Test
    void calibrationsOfImpossibleYearsAreRefused() {
        assertThatThrownBy(() -> new Instrument.Calibration(LocalDate.of(999_999_999, 1, 1), 12, "C"))
                .hasMessageContaining("1950 to 2100");
        assertThatThrownBy(() -> new Instrument.Calibration(LocalDate.of(1, 1, 1), 12, "C"))
                .hasMessageContaining("1950 to 2100");
    }

    private static final Instrument SET = new Instrument(
            "set",
            "Gauge set",
            InstrumentKind.GAUGE,
            List.of(
                    channel("low side", Dimension.GAUGE_PRESSURE, 2000, 1e6),
                    channel("high side", Dimension.GAUGE_PRESSURE, 8000, 4e6),
                    channel("suction line", Dimension.TEMPERATURE_DIFFERENCE, 0.5, 400)),
            List.of(),
            false,
            Optional.empty(),
            List.of());

    private static Channel channel(String name, Dimension dimension, double accuracy, double most) {
        return new Channel(
                name,
                dimension,
                Accuracy.ofConstant(accuracy),
                Optional.of(new Channel.Range(Channel.shown(dimension), 0, most)));
    }

    private static Optional<String> unfit(Quantity read) {
        return SET.unfit(new Instrument.Use(LocalDate.EPOCH, List.of(read), Optional.empty(), false, Optional.empty()))
                .map(Object::toString);
    }

    @Test
    void aGaugeSetShowsSeveralThingsEachInItsOwnRange() {
        assertThat(unfit(GaugePressure.ofPascals(3e6))).as("on the high side").isEmpty();
        assertThat(unfit(GaugePressure.ofPascals(5e6)).orElseThrow()).contains("out of its range");
        assertThat(unfit(Temperature.ofKelvin(290))).isEmpty();
        assertThat(unfit(Voltage.ofVolts(230))).contains("Gauge set does not show a voltage.");
    }

    @Test
    void ofSeveralAlikeTheLeastExactCounts() {
        assertThat(SET.channel(Dimension.GAUGE_PRESSURE).orElseThrow().name()).isEqualTo("high side");
        assertThat(SET.channel(Dimension.TEMPERATURE).orElseThrow().accuracy().constant())
                .isEqualTo(0.5);
        assertThat(SET.channel(Dimension.VOLTAGE)).isEmpty();
    }

    @Test
    void channelsHaveNamesOfTheirOwn() {
        Channel one = Channel.only(Dimension.LENGTH, Accuracy.EXACT);
        for (List<Channel> channels : List.of(List.<Channel>of(), List.of(one, one))) {
            assertThatThrownBy(() -> new Instrument(
                            "a", "A", InstrumentKind.TAPE, channels, List.of(), false, Optional.empty(), List.of()))
                    .isInstanceOf(IllegalArgumentException.class);
        }
    }
}
