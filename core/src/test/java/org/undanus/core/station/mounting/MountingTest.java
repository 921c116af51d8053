package org.undanus.core.station.mounting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Stage;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.words.UnitSystem;

class MountingTest {

    private static CaseFixture before() {
        return new CaseFixture()
                .at(Stage.BEFORE_COVER)
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .outdoor("plate.liquid-line", "6.35 mm")
                .outdoor("plate.suction-line", "9.52 mm")
                .indoor("mounting.line-insulation", "9 mm")
                .indoor("mounting.drain-diameter", "16 mm")
                .indoor("mounting.cable-diameter", "12 mm");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "plate-tilt, 2 mm/m, MEETS",
        "plate-tilt, 1.0 %, FAILS",
        "fixings, 5, MEETS",
        "fixings, 3, FAILS",
        "plate-flat, no, FAILS",
        "sound-material, yes, MEETS",
        "cabinet-tilt, 4 %, FAILS",
        "sealed-outside, no, FAILS",
    })
    void whatIsReadOfPlateAndHole(String point, String typed, Verdict verdict) {
        assertThat(before().indoor("mounting." + point, typed)
                        .judge("mounting." + point)
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void fireRatedWallsAreReferred() {
        assertThat(before().indoor("mounting.fire-rated", "yes")
                        .judge("mounting.fire-rated")
                        .verdict())
                .isEqualTo(Verdict.REFER);
        assertThat(before().indoor("mounting.fire-rated", "no")
                        .judge("mounting.fire-rated")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "hole {0}: {1}")
    @CsvSource({"70 mm, MEETS", "50 mm, FAILS", "60 mm, TOO_CLOSE", "57 mm, TOO_CLOSE"})
    void willItFit(String hole, Verdict verdict) {
        assertThat(before().indoor("mounting.hole-diameter", hole)
                        .judge("mounting.bundle-fits")
                        .verdict())
                .isEqualTo(verdict);
    }

    /** A drain that goes elsewhere needs no room here; a second cable does. */
    @ParameterizedTest(name = "drain {0}, second cable {1}: hole of 68 mm {2}")
    @CsvSource({"50 mm, , FAILS", "0 mm, , MEETS", "0 mm, 0 mm, MEETS", "0 mm, 50 mm, FAILS"})
    void whatGoesThroughTheHoleIsSaid(String drain, String second, Verdict verdict) {
        CaseFixture bundle = before().accuracy(InstrumentKind.TAPE, Accuracy.ofConstant(0.0005))
                .indoor("mounting.drain-diameter", drain)
                .indoor("mounting.hole-diameter", "68 mm");
        if (second != null) {
            bundle.indoor("mounting.second-cable-diameter", second);
        }
        Judgement judged = bundle.judge("mounting.bundle-fits");
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThat(judged.derivation().stream()
                        .filter(step -> step.name().toString().startsWith("Cable")))
                .hasSize("50 mm".equals(second) ? 2 : 1);
        assertThat(judged.derivation().stream()
                        .anyMatch(step -> step.name().toString().equals("Drain")))
                .isEqualTo(drain.equals("50 mm"));
    }

    @ParameterizedTest(name = "inside {0}, outside {1}: {2}")
    @CsvSource({"2000 mm, 1980 mm, MEETS", "2000 mm, 2004 mm, FAILS", "2000 mm, 1994 mm, TOO_CLOSE"})
    void willItDrain(String inside, String outside, Verdict verdict) {
        assertThat(before().indoor("mounting.hole-inner-height", inside)
                        .indoor("mounting.hole-outer-height", outside)
                        .indoor("mounting.wall-thickness", "300 mm")
                        .judge("mounting.hole-fall")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void theFigureShowsTheBundleWithItsDrainLowest() {
        CaseFixture fixture = before().indoor("mounting.hole-diameter", "65 mm");
        Drawing drawing = PenetrationFigure.draw(
                        fixture.facts(),
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()))
                .get(0);
        List<Element.Disc> discs = drawing.elements().stream()
                .filter(Element.Disc.class::isInstance)
                .map(Element.Disc.class::cast)
                .toList();
        // the hole, the one to ask for, then the bundle's parts with the drain first
        Element.Disc drain = discs.get(2);
        assertThat(discs.subList(2, discs.size()))
                .allSatisfy(part -> assertThat(part.centre().y())
                        .isGreaterThanOrEqualTo(drain.centre().y()));
        assertThat(discs.get(0).meaning().orElseThrow().line())
                .hasValueSatisfying(line -> assertThat(line.point()).isEqualTo("mounting.hole-diameter"));
        List<String> words = drawing.elements().stream()
                .filter(Element.Words.class::isInstance)
                .map(e -> ((Element.Words) e).text().in(UnitSystem.SI))
                .toList();
        assertThat(words)
                .contains("Hole as drilled 65 mm", "fall not read")
                .anyMatch(w -> w.startsWith("Hole to ask for "));
    }

    @Test
    void whatIsHiddenAtTheFinalVisitNeedsEarlierEvidence() {
        CaseFixture late = new CaseFixture().indoor("mounting.sleeve", "yes");
        Judgement seen = late.judge("mounting.sleeve");
        assertThat(seen.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(seen.because().toString()).contains("concealed at the final visit; pre-cover evidence is needed");
        assertThat(new CaseFixture().judge("mounting.sleeve").because().toString())
                .contains("concealed, and there is no rough-in record");
        assertThat(new CaseFixture()
                        .read("mounting.sleeve", "indoor", "yes", Grade.RECORDED)
                        .judge("mounting.sleeve")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        CaseFixture early = new CaseFixture().at(Stage.BEFORE_COVER).indoor("mounting.sleeve", "yes");
        assertThat(early.at(Stage.FINAL).judge("mounting.sleeve").verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void whatIsSaidOfACoveredThingDoesNotSupersedeWhatWasSeen() {
        CaseFixture twice = new CaseFixture()
                .at(Stage.BEFORE_COVER)
                .indoor("mounting.sleeve", "no")
                .at(Stage.FINAL)
                .indoor("mounting.sleeve", "yes");
        Judgement sleeve = twice.judge("mounting.sleeve");
        assertThat(sleeve.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(sleeve.derivation().get(0).how().toString()).contains("the earlier one stands");
        assertThat(sleeve.derivation().get(0).value().toString()).isEqualTo("no");
        assertThat(twice.at(Stage.RE_VISIT)
                        .indoor("mounting.sleeve", "yes")
                        .judge("mounting.sleeve")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    @Test
    void linesNotYetDueSaySo() {
        assertThat(new CaseFixture()
                        .at(Stage.PLAN_CHECK)
                        .judge("mounting.sealed-inside")
                        .because()
                        .toString())
                .contains("Not due before the final visit");
    }

    /** Insulation is on both lines and measured once: its doubt weighs more than that of drain or cable. */
    @Test
    void theBundlesOwnDoubtIsCarried() {
        double coarse = bundle(Accuracy.ofConstant(0.003));
        double fine = bundle(Accuracy.ofConstant(0.0002));
        assertThat(coarse).isGreaterThan(0.006);
        assertThat(fine).isLessThan(0.0016);
    }

    private static double bundle(Accuracy caliper) {
        return new CaseFixture()
                .accuracy(InstrumentKind.TAPE, Accuracy.EXACT)
                .accuracy(InstrumentKind.CALIPER, caliper)
                .at(Stage.BEFORE_COVER)
                .outdoor("plate.liquid-line", "6.35 mm")
                .outdoor("plate.suction-line", "9.52 mm")
                .indoor("mounting.line-insulation", "9 mm")
                .indoor("mounting.drain-diameter", "16 mm")
                .indoor("mounting.cable-diameter", "12 mm")
                .indoor("mounting.hole-diameter", "65 mm")
                .judge("mounting.bundle-fits")
                .comparison()
                .orElseThrow()
                .binding()
                .limit()
                .standardUncertainty();
    }

    @ParameterizedTest
    @CsvSource({"62 mm, true", "50 mm, false"})
    void aHoleOfItsOwnForTheDrainIsOfferedWhereTheRestFits(String hole, boolean offered) {
        Judgement judgement = before().accuracy(InstrumentKind.TAPE, Accuracy.ofConstant(0.0005))
                .indoor("mounting.drain-diameter", "32 mm")
                .indoor("mounting.hole-diameter", hole)
                .judge("mounting.bundle-fits");
        assertThat(judgement.remedy().orElseThrow().toString().contains("drain a hole of its own"))
                .isEqualTo(offered);
    }
}
