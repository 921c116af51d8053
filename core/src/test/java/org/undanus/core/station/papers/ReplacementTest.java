package org.undanus.core.station.papers;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.words.UnitSystem;

/** Station 1: what stays of an old system, plate against sheet, capacity against load, instruments. */
class ReplacementTest {

    private static CaseFixture fixture() {
        return new CaseFixture()
                .replacing()
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .outdoor("plate.refrigerant", "R32");
    }

    @Test
    void nothingIsAskedOfANewSystem() {
        assertThat(new CaseFixture().judgements()).noneMatch(j -> j.about().id().startsWith("papers.kept"));
    }

    @ParameterizedTest(name = "old breaker {0}: {1}")
    @CsvSource({"20 A, MEETS", "30 A, FAILS", "10 A, FAILS"})
    void theOldBreakerIsHeldAgainstTheNewPlate(String rating, Verdict verdict) {
        Judgement judgement = fixture()
                .read("papers.kept-breaker", "system", "yes")
                .read("papers.old-breaker", "system", rating)
                .judge("papers.kept-breaker");
        assertThat(judgement.verdict()).isEqualTo(verdict);
    }

    @Test
    void renewedPartsAreNotAskedAndUnreadOnesNotShown() {
        assertThat(fixture()
                        .read("papers.kept-breaker", "system", "no")
                        .judge("papers.kept-breaker")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(fixture()
                        .read("papers.kept-breaker", "system", "yes")
                        .judge("papers.kept-breaker")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture()
                        .read("papers.kept-flue", "system", "yes")
                        .judge("papers.kept-flue")
                        .verdict())
                .isEqualTo(Verdict.REFER);
        assertThat(fixture()
                        .read("papers.kept-ducts", "system", "yes")
                        .judge("papers.kept-ducts")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(fixture()
                        .indoorKind(Component.Kind.INDOOR_DUCTED, false)
                        .indoor("plate.airflow", "1200 cfm")
                        .read("papers.kept-ducts", "system", "yes")
                        .read("papers.old-duct-airflow", "system", "900 cfm")
                        .judge("papers.kept-ducts")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest(name = "{0} and {1}, cleaned {2}: {3}")
    @CsvSource({
        "6.4 mm, 3/8 in, yes, MEETS",
        "6.4 mm, 1/2 in, yes, FAILS",
        "1/4 in, 3/8 in, no, FAILS",
        "6 mm, 10 mm, yes, MEETS", // the metric names of 1/4 in and 3/8 in
        "6.35 mm, 8.0 mm, yes, FAILS", // 5/16 in
        "6.35 mm, 1 cm, yes, NOT_SHOWN", // 5/16 in, 3/8 in or 1/2 in
    })
    void oldLinesAreOfTheNewSizesAndClean(String liquid, String suction, String cleaned, Verdict verdict) {
        CaseFixture fixture = fixture()
                .outdoor("plate.liquid-line", "1/4 in")
                .outdoor("plate.suction-line", "3/8 in")
                .read("papers.kept-lines", "system", "yes")
                .read("papers.old-liquid-line", "system", liquid)
                .read("papers.old-suction-line", "system", suction)
                .read("papers.old-refrigerant", "system", "R410A")
                .read("papers.lines-cleaned", "system", cleaned);
        assertThat(fixture.judge("papers.kept-lines").verdict()).isEqualTo(verdict);
        assertThat(fixture.judge("papers.kept-lines").component()).isEqualTo("system");
    }

    /** 2 cm is not 7/8 in for want of digits: it may be 3/4 in as well. */
    @Test
    void aRoundedTubeIsNamedWithItsNearest() {
        Judgement judgement = fixture()
                .outdoor("plate.liquid-line", "1/4 in")
                .outdoor("plate.suction-line", "7/8 in")
                .read("papers.kept-lines", "system", "yes")
                .read("papers.old-liquid-line", "system", "1/4 in")
                .read("papers.old-suction-line", "system", "2 cm")
                .read("papers.old-refrigerant", "system", "R410A")
                .read("papers.lines-cleaned", "system", "yes")
                .judge("papers.kept-lines");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().in(UnitSystem.US)).contains("3/4 in the nearest");
    }

    @Test
    void aPlateThatContradictsItsSheetFails() {
        CaseFixture fixture = fixture().outdoor("plate.minimum-circuit-ampacity", "12 A");
        assertThat(fixture.judge("papers.plate-agrees").verdict()).isEqualTo(Verdict.MEETS);
        Judgement judgement =
                fixture.outdoor("plate.maximum-overcurrent-device", "25 A").judge("papers.plate-agrees");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.because().toString()).contains("Maximum overcurrent protection (MOCP)");
        assertThat(fixture.noSheets().judge("papers.plate-agrees").verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "load {0}: {1}")
    @CsvSource({"9 kBtu/h, FAILS", "11.5 kBtu/h, MEETS", "14 kBtu/h, FAILS"})
    void capacityIsHeldAgainstTheLoad(String load, Verdict verdict) {
        CaseFixture fixture = fixture()
                .sheets(CaseFixture.outdoorSheet().with(SheetValue.COOLING_CAPACITY, Power.ofWatts(3516.853)))
                .read("papers.cooling-load", "system", load);
        assertThat(fixture.judge("papers.cooling-capacity").verdict()).isEqualTo(verdict);
    }

    @Test
    void papersAndLicencesAreOnRecord() {
        assertThat(fixture()
                        .read("papers.permit", "system", "no")
                        .judge("papers.permit")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        Judgement licence =
                fixture().read("papers.power-licence", "system", "J-7").judge("papers.power-licence");
        assertThat(licence.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(licence.because().toString()).contains("not been verified");
    }

    private static Instrument tape(LocalDate calibrated, Optional<Channel.Range> range) {
        return new Instrument(
                "tape-1",
                "Tape 1",
                InstrumentKind.TAPE,
                List.of(new Channel("", Dimension.LENGTH, Accuracy.ofConstant(0.002), range)),
                List.of(),
                false,
                Optional.empty(),
                List.of(new Instrument.Calibration(calibrated, 12, "C-1")));
    }

    @Test
    void aReadingTakenOutOfCalibrationStaysButShowsNothing() {
        CaseFixture fixture = fixture()
                .toolcase(tape(LocalDate.of(1968, 1, 1), Optional.empty()))
                .readWith("tape-1", "siting.outdoor-clearance-front", "outdoor", "1.2 m");
        Judgement judgement = fixture.judge("siting.outdoor-clearance-front");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString())
                .contains("out of calibration")
                .contains("1969-01-01");
        assertThat(fixture.judge("papers.instruments").verdict()).isEqualTo(Verdict.FAILS);
        CaseFixture fit = fixture()
                .toolcase(tape(LocalDate.of(1969, 6, 1), Optional.empty()))
                .readWith("tape-1", "siting.outdoor-clearance-front", "outdoor", "1.2 m");
        assertThat(fit.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fit.judge("papers.instruments").verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void aReadingOutOfRangeShowsNothing() {
        CaseFixture fixture = fixture()
                .toolcase(tape(LocalDate.of(1969, 6, 1), Optional.of(new Channel.Range(Dimension.LENGTH, 0, 1))))
                .readWith("tape-1", "siting.outdoor-clearance-front", "outdoor", "1.2 m");
        assertThat(fixture.judge("siting.outdoor-clearance-front").because().toString())
                .contains("out of its range");
    }
}
