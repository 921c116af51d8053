package org.undanus.core.station.electrical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.derived.notation.TerminalMap;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Count;
import org.undanus.core.quantity.Current;

class WiringTest {

    private static CaseFixture before() {
        return new CaseFixture()
                .at(Stage.BEFORE_COVER)
                .outdoor("plate.model", "WS-12")
                .outdoor("plate.phases", "1")
                .outdoor("plate.rated-voltage", "230 V");
    }

    private static CaseFixture outdoor(CaseFixture fixture, String... pointsAndTyped) {
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.outdoor("electrical." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static CaseFixture outdoor(String... pointsAndTyped) {
        return outdoor(before(), pointsAndTyped);
    }

    private static CaseFixture conductor() {
        return outdoor(
                "conductor-size",
                "4 mm²",
                "conductor-material",
                "copper",
                "insulation-rating",
                "70",
                "ambient",
                "30 °C",
                "bundled-conductors",
                "2",
                "device-rating",
                "16 A",
                "device-type",
                "C");
    }

    private static String said(Judgement judgement) {
        return judgement.remedy().orElseThrow().toString();
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "dedicated, yes, MEETS",
        "dedicated, no, FAILS",
        "conductor-class, as the sheet asks, MEETS",
        "conductor-class, the sheet does not say, DOES_NOT_APPLY",
        "conductor-class, otherwise, FAILS",
        "strain-relief, yes, MEETS",
        "strain-relief, no, FAILS",
    })
    void whatIsSeenOfTheCircuit(String point, String typed, Verdict verdict) {
        String key = "electrical." + point + "@outdoor";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor(point, typed).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "surge, fitted, MEETS",
        "surge, not specified, DOES_NOT_APPLY",
        "surge, 'specified, missing', FAILS",
        "separated, yes, MEETS",
        "separated, no, FAILS",
        "stage-wires, yes, MEETS",
        "stage-wires, no, FAILS",
    })
    void whatIsSeenOfTheSystem(String point, String typed, Verdict verdict) {
        String key = "electrical." + point + "@system";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor(point, typed).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "pull-out, pull-out-way, yes, MEETS",
        "pull-out, pull-out-way, no, FAILS",
        "switch, pull-out-way, yes, DOES_NOT_APPLY",
        "switch, weatherproof, yes, MEETS",
        "switch, weatherproof, no, FAILS",
    })
    void whatIsSeenOfTheDisconnect(String kind, String point, String typed, Verdict verdict) {
        String key = "electrical." + point + "@outdoor";
        CaseFixture there = outdoor("disconnect-present", "yes", "disconnect-kind", kind);
        assertThat(there.verdict(key)).isEqualTo(verdict == Verdict.DOES_NOT_APPLY ? verdict : Verdict.NOT_SHOWN);
        assertThat(outdoor(there, point, typed).verdict(key)).isEqualTo(verdict);
        assertThat(outdoor("disconnect-present", "no").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} by its list, {1} as peak: {2}")
    @CsvSource({"80 A, , MEETS", "95 A, , FAILS", "88 A, , MEETS", "95 A, 60 A, MEETS", "80 A, 75 A, FAILS"})
    void theServiceCarriesTheMachine(String listed, String peak, Verdict verdict) {
        // 100 A less 12 A of the machine: 88 A by list, 70.4 A as peak
        String key = "electrical.service-load@system";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture service = outdoor("service-rating", "100 A");
        assertThat(said(service.find(key)))
                .contains("Existing load allowed: 88 A by the load list, or 70.4 A by measured peak");
        outdoor(service, "listed-load", listed);
        assertThat((peak == null ? service : outdoor(service, "peak-load", peak)).verdict(key))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"3, MEETS", "2, MEETS", "1, FAILS"})
    void thePanelHasRoom(String free, Verdict verdict) {
        String key = "electrical.free-ways@system";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor("free-ways", free).verdict(key)).isEqualTo(verdict);
        assertThat(outdoor("free-ways", "1").rules(CaseFixture.DESIGN_BOOK).verdict(key))
                .as("one way for one phase")
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"8, MEETS", "5, MEETS", "4, FAILS"})
    void controlConductorsForEveryStage(String there, Verdict verdict) {
        String key = "electrical.control-conductors@system";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor("control-there", there).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor("control-there", there, "control-needed", "5").verdict(key))
                .isEqualTo(verdict);
        DataSheet sheet = CaseFixture.outdoorSheet().with(SheetValue.CONTROL_CONDUCTORS, Count.of(5));
        assertThat(outdoor("control-there", there).sheets(sheet).verdict(key)).isEqualTo(verdict);
    }

    /**
     * By hand: 12 A over 30 m of 4 mm² copper with 36 A of ampacity: 30 + 40·(12/36)² = 34.4 °C, ρ = 1.7241e-8·1.0568, drop
     * 2·30·12·(1.8220e-8/4e-6·0.9 + 0.08e-3·0.4359) = 2.977 V.
     */
    @Test
    void voltageLostOnTheWay() {
        double celsius = 30 + 40 * Math.pow(12.0 / 36, 2);
        double byHand =
                2 * 30 * 12 * (1.7241e-8 * (1 + 0.00393 * (celsius - 20)) / 4e-6 * 0.9 + 0.08e-3 * Math.sqrt(0.19));
        assertThat(byHand).isCloseTo(2.977, within(0.001));
        assertThat(VoltageDrop.drop(true, false, 30, 4e-6, 12, celsius, 0.9)).isCloseTo(byHand, within(1e-9));
        assertThat(VoltageDrop.drop(true, true, 30, 4e-6, 12, celsius, 0.9))
                .isCloseTo(byHand * Math.sqrt(3) / 2, within(1e-9));
        assertThat(VoltageDrop.drop(false, false, 30, 4e-6, 12, 20, 1))
                .isCloseTo(2 * 30 * 12 * 2.8264e-8 / 4e-6, within(1e-9));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"30.0 m, MEETS", "90.0 m, FAILS", "69.5 m, TOO_CLOSE"})
    void littleVoltageIsLost(String length, Verdict verdict) {
        // 3 % of 230 V are 6.9 V: 69.5 m
        String key = "electrical.voltage-drop@outdoor";
        assertThat(conductor().rules(CaseFixture.DESIGN_BOOK).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture run =
                outdoor(conductor(), "run-length", length).accuracy(InstrumentKind.TAPE, Accuracy.ofConstant(0.3));
        outdoor(run, "run-length", length);
        Judgement judged = run.rules(CaseFixture.DESIGN_BOOK).find(key);
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (verdict == Verdict.FAILS) {
            assertThat(said(judged)).startsWith("Conductors of at least 5.19 mm²");
        }
    }

    @ParameterizedTest(name = "device {0}, earth {1}: {2}")
    @CsvSource({
        "20 A, 12 AWG, MEETS",
        "20 A, 14 AWG, FAILS",
        "60 A, 10 AWG, MEETS",
        "500 A, 10 AWG, REFER",
    })
    void earthingConductorByTheDevice(String device, String earth, Verdict verdict) {
        String key = "electrical.earthing-conductor@outdoor";
        CaseFixture read = outdoor("device-rating", device, "conductor-material", "copper");
        if (verdict != Verdict.REFER) {
            assertThat(read.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        }
        assertThat(outdoor(read, "earth-size", earth).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "line {0}, earth {1}: {2}")
    @CsvSource({
        "4 mm², 4 mm², MEETS",
        "4 mm², 2.5 mm², FAILS",
        "25 mm², 16 mm², MEETS",
        "50 mm², 25 mm², MEETS",
        "50 mm², 16 mm², FAILS",
    })
    void earthingConductorByTheLine(String line, String earth, Verdict verdict) {
        String key = "electrical.earthing-conductor@outdoor";
        assertThat(outdoor("conductor-size", line, "earth-size", earth)
                        .rules(CaseFixture.DESIGN_BOOK)
                        .verdict(key))
                .isEqualTo(verdict);
        assertThat(said(outdoor("conductor-size", "50 mm²")
                        .rules(CaseFixture.DESIGN_BOOK)
                        .find(key)))
                .contains("It must be 25.0 mm² at least.");
    }

    /** An independent entry of the table. */
    @ParameterizedTest
    @CsvSource({"15, 2.08", "20, 3.31", "60, 5.26", "100, 8.37", "200, 13.3", "300, 21.2", "400, 26.7"})
    void theTableOfEarthingConductors(double device, double area) {
        assertThat(EarthingConductor.byDevice(device, "copper").orElseThrow() * 1e6)
                .isCloseTo(area, within(0.05));
        assertThat(EarthingConductor.byDevice(device, "aluminium").orElseThrow() * 1e6)
                .isGreaterThan(area * 1.2);
    }

    @ParameterizedTest(name = "{0} in {1}: {2}")
    @CsvSource({
        "3, 21 mm, MEETS",
        "9, 21 mm, FAILS",
        "1, 9.6 mm, MEETS",
        "1, 9.0 mm, FAILS",
        "2, 18 mm, MEETS",
        "2, 17.0 mm, FAILS",
        "3, 18.7 mm, TOO_CLOSE",
    })
    void conduitsAreNotOverfilled(String wires, String inside, Verdict verdict) {
        // of 6.83 mm each: 53, 31 and 40 % allow 9.38, 17.35 and 18.70 mm
        String key = "electrical.conduit-fill@outdoor";
        assertThat(before().verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(outdoor("conduit-inside", inside).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture exact = before().accuracy(InstrumentKind.CALIPER, Accuracy.ofConstant(0.05e-3));
        assertThat(outdoor(exact, "conduit-wires", wires, "conduit-wire", "6.83 mm", "conduit-inside", inside)
                        .verdict(key))
                .isEqualTo(verdict);
        assertThat(ConduitFill.fill(3, 5, 20)).isCloseTo(75 / 400.0, within(1e-12));
    }

    @ParameterizedTest(name = "{0} {1} {2}: {3}")
    @CsvSource({"400 V, 402 V, 398 V, MEETS", "400 V, 415 V, 385 V, FAILS", "400 V, 408 V, 392 V, TOO_CLOSE"})
    void phasesAreBalanced(String one, String two, String three, Verdict verdict) {
        String key = "electrical.phase-imbalance@outdoor";
        CaseFixture phases = before().outdoor("plate.phases", "3");
        assertThat(phases.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor(phases, "voltage-12", one, "voltage-23", two, "voltage-31", three)
                        .verdict(key))
                .isEqualTo(verdict);
        assertThat(before().verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(SupplyQuality.imbalance(400, 415, 385)).isCloseTo(0.0375, within(1e-9));
    }

    @ParameterizedTest(name = "called {0}, drew {1}: {2}")
    @CsvSource({
        "low, 7.0 A, MEETS",
        "high, 7.0 A, FAILS",
        "high, 12.5 A, MEETS",
        "high, 9.6 A, TOO_CLOSE",
        "single, 7.0 A, DOES_NOT_APPLY",
    })
    void theStageIsToldByItsCurrent(String called, String drew, Verdict verdict) {
        String key = "electrical.stage@outdoor";
        DataSheet two = CaseFixture.outdoorSheet()
                .with(SheetValue.LOW_STAGE_CURRENT, Current.ofAmperes(7.2))
                .with(SheetValue.HIGH_STAGE_CURRENT, Current.ofAmperes(12));
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture read = outdoor("stage-called", called).sheets(two);
        if (!called.equals("single")) {
            assertThat(said(read.find(key))).contains("it draws about");
        }
        assertThat(outdoor(read, "running-current", drew).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"15 A, MEETS", "25 A, FAILS", "20 A, MEETS", "10 A, FAILS"})
    void fusesOfTheDisconnect(String fuse, Verdict verdict) {
        String key = "electrical.disconnect-fuse@outdoor";
        CaseFixture fused = outdoor("disconnect-present", "yes", "disconnect-kind", "fused pull-out");
        assertThat(fused.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(outdoor(fused, "fuse-rating", fuse).verdict(key)).isEqualTo(verdict);
        assertThat(outdoor("disconnect-present", "yes", "disconnect-kind", "switch")
                        .verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1} A: {2}")
    @CsvSource({"C, 32, MEETS", "C, 40, FAILS", "other, 32, MEETS", "other, 35, FAILS", "C, 36, MEETS"})
    void theDeviceTripsBeforeConductorsOverheat(String type, String rating, Verdict verdict) {
        // Iz = 36 A, 1.45 · Iz = 52.2 A; a fuse melts at 1.6 · In for certain
        String key = "electrical.overload@outdoor";
        CaseFixture exact =
                conductor().accuracy(InstrumentKind.THERMOMETER, Accuracy.EXACT).outdoor("electrical.ambient", "30 °C");
        outdoor(exact, "device-type", type, "device-rating", rating + " A");
        assertThat(exact.rules(CaseFixture.DESIGN_BOOK).verdict(key)).isEqualTo(verdict);
        assertThat(before().rules(CaseFixture.DESIGN_BOOK).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(conductor().verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    /** An independent entry of IEC 60364-5-52 for 4 mm² copper, 70 °C, two loaded conductors. */
    @ParameterizedTest
    @CsvSource({
        "A1 in a conduit in an insulated wall, 26",
        "B1 in a conduit on a wall, 32",
        "C clipped on a wall, 36",
        "E in free air, 40"
    })
    void howConductorsAreInstalled(String method, double ampere) {
        Judgement judged = outdoor(conductor(), "method", method)
                .rules(CaseFixture.DESIGN_BOOK)
                .find("electrical.conductor-ampacity@outdoor");
        assertThat(judged.comparison().orElseThrow().measured().value()).isCloseTo(ampere, within(0.05));
    }

    @ParameterizedTest(name = "{0}: {1}, earth {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "1-1, 2-2, 3-3, E-E | MEETS | MEETS | 4 wires, number to number.",
                "1-2, 2-1, 3-3, E-E | FAILS | MEETS | 1 and 2 are swapped.",
                "L-N, N-L, 3-3, E-E | FAILS | MEETS | L and N are swapped: the polarity is wrong.",
                "1-1, 2-2, 4-4 | FAILS | FAILS | Nothing is on 3.",
                "1-1, 2-3, E-E | FAILS | MEETS | Outdoor 2 leads to indoor 3.",
                "1-1, 2-2, 3-E | FAILS | FAILS | Outdoor 3 leads to indoor E.",
                "A1-1, B2-2, A3-3, AE-E | FAILS | MEETS | Its wires are on groups A and B: crossed with another indoor unit.",
            })
    void terminalByTerminal(String typed, Verdict numbers, Verdict earth, String because) {
        assertThat(before().verdict("electrical.interconnection@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(before().verdict("electrical.interconnection-earth@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture read = before().indoor("electrical.terminals", typed);
        Judgement judged = read.find("electrical.interconnection@indoor");
        assertThat(judged.verdict()).isEqualTo(numbers);
        assertThat(judged.because()).hasToString(because);
        assertThat(read.verdict("electrical.interconnection-earth@indoor")).isEqualTo(earth);
    }

    @Test
    void oneGroupForOneUnit() {
        CaseFixture two = before().unit(new Component("upper", Component.Kind.INDOOR_WALL, "Upper unit", false))
                .indoor("electrical.terminals", "A1-1, A2-2, AE-E")
                .read("electrical.terminals", "upper", "A1-1, A2-2, AE-E");
        assertThat(two.find("electrical.interconnection@indoor").because())
                .hasToString("Upper unit is said to be on group A too.");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "1-1, 1-2 | terminal 1 at the outdoor unit is on wire 1 already",
                "1-1, 2-1 | terminal 1 at the indoor unit is on wire 1 already",
                "1-1, red | Part 2, \"red\"",
            })
    void aMapThatIsNoBijection(String typed, String message) {
        assertThatThrownBy(() -> TerminalMap.NOTATION.read(typed)).hasMessageContaining(message);
    }

    @Test
    void terminalsAreWiredOnTheDrawing() {
        Notation map = TerminalMap.NOTATION;
        assertThat(map.changed("1-1, 2-2", "outdoor 3", Notation.Change.JOIN, "indoor 3"))
                .isEqualTo("1-1, 2-2, 3-3");
        assertThat(map.changed("1-1, 2-2", "indoor 1", Notation.Change.JOIN, "outdoor 2"))
                .isEqualTo("2-1");
        assertThat(map.changed("1-1, 2-2", "indoor 2", Notation.Change.REMOVE, ""))
                .isEqualTo("1-1");
        assertThatThrownBy(() -> map.changed("1-1", "outdoor 2", Notation.Change.JOIN, "outdoor 3"))
                .hasMessageContaining("tap one end at each");
        CaseFixture fixture = before().indoor("electrical.terminals", "1-2, 2-1, E-E");
        Drawing drawing = TerminalFigure.draw(
                        fixture.facts(),
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()))
                .get(0);
        assertThat(drawing.elements().stream()
                        .flatMap(element -> element.meaning().stream())
                        .flatMap(standing -> standing.thing().stream())
                        .distinct())
                .contains("outdoor 1", "indoor E", "outdoor 3")
                .hasSize(8);
    }
}
