package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.electrical.CircuitFigure;
import org.undanus.core.station.running.PsychrometricFigure;
import org.undanus.core.station.siting.SitingFigure;

/** Figures say what was read and judged, and leave open what was not. */
class FiguresTest {

    private static SitingFigure siting(CaseFixture fixture) {
        return SitingFigure.of(
                fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, new Judgements(fixture.judgements()));
    }

    private static CircuitFigure.Circuit circuit(CaseFixture fixture) {
        return CircuitFigure.of(fixture.facts(), fixture.evidence(), new Judgements(fixture.judgements()))
                .circuits()
                .get(0);
    }

    private static PsychrometricFigure.Coil coil(CaseFixture fixture) {
        return PsychrometricFigure.of(fixture.facts(), fixture.evidence(), new Judgements(fixture.judgements()))
                .coils()
                .get(0);
    }

    @Test
    void sitingShowsWhatWasTapedAndWhatBinds() {
        SitingFigure.Unit unit = siting(new CaseFixture()
                        .outdoor("siting.outdoor-clearance-front", "0.80 m")
                        .outdoor("siting.outdoor-clearance-back", "0.40 m"))
                .units()
                .get(0);
        SitingFigure.Side front = unit.sides().get(0);
        assertThat(front.name()).isEqualTo("front");
        assertThat(front.clear()).hasValueSatisfying(l -> assertThat(l.si()).isEqualTo(0.8));
        assertThat(front.asked()).hasValueSatisfying(l -> assertThat(l.si()).isCloseTo(0.9144, within(1e-9)));
        assertThat(front.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(unit.sides().get(2).clear()).as("left, not taped").isEmpty();
        assertThat(unit.sized()).isFalse();
    }

    @Test
    void wallUnitsHaveAHeightAndOutdoorUnitsNone() {
        SitingFigure figure = siting(new CaseFixture().indoor("siting.indoor-height", "2.10 m"));
        assertThat(figure.units().get(0).height()).isEmpty();
        assertThat(figure.units().get(1).height())
                .hasValueSatisfying(side -> assertThat(side.verdict()).isEqualTo(Verdict.MEETS));
    }

    @Test
    void circuitCarriesReadingsVerdictsAndGaps() {
        CircuitFigure.Circuit circuit = circuit(new CaseFixture()
                .outdoor("plate.minimum-circuit-ampacity", "12 A")
                .outdoor("plate.maximum-overcurrent-device", "20 A")
                .outdoor("electrical.device-rating", "30 A"));
        assertThat(circuit.device().title().in(UnitSystem.SI)).isEqualTo("30 A");
        assertThat(circuit.device().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(circuit.device().notes().get(0).in(UnitSystem.SI)).isEqualTo("plate 12 A to 20 A");
        assertThat(circuit.conductor().notes().get(0).in(UnitSystem.SI)).isEqualTo("not judged yet");
        assertThat(circuit.panel().notes().get(0).in(UnitSystem.SI)).contains("–");
    }

    @Test
    void disconnectShowsTheWorstOfItsJudgements() {
        CircuitFigure.Circuit circuit = circuit(new CaseFixture()
                .outdoor("electrical.disconnect-present", "yes")
                .outdoor("electrical.disconnect-visible", "no"));
        assertThat(circuit.disconnect().verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void psychrometricSketchPlacesReturnSupplyAndExpectation() {
        PsychrometricFigure.Coil coil = coil(new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .indoor("operation.mode", "cooling")
                .indoor("operation.run-time", "22 min")
                .indoor("running.outdoor-dry-bulb", "90.0 °F")
                .indoor("running.return-dry-bulb", "75.0 °F")
                .indoor("running.return-wet-bulb", "63.0 °F")
                .indoor("running.supply-earlier", "46.0 °F")
                .indoor("running.supply-dry-bulb", "46.0 °F"));
        assertThat(coil.returning())
                .hasValueSatisfying(s -> assertThat(s.humidityRatio()).isBetween(0.008, 0.011));
        assertThat(coil.expectedFrom().orElseThrow().si())
                .isLessThan(coil.expectedTo().orElseThrow().si())
                .isGreaterThan(coil.supply().orElseThrow().si());
        assertThat(coil.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(coil.saturation())
                .isSortedAccordingTo((a, b) -> Double.compare(a.humidityRatio(), b.humidityRatio()));
    }

    @Test
    void bulbsThatDoNotGoTogetherAreNotDrawn() {
        PsychrometricFigure.Coil coil = coil(new CaseFixture()
                .indoor("running.return-dry-bulb", "75.0 °F")
                .indoor("running.return-wet-bulb", "35.0 °F"));
        assertThat(coil.returning()).isEmpty();
        assertThat(coil.expectedFrom()).isEmpty();
    }

    @Test
    void saturationHoldsMoreWaterInThinnerAir() {
        double low = coil(new CaseFixture()).saturation().get(30).humidityRatio();
        double high =
                coil(new CaseFixture().elevation(1600)).saturation().get(30).humidityRatio();
        assertThat(high).isGreaterThan(low * 1.15);
    }
}
