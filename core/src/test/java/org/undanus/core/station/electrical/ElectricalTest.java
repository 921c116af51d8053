package org.undanus.core.station.electrical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.rules.Authority;
import org.undanus.core.words.UnitSystem;

class ElectricalTest {

    private static CaseFixture plated() {
        return new CaseFixture()
                .outdoor("plate.minimum-circuit-ampacity", "27.4 A")
                .outdoor("plate.maximum-overcurrent-device", "40 A");
    }

    private static CaseFixture conductor(CaseFixture fixture, String size, String metal, String rating, String air) {
        return fixture.outdoor("electrical.conductor-size", size)
                .outdoor("electrical.conductor-material", metal)
                .outdoor("electrical.insulation-rating", rating)
                .outdoor("electrical.ambient", air)
                .outdoor("electrical.bundled-conductors", "3");
    }

    @ParameterizedTest(name = "{0} A device: {1}")
    @CsvSource({"50, FAILS", "40, MEETS", "35, MEETS", "27.4, MEETS", "25, FAILS"})
    void overcurrentDeviceBetweenMinimumAndMaximum(String rating, Verdict verdict) {
        assertThat(plated().outdoor("electrical.device-rating", rating)
                        .judge("electrical.overcurrent-device")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void remedyNamesTheStandardSizesThatFit() {
        Judgement judgement =
                plated().outdoor("electrical.device-rating", "50 A").judge("electrical.overcurrent-device");
        assertThat(judgement.remedy().orElseThrow().toString())
                .contains("replaces the breaker or fuse with 30 A, 35 A or 40 A.");
        assertThat(judgement.because().toString()).contains("10 A over");
    }

    @Test
    void noStandardSizeBetweenIsSaid() {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.minimum-circuit-ampacity", "21 A")
                .outdoor("plate.maximum-overcurrent-device", "24 A")
                .outdoor("electrical.device-rating", "30 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.remedy().orElseThrow().toString()).contains("No standard size");
    }

    @Test
    void figuresAreComputedWhenThePlateLacksThem() {
        // RLA 17.9 A and fan 1.4 A: 1.25 × 17.9 + 1.4 = 23.775; 2.25 × 17.9 + 1.4 = 41.675, next lower size 40
        Judgement judgement = new CaseFixture()
                .outdoor("plate.compressor-current", "17.9 A")
                .outdoor("plate.fan-current", "1.4 A")
                .outdoor("plate.heater-current", "0 A")
                .outdoor("electrical.device-rating", "45 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.derivation())
                .extracting(step -> step.name().toString(), step -> step.value().in(UnitSystem.SI))
                .contains(
                        tuple("Minimum circuit ampacity, computed", "23.8 A"),
                        tuple("Maximum overcurrent device, computed", "40 A"));
    }

    @Test
    void computedMaximumIsNeverBelowTheMinimum() {
        // 2.25 × 4 + 24 = 33 A, yet 1.25 × 4 + 1.25 × 24 = 35 A: 35 A stands
        Judgement judgement = new CaseFixture()
                .outdoor("plate.compressor-current", "4 A")
                .outdoor("plate.fan-current", "0 A")
                .outdoor("plate.heater-current", "24 A")
                .outdoor("electrical.device-rating", "35 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void anAirHandlerIsReckonedFromFanAndHeaters() {
        // 1.25 × 4 + 1.25 × 40 = 55 A; 2.25 × 4 + 40 = 49 A, and no standard size between: next above 55 is 60
        Judgement judgement = new CaseFixture()
                .indoorKind(Component.Kind.INDOOR_DUCTED, true)
                .indoor("plate.fan-current", "4 A")
                .indoor("plate.heater-current", "40 A")
                .indoor("electrical.device-rating", "60 A")
                .judgeIndoor("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void sheetFillsWhatThePlateLacks() {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .outdoor("electrical.device-rating", "25 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.derivation())
                .anyMatch(step -> step.source().toString().contains("Ondrel 4410"));
    }

    @Test
    void nothingToJudgeTheDeviceByIsNotShown() {
        assertThat(new CaseFixture()
                        .outdoor("electrical.device-rating", "25 A")
                        .judge("electrical.overcurrent-device")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0} {1} {2} °C in {3}: {4}")
    @CsvSource({
        "8 AWG, copper, 75, 86 °F, MEETS", // 50 A, held to 40 A by 60 °C terminals
        "10 AWG, copper, 90, 86 °F, MEETS", // 40 A, held to 30 A by the terminals
        "10 AWG, copper, 90, 130 °F, MEETS", // 40 × √(35.6/60) = 30.8 A, held to 30 A by the terminals
        "10 AWG, copper, 90, 150 °F, FAILS", // 40 × √(24.4/60) = 25.5 A
        "12 AWG, copper, 75, 86 °F, FAILS",
        "10 AWG, aluminium, 75, 86 °F, FAILS",
        "11 AWG, copper, 75, 86 °F, REFER",
    })
    void conductorAgainstTheMinimum(String size, String metal, String rating, String air, Verdict verdict) {
        Judgement judgement = conductor(plated(), size, metal, rating, air).judge("electrical.conductor-ampacity");
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @Test
    void terminalsHoldAConductorToLessThanItsInsulationWouldCarry() {
        Judgement judgement =
                conductor(plated(), "10 AWG", "copper", "90", "130 °F").judge("electrical.conductor-ampacity");
        assertThat(judgement.comparison().orElseThrow().measured().value()).isCloseTo(30, within(0.01));
    }

    @Test
    void heatAndBundlingBiteTogether() {
        // 8 AWG Cu 75 °C at 50 °C air with six conductors: 50 × √(25/45) × 0.8 = 29.8 A
        Judgement judgement = plated().outdoor("electrical.conductor-size", "8 AWG")
                .outdoor("electrical.conductor-material", "copper")
                .outdoor("electrical.insulation-rating", "75")
                .outdoor("electrical.ambient", "50.0 °C")
                .outdoor("electrical.bundled-conductors", "6")
                .judge("electrical.conductor-ampacity");
        assertThat(judgement.comparison().orElseThrow().measured().value())
                .isCloseTo(50 * Math.sqrt(25.0 / 45) * 0.8, within(1e-6));
        assertThat(judgement.comparison().orElseThrow().measured().standardUncertainty())
                .isPositive();
    }

    @Test
    void airHotterThanTheInsulationLeavesNothing() {
        Judgement judgement =
                conductor(plated(), "8 AWG", "copper", "60", "70 °C").judge("electrical.conductor-ampacity");
        assertThat(judgement.comparison().orElseThrow().measured().value()).isZero();
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest(name = "In {0} on {1}: device {2}, conductor {3}")
    @CsvSource({
        "32 A, 6 mm2, MEETS, MEETS",
        "50 A, 6 mm2, FAILS, FAILS",
        "16 A, 6 mm2, FAILS, MEETS",
        "40 A, 4 mm2, FAILS, FAILS",
    })
    void designCurrentPractice(String rating, String size, Verdict device, Verdict wires) {
        CaseFixture fixture = conductor(
                        new CaseFixture().rules(CaseFixture.DESIGN_BOOK), size, "copper", "70", "30.0 °C")
                .outdoor("plate.compressor-current", "19 A")
                .outdoor("plate.fan-current", "1 A")
                .outdoor("plate.heater-current", "0 A")
                .outdoor("plate.phases", "1")
                .outdoor("plate.maximum-overcurrent-device", "40 A")
                .outdoor("electrical.device-rating", rating);
        assertThat(fixture.judge("electrical.overcurrent-device").verdict()).isEqualTo(device);
        assertThat(fixture.judge("electrical.conductor-ampacity").verdict()).isEqualTo(wires);
    }

    @ParameterizedTest
    @CsvSource({"C, 0.30 ohm, MEETS", "C, 1.2 ohm, FAILS", "D, 0.30 ohm, TOO_CLOSE", "other, 0.3 ohm, REFER"})
    void faultLoopTripsTheDevice(String type, String loop, Verdict verdict) {
        // C 32: 0.95 × 230 / 320 = 0.68 ohm; D 32: 0.34 ohm
        assertThat(new CaseFixture()
                        .rules(CaseFixture.DESIGN_BOOK)
                        .outdoor("electrical.device-rating", "32 A")
                        .outdoor("electrical.device-type", type)
                        .outdoor("electrical.loop-impedance", loop)
                        .judge("electrical.fault-disconnection")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void loopAndResidualDeviceBelongToDesignPractice() {
        CaseFixture plate = new CaseFixture();
        assertThat(plate.judge("electrical.fault-disconnection").verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(plate.judge("electrical.residual-current-device").verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        CaseFixture design = new CaseFixture().rules(CaseFixture.DESIGN_BOOK);
        assertThat(design.judge("electrical.residual-current-device").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(design.outdoor("electrical.residual-current-device", "no")
                        .judge("electrical.residual-current-device")
                        .verdict())
                .isEqualTo(Verdict.REFER);
    }

    @ParameterizedTest
    @CsvSource({
        "electrical.disconnect-rating, electrical.disconnect-rating, 60 A, MEETS",
        "electrical.disconnect-rating, electrical.disconnect-rating, 20 A, FAILS", // 1.15 × 19.3 = 22.2
        "electrical.disconnect-reach, electrical.disconnect-height, 5 ft, MEETS",
        "electrical.disconnect-reach, electrical.disconnect-height, 7 ft, FAILS",
    })
    void disconnect(String requirement, String point, String typed, Verdict verdict) {
        assertThat(new CaseFixture()
                        .outdoor("plate.compressor-current", "17.9 A")
                        .outdoor("plate.fan-current", "1.4 A")
                        .outdoor("plate.heater-current", "0 A")
                        .outdoor("electrical.disconnect-present", "yes")
                        .outdoor(point, typed)
                        .judge(requirement)
                        .verdict())
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"yes, 7 ft 2 in, MEETS", "yes, 60 ft, FAILS", "no, 7 ft, FAILS"})
    void inSightMeansVisibleAndNear(String visible, String distance, Verdict verdict) {
        assertThat(new CaseFixture()
                        .outdoor("electrical.disconnect-present", "yes")
                        .outdoor("electrical.disconnect-visible", visible)
                        .outdoor("electrical.disconnect-distance", distance)
                        .judge("electrical.disconnect-in-sight")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void withoutADisconnectOneFaultIsEnough() {
        CaseFixture none = new CaseFixture().outdoor("electrical.disconnect-present", "no");
        assertThat(none.judge("electrical.disconnect-present").verdict()).isEqualTo(Verdict.FAILS);
        for (String further : new String[] {"rating", "in-sight", "reach"}) {
            assertThat(none.judge("electrical.disconnect-" + further).verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        }
    }

    @ParameterizedTest(name = "{0} running: {1}")
    @CsvSource({"238.0 V, MEETS", "198.0 V, TOO_CLOSE", "190.0 V, FAILS", "256.5 V, FAILS"})
    void voltageAgainstSheetAndTolerance(String volts, Verdict verdict) {
        assertThat(new CaseFixture()
                        .outdoor("plate.model", "WS-12")
                        .outdoor("plate.rated-voltage", "208 V")
                        .outdoor("plate.upper-rated-voltage", "230 V")
                        .outdoor("electrical.running-voltage", volts)
                        .judge("electrical.running-voltage")
                        .verdict())
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({
        "20 min, 15.0 A, MEETS",
        "20 min, 19.5 A, FAILS",
        "20 min, 17.7 A, TOO_CLOSE",
        "4 min, 15.0 A, NOT_SHOWN"
    })
    void runningCurrentNeedsSteadyRunning(String ran, String ampere, Verdict verdict) {
        assertThat(new CaseFixture()
                        .outdoor("plate.compressor-current", "17.9 A")
                        .outdoor("operation.run-time", ran)
                        .outdoor("electrical.running-current", ampere)
                        .judge("electrical.running-current")
                        .verdict())
                .isEqualTo(verdict);
    }

    /** 2.5 mm² PVC, method C, 30 °C: two loaded conductors carry 27 A, three carry 24 A (IEC 60364-5-52, B.52.2 and B.52.4). */
    @ParameterizedTest(name = "{0} phases, device {1}: {2}")
    @CsvSource({"1, 25 A, MEETS", "3, 25 A, FAILS", "3, 24 A, MEETS", "3, 20 A, MEETS"})
    void threePhasesLoadThreeConductors(String phases, String device, Verdict verdict) {
        CaseFixture fixture = conductor(
                        new CaseFixture().rules(CaseFixture.DESIGN_BOOK), "2.5 mm2", "copper", "70", "30.0 °C")
                .accuracy(InstrumentKind.THERMOMETER, Accuracy.EXACT)
                .outdoor("electrical.ambient", "30.0 °C")
                .outdoor("electrical.bundled-conductors", "2")
                .outdoor("plate.phases", phases)
                .outdoor("plate.minimum-circuit-ampacity", "10 A")
                .outdoor("plate.maximum-overcurrent-device", "40 A")
                .outdoor("electrical.device-rating", device);
        assertThat(fixture.judge("electrical.conductor-ampacity").verdict()).isEqualTo(verdict);
    }

    @Test
    void phasesAreAskedForWhereTheTableTellsThem() {
        CaseFixture design = conductor(
                        new CaseFixture().rules(CaseFixture.DESIGN_BOOK), "2.5 mm2", "copper", "70", "30.0 °C")
                .outdoor("plate.minimum-circuit-ampacity", "10 A");
        Judgement judgement = design.judge("electrical.conductor-ampacity");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("Phases");
        assertThat(conductor(plated(), "8 AWG", "copper", "75", "86 °F")
                        .judge("electrical.conductor-ampacity")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    /** Heaters belong to ampacity with their factor, to the largest device without: 2.25 × 10 + 1 + 20 = 43.5, size 40. */
    @ParameterizedTest
    @CsvSource({"40 A, MEETS", "45 A, FAILS"})
    void heatersCountOnceForTheLargestDevice(String device, Verdict verdict) {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.compressor-current", "10 A")
                .outdoor("plate.fan-current", "1 A")
                .outdoor("plate.heater-current", "20 A")
                .outdoor("electrical.device-rating", device)
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(verdict);
        assertThat(judgement
                        .comparison()
                        .orElseThrow()
                        .binding()
                        .limit()
                        .authority()
                        .kind())
                .isEqualTo(Authority.Kind.COMPUTED);
    }

    @ParameterizedTest
    @CsvSource({
        "plate.fan-current, plate.heater-current, Electric heat amps",
        "plate.heater-current, plate.fan-current, Fan full-load"
    })
    void aCurrentThatNobodyReadIsNotNought(String read, String unread, String named) {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.compressor-current", "17.9 A")
                .outdoor(read, "0 A")
                .outdoor("electrical.device-rating", "40 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains(named);
    }

    @Test
    void aCompressorsDeviceMayBeAboveItsConductors() {
        Judgement judgement = conductor(plated(), "10 AWG", "copper", "75", "86 °F")
                .outdoor("electrical.device-rating", "40 A")
                .judge("electrical.overcurrent-device");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judgement.because().toString()).contains("240.4(G)").contains("30 A");
        assertThat(conductor(plated(), "8 AWG", "copper", "75", "86 °F")
                        .outdoor("electrical.device-rating", "40 A")
                        .judge("electrical.overcurrent-device")
                        .because()
                        .toString())
                .doesNotContain("240.4");
    }

    @ParameterizedTest(name = "panel visible {0} at {1}: {2}")
    @CsvSource({"yes, 30 ft, MEETS", "yes, 60 ft, FAILS", "yes, 15.0 m, TOO_CLOSE", "no, 30 ft, FAILS"})
    void thePanelItselfMayServeAsTheDisconnect(String visible, String distance, Verdict verdict) {
        Judgement judgement = new CaseFixture()
                .rules(CaseFixture.DESIGN_BOOK)
                .outdoor("electrical.disconnect-present", "no")
                .outdoor("electrical.panel-visible", visible)
                .outdoor("electrical.panel-distance", distance)
                .judge("electrical.disconnect-present");
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @Test
    void aVisiblePanelAtAnUnreadDistanceIsNotShown() {
        assertThat(new CaseFixture()
                        .outdoor("electrical.disconnect-present", "no")
                        .outdoor("electrical.panel-visible", "yes")
                        .judge("electrical.disconnect-present")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }
}
