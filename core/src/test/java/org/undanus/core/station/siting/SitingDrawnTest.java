package org.undanus.core.station.siting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.derived.ChargeLimit;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.geometry.Sites;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;

/** Station 2 judged from a drawing, and everything around units that is computed. */
class SitingDrawnTest {

    private static CaseFixture fixture() {
        return new CaseFixture().outdoor("plate.model", "WS-12").indoor("plate.model", "WS-12 I");
    }

    private static Sites yard(double y) {
        return new Sites()
                .rectangle("house", SitePlan.Kind.WALL, 0, 3, 8, 0.3)
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -2, -6, 14, 14)
                .unit("outdoor", 4, y, 270, 0.9);
    }

    private static DataSheet sheet(Map<SheetValue, String> figures) {
        DataSheet sheet = CaseFixture.outdoorSheet();
        for (Map.Entry<SheetValue, String> figure : figures.entrySet()) {
            Dimension dimension = figure.getKey().dimension();
            sheet = sheet.with(
                    figure.getKey(),
                    FieldNotation.parse(figure.getValue(), dimension).value());
        }
        return sheet;
    }

    private static String derivation(Judgement judgement) {
        return String.join(
                "; ",
                judgement.derivation().stream()
                        .map(s -> s.name() + " " + s.how() + " " + s.value())
                        .toList());
    }

    @Test
    void theDrawingIsJudgedWhereNobodyTaped() {
        Judgement judgement = fixture().drawn(yard(2.5).plan()).judge("siting.outdoor-clearance-back");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judgement.comparison().orElseThrow().measured().value()).isCloseTo(0.35, within(1e-9));
        assertThat(judgement.comparison().orElseThrow().measured().standardUncertainty())
                .isCloseTo(0.01 / Math.sqrt(3), within(1e-9));
        assertThat(derivation(judgement)).contains("From the drawing to house");
    }

    @Test
    void theTapeGoesBeforeTheDrawingAndTheDifferenceIsShown() {
        Judgement judgement = fixture()
                .drawn(yard(2.5).plan())
                .outdoor("siting.outdoor-clearance-back", "90 mm")
                .judge("siting.outdoor-clearance-back");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(derivation(judgement)).contains("the tape goes before it").contains("260 mm more than taped");
    }

    @Test
    void whatWasTapedOfAMovedUnitWaitsForTheTape() {
        CaseFixture taped = fixture()
                .drawn(yard(2.5).plan())
                .outdoor("siting.outdoor-clearance-back", "90 mm")
                .outdoor("siting.base-tilt", "0.4 %")
                .unit(new Component("second", Component.Kind.OUTDOOR, "Second unit", true))
                .read("siting.neighbour-distance", "second", "500 mm")
                .indoor("siting.indoor-clearance-left", "90 mm");
        Evidence known = taped.evidence();
        assertThat(Retaping.awaited(known, yard(2.5).plan(), yard(2.5).plan())).isSameAs(known);
        Evidence awaited = Retaping.awaited(known, yard(2.5).plan(), yard(2.2).plan());
        assertThat(awaited.readings().stream().map(r -> r.key().point()))
                .contains("siting.base-tilt", "siting.indoor-clearance-left", "plate.model")
                .doesNotContain("siting.outdoor-clearance-back", "siting.neighbour-distance");
        // drawn for the first time, it is drawn where it was taped
        SitePlan bare =
                new Sites().rectangle("house", SitePlan.Kind.WALL, 0, 3, 8, 0.3).plan();
        assertThat(Retaping.awaited(known, bare, yard(2.2).plan())).isSameAs(known);
    }

    @Test
    void besideTheTapeStandsWhatTheDrawingSays() {
        CaseFixture drawn = fixture().drawn(yard(2.5).plan());
        assertThat(Retaping.besideTheTape(drawn.judge("siting.outdoor-clearance-back")))
                .isEmpty();
        assertThat(Retaping.besideTheTape(drawn.outdoor("siting.outdoor-clearance-back", "90 mm")
                                .judge("siting.outdoor-clearance-back"))
                        .orElseThrow()
                        .in(UnitSystem.SI))
                .isEqualTo("350 mm, which is 260 mm more than taped");
        assertThat(Retaping.besideTheTape(drawn.outdoor("siting.outdoor-clearance-back", "350 mm")
                        .judge("siting.outdoor-clearance-back")))
                .isEmpty();
    }

    @Test
    void aDrawingOfTooWeakAGradeIsNotJudgedBy() {
        String yaml = CaseFixture.PLATE_BOOK.yaml() + "minimum-grades:\n  siting: witnessed\n";
        var strict = RuleBookReader.read(yaml, Walk.vocabulary());
        SitePlan stated = new SitePlan(
                yard(2.5).plan().features(), yard(2.5).plan().units(), List.of(), Grade.STATED, Optional.empty());
        assertThat(fixture()
                        .rules(strict)
                        .drawn(stated)
                        .judge("siting.outdoor-clearance-back")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void nothingDrawnBeforeAFaceMeets() {
        Judgement judgement = fixture().drawn(yard(2.5).plan()).judge("siting.outdoor-clearance-front");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judgement.because().toString()).contains("Nothing stands");
        assertThat(fixture().judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture()
                        .drawn(yard(2.5).plan())
                        .judge("siting.vent-distance")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        assertThat(fixture().judge("siting.vent-distance").verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void whatTheFigureProposesIsJudgedToMeet() {
        CaseFixture short0 = fixture().drawn(yard(2.78).plan());
        SmallestMove.Result cure = SiteFigure.of(
                        short0.facts(),
                        short0.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(short0.judgements()),
                        false)
                .orElseThrow()
                .cure()
                .result();
        assertThat(short0.judge("siting.outdoor-clearance-back").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(cure.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        SmallestMove.Move move = cure.moves().get(0);
        CaseFixture cured = fixture().drawn(yard(2.78 + move.dy()).plan());
        assertThat(cured.judge("siting.outdoor-clearance-back").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(move.metres()).isLessThan(0.06);
    }

    @Test
    void neighboursAreJudgedByTheWorstFace() {
        Sites two = yard(2.5).unit("outdoor-2", 5.1, 2.5, 270, 0.9);
        Judgement judgement = fixture()
                .unit(new Component("outdoor-2", Component.Kind.OUTDOOR, "Second unit", true))
                .drawn(two.plan())
                .judge("siting.neighbour-spacing");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.comparison().orElseThrow().measured().value()).isCloseTo(0.3, within(1e-9));
        assertThat(fixture()
                        .outdoor("siting.neighbour-face", "no other unit near")
                        .judge("siting.neighbour-spacing")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(fixture()
                        .outdoor("siting.neighbour-face", "left")
                        .outdoor("siting.neighbour-distance", "30 in")
                        .judge("siting.neighbour-spacing")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "heats {0}, base {1}, flood {2}: {3}")
    @CsvSource({
        "yes, 34 in, , MEETS",
        "yes, 33 in, , FAILS",
        "yes, 33.7 in, , TOO_CLOSE",
        "no, 4 in, , MEETS",
        "no, 2 in, , FAILS",
        "no, 20 in, 10 in, FAILS",
        "no, 23 in, 10 in, MEETS",
    })
    void baseStandsOverSnowAndFlood(String heats, String base, String flood, Verdict verdict) {
        CaseFixture fixture = fixture().outdoor("siting.heats-in-winter", heats).outdoor("siting.base-height", base);
        if (flood != null) {
            fixture.outdoor("siting.flood-level", flood);
        }
        assertThat(fixture.judge("siting.base-height").verdict()).isEqualTo(verdict);
    }

    @Test
    void bracketsBearFourTimesTheMassAndPadsAreNotAsked() {
        CaseFixture fixture = fixture().sheets(sheet(Map.of(SheetValue.MASS, "40 kg")));
        assertThat(fixture.outdoor("siting.support", "wall bracket")
                        .outdoor("siting.support-capacity", "165 kg")
                        .judge("siting.support-capacity")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        assertThat(fixture.outdoor("siting.support-capacity", "155 kg")
                        .judge("siting.support-capacity")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(fixture.outdoor("siting.support", "ground pad")
                        .judge("siting.support-capacity")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(fixture()
                        .outdoor("siting.support", "wall bracket")
                        .outdoor("siting.support-capacity", "165 kg")
                        .judge("siting.support-capacity")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void mountingChangesWhatTheSheetAsks() {
        DataSheet plain = CaseFixture.outdoorSheet();
        DataSheet own = new DataSheet(
                plain.maker(),
                plain.model(),
                plain.document(),
                plain.refrigerant(),
                plain.size(),
                plain.clearances(),
                Map.of(Mounting.WALL_BRACKET, Map.of(Face.BACK, Length.ofMetres(0.4))),
                plain.neighbours(),
                plain.values(),
                plain.supply(),
                plain.meteringDevice(),
                Optional.of(false),
                plain.pairs(),
                plain.fan(),
                plain.torques());
        CaseFixture fixture = fixture().sheets(own).outdoor("siting.outdoor-clearance-back", "300 mm");
        assertThat(fixture.judge("siting.outdoor-clearance-back").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fixture.outdoor("siting.support", "wall bracket")
                        .judge("siting.outdoor-clearance-back")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(fixture.outdoor("siting.salt-air", "yes")
                        .judge("siting.salt-air")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void isolatorsAreHeldAgainstTheirRangeAndTheFan() {
        // 10 Hz against a deflection of 10 mm: natural frequency 4.984 Hz, 1/(4.026 − 1) = 33 %
        assertThat(Isolator.naturalFrequency(0.010)).isCloseTo(4.984, within(0.001));
        assertThat(Isolator.transmissibility(10, 0.010)).isCloseTo(0.3305, within(0.0005));
        CaseFixture fixture = fixture()
                .sheets(sheet(Map.of(SheetValue.MASS, "40 kg", SheetValue.FAN_SPEED, "900 rpm")))
                .outdoor("siting.isolator-count", "4")
                .outdoor("siting.isolator-least-load", "8 kg")
                .outdoor("siting.isolator-most-load", "12 kg")
                .outdoor("siting.isolator-deflection", "8 mm");
        assertThat(fixture.judge("siting.isolator-load").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fixture.judge("siting.isolator-transmission").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fixture.outdoor("siting.isolator-count", "2")
                        .judge("siting.isolator-load")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(fixture().judge("siting.isolator-load").verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void soundSpreadsAndAddsAsEnergy() {
        assertThat(SoundSpread.at(60, 1, 10)).isCloseTo(40, within(1e-9));
        assertThat(SoundSpread.sum(List.of(40.0, 40.0))).isCloseTo(43.0103, within(1e-3));
    }

    @ParameterizedTest(name = "{0} away, {1} walls: {2}")
    @CsvSource({"8 m, 0, MEETS", "3 m, 1, TOO_CLOSE", "1.2 m, 2, FAILS"})
    void soundAtTheBoundaryIsComputedFromTheSheet(String away, String walls, Verdict verdict) {
        CaseFixture fixture = fixture()
                .sheets(sheet(Map.of(SheetValue.SOUND_PRESSURE, "56 dB", SheetValue.SOUND_DISTANCE, "1 m")))
                .outdoor("siting.boundary-distance", away)
                .outdoor("siting.reflecting-walls", walls);
        assertThat(fixture.judge("siting.sound-at-boundary").verdict()).isEqualTo(verdict);
    }

    @Test
    void soundMeasuredThereGoesBeforeTheComputed() {
        CaseFixture fixture = fixture()
                .sheets(sheet(Map.of(SheetValue.SOUND_PRESSURE, "56 dB", SheetValue.SOUND_DISTANCE, "1 m")))
                .outdoor("siting.boundary-distance", "1.2 m")
                .outdoor("siting.reflecting-walls", "2")
                .outdoor("siting.sound-at-boundary", "44 dB");
        assertThat(fixture.judge("siting.sound-at-boundary").verdict()).isEqualTo(Verdict.MEETS);
        Judgement open = fixture().judge("siting.sound-at-boundary");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.component()).isEqualTo("system");
    }

    @Test
    void flammableChargeAgainstTheRoom() {
        // R32, LFL 0.307 kg/m³, wall unit in 20 m²: 2.5 · 0.307^1.25 · 1.8 · √20 = 4.60 kg
        assertThat(ChargeLimit.kilograms(0.307, 1.8, 20)).isCloseTo(4.599, within(0.01));
        assertThat(ChargeLimit.area(0.307, 1.8, 4.599)).isCloseTo(20, within(0.1));
        CaseFixture small = fixture().indoor("plate.refrigerant", "R32").outdoor("plate.charge", "1.2 kg");
        assertThat(small.judge("siting.flammable-charge").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(small.judge("siting.flammable-charge").because().toString()).contains("Refrigerant added");
        small.outdoor("siting.added-charge", "0 g");
        assertThat(small.judge("siting.flammable-charge").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(small.judge("siting.flammable-charge").because().toString()).contains("free of room limits");
        CaseFixture large = fixture()
                .indoor("plate.refrigerant", "R32")
                .outdoor("plate.charge", "4.4 kg")
                .outdoor("siting.added-charge", "0.5 kg");
        assertThat(large.judge("siting.flammable-charge").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        large.indoor("siting.room-area", "20 m2").indoor("siting.mounting-place", "wall");
        assertThat(large.judge("siting.flammable-charge").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(large.indoor("siting.mounting-place", "ceiling")
                        .judge("siting.flammable-charge")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        // what nobody read of the charge only makes it more: too much is a fault already, enough room is not shown
        CaseFixture unread = fixture()
                .indoor("plate.refrigerant", "R32")
                .indoor("siting.room-area", "20 m2")
                .indoor("siting.mounting-place", "wall");
        assertThat(unread.outdoor("plate.charge", "4.9 kg")
                        .judge("siting.flammable-charge")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(unread.outdoor("plate.charge", "3.1 kg")
                        .judge("siting.flammable-charge")
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture()
                        .indoor("plate.refrigerant", "R410A")
                        .judge("siting.flammable-charge")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    private static SitePlan.WallView wall(SitePlan.WallItem... items) {
        return new SitePlan.WallView(
                "indoor",
                4,
                2.5,
                1,
                2.05,
                Optional.of(3.1),
                Optional.of(2.06),
                Optional.of(2.0),
                Optional.of(4.0),
                List.of(items),
                Optional.of(new DataSheet.Size(Length.ofMetres(0.85), Length.ofMetres(0.2), Length.ofMetres(0.3))));
    }

    @Test
    void indoorUnitsAreJudgedFromTheWallAsDrawn() {
        CaseFixture fixture = fixture()
                .drawn(new Sites()
                        .wall(wall(new SitePlan.WallItem(SitePlan.ItemKind.HEAT_SOURCE, "Stove", 1.9, 1.0, 0.5, 0.8)))
                        .plan());
        assertThat(fixture.judgeIndoor("siting.indoor-clearance-left").verdict())
                .isEqualTo(Verdict.MEETS);
        assertThat(fixture.judgeIndoor("siting.indoor-height").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fixture.judgeIndoor("siting.indoor-throw").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(fixture.judgeIndoor("siting.heat-distance").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(fixture.judgeIndoor("siting.curtain-distance").because().toString())
                .contains("shows none");
        assertThat(fixture.judgeIndoor("siting.drain-fall").verdict()).isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "outlet {0}, end {1}, run {2}: {3}")
    @CsvSource({"2.00 m, 1.90 m, 4 m, MEETS", "2.00 m, 1.98 m, 4 m, FAILS", "2.00 m, 1.96 m, 4 m, TOO_CLOSE"})
    void drainNeedsHeightToFall(String outlet, String end, String run, Verdict verdict) {
        assertThat(fixture()
                        .indoor("siting.drain-outlet-height", outlet)
                        .indoor("siting.drain-exit-height", end)
                        .indoor("siting.drain-run", run)
                        .judge("siting.drain-fall")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void aLowUnitInARoomToCoolIsAdviceNotAFault() {
        Judgement advice = fixture()
                .indoor("siting.mounting-place", "floor")
                .indoor("siting.room-led-by", "cooling")
                .judge("siting.mounting-advice");
        assertThat(advice.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(advice.because().toString()).contains("Advice only").contains("high");
    }
}
