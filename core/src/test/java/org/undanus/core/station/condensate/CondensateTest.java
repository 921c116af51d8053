package org.undanus.core.station.condensate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.derived.notation.PumpCurve;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;

class CondensateTest {
    private static final String DRAIN = "@drain-run-indoor";

    private static CaseFixture before() {
        return new CaseFixture()
                .at(Stage.BEFORE_COVER)
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I");
    }

    private static CaseFixture ducted() {
        return before().indoorKind(Component.Kind.INDOOR_DUCTED, false)
                .of(Subject.Kind.DRAIN_RUN, "condensate.cabinet", "draw-through");
    }

    private static CaseFixture drain(CaseFixture fixture, String... pointsAndTyped) {
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.of(Subject.Kind.DRAIN_RUN, "condensate." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static CaseFixture drain(String... pointsAndTyped) {
        return drain(before(), pointsAndTyped);
    }

    private static String said(Judgement judgement) {
        return judgement.remedy().orElseThrow().toString();
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "cleanout, yes, MEETS",
        "cleanout, no, FAILS",
        "unused-port, plugged, MEETS",
        "unused-port, none, DOES_NOT_APPLY",
        "unused-port, open, FAILS",
        "pan-clean, yes, MEETS",
        "pan-clean, no, FAILS",
        "ends, 'gully or floor drain, air gap', MEETS",
        "ends, 'outdoors, off every path', MEETS",
        "ends, onto a path or steps, FAILS",
        "ends, onto a wall or roof, FAILS",
        "ends, soil pipe without a trap, FAILS",
        "freezing, protected, MEETS",
        "freezing, unprotected, FAILS",
        "freezing, no water in frost, DOES_NOT_APPLY",
    })
    void whatIsSeenOfTheDrain(String point, String typed, Verdict verdict) {
        String key = "condensate." + point + DRAIN;
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain(point, typed).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "3 m along falling 60 mm, down 1 m | MEETS",
                "3 m along falling 10 mm | FAILS",
                "3 m along falling 30 mm | TOO_CLOSE",
                "3 m along rising 20 mm | FAILS",
                "down 2 m | MEETS",
            })
    void everyPieceFalls(String run, Verdict verdict) {
        assertThat(before().verdict("condensate.fall" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("run", run).verdict("condensate.fall" + DRAIN)).isEqualTo(verdict);
    }

    @Test
    void theFlattestPieceSaysHowMuchItLacks() {
        Judgement flat =
                drain("run", "1 m along falling 2 %, 6 m along falling 30 mm").find("condensate.fall" + DRAIN);
        assertThat(said(flat)).isEqualTo("Lower the far end of part 2 by 30 mm, or shorten it to 3000 mm.");
        assertThat(said(drain("run", "6 m along rising 4 mm").find("condensate.fall" + DRAIN)))
                .isEqualTo("Lower the far end of part 1 by 64 mm.");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "10 m along falling 100 mm, down 1 m | MEETS",
                "10 m along falling 30 mm | FAILS",
                "10 m along falling 100 mm | TOO_CLOSE",
                "2 m along, pump, up 2 m | DOES_NOT_APPLY",
            })
    void theWholeHasTheHeightItNeeds(String run, Verdict verdict) {
        assertThat(before().verdict("condensate.fall-in-all" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("run", run).verdict("condensate.fall-in-all" + DRAIN)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "3 m along falling 60 mm | MEETS",
                "3 m along falling 60 mm, sag 20 mm, 2 m along falling 40 mm | FAILS",
                "down 1 m, up 0.2 m | FAILS",
                "down 1 m, pump, up 2 m | MEETS",
            })
    void nothingHangsThrough(String run, Verdict verdict) {
        assertThat(before().verdict("condensate.sags" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("run", run).verdict("condensate.sags" + DRAIN)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"25 mm, MEETS", "16 mm, FAILS", "22.3 mm, TOO_CLOSE"})
    void theDrainIsWideEnough(String size, Verdict verdict) {
        // the code's 7/8 in where no sheet speaks
        assertThat(before().verdict("condensate.size" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("size", size).verdict("condensate.size" + DRAIN)).isEqualTo(verdict);
        DataSheet own = DataSheet.of("Ondrel", "WS-12 I", "4411").with(SheetValue.DRAIN_SIZE, Length.ofMetres(0.016));
        assertThat(drain("size", "18 mm").sheets(own).verdict("condensate.size" + DRAIN))
                .as("a listed unit drains as its sheet shows")
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "{0}, {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "draw-through | trap, down 1 m | MEETS",
                "draw-through | down 1 m | FAILS",
                "draw-through | trap, down 1 m, trap, down 1 m | FAILS",
                "draw-through | down 20 cm, trap, vent, down 1 m | MEETS",
                "draw-through | vent, trap, down 1 m | FAILS",
                "draw-through | pump, up 1 m, trap, down 1 m | FAILS",
                "blow-through | down 1 m | MEETS",
                "blow-through | trap, down 1 m | FAILS",
                "wall unit | down 1 m | MEETS",
                "wall unit | trap, down 1 m | FAILS",
            })
    void aTrapWhereOneBelongs(String cabinet, String run, Verdict verdict) {
        assertThat(drain("cabinet", cabinet).verdict("condensate.trap" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("cabinet", cabinet, "run", run).verdict("condensate.trap" + DRAIN))
                .isEqualTo(verdict);
    }

    @Test
    void aSheetMayDrawATrapOnAWallUnit() {
        DataSheet own = DataSheet.of("Ondrel", "WS-12 I", "4411").with(SheetValue.TRAP_SEAL, Length.ofMetres(0.05));
        assertThat(drain("cabinet", "wall unit", "run", "trap, down 1 m")
                        .sheets(own)
                        .verdict("condensate.trap" + DRAIN))
                .isEqualTo(Verdict.MEETS);
        assertThat(said(drain("cabinet", "wall unit", "run", "down 1 m")
                        .sheets(own)
                        .find("condensate.trap" + DRAIN)))
                .isEqualTo("Install one with a seal of 50 mm, as drawn.");
    }

    /** 250 Pa hold 25.5 mm of water: 25.4 mm more make 50.9 before the seal, and half of it, 25.5 mm, in it. */
    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "trap-drop, 60 mm, MEETS",
        "trap-drop, 40 mm, FAILS",
        "trap-drop, 51 mm, TOO_CLOSE",
        "trap-seal, 40 mm, MEETS",
        "trap-seal, 15 mm, FAILS",
        "trap-seal, 25 mm, TOO_CLOSE",
    })
    void theTrapHoldsTheSuction(String point, String typed, Verdict verdict) {
        String key = "condensate." + point + DRAIN;
        assertThat(drain(ducted(), point, typed).verdict(key))
                .as("nobody knows the suction")
                .isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture drawn = ducted().of(Subject.Kind.DUCT_SYSTEM, "airside.static-coil", "-250 Pa");
        assertThat(said(drawn.find(key)))
                .contains("At 250 Pa of suction it must be " + (point.equals("trap-drop") ? "51 mm" : "26 mm"));
        assertThat(drain(drawn, point, typed).verdict(key)).isEqualTo(verdict);
        assertThat(drain("cabinet", "blow-through").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(Trap.drop(250, 0.0254)).isCloseTo(250 / 9806.65 + 0.0254, within(1e-9));
    }

    @ParameterizedTest(name = "vented {0}: {1}")
    @CsvSource({"yes, MEETS", "no, FAILS"})
    void ventAfterTheTrap(String typed, Verdict verdict) {
        assertThat(ducted().verdict("condensate.vented" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain(ducted(), "vented", typed).verdict("condensate.vented" + DRAIN))
                .isEqualTo(verdict);
        assertThat(drain("cabinet", "wall unit").verdict("condensate.vented" + DRAIN))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    /** 3 t with 0.75 sensible: 2637.6 W / 2.478 MJ/kg = 1.0644 g/s = 3.83 L/h. */
    @Test
    void theLatentShareBoundsTheWater() {
        double rate = CondensateRate.ofCapacity(3 * 3516.853, 0.75);
        assertThat(rate * 3.6e6).isCloseTo(3.832, within(0.001));
        // 0.2 m³/s of air of 0.85 m³/kg, from 11.5 to 9.0 g/kg: 2.118 L/h
        assertThat(CondensateRate.ofAir(0.2 / 0.85, 0.0115, 0.0090) * 3.6e6).isCloseTo(2.1176, within(0.001));
        assertThat(CondensateRate.ofAir(0.2, 0.009, 0.0115)).isZero();
    }

    @ParameterizedTest(name = "{0} in {1}, cleared {2}: {3}")
    @CsvSource({
        "1.00 L, 200 s, yes, MEETS",
        "1.00 L, 1800 s, yes, FAILS",
        "1.00 L, 939 s, yes, TOO_CLOSE",
        "1.00 L, 200 s, no, FAILS",
    })
    void whatAPourShows(String volume, String time, String cleared, Verdict verdict) {
        Judgement open = before().find("condensate.pour" + DRAIN);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(said(open)).contains("A litre must be gone within 15 min 39 s.");
        assertThat(drain("pour-volume", volume, "pour-time", time, "pour-cleared", cleared)
                        .verdict("condensate.pour" + DRAIN))
                .isEqualTo(verdict);
    }

    @Test
    void aPourThatFitsIntoTheTrapShowsNothing() {
        Judgement small = drain(
                        ducted(),
                        "trap-seal",
                        "100 mm",
                        "size",
                        "32 mm",
                        "pour-volume",
                        "100 mL",
                        "pour-time",
                        "20 s",
                        "pour-cleared",
                        "yes")
                .find("condensate.pour" + DRAIN);
        assertThat(small.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(small.because().toString()).contains("fits into the trap");
        assertThat(said(small)).contains("Pour at least 1 L");
        assertThat(drain("pour-volume", "1 L", "pour-time", "60 s", "pour-cleared", "yes")
                        .noSheets()
                        .verdict("condensate.pour" + DRAIN))
                .as("no capacity bounds the water")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "lift {0}: {1}")
    @CsvSource({"1 m 0 cm, MEETS", "4.50 m, FAILS", "4.06 m, TOO_CLOSE"})
    void thePumpMovesEnoughAtItsLift(String lift, Verdict verdict) {
        // 1.5 × 3.832 L/h = 5.748 L/h; 14 L/h at 2 m fall to 6 at 4 m and 0 at 5 m
        CaseFixture pump = drain("pump", "fitted", "pump-curve", "0 m: 20 L/h, 2 m: 14 L/h, 4 m: 6 L/h, 5 m: 1.8 L/h");
        assertThat(pump.verdict("condensate.pump-flow" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain(pump, "pump-lift", lift.replace(" 0 cm", "")).verdict("condensate.pump-flow" + DRAIN))
                .isEqualTo(verdict);
        assertThat(drain("pump", "none").verdict("condensate.pump-flow" + DRAIN))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "pump-cut-out, yes, MEETS",
        "pump-cut-out, no, FAILS",
        "pump-tested, yes, MEETS",
        "pump-tested, no, FAILS",
        "water-loop, yes, MEETS",
        "water-loop, no, FAILS",
    })
    void whatIsSeenOfThePump(String point, String typed, Verdict verdict) {
        String key = "condensate." + point + DRAIN;
        assertThat(drain("pump", "fitted").verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("pump", "fitted", point, typed).verdict(key)).isEqualTo(verdict);
        assertThat(drain("pump", "none").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "0 m: 20 L/h | two points at least",
                "0 m: 20 L/h, 2 m 14 L/h | Part 2",
                "0 m: 20 L/h, 0 m: 14 L/h | lifts rise",
                "0 m: 20 L/h, 2 m: 24 L/h | never moves more at a greater lift",
                "0 m: 20 L/h, 2 m: 14 kg | Part 2",
                "-1 m: 20 L/h, 2 m: 14 L/h | neither lifts nor moves less than nothing",
            })
    void whatIsNoPumpCurve(String typed, String message) {
        assertThatThrownBy(() -> PumpCurve.NOTATION.read(typed)).hasMessageContaining(message);
    }

    @ParameterizedTest(name = "{0}, {1}: {2}")
    @CsvSource({
        "a ceiling or room, float switch, MEETS",
        "a ceiling or room, none, FAILS",
        "nothing it harms, none, DOES_NOT_APPLY",
        "records or electrical gear, pan with drain, MEETS",
        "records or electrical gear, float switch, REFER",
        "records or electrical gear, none, FAILS",
    })
    void secondProtection(String below, String second, Verdict verdict) {
        assertThat(before().verdict("condensate.secondary" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("below", below, "secondary", second).verdict("condensate.secondary" + DRAIN))
                .isEqualTo(verdict);
    }

    @Test
    void whatTheFloatSwitchStopsIsASchool() {
        CaseFixture lifted = drain("secondary", "float switch", "switch-stops", "all control power");
        Judgement judged = lifted.find("condensate.float-switch" + DRAIN);
        assertThat(judged.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(judged.otherSchools()).extracting(Judgement::verdict).containsExactly(Verdict.FAILS);
        assertThat(lifted.rules(CaseFixture.DESIGN_BOOK).verdict("condensate.float-switch" + DRAIN))
                .isEqualTo(Verdict.FAILS);
        Judgement nothing =
                drain("secondary", "float switch", "switch-stops", "nothing").find("condensate.float-switch" + DRAIN);
        assertThat(nothing.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(nothing.otherSchools()).extracting(Judgement::verdict).containsExactly(Verdict.FAILS);
        assertThat(drain("secondary", "float switch").verdict("condensate.float-switch" + DRAIN))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain("secondary", "none").verdict("condensate.float-switch" + DRAIN))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "attic 3 m along falling 1 % insulated 9 mm | MEETS",
                "attic 3 m along falling 1 % bare | FAILS",
                "3 m along falling 1 % | DOES_NOT_APPLY",
                "attic 3 m along falling 1 % | NOT_SHOWN",
            })
    void insulatedInTheAttic(String run, Verdict verdict) {
        assertThat(drain("run", run).verdict("condensate.insulation" + DRAIN)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"500 mm, MEETS", "100 mm, FAILS", "305 mm, TOO_CLOSE"})
    void itEndsFarFromTheWall(String distance, Verdict verdict) {
        CaseFixture outside = drain("ends", "outdoors, off every path");
        assertThat(outside.verdict("condensate.end-distance" + DRAIN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(drain(outside, "end-distance", distance).verdict("condensate.end-distance" + DRAIN))
                .isEqualTo(verdict);
        assertThat(drain("ends", "gully or floor drain, air gap").verdict("condensate.end-distance" + DRAIN))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "base-holes, yes, MEETS",
        "base-holes, no, FAILS",
        "meltwater, 'gravel, soil or a drain', MEETS",
        "meltwater, onto a path or steps, FAILS",
        "meltwater, stays below the unit, FAILS",
    })
    void meltwaterOfAHeatPump(String point, String typed, Verdict verdict) {
        String key = "condensate." + point + "@outdoor";
        CaseFixture heats = before().outdoor("condensate.outdoor-heats", "yes");
        assertThat(heats.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(heats.outdoor("condensate." + point, typed).verdict(key)).isEqualTo(verdict);
        assertThat(before().outdoor("condensate.outdoor-heats", "no").verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void underABracketItTakesElbowAndHose() {
        String key = "condensate.outdoor-elbow@outdoor";
        DataSheet sheet = CaseFixture.outdoorSheet().with(SheetValue.HEATING_CAPACITY, Power.ofWatts(4000));
        CaseFixture hung = before().sheets(sheet).outdoor("condensate.outdoor-heats", "yes");
        assertThat(hung.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        // 4 kW / 2.834 MJ/kg = 5.08 L/h
        assertThat(said(hung.outdoor("siting.support", "wall bracket").find(key)))
                .contains("Up to 5.1 L/h of meltwater");
        assertThat(hung.outdoor("condensate.outdoor-elbow", "yes").verdict(key)).isEqualTo(Verdict.MEETS);
        assertThat(hung.outdoor("condensate.outdoor-elbow", "no").verdict(key)).isEqualTo(Verdict.FAILS);
        assertThat(hung.outdoor("siting.support", "ground pad").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(before().outdoor("condensate.outdoor-heats", "no").verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void drainAndTrapAreDrawn() {
        CaseFixture fixture = drain(
                        ducted(),
                        "run",
                        "trap, vent, 3 m along falling 10 mm, cleanout, down 2 m",
                        "trap-drop",
                        "40 mm",
                        "trap-seal",
                        "40 mm")
                .of(Subject.Kind.DUCT_SYSTEM, "airside.static-coil", "-250 Pa");
        Judgements judgements = new Judgements(fixture.judgements());
        Drawing drain = DrainFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(drain.caption().toString()).contains("Lower the far end of part 3 by 20 mm");
        Drawing trap = TrapFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(trap.elements().toString()).contains("asked 51 mm + 26 mm").contains("suction 250 Pa");
        assertThat(trap.spoken()).hasToString("Height before the seal: Fails; seal: Meets");
    }
}
