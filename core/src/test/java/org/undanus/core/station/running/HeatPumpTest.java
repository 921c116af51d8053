package org.undanus.core.station.running;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;

/** Heat, power and stages: what a heat pump does against its sheet. */
class HeatPumpTest {
    /** 0 °C outdoors by the sheet that covers the cold: 4388 W for 1224 W; a hood reads 720 m³/h. */
    private static CaseFixture weighed(String supply, String power) {
        CaseFixture fixture = HeatingFixture.heating(HeatingFixture.COLD, Map.of(), "0 °C", supply)
                .indoor("running.airflow", "720 m³/h");
        return power == null ? fixture : fixture.indoor("running.power", power);
    }

    /** A derivation tells its figures in the reader's units, within its words too. */
    @Test
    void howItFollowsIsToldInTheReadersUnits() {
        assertThat(weighed("38.2 °C", null)
                        .find("running.heating-capacity@indoor")
                        .derivation())
                .anySatisfy(step -> {
                    assertThat(step.how().in(UnitSystem.US)).isEqualTo("at 32 °F outdoors");
                    assertThat(step.how().in(UnitSystem.SI)).isEqualTo("at 0 °C outdoors");
                });
    }

    @ParameterizedTest(name = "supply {0}: {1}")
    @CsvSource({"38.2 °C, MEETS", "30.0 °C, FAILS", "35.6 °C, TOO_CLOSE"})
    void capacityIsHeldAgainstTheSheetOfThisWeather(String supply, Verdict verdict) {
        assertThat(weighed(supply, null).verdict("running.heating-capacity@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void capacityIsThatOfTheAirThatPassed() {
        Judgement read = weighed("38.2 °C", null).find("running.heating-capacity@indoor");
        // 0.2 m³/s of air at 20 °C and this height, 18.2 K: 4390 W
        assertThat(read.comparison().orElseThrow().measured().value()).isCloseTo(1.0, within(0.03));
        assertThat(HeatingFixture.heating(HeatingFixture.COLD, Map.of(), "0 °C", "38.2 °C")
                        .verdict("running.heating-capacity@indoor"))
                .as("no airflow was measured")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(weighed("38.2 °C", null)
                        .indoor("running.outdoor-dry-bulb", "-25 °C")
                        .verdict("running.heating-capacity@indoor"))
                .as("colder than the sheet")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(weighed("38.2 °C", null).indoor("operation.mode", "cooling").verdict("running.efficiency@indoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"1230 W, MEETS", "2400 W, FAILS", "1500 W, TOO_CLOSE", ", NOT_SHOWN"})
    void heatForThePowerTakenIsThatOfTheSheet(String power, Verdict verdict) {
        assertThat(weighed("38.2 °C", power).verdict("running.efficiency@indoor"))
                .isEqualTo(verdict);
    }

    /** 4390 W of heat; a programme asks for a coefficient of 1.75, whatever the sheet says. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"2000 W, MEETS", "3000 W, FAILS", "2500 W, TOO_CLOSE", ", NOT_SHOWN"})
    void aProgrammeMayAskForACoefficientOfPerformance(String power, Verdict verdict) {
        RuleBook asking = RuleBookReader.read(
                ShippedRuleBooks.demo()
                        .get(0)
                        .replace(
                                "limits:\n",
                                "limits:\n  running.coefficient-of-performance:\n    - {by: programme, at-least: COP 1.75, source: x}\n"),
                Walk.vocabulary());
        CaseFixture read = weighed("38.2 °C", power);
        assertThat(read.verdict("running.coefficient-of-performance@indoor")).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(read.rules(asking).verdict("running.coefficient-of-performance@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void withoutPowerOnTheSheetEfficiencyIsToldAndNotJudged() {
        Judgement told = HeatingFixture.heating(
                        new double[][] {{-8, 3800, 0}, {8, 5000, 0}}, Map.of(), "0 °C", "38.2 °C")
                .indoor("running.airflow", "720 m³/h")
                .indoor("running.power", "1230 W")
                .find("running.efficiency@indoor");
        assertThat(told.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(told.because().toString()).startsWith("3.6 of heat for each watt");
        assertThat(weighed("38.2 °C", "1230 W")
                        .unit(new Component("second", Component.Kind.INDOOR_WALL, "Second", false))
                        .verdict("running.efficiency@indoor"))
                .as("two share the power")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "supply {0}, {1}: {2}")
    @CsvSource({"38.2 °C, 1230 W, FAILS", "44.0 °C, 1230 W, MEETS", "41.6 °C, 1230 W, TOO_CLOSE", "44.0 °C, , NOT_SHOWN"
    })
    void theColdDayIsTheSheetsCurveThroughWhatWasMeasured(String supply, String power, Verdict verdict) {
        // the sheet: 3158 W at −15 °C of 5000 W, 63 %
        assertThat(weighed(supply, power).verdict("running.cold-capacity@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void aSheetThatDoesNotReachTheColdShowsNothingOfIt() {
        assertThat(HeatingFixture.heating(HeatingFixture.MILD, Map.of(), "0 °C", "38.2 °C")
                        .indoor("running.airflow", "720 m³/h")
                        .indoor("running.power", "1230 W")
                        .verdict("running.cold-capacity@indoor"))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "leaves at {0}: {1}")
    @CsvSource({"-4.0 °C, MEETS", "-16.0 °C, FAILS", "3.0 °C, FAILS", "0.1 °C, TOO_CLOSE", ", NOT_SHOWN"})
    void theOutdoorCoilCoolsItsAirAndNotTooMuch(String leaving, Verdict verdict) {
        // 4388 − 1224 W from 0.5 m³/s of dry air at 0 °C: 4.9 K, with the airflow's tolerance 5.8 K
        CaseFixture fixture = HeatingFixture.heating(
                HeatingFixture.COLD,
                Map.of(SheetValue.OUTDOOR_AIRFLOW, VolumeFlow.ofCubicMetresPerSecond(0.5)),
                "0 °C",
                "38.2 °C");
        if (leaving != null) {
            fixture.outdoor("running.outdoor-leaving", leaving);
        }
        assertThat(fixture.verdict("running.outdoor-drop@outdoor")).isEqualTo(verdict);
    }

    @Test
    void withoutTheSheetsAirflowOutdoorsNoDropIsJudged() {
        assertThat(HeatingFixture.heating(HeatingFixture.COLD, Map.of(), "0 °C", "38.2 °C")
                        .outdoor("running.outdoor-leaving", "-4.0 °C")
                        .verdict("running.outdoor-drop@outdoor"))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(HeatingFixture.steady("cooling", "30 °C", "24.0 °C", "13.0 °C")
                        .outdoor("running.outdoor-leaving", "40.0 °C")
                        .verdict("running.outdoor-drop@outdoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    private static Verdict stages(String seen) {
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .sheets(CaseFixture.outdoorSheet()
                        .with(SheetValue.LOW_STAGE_CURRENT, Current.ofAmperes(5))
                        .with(SheetValue.HIGH_STAGE_CURRENT, Current.ofAmperes(9)));
        return (seen == null ? fixture : fixture.outdoor("running.stages", seen)).verdict("running.stages@outdoor");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "cooling low 5.1 A, cooling high 8.9 A | MEETS",
                "cooling 5.1 A, cooling second 5.2 A | FAILS",
                "cooling 5.1 A, cooling 7.1 A | TOO_CLOSE",
                "cooling high 8.9 A | NOT_SHOWN",
                "cooling low 5.1 A, cooling high 8.9 A, heating 8.8 A | NOT_SHOWN",
                "fan high 40 % | NOT_SHOWN",
                "cooling 5.1 A, cooling 8.9 A, heating 6.0 A, heating 6.0 A | FAILS",
            })
    void bothStagesOfATwoStageMachineAreTold(String seen, Verdict verdict) {
        assertThat(stages(seen)).isEqualTo(verdict);
        assertThat(stages(null)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture().outdoor("running.stages", "heating 62 Hz").verdict("running.stages@outdoor"))
                .as("no sheet knows two stages")
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "drying 5 A", "cooling high", "cooling 5 m", "cooling -3 A", "cooling 0 A"})
    void aStageThatNothingTellsIsRefused(String typed) {
        assertThatThrownBy(() -> new CaseFixture().outdoor("running.stages", typed))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void severalZonesRunAtOnceWhereThereAreSeveral() {
        String key = "running.zones-seen@system";
        assertThat(new CaseFixture().verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
        Component second = new Component("second", Component.Kind.INDOOR_WALL, "Second", false);
        assertThat(new CaseFixture().unit(second).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture()
                        .unit(second)
                        .indoor("running.zones-seen", "runs as it should")
                        .verdict(key))
                .isEqualTo(Verdict.MEETS);
        assertThat(new CaseFixture()
                        .unit(second)
                        .indoor("running.zones-seen", "does not run")
                        .verdict(key))
                .isEqualTo(Verdict.FAILS);
    }

    private static CaseFixture infrared(String grille, String spot, String probe) {
        CaseFixture fixture =
                new CaseFixture().indoor("running.return-dry-bulb", "24.0 °C").indoor("running.infrared-spot", spot);
        if (grille != null) {
            fixture.indoor("running.grille-infrared", grille);
        }
        return probe == null ? fixture : fixture.indoor("running.supply-dry-bulb", probe);
    }

    @ParameterizedTest(name = "{0}, {1}, probe {2}: {3}")
    @CsvSource({
        "13.5 °C, within the grille, 12.0 °C, MEETS",
        "19.0 °C, within the grille, 12.0 °C, FAILS",
        "13.5 °C, within the grille, , NOT_SHOWN",
        "13.5 °C, over its edge, 12.0 °C, NOT_SHOWN",
        ", within the grille, 12.0 °C, DOES_NOT_APPLY"
    })
    void infraredCountsForLessThanAProbe(String grille, String spot, String probe, Verdict verdict) {
        assertThat(infrared(grille, spot, probe).verdict("running.grille-infrared@indoor"))
                .isEqualTo(verdict);
        assertThat(infrared(grille, spot, null).verdict("running.split@indoor"))
                .as("it never stands in for the probe")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void emissivityMattersTheMoreTheFartherFromTheRoom() {
        // 285.15 K in a room of 297.15 K, ε 0.95 ± 0.05: (T⁴ − T_room⁴)/(4·ε·T³) = 13.5 K, times 0.05/√3
        assertThat(GrilleInfrared.byEmissivity(285.15, 297.15, 0.95, 0.05)).isCloseTo(0.388, within(0.005));
        assertThat(GrilleInfrared.byEmissivity(297.15, 297.15, 0.95, 0.05)).isZero();
    }

    private static List<Drawing> figures(CaseFixture fixture) {
        return Running.plan()
                .draw(
                        fixture.facts(),
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()));
    }

    private static List<Place> line(Drawing drawing, Role role) {
        return drawing.elements().stream()
                .filter(e -> e instanceof Element.Path line && line.role() == role)
                .map(e -> ((Element.Path) e).points())
                .findFirst()
                .orElse(List.of());
    }

    @Test
    void heatedAirIsDrawnOnItsWayWithItsMoistureKept() {
        CaseFixture fixture = weighed("38.2 °C", null).indoor("running.return-wet-bulb", "13.0 °C");
        List<Place> way = line(figures(fixture).get(0), Role.RUN);
        assertThat(way).hasSize(2);
        assertThat(way.get(1).x()).isCloseTo(38.2, within(0.01));
        assertThat(way.get(1).y()).isEqualTo(way.get(0).y());
        List<Place> cooled = line(
                figures(HeatingFixture.steady("cooling", "32 °C", "26.7 °C", "14.0 °C")
                                .indoor("running.return-wet-bulb", "19.4 °C")
                                .indoor("running.supply-wet-bulb", "13.2 °C"))
                        .get(0),
                Role.RUN);
        assertThat(cooled.get(1).y())
                .as("it lost moisture")
                .isLessThan(cooled.get(0).y());
    }

    @Test
    void whatWasMeasuredStandsBesideTheSheetsLineOverTheWeather() {
        Drawing drawn = figures(weighed("38.2 °C", null)).get(1);
        assertThat(line(drawn, Role.CURVE)).hasSize(4);
        assertThat(line(drawn, Role.READ))
                .allSatisfy(place -> assertThat(place.x()).isZero());
        assertThat(line(drawn, Role.READ).get(0).y()).isLessThan(4.39);
        assertThat(line(drawn, Role.READ).get(1).y()).isGreaterThan(4.39);
        assertThat(drawn.spoken().toString())
                .contains("Capacity over the outdoor temperature")
                .contains("at 0 °C today");
        assertThat(figures(new CaseFixture())).as("no sheet, no line").hasSize(1);
    }
}
