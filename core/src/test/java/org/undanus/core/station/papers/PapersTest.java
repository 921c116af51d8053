package org.undanus.core.station.papers;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;

class PapersTest {

    private static CaseFixture fullPlate() {
        return new CaseFixture()
                .outdoor("plate.legible", "yes")
                .outdoor("plate.model", "WS-12")
                .outdoor("plate.serial", "A1")
                .outdoor("plate.manufactured", "2026-03")
                .outdoor("plate.refrigerant", "R32")
                .outdoor("plate.rated-voltage", "208 V")
                .outdoor("plate.phases", "1");
    }

    @Test
    void plateWithBothCircuitFiguresIsComplete() {
        Judgement judgement = fullPlate()
                .outdoor("plate.minimum-circuit-ampacity", "12 A")
                .outdoor("plate.maximum-overcurrent-device", "20 A")
                .judge("papers.plate-complete");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void compressorCurrentStandsInForTheFigures() {
        assertThat(fullPlate()
                        .outdoor("plate.compressor-current", "9 A")
                        .judge("papers.plate-complete")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    @Test
    void missingFieldsAreNamed() {
        Judgement judgement = fullPlate().noSheets().judge("papers.plate-complete");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString())
                .contains("Minimum circuit ampacity (MCA)")
                .contains("Maximum overcurrent protection (MOCP)")
                .doesNotContain("Serial");
    }

    @Test
    void theSheetFillsWhatThePlateLacksAndIsNamed() {
        Judgement judgement = fullPlate().judge("papers.plate-complete");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judgement.derivation()).anySatisfy(step -> {
            assertThat(step.name()).hasToString("Minimum circuit ampacity (MCA)");
            assertThat(step.source()).hasToString("Ondrel 4410, edition 3");
        });
    }

    @Test
    void noLegiblePlateFails() {
        assertThat(new CaseFixture()
                        .outdoor("plate.legible", "no")
                        .judge("papers.plate-complete")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest
    @CsvSource({"WS-12, WS-12 I, MEETS", "ws 12, WS12I, MEETS", "WS-12, WS-18 I, FAILS", "ZZ-9, WS-12 I, NOT_SHOWN"})
    void listedPair(String outdoor, String indoor, Verdict verdict) {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.model", outdoor)
                .indoor("plate.model", indoor)
                .judge("papers.listed-pair");
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @Test
    void pairIsNotShownWhileTheOutdoorPlateIsUnread() {
        Judgement judgement = new CaseFixture().indoor("plate.model", "WS-12 I").judge("papers.listed-pair");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.remedy())
                .hasValueSatisfying(r -> assertThat(r.toString()).contains("outdoor"));
    }

    @ParameterizedTest
    @CsvSource({"R32, R32, MEETS", "R32, R410A, FAILS"})
    void sameRefrigerant(String outdoor, String indoor, Verdict verdict) {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.refrigerant", outdoor)
                .indoor("plate.refrigerant", indoor)
                .judge("papers.same-refrigerant");
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({
        "2025-03, MEETS",
        "2023-09, TOO_CLOSE", // within days of three years, and the plate tells the month only
        "2023-03, FAILS",
        "2027-01, FAILS",
    })
    void plateAge(String made, Verdict verdict) {
        assertThat(new CaseFixture()
                        .outdoor("plate.manufactured", made)
                        .judge("papers.plate-age")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void aDateAfterTheVisitIsQuestioned() {
        assertThat(new CaseFixture()
                        .outdoor("plate.manufactured", "2027-W02")
                        .judge("papers.plate-age")
                        .because()
                        .toString())
                .contains("after the visit");
    }
}
