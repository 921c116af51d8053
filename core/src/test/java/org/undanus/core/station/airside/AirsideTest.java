package org.undanus.core.station.airside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.VolumeFlow;

class AirsideTest {
    private static final String DUCTS = "@duct-system-indoor";

    private static DataSheet.FanPoint fan(double pascal, double flow) {
        return new DataSheet.FanPoint(PressureDifference.ofPascals(pascal), VolumeFlow.ofCubicMetresPerSecond(flow));
    }

    private static DataSheet sheet(DataSheet.FanPoint... fan) {
        DataSheet plain = DataSheet.of("Ondrel", "DX", "Ondrel 1")
                .with(SheetValue.AIRFLOW, VolumeFlow.ofCubicMetresPerSecond(0.5))
                .with(SheetValue.STATIC_PRESSURE_LIMIT, PressureDifference.ofPascals(125))
                .with(SheetValue.FILTER_DROP, PressureDifference.ofPascals(50))
                .with(SheetValue.COIL_DROP, PressureDifference.ofPascals(70))
                .with(SheetValue.MASS, Mass.ofKilograms(60));
        return CaseFixture.listing(plain, plain.pairs(), List.of(fan));
    }

    private static CaseFixture before() {
        return new CaseFixture()
                .indoorKind(Component.Kind.INDOOR_DUCTED, false)
                .sheets(sheet(fan(50, 0.56), fan(100, 0.50), fan(150, 0.42)))
                .at(Stage.BEFORE_COVER)
                .indoor("plate.model", "DX");
    }

    private static CaseFixture ducts(String... pointsAndTyped) {
        CaseFixture fixture = before();
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.of(Subject.Kind.DUCT_SYSTEM, "airside." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "filter-fits, yes, MEETS",
        "filter-fits, no, FAILS",
        "filter-direction, yes, MEETS",
        "filter-direction, no, FAILS",
        "filter-clean, yes, MEETS",
        "filter-clean, no, FAILS",
        "joints-permanent, mastic, MEETS",
        "joints-permanent, listed tape, MEETS",
        "joints-permanent, cloth tape, FAILS",
        "joints-permanent, open, FAILS",
        "joints-removable, gasket or tape, MEETS",
        "joints-removable, mastic, FAILS",
        "joints-removable, open, FAILS",
        "holes-plugged, yes, MEETS",
        "holes-plugged, no, FAILS",
        "cables-sealed, yes, MEETS",
        "cables-sealed, no, FAILS",
        "cabinet-tight, yes, MEETS",
        "cabinet-tight, no, FAILS",
        "ports-closed, yes, MEETS",
        "ports-closed, no, FAILS",
        "vibration-pads, yes, MEETS",
        "vibration-pads, no, FAILS",
        "fire-rated, no, MEETS",
        "fire-rated, yes, REFER",
    })
    void whatIsSeenOfDuctsAndFilter(String point, String typed, Verdict verdict) {
        assertThat(before().verdict("airside." + point + DUCTS)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(ducts(point, typed).verdict("airside." + point + DUCTS)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "return {0}, supply {1}: {2}")
    @CsvSource({"-50 Pa, 60 Pa, MEETS", "-80 Pa, 80 Pa, FAILS", "-60 Pa, 65 Pa, TOO_CLOSE"})
    void externalStaticPressure(String before, String after, Verdict verdict) {
        assertThat(ducts("static-return", before).verdict("airside.external-static" + DUCTS))
                .isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged =
                ducts("static-return", before, "static-supply", after).find("airside.external-static" + DUCTS);
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (verdict == Verdict.FAILS) {
            assertThat(judged.remedy().orElseThrow().toString()).startsWith("Take 39 Pa off it");
        }
    }

    @ParameterizedTest(name = "{0}, {1}: filter {2}")
    @CsvSource({"-50 Pa, -90 Pa, MEETS", "-50 Pa, -120 Pa, FAILS", "-50 Pa, -100 Pa, TOO_CLOSE"})
    void dropsOfFilterAndCoil(String before, String after, Verdict verdict) {
        assertThat(ducts("static-return", before).verdict("airside.filter-drop" + DUCTS))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(ducts("static-return", before, "static-filtered", after).verdict("airside.filter-drop" + DUCTS))
                .isEqualTo(verdict);
        assertThat(ducts("static-filtered", "-50 Pa", "static-coil", "-130 Pa").verdict("airside.coil-drop" + DUCTS))
                .isEqualTo(Verdict.FAILS);
        assertThat(ducts("static-filtered", "-50 Pa", "static-coil", "-110 Pa").verdict("airside.coil-drop" + DUCTS))
                .isEqualTo(Verdict.MEETS);
        assertThat(ducts("static-filtered", "-50 Pa", "static-coil", "-120 Pa").verdict("airside.coil-drop" + DUCTS))
                .isEqualTo(Verdict.TOO_CLOSE);
        assertThat(before().verdict("airside.coil-drop" + DUCTS)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void dropsOfDuctsAreOnlyLimitedWhereSomebodyDoes() {
        CaseFixture read = ducts("static-return", "-50 Pa", "static-supply", "60 Pa");
        assertThat(read.verdict("airside.return-drop" + DUCTS)).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(read.verdict("airside.supply-drop" + DUCTS)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void airflowByFanTable() {
        Judgement judged =
                ducts("static-return", "-45 Pa", "static-supply", "55 Pa").find("airside.airflow" + DUCTS);
        assertThat(judged.comparison().orElseThrow().measured().value()).isCloseTo(0.50, within(1e-6));
        assertThat(judged.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(ducts("static-return", "-90 Pa", "static-supply", "59 Pa").verdict("airside.airflow" + DUCTS))
                .as("0.42 m³/s of 0.5")
                .isEqualTo(Verdict.TOO_CLOSE);
        Judgement open = before().find("airside.airflow" + DUCTS);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.remedy().orElseThrow().toString()).contains("it must come near 1800 m³/h");
    }

    @Test
    void airflowByHoodAndWhatDisagrees() {
        assertThat(before().indoor("running.airflow", "1300 m³/h").verdict("airside.airflow" + DUCTS))
                .isEqualTo(Verdict.FAILS);
        Judgement apart = ducts("static-return", "-45 Pa", "static-supply", "55 Pa")
                .indoor("running.airflow", "1100 m³/h")
                .find("airside.airflow" + DUCTS);
        assertThat(apart.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(apart.because().toString()).contains("disagree").contains("flow hood, fan table");
    }

    /** 240 V × 20 A = 4800 W over ρ·cp·ΔT with 12.0 K at sea level: ρ 1.204, cp 1006 → 0.3302 m³/s. */
    @Test
    void airflowByStripHeatAndGrid() {
        Judgement heater = ducts("heater-voltage", "240 V", "heater-current", "20 A", "heater-rise", "12.0 K")
                .find("airside.airflow" + DUCTS);
        assertThat(heater.comparison().orElseThrow().measured().value()).isCloseTo(0.3302, within(0.002));
        assertThat(heater.verdict()).isEqualTo(Verdict.FAILS);
        String row = "6 6 6 6 6";
        Judgement grid = ducts(
                        "duct-width", "400 mm",
                        "duct-height", "400 mm",
                        "grid", "Pa: " + String.join(" / ", row, row, row, row, row))
                .find("airside.airflow" + DUCTS);
        assertThat(grid.comparison().orElseThrow().measured().value())
                .isCloseTo(0.16 * Math.sqrt(2 * 6 / 1.204), within(0.002));
    }

    @ParameterizedTest(name = "{0} high: {1}")
    @CsvSource({"500 mm, MEETS", "300 mm, FAILS", "400 mm, TOO_CLOSE"})
    void faceVelocity(String height, Verdict verdict) {
        assertThat(before().verdict("airside.face-velocity" + DUCTS)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged =
                ducts("filter-width", "500 mm", "filter-height", height).find("airside.face-velocity" + DUCTS);
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (verdict == Verdict.FAILS) {
            assertThat(judged.remedy().orElseThrow().toString()).contains("2001 cm² face");
        }
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"60 m³/h, MEETS", "200 m³/h, FAILS", "115 m³/h, TOO_CLOSE"})
    void leakageOfDucts(String flow, Verdict verdict) {
        // 100 m² × 2.03·10⁻⁴ m/s = 73 m³/h at 25 Pa; 115 m³/h at 50 Pa are 73 at 25
        CaseFixture read = ducts("leak-pressure", "50 Pa", "served-area", "100 m²");
        Judgement open = read.find("airside.duct-leakage" + DUCTS);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.remedy().orElseThrow().toString()).contains("It may come to 73 m³/h at 25 Pa.");
        assertThat(read.of(Subject.Kind.DUCT_SYSTEM, "airside.leak-flow", flow).verdict("airside.duct-leakage" + DUCTS))
                .isEqualTo(verdict);
        assertThat(DuctLeakage.at(25, 100, 50, 0.65)).isCloseTo(100 * Math.pow(0.5, 0.65), within(1e-9));
    }

    @ParameterizedTest(name = "surface {0}: {1}")
    @CsvSource({"21 °C, MEETS", "14 °C, FAILS", "18.6 °C, TOO_CLOSE"})
    void metalDoesNotSweat(String surface, Verdict verdict) {
        // 25 °C and 68 % have a dew point of 18.7 °C
        CaseFixture air = ducts("around-temperature", "25 °C", "around-humidity", "68 %");
        Judgement open = air.find("airside.sweating" + DUCTS);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.remedy().orElseThrow().toString()).contains("It must be 18.7 °C or warmer.");
        assertThat(air.of(Subject.Kind.DUCT_SYSTEM, "airside.surface-temperature", surface)
                        .verdict("airside.sweating" + DUCTS))
                .isEqualTo(verdict);
    }

    @Test
    void theSurfaceIsComputedThroughItsInsulation() {
        CaseFixture thin = ducts("around-temperature", "30 °C", "around-humidity", "75 %", "duct-insulation", "5 mm")
                .indoor("running.supply-dry-bulb", "12 °C");
        Judgement judged = thin.find("airside.sweating" + DUCTS);
        assertThat(judged.verdict()).isEqualTo(Verdict.FAILS);
        // Ts = (9·0.005·30 + 0.0404·12)/(9·0.005 + 0.0404)
        assertThat(judged.comparison().orElseThrow().measured().value() - 273.15)
                .isCloseTo((0.045 * 30 + 0.04038 * 12) / (0.045 + 0.04038), within(0.02));
        assertThat(judged.remedy().orElseThrow().toString()).contains("Insulate it 12 mm thick or more");
        assertThat(ducts("around-temperature", "30 °C", "around-humidity", "75 %", "duct-insulation", "25 mm")
                        .indoor("running.supply-dry-bulb", "12 °C")
                        .verdict("airside.sweating" + DUCTS))
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "{0} rods of {1}: {2}")
    @CsvSource({"4, 700 N, MEETS", "4, 400 N, FAILS", "2, 1176.798 N, MEETS", "0, 400 N, DOES_NOT_APPLY"})
    void hangersCarryTheUnit(String rods, String load, Verdict verdict) {
        assertThat(before().verdict("airside.hangers" + DUCTS)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = ducts("hangers", rods, "rod-load", load).find("airside.hangers" + DUCTS);
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (verdict == Verdict.FAILS) {
            assertThat(judged.remedy().orElseThrow().toString())
                    .contains("have 6 rods of this kind, or rods of 589 N each");
        }
        assertThat(ducts("hangers", "4")
                        .find("airside.hangers" + DUCTS)
                        .remedy()
                        .orElseThrow()
                        .toString())
                .contains("Each of 4 must carry 588 N.");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "flexible-stretched, yes, MEETS",
        "flexible-stretched, no, FAILS",
        "flexible-radius, 250 mm, MEETS",
        "flexible-radius, 150 mm, FAILS",
        "flexible-radius, 200 mm, TOO_CLOSE",
        "flexible-spacing, 1.2 m, MEETS",
        "flexible-spacing, 2.00 m, FAILS",
        "flexible-spacing, 1524 mm, TOO_CLOSE",
    })
    void flexibleDuct(String point, String typed, Verdict verdict) {
        String key = "airside." + point.replace("flexible-radius", "flexible-bend") + DUCTS;
        CaseFixture there = ducts("flexible", "yes", "flexible-diameter", "200 mm");
        assertThat(there.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(there.of(Subject.Kind.DUCT_SYSTEM, "airside." + point, typed).verdict(key))
                .isEqualTo(verdict);
        assertThat(ducts("flexible", "no").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void aFanTableThatTurnsBackIsRefused() {
        assertThatThrownBy(() -> sheet(fan(50, 0.5), fan(100, 0.55))).hasMessageContaining("turns back");
        assertThatThrownBy(() -> sheet(fan(50, 0.5), fan(50, 0.4))).hasMessageContaining("twice");
    }

    @Test
    void theProfileAndTheGridAreDrawn() {
        CaseFixture fixture = ducts(
                "static-return",
                "-50 Pa",
                "static-filtered",
                "-90 Pa",
                "static-supply",
                "60 Pa",
                "duct-width",
                "800 mm",
                "duct-height",
                "400 mm");
        Judgements judgements = new Judgements(fixture.judgements());
        Drawing profile = StaticFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(profile.caption().toString()).contains("External static pressure 110 Pa");
        Drawing grid = GridFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(grid.elements().stream()
                        .flatMap(element -> element.meaning().stream())
                        .flatMap(standing -> standing.thing().stream())
                        .distinct())
                .as("six lines across 800 mm, five down 400 mm")
                .hasSize(30)
                .contains("5x6 of 5x6");
        assertThat(Optional.of(grid.spoken().toString()))
                .hasValueSatisfying(said -> assertThat(said).contains("30 places not read"));
    }
}
