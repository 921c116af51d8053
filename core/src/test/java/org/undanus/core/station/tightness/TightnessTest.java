package org.undanus.core.station.tightness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.GaugePressure;

class TightnessTest {
    private static final String LINES = "@line-set-indoor";

    private static CaseFixture fixture() {
        return new CaseFixture()
                .at(Stage.WITNESS)
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .outdoor("plate.refrigerant", "R32")
                .outdoor("plate.low-side-test-pressure", "30 barg");
    }

    private static CaseFixture read(CaseFixture fixture, String... pointsAndTyped) {
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.lines("tightness." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static CaseFixture read(String... pointsAndTyped) {
        return read(fixture(), pointsAndTyped);
    }

    /** A hold read twice on a gauge whose digits are written out. */
    private static CaseFixture held(String time, String startP, String startT, String endP, String endT) {
        return read(
                "volume", "2.1 L",
                "temperature-of", "tube wall",
                "start-pressure", startP,
                "start-temperature", startT,
                "hold-time", time,
                "end-pressure", endP,
                "end-temperature", endT);
    }

    private static Judgement hold(CaseFixture fixture) {
        return fixture.find("tightness.hold" + LINES);
    }

    private static String remedy(Judgement judgement) {
        return judgement.remedy().orElseThrow().toString();
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "gas, dry nitrogen, MEETS",
        "gas, nitrogen with tracer gas, MEETS",
        "gas, compressed air, FAILS",
        "gas, oxygen, FAILS",
        "gas, refrigerant, FAILS",
        "regulator, yes, MEETS",
        "regulator, no, FAILS",
        "valves-shut, yes, MEETS",
        "valves-shut, no, FAILS",
        "search, soap solution, MEETS",
        "search, electronic detector, NOT_SHOWN",
        "search, tracer gas detector, MEETS",
        "search, none, NOT_SHOWN",
        "cores, 'searched, tight', MEETS",
        "cores, leak found, FAILS",
        "cores, not searched, NOT_SHOWN",
    })
    void whatIsAnswered(String point, String typed, Verdict verdict) {
        String key = "tightness." + point + LINES;
        assertThat(fixture().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(read(point, typed).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "'no bubbles, no signal', MEETS",
        "bubbles or a signal, FAILS",
        "not searched, NOT_SHOWN",
    })
    void everyJointHasItsOwnEvidence(String found, Verdict verdict) {
        CaseFixture fixture = fixture().part("flare-1", Subject.Kind.JOINT, "outdoor", "indoor");
        assertThat(fixture.verdict("tightness.joint@flare-1")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture.read("tightness.joint", "flare-1", found).verdict("tightness.joint@flare-1"))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}, {1}: {2} {3}")
    @CsvSource({
        "0.02 m/s, 3 mm, MEETS, TOO_CLOSE",
        "0.2 m/s, 20 mm, FAILS, FAILS",
        "0.05 m/s, 1 mm, MEETS, MEETS",
    })
    void aDetectorIsMovedSlowlyAndNear(String speed, String distance, Verdict slow, Verdict near) {
        CaseFixture soaped = read("search", "soap solution");
        assertThat(soaped.verdict("tightness.detector-speed" + LINES)).isEqualTo(Verdict.DOES_NOT_APPLY);
        CaseFixture fixture = read("search", "tracer gas detector");
        assertThat(fixture.verdict("tightness.detector-speed" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        read(fixture, "detector-speed", speed, "detector-distance", distance);
        assertThat(fixture.verdict("tightness.detector-speed" + LINES)).isEqualTo(slow);
        assertThat(fixture.verdict("tightness.detector-distance" + LINES)).isEqualTo(near);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "10 barg 3 min, 20 barg 3 min, 28 barg | MEETS",
                "10 barg 3 min, 20 barg 3 min, 32 barg | FAILS",
                "10 barg 3 min, 20 barg 3 min, 30 barg | TOO_CLOSE",
            })
    void neverOverThePlate(String stages, Verdict verdict) {
        Judgement open = fixture().find("tightness.never-over" + LINES);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(remedy(open)).contains("It may go up to 30 barg, and not higher.");
        assertThat(read("stages", stages).verdict("tightness.never-over" + LINES))
                .isEqualTo(verdict);
        assertThat(read("stages", "5 barg 3 min, 20 barg", "strength-pressure", "33 barg")
                        .verdict("tightness.never-over" + LINES))
                .as("the strength test counts too")
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void withoutAPlateNothingIsNeverTooMuch() {
        CaseFixture bare = new CaseFixture().at(Stage.WITNESS).noSheets();
        bare.lines("tightness.stages", "10 barg 3 min, 20 barg");
        assertThat(bare.verdict("tightness.never-over" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "10 barg 3 min, 20 barg 3 min, 28 barg | MEETS",
                "10 barg 3 min, 20 barg 2 min, 28 barg | FAILS",
                "10 barg 5 min, 28 barg | FAILS",
            })
    void itRisesInStages(String stages, Verdict verdict) {
        assertThat(fixture().verdict("tightness.in-stages" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(read("stages", stages).verdict("tightness.in-stages" + LINES))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"28 barg, MEETS", "20 barg, NOT_SHOWN", "27 barg, TOO_CLOSE"})
    void atAnotherPressureNothingIsShown(String start, Verdict verdict) {
        String key = "tightness.high-enough" + LINES;
        Judgement open = fixture().find(key);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(remedy(open)).contains("It begins at 27 barg.");
        assertThat(read("start-pressure", start).verdict(key)).isEqualTo(verdict);
    }

    @Test
    void theMakersFigureGoesBeforeTheShareAndASchoolMayDiffer() {
        DataSheet own = CaseFixture.outdoorSheet().with(SheetValue.TIGHTNESS_PRESSURE, GaugePressure.ofPascals(20e5));
        String key = "tightness.high-enough" + LINES;
        Judgement made = read("start-pressure", "22 barg").sheets(own).find(key);
        assertThat(made.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(made.otherSchools().stream().map(j -> j.verdict()))
                .as("a share of the design pressure, and a screen, which never shows more")
                .containsExactly(Verdict.NOT_SHOWN, Verdict.NOT_SHOWN);
    }

    @Test
    void whatTheHoldCouldShowDecides() {
        assertThat(fixture().verdict("tightness.hold" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement night = hold(held("14 h", "27.000 barg", "22.4 °C", "26.030 barg", "13.2 °C"));
        assertThat(night.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(night.because().toString()).startsWith("No leak stood out, but only one over");
        assertThat(remedy(night)).startsWith("Hold it").contains("in all with this gauge");
        Judgement days = hold(held("96 h", "28.0 barg", "15.0 °C", "28.0 barg", "15.0 °C"));
        assertThat(days.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(days.because().toString()).contains("would have shown");
    }

    @Test
    void whatIsLostBeyondItsTemperatureIsALeakInGramsAYear() {
        Judgement leaks = hold(held("12 h", "27.0 barg", "20.0 °C", "25.8 barg", "20.0 °C"));
        assertThat(leaks.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(leaks.because().toString()).contains("120 kPa were lost").contains("of refrigerant a year");
    }

    @Test
    void aNeedleThatStoodStillWhileItCooledShowsNothing() {
        Judgement still = hold(held("12 h", "27.0 barg", "24.0 °C", "27.0 barg", "12.0 °C"));
        assertThat(still.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(still.because().toString())
                .startsWith("The pressure stayed while the temperature moved; it should have changed by -12");
    }

    @Test
    void aGainShowsThatTheTemperatureWasAnothers() {
        Judgement gained = hold(held("12 h", "27.0 barg", "20.0 °C", "28.2 barg", "20.0 °C"));
        assertThat(gained.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(gained.because().toString()).contains("that temperature was not the gas's");
    }

    @Test
    void whatIsMissingIsSaidWithTheTimeItTakes() {
        Judgement open = hold(read("volume", "2.1 L", "temperature-of", "gas"));
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(remedy(open)).contains("With this gauge and volume it takes at least");
        assertThat(hold(held("1 h", "60 barg", "20 °C", "60 barg", "20 °C"))
                        .because()
                        .toString())
                .startsWith("Nitrogen is not described");
    }

    @Test
    void aLogOfPressureAndWallIsReadAsACurve() {
        StringBuilder pressure = new StringBuilder("time,barg\n");
        StringBuilder wall = new StringBuilder("time,°C\n");
        for (int i = 0; i < 300; i++) {
            String at = "2026-06-03T0" + i / 60 + ":" + String.format("%02d", i % 60) + ":00Z,";
            pressure.append(at).append(String.format("%.3f", 28.0 - 0.0012 * i)).append('\n');
            wall.append(at).append("20.0\n");
        }
        CaseFixture fixture = read("volume", "2.1 L", "temperature-of", "tube wall");
        fixture.logged("tightness.pressure-log", "line-set-indoor", pressure.toString())
                .logged("tightness.temperature-log", "line-set-indoor", wall.toString());
        Judgement leaks = hold(fixture);
        assertThat(leaks.verdict()).isEqualTo(Verdict.FAILS);
        // 0.0012 bar a minute in 2.1 L
        assertThat(leaks.because().toString()).contains("a leak of 4.2");
        Judgements all = new Judgements(fixture.judgements());
        Drawing drawn = HoldFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, all)
                .get(0);
        assertThat(drawn.spoken().toString())
                .startsWith("Held from 28 barg to 27.64 barg; by temperature alone it would end at 28 barg. Fails");
    }

    @Test
    void marksCutTheHoldOutOfWhatWasDoneBeforeAndAfter() {
        StringBuilder pressure = new StringBuilder("time,barg\n");
        StringBuilder wall = new StringBuilder("time,°C\n");
        for (int i = 0; i < 300; i++) {
            String at = "2026-06-03T0" + i / 60 + ":" + String.format("%02d", i % 60) + ":00Z,";
            double barg = i < 30 ? 10 : i < 200 ? 28.0 - 0.0012 * (i - 30) : 5;
            pressure.append(at).append(String.format("%.3f", barg)).append('\n');
            wall.append(at).append("20.0\n");
        }
        CaseFixture fixture = read("volume", "2.1 L", "temperature-of", "tube wall");
        fixture.logged("tightness.pressure-log", "line-set-indoor", pressure.toString())
                .logged("tightness.temperature-log", "line-set-indoor", wall.toString());
        assertThat(hold(fixture).because().toString()).doesNotContain("4.2");
        read(fixture, "marks", "30 min nitrogen in, 60 min soaped, 199 min valve opened");
        assertThat(hold(fixture).because().toString()).contains("a leak of 4.2");
        Drawing drawn = HoldFigure.draw(
                        fixture.facts(),
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()))
                .get(0);
        assertThat(drawn.spoken().toString()).startsWith("Held from 28 barg to 27.8 barg");
    }

    @Test
    void readingsByHandAreACurveToo() {
        CaseFixture fixture = read(
                "volume", "2.1 L",
                "temperature-of", "tube wall",
                "pressure-readings", "18:00 28.0 barg, 20:00 27.7, 22:00 27.4, 0:00 27.1, 2:00 26.8, 4:00 26.5",
                "temperature-readings", "18:00 20 °C, 20:00 20, 22:00 20, 0:00 20, 2:00 20, 4:00 20");
        assertThat(hold(fixture).verdict()).isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest
    @ValueSource(strings = {"20 barg 3 min, 10 barg", "5 min", "-1 barg 3 min", "10 N·m 3 min", ""})
    void stagesThatMakeNoSenseAreRefusedByTheirPart(String typed) {
        assertThatThrownBy(() -> read("stages", typed)).isInstanceOf(IllegalArgumentException.class);
    }
}
