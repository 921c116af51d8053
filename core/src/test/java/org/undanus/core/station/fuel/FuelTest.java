package org.undanus.core.station.fuel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.derived.notation.GasTrain;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.TemperatureDifference;

class FuelTest {
    private static final String VENT = "@vent-indoor";
    private static final double KILO_BTU = 293.07107;

    private static CaseFixture before() {
        DataSheet sheet = DataSheet.of("Brellick", "GF", "Brellick 7")
                .with(SheetValue.LEAST_INLET_PRESSURE, PressureDifference.ofPascals(1125))
                .with(SheetValue.MOST_INLET_PRESSURE, PressureDifference.ofPascals(3240))
                .with(SheetValue.LEAST_MANIFOLD_PRESSURE, PressureDifference.ofPascals(800))
                .with(SheetValue.MOST_MANIFOLD_PRESSURE, PressureDifference.ofPascals(950));
        return new CaseFixture()
                .indoorKind(Component.Kind.FURNACE_COIL, true)
                .sheets(sheet)
                .at(Stage.BEFORE_COVER)
                .indoor("plate.model", "GF");
    }

    private static CaseFixture unit(CaseFixture fixture, String... pointsAndTyped) {
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.indoor("fuel." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static CaseFixture unit(String... pointsAndTyped) {
        return unit(before(), pointsAndTyped);
    }

    private static CaseFixture vent(String... pointsAndTyped) {
        CaseFixture fixture = before();
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.of(Subject.Kind.VENT, "fuel.vent-" + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static String said(Judgement judgement) {
        return judgement.remedy().orElseThrow().toString();
    }

    @Test
    void aSystemThatBurnsNothingIsAskedNothing() {
        assertThat(new CaseFixture().judgements())
                .noneMatch(judgement -> judgement.about().id().startsWith("fuel."));
    }

    /** 2 ft³ in 36 s of 1030 Btu/ft³: 206 000 Btu/h; corrections and derating by hand. */
    @Test
    void inputOfABurner() {
        double dial = 2 * Math.pow(0.3048, 3);
        double value = 1030 * 1055.056 / Math.pow(0.3048, 3);
        assertThat(BurnerInput.input(dial, 1, 36, value, 1) / KILO_BTU).isCloseTo(206, within(0.01));
        assertThat(BurnerInput.correction(101_325 + 1743, 288.15)).isCloseTo(1.0172, within(1e-4));
        assertThat(BurnerInput.correction(101_325, 298.15)).isCloseTo(0.96646, within(1e-5));
        assertThat(BurnerInput.derating(600, 609.6, 304.8, 0.04)).isEqualTo(1);
        assertThat(BurnerInput.derating(1524, 609.6, 304.8, 0.04)).isCloseTo(0.80, within(1e-9));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"74.2 s, MEETS", "60.0 s, FAILS", "90.0 s, FAILS", "78.0 s, TOO_CLOSE"})
    void theMeterTellsTheInput(String time, Verdict verdict) {
        // two revolutions of 1 ft³ at 1030 Btu/ft³ in 74.2 s are 100 kBtu/h
        CaseFixture read = unit(
                "plate-input",
                "100 kBtu/h",
                "meter-dial",
                "1 ft³",
                "revolutions",
                "2",
                "heating-value",
                "1030 Btu/ft³",
                "heating-basis",
                "as metered here");
        Judgement open = read.find("fuel.input@indoor");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(said(open)).contains("Expect about 74 s for 2 revolutions.");
        assertThat(unit(read, "clocked-time", time).verdict("fuel.input@indoor"))
                .isEqualTo(verdict);
        assertThat(before().verdict("fuel.input@indoor")).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void heightAndStandardConditionsAreCountedIn() {
        CaseFixture high = unit(
                        "plate-input",
                        "100 kBtu/h",
                        "meter-dial",
                        "1 ft³",
                        "revolutions",
                        "2",
                        "heating-value",
                        "1030 Btu/ft³",
                        "heating-basis",
                        "standard conditions",
                        "clocked-time",
                        "74.2 s")
                .elevation(1524);
        assertThat(high.verdict("fuel.input@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = unit(high, "meter-pressure", "1743 Pa", "meter-temperature", "15 °C")
                .find("fuel.input@indoor");
        // at 84 307 Pa of air the gas holds (84 307 + 1743)/101 325 of its heat: 84.9 kBtu/h of the 80 asked
        assertThat(judged.comparison().orElseThrow().measured().value() / KILO_BTU)
                .isCloseTo(84.9, within(0.2));
        assertThat(judged.verdict()).isEqualTo(Verdict.FAILS);
    }

    @Test
    void noRevolutionShowsNothing() {
        assertThatThrownBy(() -> unit("revolutions", "0")).hasMessageContaining("cannot be the");
        assertThatThrownBy(() -> unit("clocked-time", "-3 s")).hasMessageContaining("cannot be the");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "inlet-pressure, 1700 Pa, MEETS",
        "inlet-pressure, 900 Pa, FAILS",
        "inlet-pressure, 4000 Pa, FAILS",
        "inlet-pressure, 1130 Pa, TOO_CLOSE",
        "manifold-pressure, 870 Pa, MEETS",
        "manifold-pressure, 1100 Pa, FAILS",
        "manifold-pressure, 948 Pa, TOO_CLOSE",
    })
    void gasPressures(String point, String typed, Verdict verdict) {
        assertThat(before().verdict("fuel." + point + "@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(point, typed).verdict("fuel." + point + "@indoor")).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"28 K, MEETS", "40 K, FAILS", "15 K, FAILS", "33.2 K, TOO_CLOSE"})
    void temperatureRise(String rise, Verdict verdict) {
        assertThat(unit("temperature-rise", rise).verdict("fuel.temperature-rise@indoor"))
                .as("the plate's range is not read")
                .isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture plate = before().indoor("plate.lowest-temperature-rise", "19.4 K")
                .indoor("plate.highest-temperature-rise", "33.3 K");
        assertThat(plate.verdict("fuel.temperature-rise@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = unit(plate, "temperature-rise", rise).find("fuel.temperature-rise@indoor");
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (rise.equals("40 K")) {
            assertThat(said(judged)).startsWith("It needs about 20 % more air");
        }
    }

    @ParameterizedTest(name = "{0} ppm, {1} %: {2}")
    @CsvSource({
        "50, 9, MEETS",
        "300, 9, FAILS",
        "228, 9, TOO_CLOSE",
        "50, 20.9, NOT_SHOWN",
        "50, 21.5, NOT_SHOWN",
        "5, 20.0, NOT_SHOWN",
        "20, 19.3, NOT_SHOWN",
        "20, 19.0, MEETS",
        "600, 20.0, FAILS"
    })
    void monoxideInTheFlue(String monoxide, String oxygen, Verdict verdict) {
        // 400 ppm air-free are 227.8 ppm at 9 % of oxygen
        String key = "fuel.flue-carbon-monoxide@indoor";
        assertThat(before().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = unit("flue-carbon-monoxide", monoxide + " ppm", "flue-oxygen", oxygen + " %")
                .find(key);
        assertThat(judged.verdict()).isEqualTo(verdict);
        if (monoxide.equals("300")) {
            assertThat(said(judged)).contains("At this oxygen no more than 228 ppm may show.");
        }
        if (verdict == Verdict.NOT_SHOWN || verdict == Verdict.FAILS) {
            assertThat(said(judged)).startsWith("Shut it off");
        }
        assertThat(Monoxide.airFree(100e-6, 0.09) * 1e6).isCloseTo(175.63, within(0.01));
    }

    @Test
    void monoxideAsShownFailsBeforeOxygenIsRead() {
        String key = "fuel.flue-carbon-monoxide@indoor";
        assertThat(unit("flue-carbon-monoxide", "600 ppm").verdict(key)).isEqualTo(Verdict.FAILS);
        assertThat(unit("flue-carbon-monoxide", "300 ppm").verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement thin =
                unit("flue-carbon-monoxide", "5 ppm", "flue-oxygen", "20.0 %").find(key);
        assertThat(thin.because().toString()).startsWith("The sample is too thin: at 20");
    }

    @ParameterizedTest(name = "{0} ppm: {1}, leave {2}")
    @CsvSource({"2, MEETS, MEETS", "20, FAILS, MEETS", "60, FAILS, FAILS", "9, TOO_CLOSE, MEETS", "36, FAILS, TOO_CLOSE"
    })
    void monoxideInTheRoom(String monoxide, Verdict verdict, Verdict leave) {
        assertThat(before().verdict("fuel.room-carbon-monoxide@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(before().verdict("fuel.stop-carbon-monoxide@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture read = unit("room-carbon-monoxide", monoxide + " ppm");
        assertThat(read.verdict("fuel.room-carbon-monoxide@indoor")).isEqualTo(verdict);
        Judgement stop = read.find("fuel.stop-carbon-monoxide@indoor");
        assertThat(stop.verdict()).isEqualTo(leave);
        assertThat(stop.about().stops()).isTrue();
        assertThat(read.find("fuel.room-carbon-monoxide@indoor").about().stops())
                .isFalse();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "valve, union, connector, drip leg, pipe, cabinet, control | MEETS | Valve, then",
                "drip leg, valve, union, pipe, cabinet, control | FAILS | The drip leg stands before the valve.",
                "union, drip leg, control | FAILS | There is no shut-off valve.",
                "valve, union, control | FAILS | There is no drip leg.",
                "valve, drip leg, control | FAILS | Nothing can be parted behind the valve.",
                "union, valve, drip leg, control | FAILS | The union stands before the valve.",
                "valve, drip leg, cabinet, connector, control | FAILS | The flexible connector passes through the cabinet wall.",
                "valve, union, connector, cabinet, drip leg, control | FAILS | The flexible connector passes through the cabinet wall.",
                "valve, drip leg, cabinet, pipe, connector, control | FAILS | The flexible connector lies inside the cabinet.",
                "connector, valve, union, drip leg, pipe, cabinet, control | FAILS | The flexible connector stands before the valve.",
                "valve, union, pipe, cabinet, control, drip leg | FAILS | The drip leg stands behind the control.",
                "drip leg, union, control, cabinet, valve | FAILS | The drip leg stands before the valve; the union stands",
                "union, valve, union, drip leg, pipe, cabinet, control | MEETS | Valve, then",
                "valve, union, drip leg, control | NOT_SHOWN | The list does not say where the cabinet's wall stands.",
                "valve, union, drip leg, pipe, cabinet | NOT_SHOWN | The list does not say where the control stands.",
            })
    void theGasPipeInItsOrder(String train, Verdict verdict, String because) {
        assertThat(before().verdict("fuel.train@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = unit("train", train).find("fuel.train@indoor");
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThat(judged.because().toString()).startsWith(because);
        assertThatThrownBy(() -> GasTrain.NOTATION.read("valve, elbow"))
                .hasMessageContaining("Part 2, \"elbow\": it is none of");
    }

    @ParameterizedTest(name = "{0}, {1}: {2}")
    @CsvSource({
        "1/2 in, 1.50 m, MEETS",
        "1/2 in, 2.00 m, FAILS",
        "3/4 in, 2.00 m, MEETS",
        "1 in, 2.60 m, FAILS",
        "larger, 3.05 m, TOO_CLOSE",
    })
    void supportsByTheSizeOfThePipe(String size, String spacing, Verdict verdict) {
        assertThat(unit("pipe-size", size).verdict("fuel.pipe-support@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit("pipe-size", size, "pipe-support", spacing).verdict("fuel.pipe-support@indoor"))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "leak-test, no leak, MEETS",
        "leak-test, leak found, FAILS",
        "leak-test, not done, NOT_SHOWN",
        "shut-off-distance, 1.20 m, MEETS",
        "shut-off-distance, 2.50 m, FAILS",
        "shut-off-distance, 1.83 m, TOO_CLOSE",
    })
    void shutOffAndLeakTest(String point, String typed, Verdict verdict) {
        assertThat(before().verdict("fuel." + point + "@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(point, typed).verdict("fuel." + point + "@indoor")).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"160 m³, MEETS", "100 m³, FAILS", "141.6 m³, MEETS"})
    void airFromTheRoom(String volume, Verdict verdict) {
        // 100 kBtu/h × 50 ft³ for each = 5000 ft³ = 141.58 m³
        CaseFixture room = unit("air-from", FuelPoints.ROOM.words(), "total-input", "100 kBtu/h");
        Judgement open = room.find("fuel.combustion-air@indoor");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(said(open)).contains("It needs 141.6 m³ of room.");
        Judgement judged = unit(room, "room-volume", volume).find("fuel.combustion-air@indoor");
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThat(CombustionAir.room(100 * KILO_BTU, 21 * Math.pow(0.3048, 3))).isCloseTo(59.465, within(0.01));
    }

    /** 100 kBtu/h; a known rate below 0.40 closes the standard method, one above 0.60 is reckoned as 0.60. */
    @ParameterizedTest(name = "{0} of air changed, fan {1}, {2}: {3}")
    @CsvSource({
        "10 %, yes, 6000 ft³, FAILS",
        "10 %, yes, 15100 ft³, MEETS",
        "10 %, no, 15100 ft³, FAILS",
        "39 %, no, 5200 ft³, FAILS",
        "39 %, no, 5400 ft³, MEETS",
        "40 %, no, 5010 ft³, MEETS",
        "40 %, no, 4990 ft³, FAILS",
        "30 %, , 9000 ft³, NOT_SHOWN",
    })
    void aKnownRateClosesTheStandardMethod(String rate, String fan, String volume, Verdict verdict) {
        CaseFixture room = unit(
                "air-from",
                FuelPoints.ROOM.words(),
                "total-input",
                "100 kBtu/h",
                "air-changes",
                rate,
                "room-volume",
                volume);
        assertThat((fan == null ? room : unit(room, "fan-assisted", fan)).verdict("fuel.combustion-air@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void airChangesOverTheMostAreNotReckonedWith() {
        CaseFixture room = unit(
                "air-from",
                FuelPoints.ROOM.words(),
                "total-input",
                "100 kBtu/h",
                "air-changes",
                "200 %",
                "fan-assisted",
                "yes");
        // 15/0.60 × 100 = 2500 ft³
        for (String[] volume : new String[][] {{"2490 ft³", "FAILS"}, {"2510 ft³", "MEETS"}}) {
            CaseFixture read = unit(room, "room-volume", volume[0]);
            assertThat(read.find("fuel.combustion-air@indoor").otherSchools())
                    .extracting(Judgement::verdict)
                    .containsExactly(Verdict.valueOf(volume[1]));
        }
    }

    @Test
    void openingsToOtherRoomsOnlyJoinThem() {
        CaseFixture openings = unit(
                "air-from",
                FuelPoints.TWO_INDOORS.words(),
                "total-input",
                "100 kBtu/h",
                "louvres",
                "nothing",
                "opening-area",
                "100 in²");
        Judgement open = openings.find("fuel.combustion-air@indoor");
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(said(open)).contains("It needs 141.6 m³ of room.");
        assertThat(unit(openings, "room-volume", "100 m³").verdict("fuel.combustion-air@indoor"))
                .isEqualTo(Verdict.FAILS);
    }

    @ParameterizedTest(name = "{0}, {1} behind {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "two openings to other rooms | 100 in² | nothing | MEETS",
                "two openings to other rooms | 100 in² | metal louvres | FAILS",
                "two openings outdoors, direct or vertical ducts | 25 in² | nothing | MEETS",
                "two openings outdoors, direct or vertical ducts | 90 in² | wood louvres | FAILS",
                "two openings outdoors, horizontal ducts | 40 in² | nothing | FAILS",
                "two openings outdoors, horizontal ducts | 70 in² | metal louvres | MEETS",
                "one opening outdoors | 33 in² | nothing | FAILS",
                "one opening outdoors | 34 in² | nothing | MEETS",
            })
    void airThroughOpenings(String from, String area, String behind, Verdict verdict) {
        CaseFixture openings = unit("air-from", from, "total-input", "100 kBtu/h", "louvres", behind);
        if (from.equals(FuelPoints.TWO_INDOORS.words())) {
            unit(openings, "room-volume", "150 m³");
        }
        assertThat(openings.verdict("fuel.combustion-air@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(openings, "opening-area", area).verdict("fuel.combustion-air@indoor"))
                .isEqualTo(verdict);
        assertThat(unit("air-from", FuelPoints.SEALED.words()).verdict("fuel.combustion-air@indoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1} {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "I | double wall, type B | attic, closet or closed space | MEETS",
                "I | single wall metal | the appliance's room only | MEETS",
                "I | single wall metal | attic, closet or closed space | FAILS",
                "I | plastic, listed | the appliance's room only | FAILS",
                "III | special stainless | the appliance's room only | MEETS",
                "III | double wall, type B | the appliance's room only | FAILS",
                "IV | plastic, listed | attic, closet or closed space | MEETS",
                "II | special stainless | the appliance's room only | REFER",
            })
    void theVentIsOfTheRightKind(String category, String material, String passes, Verdict verdict) {
        assertThat(before().verdict("fuel.vent-material" + VENT)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(vent("category", category, "material", material, "passes", passes)
                        .verdict("fuel.vent-material" + VENT))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "slope, 3 %, MEETS",
        "slope, 0.5 %, FAILS",
        "slope, 2.1 %, TOO_CLOSE",
        "support, 1.20 m, MEETS",
        "support, 2.00 m, FAILS",
        "support, 1.524 m, TOO_CLOSE",
        "common, never shared, DOES_NOT_APPLY",
        "common, resized or lined for what stays, MEETS",
        "common, left as it was for what stays, FAILS",
        "common, nobody knows, REFER",
    })
    void whatIsReadOfTheVent(String point, String typed, Verdict verdict) {
        assertThat(before().verdict("fuel.vent-" + point + VENT)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(vent(point, typed).verdict("fuel.vent-" + point + VENT)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} at {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "single wall metal | 200 mm | MEETS",
                "single wall metal | 100 mm | FAILS",
                "single wall metal | 152 mm | TOO_CLOSE",
                "double wall, type B | 40 mm | MEETS",
                "double wall, type B | 10 mm | FAILS",
                "plastic, listed | 5 mm | DOES_NOT_APPLY",
            })
    void clearOfWhatBurns(String material, String distance, Verdict verdict) {
        assertThat(vent("material", material).verdict("fuel.vent-clearance" + VENT))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(vent("material", material, "clearance", distance).verdict("fuel.vent-clearance" + VENT))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} kBtu/h at {1}: {2}")
    @CsvSource({
        "9, 160 mm, MEETS",
        "9, 140 mm, FAILS",
        "45, 240 mm, MEETS",
        "45, 200 mm, FAILS",
        "80, 320 mm, MEETS",
        "80, 280 mm, FAILS",
        "80, 305 mm, TOO_CLOSE",
    })
    void directVentsByTheirInput(String input, String distance, Verdict verdict) {
        CaseFixture direct = vent("ends", "direct vent", "opening", distance);
        assertThat(direct.verdict("fuel.vent-opening" + VENT)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(direct, "plate-input", input + " kBtu/h").verdict("fuel.vent-opening" + VENT))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} at {1}: {2}")
    @CsvSource({
        "below it, 1.30 m, MEETS",
        "below it, 1.00 m, FAILS",
        "beside it, 1.00 m, FAILS",
        "above it, 400 mm, MEETS",
        "above it, 200 mm, FAILS",
    })
    void mechanicalDraftByWhereItLies(String lies, String distance, Verdict verdict) {
        assertThat(vent("ends", "mechanical draft", "opening", distance).verdict("fuel.vent-opening" + VENT))
                .isEqualTo(Verdict.NOT_SHOWN);
        Judgement judged = vent("ends", "mechanical draft", "opening", distance, "opening-lies", lies)
                .find("fuel.vent-opening" + VENT);
        assertThat(judged.verdict()).isEqualTo(verdict);
        assertThat(vent("ends", "over the roof").verdict("fuel.vent-opening" + VENT))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "grade, 500 mm, MEETS",
        "grade, 200 mm, FAILS",
        "grade, 305 mm, TOO_CLOSE",
        "walk, 2.50 m, MEETS",
        "walk, 1.80 m, FAILS",
        "inlet, 1.20 m, MEETS",
        "inlet, 500 mm, FAILS",
        "meter, 1.20 m, MEETS",
        "meter, 500 mm, FAILS",
        "meter, 915 mm, TOO_CLOSE",
    })
    void whereTheVentEnds(String point, String typed, Verdict verdict) {
        String key = "fuel.vent-" + point + VENT;
        assertThat(vent("ends", "mechanical draft").verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(vent("ends", "mechanical draft", point, typed).verdict(key)).isEqualTo(verdict);
        assertThat(vent("ends", "over the roof").verdict(key)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "category {0}, {1} {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "I | draft | -6 Pa | MEETS",
                "I | draft | 2 Pa | FAILS",
                "I | draft | -2.5 Pa | TOO_CLOSE",
                "IV | draft | -6 Pa | DOES_NOT_APPLY",
                "IV | neutraliser | fitted | MEETS",
                "IV | neutraliser | missing | FAILS",
                "IV | neutraliser | not needed, plastic to the sewer | DOES_NOT_APPLY",
                "I | neutraliser | missing | DOES_NOT_APPLY",
            })
    void draftAndNeutraliserByCategory(String category, String point, String typed, Verdict verdict) {
        assertThat(vent("category", category, point, typed).verdict("fuel.vent-" + point + VENT))
                .isEqualTo(verdict);
        assertThat(before().verdict("fuel.vent-" + point + VENT)).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void pipeAndVentAreDrawn() {
        CaseFixture fixture = unit(
                vent("ends", "mechanical draft", "opening", "900 mm", "opening-lies", "below it", "grade", "500 mm"),
                "train",
                "valve, union, connector, drip leg, pipe, cabinet, control");
        Judgements judgements = new Judgements(fixture.judgements());
        Drawing train = TrainFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(train.elements().stream()
                        .flatMap(element -> element.meaning().stream())
                        .flatMap(standing -> standing.thing().stream())
                        .distinct())
                .hasSize(7);
        Drawing vent = VentFigure.draw(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, judgements)
                .get(0);
        assertThat(vent.spoken()).hasToString("Clear of openings: Fails; over grade: Meets");
        assertThat(vent.caption().toString()).contains("Move the vent's end 1219 mm or more from that opening.");
    }

    @ParameterizedTest(name = "{0} to a burner for {1}: {2}")
    @CsvSource({
        "natural gas, natural gas, MEETS",
        "propane, propane, MEETS",
        "propane, natural gas, FAILS",
        "natural gas, propane, FAILS",
        "another fuel, natural gas, REFER"
    })
    void theBurnerIsSetUpForItsFuel(String supplied, String set, Verdict verdict) {
        CaseFixture read = unit("supplied", supplied);
        assertThat(read.verdict("fuel.suited@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(read, "set-for", set).verdict("fuel.suited@indoor")).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "limit-switch, shuts the burner off, MEETS",
        "limit-switch, does not shut it off, FAILS",
        "limit-switch, missing or bypassed, FAILS",
        "limit-switch, not tested, NOT_SHOWN",
        "rollout-switch, 'in place, opens the circuit', MEETS",
        "rollout-switch, does not open the circuit, FAILS",
        "rollout-switch, missing or bypassed, FAILS",
        "rollout-switch, not made with one, DOES_NOT_APPLY",
        "rollout-switch, not tested, NOT_SHOWN"
    })
    void safetySwitches(String point, String typed, Verdict verdict) {
        assertThat(unit(point, typed).verdict("fuel." + point + "@indoor")).isEqualTo(verdict);
        assertThat(before().verdict("fuel." + point + "@indoor")).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "category {0}, {1}: {2}")
    @CsvSource({"I, no spillage, MEETS", "I, spills, FAILS", "I, not done, NOT_SHOWN"})
    void spillageOfADraftHood(String category, String typed, Verdict verdict) {
        assertThat(vent("category", category, "spillage", typed).verdict("fuel.vent-spillage" + VENT))
                .isEqualTo(verdict);
        assertThat(vent("category", "IV").verdict("fuel.vent-spillage" + VENT)).isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    /** Tables of NFPA 54 / IFGC for schedule 40, 0.5 in of water: natural gas of 0.60, undiluted propane; ft³/h. */
    @ParameterizedTest(name = "{0} in over {1} ft, propane {2}: {3} ft³/h")
    @CsvSource({
        "0.622, 10, false, 172",
        "0.622, 50, false, 72",
        "0.824, 50, false, 151",
        "1.049, 100, false, 195",
        "2.067, 40, false, 1900"
    })
    void whatAGasPipeLetsThrough(double inches, double feet, boolean propane, double expected) {
        double flow = GasPipeSize.flow(inches * 0.0254, 0.5 * 249.08891, feet * 0.3048, propane);
        assertThat(flow * 3600 / Math.pow(0.3048, 3)).isCloseTo(expected, within(expected * 0.015));
    }

    /** The table of undiluted propane at 11 in of water, 10 ft: 291 and 608 kBtu/h, by 2516 Btu/ft³. */
    @ParameterizedTest(name = "{0} in: {1} kBtu/h")
    @CsvSource({"0.622, 291", "0.824, 608"})
    void propaneIsHeavierAndRicher(double inches, double expected) {
        double flow = GasPipeSize.flow(inches * 0.0254, 0.5 * 249.08891, 10 * 0.3048, true);
        double heat = flow * 3600 / Math.pow(0.3048, 3) * 2.516;
        assertThat(heat).isCloseTo(expected, within(expected * 0.03));
    }

    private static CaseFixture piped(String size, String length, String load) {
        return unit(
                "supplied",
                "natural gas",
                "heating-value",
                "1000 Btu/ft³",
                "pipe-material",
                "steel, schedule 40",
                "pipe-size",
                size,
                "pipe-longest",
                length,
                "pipe-load",
                load);
    }

    @ParameterizedTest(name = "{0} over {1} with {2}: {3}")
    @CsvSource({
        "1/2 in, 50 ft, 60 kBtu/h, MEETS",
        "1/2 in, 50 ft, 72 kBtu/h, MEETS",
        "1/2 in, 50 ft, 73 kBtu/h, FAILS",
        "1/2 in, 50 ft, 100 kBtu/h, FAILS",
        "3/4 in, 50 ft, 100 kBtu/h, MEETS",
        "2 in, 50 ft, 3000 kBtu/h, FAILS",
        "larger, 50 ft, 100 kBtu/h, REFER"
    })
    void theGasPipeCarriesItsLoad(String size, String length, String load, Verdict verdict) {
        assertThat(piped(size, length, load).verdict("fuel.pipe-load@indoor")).isEqualTo(verdict);
    }

    @Test
    void aPipeTooSmallIsToldTheSizeThatIsEnough() {
        assertThat(said(piped("1/2 in", "50 ft", "100 kBtu/h").find("fuel.pipe-load@indoor")))
                .contains("with 3/4 in pipe or larger");
        assertThat(said(piped("2 in", "50 ft", "6000 kBtu/h").find("fuel.pipe-load@indoor")))
                .contains("sizes the pipe anew");
        assertThat(unit("pipe-size", "1/2 in").verdict("fuel.pipe-load@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(unit(piped("1/2 in", "50 ft", "60 kBtu/h"), "pipe-material", "copper")
                        .verdict("fuel.pipe-load@indoor"))
                .isEqualTo(Verdict.REFER);
    }

    /** 180 K over the air at 9 % of oxygen: natural gas 180·(0.66/12 + 0.009) = 11.5 %. */
    @Test
    void lossByTheStack() {
        assertThat(StackTemperature.loss(180, 0.09, false)).isCloseTo(0.1152, within(1e-6));
        assertThat(StackTemperature.loss(180, 0.09, true)).isCloseTo(0.1089, within(1e-6));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"200 °C, MEETS", "110 °C, FAILS", "300 °C, FAILS", "270.5 °C, TOO_CLOSE"})
    void netStackTemperatureByTheSheet(String flue, Verdict verdict) {
        DataSheet sheet = DataSheet.of("Brellick", "GF", "Brellick 7")
                .with(SheetValue.LEAST_STACK_TEMPERATURE, TemperatureDifference.ofKelvin(120))
                .with(SheetValue.MOST_STACK_TEMPERATURE, TemperatureDifference.ofKelvin(250));
        CaseFixture read = unit(before().sheets(sheet), "flue-temperature", flue);
        assertThat(read.verdict("fuel.stack-temperature@indoor")).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture whole = unit(read, "burner-air", "20 °C");
        assertThat(whole.verdict("fuel.stack-temperature@indoor")).isEqualTo(verdict);
        assertThat(whole.find("fuel.stack-temperature@indoor").derivation().toString())
                .doesNotContain("Stack loss");
        assertThat(unit(whole, "supplied", "natural gas", "flue-oxygen", "9 %")
                        .find("fuel.stack-temperature@indoor")
                        .derivation()
                        .toString())
                .contains("Stack loss");
    }
}
