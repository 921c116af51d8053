package org.undanus.core.station.piping;

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
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Torque;

class PipingTest {
    private static final String SET = "@line-set-indoor";

    private static DataSheet sheet() {
        return CaseFixture.outdoorSheet()
                .with(SheetValue.LIQUID_LINE, Length.ofMetres(0.00635))
                .with(SheetValue.SUCTION_LINE, Length.ofMetres(0.0127))
                .with(SheetValue.MINIMUM_LINE_LENGTH, Length.ofMetres(3))
                .with(SheetValue.MAXIMUM_LINE_LENGTH, Length.ofMetres(15))
                .with(SheetValue.MAXIMUM_EQUIVALENT_LENGTH, Length.ofMetres(20))
                .with(SheetValue.MAXIMUM_TOTAL_LENGTH, Length.ofMetres(25))
                .with(SheetValue.MAXIMUM_LIFT, Length.ofMetres(8))
                .with(SheetValue.MAXIMUM_LIFT_BELOW, Length.ofMetres(5))
                .with(SheetValue.TRAP_RISE, Length.ofMetres(3))
                .with(SheetValue.INVERTED_TRAP_LIFT, Length.ofMetres(4));
    }

    private static CaseFixture before() {
        return new CaseFixture()
                .sheets(sheet())
                .at(Stage.BEFORE_COVER)
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I");
    }

    private static CaseFixture run(String typed) {
        return before().lines("piping.run", typed);
    }

    private static CaseFixture joint(String kind) {
        return before().part("flare-1", Subject.Kind.JOINT, "outdoor", "indoor")
                .read("piping.joint-kind", "flare-1", kind)
                .read("piping.joint-tube", "flare-1", "12.7 mm");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "insulation-whole, yes, MEETS",
        "insulation-whole, no, FAILS",
        "joints-insulated, yes, MEETS",
        "joints-insulated, no, FAILS",
        "sun-protected, yes, MEETS",
        "sun-protected, no, FAILS",
        "grommets, yes, MEETS",
        "grommets, no, FAILS",
        "sleeved, yes, MEETS",
        "sleeved, no, FAILS",
        "drier, fitted, MEETS",
        "drier, not asked for, DOES_NOT_APPLY",
        "drier, missing, FAILS",
        "support-spacing, 1.4 m, MEETS",
        "support-spacing, 1.6 m, FAILS",
        "support-spacing, 1.522 m, TOO_CLOSE",
    })
    void whatIsSeenOfTheLines(String point, String typed, Verdict verdict) {
        assertThat(before().lines("piping." + point, typed).verdict("piping." + point + SET))
                .isEqualTo(verdict);
        assertThat(before().verdict("piping." + point + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "drier-direction, with the flow, MEETS",
        "drier-direction, both ways, MEETS",
        "drier-direction, against the flow, FAILS",
        "drier-protected, yes, MEETS",
        "drier-protected, no, FAILS",
    })
    void aFilterDrierThatIsThere(String point, String typed, Verdict verdict) {
        CaseFixture fitted = before().lines("piping.drier", "fitted");
        assertThat(fitted.verdict("piping." + point + SET)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fitted.lines("piping." + point, typed).verdict("piping." + point + SET))
                .isEqualTo(verdict);
        assertThat(before().lines("piping.drier", "missing").verdict("piping." + point + SET))
                .as("nothing to ask of one that is not there")
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "metering-direction, as drawn, MEETS",
        "metering-direction, reversed, FAILS",
        "joint-compound, none, MEETS",
        "joint-compound, 'rated, on the thread only', MEETS",
        "joint-compound, 'rated, on the seat too', FAILS",
        "joint-compound, not rated for refrigerant, FAILS",
    })
    void aMeteringPieceThatWasChanged(String point, String typed, Verdict verdict) {
        CaseFixture changed = before().lines("piping.metering-changed", "changed");
        assertThat(changed.verdict("piping." + point + SET)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(changed.lines("piping." + point, typed).verdict("piping." + point + SET))
                .isEqualTo(verdict);
        assertThat(before().lines("piping.metering-changed", "as supplied").verdict("piping." + point + SET))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void theChangedPieceHasTheSizeOfThePair() {
        DataSheet.Pair pair = new DataSheet.Pair(
                "WS-12 I",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(Length.ofMetres(0.0014)),
                List.of(),
                List.of());
        DataSheet plain = sheet();
        DataSheet paired = CaseFixture.listing(plain, List.of(pair), plain.fan());
        CaseFixture changed = before().sheets(paired).lines("piping.metering-changed", "changed");
        assertThat(changed.verdict("piping.metering-size" + SET)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(changed.lines("piping.metering-size", "1.42 mm").verdict("piping.metering-size" + SET))
                .isEqualTo(Verdict.MEETS);
        Judgement wrong = changed.lines("piping.metering-size", "1.5 mm").find("piping.metering-size" + SET);
        assertThat(wrong.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(wrong.remedy().orElseThrow()).hasToString("Recover the charge, then replace it with 1.40 mm.");
        assertThat(before().lines("piping.metering-changed", "changed")
                        .lines("piping.metering-size", "1.42 mm")
                        .find("piping.metering-size" + SET)
                        .because()
                        .toString())
                .contains("No data sheet tells which metering piece");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "liquid-line, liquid-size, 6.35 mm, MEETS",
        "liquid-line, liquid-size, 3/8 in, FAILS",
        "suction-line, suction-size, 1/2 in, MEETS",
        "suction-line, suction-size, 5/8 in, FAILS",
        "suction-line, suction-size, 14.5 mm, NOT_SHOWN",
    })
    void sizesAreTheSheets(String point, String requirement, String typed, Verdict verdict) {
        assertThat(before().verdict("piping." + requirement + SET)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(before().lines("piping." + point, typed).verdict("piping." + requirement + SET))
                .isEqualTo(verdict);
    }

    @Test
    void anotherSizeIsNamedWithTheOneAskedFor() {
        Judgement wrong = before().lines("piping.suction-line", "5/8 in").find("piping.suction-size" + SET);
        assertThat(wrong.because()).hasToString("It is 5/8 in tube; the maker asks for 1/2 in.");
        assertThat(new CaseFixture()
                        .noSheets()
                        .lines("piping.suction-line", "5/8 in")
                        .verdict("piping.suction-size" + SET))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "9 m out | MEETS",
                "16 m out | FAILS",
                "9 m out, coil 6.2 m | FAILS",
                "2 m out | FAILS",
                "15 m out | TOO_CLOSE",
            })
    void lengthOfTheLines(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.length" + SET)).isEqualTo(verdict);
        assertThat(before().verdict("piping.length" + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void whatIsTooLongOrTooShortSaysByHowMuch() {
        assertThat(run("17 m out")
                        .find("piping.length" + SET)
                        .remedy()
                        .orElseThrow()
                        .toString())
                .startsWith("Shorten the lines by 2004 mm");
        assertThat(run("2 m out")
                        .find("piping.length" + SET)
                        .remedy()
                        .orElseThrow()
                        .toString())
                .startsWith("Lengthen the lines by 1004 mm");
        assertThat(new CaseFixture().noSheets().lines("piping.run", "9 m out").verdict("piping.length" + SET))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "14 m out, 8 elbows | MEETS",
                "14 m out, 20 elbows | FAILS",
                "14 m out, 14 elbows | TOO_CLOSE",
            })
    void lengthWithFittings(String typed, Verdict verdict) {
        // an elbow of half-inch tube is worth 0.427 m: 14 make 5.974 m
        assertThat(run(typed.replace("14 m out, 14", "14026 mm out, 14")).verdict("piping.equivalent-length" + SET))
                .isEqualTo(verdict);
    }

    @Test
    void severalLineSetsCountTogether() {
        CaseFixture two = run("14 m out").unit(new Component("upper", Component.Kind.INDOOR_WALL, "Upper unit", false));
        Judgement open = two.find("piping.total-length@outdoor");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.remedy().orElseThrow().toString())
                .contains("What is read comes to 14.00 m; 11.00 m is left for Line set, Upper unit.");
        assertThat(two.read("piping.run", "line-set-upper", "10 m out").verdict("piping.total-length@outdoor"))
                .isEqualTo(Verdict.MEETS);
        assertThat(two.read("piping.run", "line-set-upper", "12 m out").verdict("piping.total-length@outdoor"))
                .isEqualTo(Verdict.FAILS);
        assertThat(two.read("piping.run", "line-set-upper", "11 m out").verdict("piping.total-length@outdoor"))
                .isEqualTo(Verdict.TOO_CLOSE);
        assertThat(run("14 m out").verdict("piping.total-length@outdoor")).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "2 m out, up 6 m | MEETS",
                "2 m out, up 9 m | FAILS",
                "2 m out, up 8 m | TOO_CLOSE",
                "2 m out, down 6 m | FAILS",
                "2 m out, down 4 m | MEETS",
            })
    void heightHasItsSign(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.lift" + SET)).isEqualTo(verdict);
        assertThat(before().verdict("piping.lift" + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "trap, up 2.9 m, trap, up 2.9 m | MEETS",
                "2 m out, up 2.9 m | MEETS",
                "2 m out, up 7 m | FAILS",
                "2 m out, up 3 m | TOO_CLOSE",
                "2 m out, down 7 m | DOES_NOT_APPLY",
            })
    void trapsInRises(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.traps" + SET)).isEqualTo(verdict);
        assertThat(before().verdict("piping.traps" + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void howManyTrapsAreLacking() {
        assertThat(run("2 m out, up 7 m").find("piping.traps" + SET).remedy().orElseThrow())
                .hasToString(
                        "Have 2 traps put into the rise of part 2, and one at its foot: no more than 2333 mm apart.");
        assertThat(new CaseFixture().lines("piping.run", "2 m out, up 7 m").verdict("piping.traps" + SET))
                .as("no sheet asks")
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "up 5 m, inverted trap | MEETS",
                "up 5 m | FAILS",
                "up 3 m | DOES_NOT_APPLY",
                "up 4 m | FAILS",
            })
    void anInvertedTrapWhereTheSheetAsks(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.inverted-trap" + SET)).isEqualTo(verdict);
        assertThat(before().verdict("piping.inverted-trap" + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void lowSpotsAreNamed() {
        assertThat(run("4 m out, up 1 m").verdict("piping.low-spots" + SET)).isEqualTo(Verdict.MEETS);
        Judgement low = run("down 1 m, 4 m out, up 0.4 m").find("piping.low-spots" + SET);
        assertThat(low.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(low.because()).hasToString("1 low spot, the deepest 400 mm at part 1: oil stands there.");
        assertThat(before().verdict("piping.low-spots" + SET)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "1 m in, wall, drip loop, up 2 m | MEETS",
                "1 m in, wall, up 2 m | FAILS",
                "1 m in, wall, down 2 m | DOES_NOT_APPLY",
                "3 m out | NOT_SHOWN",
            })
    void rainDripsOffBelowTheHole(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.drip-loop" + SET)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"80 mm, MEETS", "40 mm, FAILS", "63.5 mm, TOO_CLOSE"})
    void bendsAreWideEnough(String radius, Verdict verdict) {
        assertThat(before().lines("piping.bend-radius", radius).verdict("piping.bend-radius" + SET))
                .as("no sheet says, and no line size is read")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(before().lines("piping.suction-line", "1/2 in")
                        .lines("piping.bend-radius", radius)
                        .verdict("piping.bend-radius" + SET))
                .isEqualTo(verdict);
        assertThat(before().sheets(sheet().with(SheetValue.LEAST_BEND_RADIUS, Length.ofMetres(0.03)))
                        .lines("piping.bend-radius", radius)
                        .verdict("piping.bend-radius" + SET))
                .as("the sheet's own 30 mm")
                .isEqualTo(Verdict.MEETS);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"12.3 mm, MEETS", "11.2 mm, FAILS", "11.7 mm, TOO_CLOSE"})
    void bendsKeepTheirRound(String width, Verdict verdict) {
        CaseFixture lines = before().lines("piping.suction-line", "12.7 mm");
        assertThat(lines.verdict("piping.flattening" + SET)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement flat = lines.lines("piping.flattened-width", width).find("piping.flattening" + SET);
        assertThat(flat.verdict()).isEqualTo(verdict);
        assertThat(flat.remedy().map(Object::toString).orElse("nowhere less than 11.7 mm across"))
                .contains("11.7");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "2 m along insulated 19 mm | MEETS",
                "2 m along insulated 3 mm | FAILS",
                "2 m along insulated 19 mm, outdoors 3 m along insulated 6 mm | FAILS",
                "2 m along bare | FAILS",
                "2 m underground | DOES_NOT_APPLY",
                "2 m along | NOT_SHOWN",
            })
    void insulationDoesNotSweat(String typed, Verdict verdict) {
        assertThat(run(typed).verdict("piping.insulation-thickness" + SET)).isEqualTo(verdict);
    }

    @Test
    void theWorstPieceIsNamedWithWhatItNeeds() {
        Judgement worst = run("2 m along insulated 19 mm, outdoors 3 m along insulated 6 mm")
                .find("piping.insulation-thickness" + SET);
        assertThat(worst.because().toString()).startsWith("Part 2, outdoors: ").endsWith("It sweats.");
        // half-inch tube at 7.2 °C in air of 27.8 °C with a dew point of 22.2 °C, k 0.0404, 9 W/(m²·K)
        double needed =
                worst.comparison().orElseThrow().binding().limit().value().si();
        double resistance = 9 * (0.00635 + needed) * Math.log((0.00635 + needed) / 0.00635);
        double k = 0.28 * 0.1442279;
        assertThat((resistance * 27.7778 + k * 7.2222) / (resistance + k)).isCloseTo(22.2222, within(0.02));
        assertThat(run("2 m along")
                        .find("piping.insulation-thickness" + SET)
                        .remedy()
                        .orElseThrow()
                        .toString())
                .contains("Part 1 needs ");
        assertThat(run("2 m along insulated 6 mm")
                        .lines("piping.air-temperature", "30 °C")
                        .lines("piping.air-humidity", "95 %")
                        .verdict("piping.insulation-thickness" + SET))
                .as("today is worse than the design weather")
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void tubesAndCableBelongToOnePort() {
        assertThat(run("9 m out").verdict("piping.ports" + SET)).isEqualTo(Verdict.DOES_NOT_APPLY);
        CaseFixture two = before().unit(new Component("upper", Component.Kind.INDOOR_WALL, "Upper unit", false));
        assertThat(two.verdict("piping.ports" + SET)).isEqualTo(Verdict.NOT_SHOWN);
        two.lines("piping.tube-port", "A")
                .lines("piping.cable-port", "B")
                .read("piping.tube-port", "line-set-upper", "B")
                .read("piping.cable-port", "line-set-upper", "A");
        Judgement crossed = two.find("piping.ports" + SET);
        assertThat(crossed.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(crossed.because())
                .hasToString("Its tubes are on A and its cable on B: crossed with Line set, Upper unit.");
        assertThat(PortsFigure.draw(
                                two.facts(), two.evidence(), CaseFixture.PLATE_BOOK, new Judgements(two.judgements()))
                        .get(0)
                        .elements())
                .hasSizeGreaterThan(6);
        two.lines("piping.cable-port", "A").read("piping.cable-port", "line-set-upper", "B");
        assertThat(two.verdict("piping.ports" + SET)).isEqualTo(Verdict.MEETS);
        two.read("piping.tube-port", "line-set-upper", "A");
        assertThat(two.find("piping.ports" + SET).because().toString()).contains("is said to be on tube port A too");
    }

    @ParameterizedTest(name = "{0} {1} {2}: {3}")
    @CsvSource({
        "flare, cut-square, yes, MEETS",
        "flare, cut-square, no, FAILS",
        "flare, deburred, no, FAILS",
        "flare, deburred, yes, MEETS",
        "flare, face-sound, no, FAILS",
        "flare, face-sound, yes, MEETS",
        "flare, second-spanner, no, FAILS",
        "flare, second-spanner, yes, MEETS",
        "brazed, nitrogen-flowing, yes, MEETS",
        "brazed, nitrogen-flowing, no, FAILS",
        "brazed, valve-cooled, yes, MEETS",
        "brazed, valve-cooled, no, FAILS",
        "pressed, press-refrigerant, yes, MEETS",
        "pressed, press-refrigerant, no, FAILS",
        "pressed, press-generation, yes, MEETS",
        "pressed, press-generation, no, FAILS",
    })
    void jointsAreMadeAsTheirKindAsks(String kind, String point, String typed, Verdict verdict) {
        String key = "piping.joint-" + point + "@flare-1";
        assertThat(joint(kind).verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(joint(kind).read("piping.joint-" + point, "flare-1", typed).verdict(key))
                .isEqualTo(verdict);
        assertThat(joint(kind.equals("flare") ? "brazed" : "flare").verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "flare-height, 0.3 mm, MEETS",
        "flare-height, 1.2 mm, FAILS",
        "flare-height, 0.5 mm, TOO_CLOSE",
        "flare-diameter, 16.4 mm, TOO_CLOSE",
        "flare-diameter, 17.5 mm, FAILS",
        "flare-diameter, 15 mm, FAILS",
        "torque, 55 N·m, MEETS",
        "torque, 40 N·m, FAILS",
        "torque, 70 N·m, FAILS",
        "torque, 60 N·m, TOO_CLOSE",
    })
    void flaresByTheirSize(String point, String typed, Verdict verdict) {
        String key = "piping." + point.replace("torque", "flare-torque") + "@flare-1";
        assertThat(joint("flare").verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        // heights are told apart by the tool's own gauge, finer than a caliper
        CaseFixture read = point.equals("flare-height")
                ? joint("flare").accuracy(InstrumentKind.CALIPER, Accuracy.ofConstant(0.05e-3))
                : joint("flare");
        assertThat(read.read("piping.joint-" + point, "flare-1", typed).verdict(key))
                .isEqualTo(verdict);
    }

    @Test
    void aTorqueIsNoForceNorMass() {
        assertThatThrownBy(() -> joint("flare").read("piping.joint-torque", "flare-1", "55 N"))
                .hasMessageContaining("a unit of a force");
        assertThatThrownBy(() -> joint("flare").read("piping.joint-torque", "flare-1", "40 lbf"))
                .hasMessageContaining("a unit of a force");
    }

    @Test
    void aSheetsOwnTorqueGoesFirst() {
        CaseFixture joint = joint("flare").sheets(torque(45, 45));
        assertThat(joint.read("piping.joint-torque", "flare-1", "45 N·m").verdict("piping.flare-torque@flare-1"))
                .isEqualTo(Verdict.MEETS);
        Judgement wrong = joint.read("piping.joint-torque", "flare-1", "55 N·m").find("piping.flare-torque@flare-1");
        assertThat(wrong.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(wrong.remedy().orElseThrow().toString()).endsWith("40.5 N·m to 49.5 N·m.");
    }

    /** A range as the maker gives it is taken as it is: nothing is added on either side. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"55 N·m, MEETS", "46 N·m, FAILS", "64 N·m, FAILS", "50 N·m, TOO_CLOSE"})
    void aSheetsRangeOfTorqueIsTakenAsItIs(String typed, Verdict verdict) {
        Judgement judged = joint("flare")
                .sheets(torque(50, 60))
                .read("piping.joint-torque", "flare-1", typed)
                .find("piping.flare-torque@flare-1");
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThatThrownBy(() -> torque(60, 50)).hasMessageContaining("from the lower figure to the higher");
    }

    private static DataSheet torque(double least, double most) {
        DataSheet plain = sheet();
        return new DataSheet(
                plain.maker(),
                plain.model(),
                plain.document(),
                plain.refrigerant(),
                plain.size(),
                plain.clearances(),
                plain.mountingClearances(),
                plain.neighbours(),
                plain.values(),
                plain.supply(),
                plain.meteringDevice(),
                plain.saltAir(),
                plain.pairs(),
                plain.fan(),
                List.of(new DataSheet.FlareTorque(
                        Length.ofMetres(0.0127), Torque.ofNewtonMetres(least), Torque.ofNewtonMetres(most))));
    }

    @Test
    void whatIsOnTheSeatIsASchool() {
        Judgement oiled =
                joint("flare").read("piping.joint-seat", "flare-1", "oil").find("piping.flare-seat@flare-1");
        assertThat(oiled.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(oiled.otherSchools()).extracting(Judgement::verdict).containsOnly(Verdict.FAILS);
        assertThat(joint("flare")
                        .rules(CaseFixture.DESIGN_BOOK)
                        .read("piping.joint-seat", "flare-1", "oil")
                        .verdict("piping.flare-seat@flare-1"))
                .isEqualTo(Verdict.FAILS);
        assertThat(joint("flare").verdict("piping.flare-seat@flare-1")).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"48 barg, MEETS", "40 barg, FAILS", "42 barg, MEETS"})
    void pressedFittingsHoldTheTestPressure(String rated, Verdict verdict) {
        CaseFixture pressed = joint("pressed");
        assertThat(pressed.verdict("piping.press-pressure@flare-1")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(pressed.read("piping.joint-press-pressure", "flare-1", rated)
                        .verdict("piping.press-pressure@flare-1"))
                .as("no test pressure is known")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(pressed.outdoor("plate.high-side-test-pressure", "42 barg").verdict("piping.press-pressure@flare-1"))
                .isEqualTo(verdict);
    }

    @Test
    void everyJointIsListed() {
        CaseFixture some = run("9 m out, coupling").part("flare-1", Subject.Kind.JOINT, "outdoor", "indoor");
        Judgement open = some.find("piping.joints-listed" + SET);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.because()).hasToString("1 of at least 8 joints are listed.");
        assertThat(open.remedy().orElseThrow().toString()).startsWith("List 7 more");
        for (int i = 2; i <= 8; i++) {
            some.part("flare-" + i, Subject.Kind.JOINT, "outdoor", "indoor");
        }
        assertThat(some.verdict("piping.joints-listed" + SET)).isEqualTo(Verdict.MEETS);
    }

    @Test
    void whatIsHiddenLaterIsNotTakenAtTheEnd() {
        assertThat(new CaseFixture().lines("piping.sleeved", "yes").verdict("piping.sleeved" + SET))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture()
                        .read("piping.sleeved", "line-set-indoor", "yes", Grade.RECORDED)
                        .verdict("piping.sleeved" + SET))
                .isEqualTo(Verdict.MEETS);
    }

    private static List<Drawing> drawn(CaseFixture fixture) {
        return RunFigure.draw(
                fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, new Judgements(fixture.judgements()));
    }

    @ParameterizedTest(name = "charged for {0}, {1} less a metre: {2}")
    @CsvSource({
        "5 m, 0 g/m, of charge to add for this length",
        "30 m, 0 g/m, The factory charge is for this length too",
        "30 m, 20 g/m, of charge too much for this length",
    })
    void theFigureSaysTheChargeForItsLength(String precharged, String reduced, String said) {
        CaseFixture fixture = run("12 m along")
                .outdoor("plate.precharged-length", precharged)
                .outdoor("plate.extra-charge", "20 g/m")
                .outdoor("plate.reduced-charge", reduced);
        Drawing drawing = drawn(fixture).get(0);
        assertThat(drawing.caption().toString()).contains(said);
    }

    @Test
    void theRunIsDrawnUnrolledWithEveryPartAThing() {
        CaseFixture fixture =
                run("1 m in, wall, 3.2 m out insulated 13 mm, elbow, up 2.5 m, trap, coil 2 m, 6 m along");
        Drawing drawing = drawn(fixture).get(0);
        assertThat(drawing.elements().stream()
                        .flatMap(element -> element.meaning().stream())
                        .flatMap(standing -> standing.thing().stream())
                        .distinct())
                .containsExactlyInAnyOrder("0", "1", "2", "3", "4", "5", "6", "7");
        assertThat(drawing.caption().toString()).contains("inside both tubes");
        assertThat(drawn(before()).get(0).spoken()).hasToString("The run has not been read yet.");
    }
}
