package org.undanus.core.station.siting;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

class SitingTest {

    @ParameterizedTest(name = "front {0} {1}")
    @CsvSource({
        "37 in, MEETS",
        "36 in, TOO_CLOSE", // on the programme's limit, tape ±3 mm
        "34 in, FAILS",
    })
    void frontAgainstCodeMakerAndProgramme(String taped, Verdict verdict) {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .outdoor("siting.outdoor-clearance-front", taped)
                .judge("siting.outdoor-clearance-front");
        assertThat(judgement.verdict()).isEqualTo(verdict);
        assertThat(judgement.comparison().orElseThrow().limits())
                .extracting(held -> held.limit().authority().id())
                .containsExactly("code", "programme", "maker");
    }

    private static final RuleBook GENERAL =
            RuleBookReader.read(ShippedRuleBooks.general().get(1), Walk.vocabulary());

    /** A general book knows no snow: where nothing heats none is asked for. */
    @ParameterizedTest(name = "base at {0}, heats {1}: {2}")
    @CsvSource({
        "0 mm, no, FAILS",
        "-300 mm, no, FAILS",
        "100 mm, no, MEETS",
        "75 mm, no, TOO_CLOSE",
        "100 mm, yes, NOT_SHOWN",
    })
    void aBaseOnOrUnderTheGroundIsJudged(String base, String heats, Verdict verdict) {
        Judgement judged = new CaseFixture()
                .rules(GENERAL)
                .outdoor("siting.heats-in-winter", heats)
                .outdoor("siting.base-height", base)
                .judge("siting.base-height");
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThat(judged.because().toString().contains("does not decide: Design snow depth"))
                .isEqualTo(verdict == Verdict.NOT_SHOWN);
    }

    @Test
    void remedyNamesTheMissingDistanceInTheReadersUnits() {
        Judgement judgement = new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "30 in")
                .judge("siting.outdoor-clearance-front");
        assertThat(judgement.remedy().orElseThrow().in(UnitSystem.US)).contains("3' 0\" minimum");
        assertThat(judgement.remedy().orElseThrow().in(UnitSystem.SI)).contains("914 mm minimum");
        assertThat(judgement.because().in(UnitSystem.US)).contains("6 in short").contains("Lake Halls");
    }

    @Test
    void aMarginIsToldByBothNumbers() {
        assertThat(front("1000 mm").toString())
                .isEqualTo("1000 mm found, 914 mm required (Lake Halls programme): 86 mm to spare.");
        assertThat(front("800 mm").toString())
                .isEqualTo("800 mm found, 914 mm required (Lake Halls programme): 114 mm short.");
        CaseFixture tilted = new CaseFixture().outdoor("siting.base-tilt", "5 %");
        assertThat(tilted.judge("siting.base-tilt").because().toString())
                .isEqualTo("5 % found, 2 % allowed (Good practice): 3 % over.");
        CaseFixture level = new CaseFixture().outdoor("siting.base-tilt", "2 %");
        assertThat(level.judge("siting.base-tilt").because().toString())
                .startsWith("2 % found, 2 % allowed (Good practice): ");
    }

    @Test
    void atTheBackTheMakersFigureOutranksPractice() {
        CaseFixture fixture = new CaseFixture().outdoor("siting.outdoor-clearance-back", "6 in");
        assertThat(fixture.judge("siting.outdoor-clearance-back").verdict()).isEqualTo(Verdict.FAILS);
        Judgement withSheet = fixture.outdoor("plate.model", "WS-12").judge("siting.outdoor-clearance-back");
        assertThat(withSheet.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(withSheet.comparison().orElseThrow().limits())
                .filteredOn(Comparison.Held::binds)
                .singleElement()
                .satisfies(held -> assertThat(held.limit().source().toString()).contains("Ondrel 4410"));
    }

    @Test
    void tooCloseSaysHowGoodAnInstrumentWouldSettleIt() {
        // 1.6 mm inside 914.4 mm: √3 · √(0.8² − 1²/12) = 1.29 mm, or 0.05 in
        Text because = front("916 mm");
        assertThat(because.in(UnitSystem.SI)).contains("One accurate to ±1 mm or better settles it");
        assertThat(because.in(UnitSystem.US)).contains("One accurate to ±0.05 in or better settles it");
    }

    /** 0.4 mm inside: a tape read to the millimetre cannot tell, however good it is. */
    @Test
    void nothingIsSaidWhereNoInstrumentWouldHelp() {
        assertThat(front("914.8 mm").toString()).contains("±0.3 mm");
        assertThat(front("914 mm").toString())
                .isEqualTo("914 mm found, 914 mm required (Lake Halls programme): too close to call.");
    }

    private static Text front(String taped) {
        return new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", taped)
                .judge("siting.outdoor-clearance-front")
                .because();
    }

    @ParameterizedTest
    @CsvSource({
        "siting.indoor-clearance-left, 5 in, MEETS",
        "siting.indoor-clearance-right, 2 in, FAILS",
        "siting.indoor-clearance-above, 80 mm, TOO_CLOSE",
        "siting.indoor-height, 2.2 m, MEETS",
        "siting.indoor-height, 1.9 m, FAILS",
    })
    void indoorWallUnit(String requirement, String taped, Verdict verdict) {
        assertThat(new CaseFixture()
                        .indoor("plate.model", "WS-12 I")
                        .indoor(requirement, taped)
                        .judge(requirement)
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void ductedUnitsAreNotAskedForAMountingHeight() {
        assertThat(new CaseFixture()
                        .indoorKind(Component.Kind.INDOOR_DUCTED, true)
                        .judgements())
                .extracting(judgement -> judgement.about().id())
                .contains("siting.outdoor-clearance-front")
                .doesNotContain("siting.indoor-height", "siting.indoor-clearance-left");
    }

    @Test
    void unreadFaceIsNotShown() {
        assertThat(new CaseFixture().judge("siting.outdoor-clearance-above").verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }
}
