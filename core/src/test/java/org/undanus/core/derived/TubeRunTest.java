package org.undanus.core.derived;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;

class TubeRunTest {
    private static final TubeRunNotation NOTATION = TubeRunNotation.LINES;

    private static TubeRun run(String typed) {
        return NOTATION.read(typed);
    }

    @Test
    void readsARunAsItIsSaid() {
        TubeRun run = run("3.2 m out, elbow, up 2.5 m, trap, 6 m along");
        assertThat(run.length()).isCloseTo(11.7, within(1e-9));
        assertThat(run.lift()).isCloseTo(2.5, within(1e-9));
        assertThat(run.count(TubeRun.Kind.ELBOW)).isEqualTo(1);
        assertThat(run.count(TubeRun.Kind.TRAP)).isEqualTo(1);
        assertThat(run.corners().get(5).along()).isCloseTo(9.2, within(1e-9));
    }

    @ParameterizedTest(name = "{0}: {1} m long, {2} m up")
    @CsvSource(
            delimiter = '|',
            value = {
                "10 ft out; up 8 ft 6 in | 5.6388 | 2.5908",
                "3,2 m out, down 0,5 m | 3.7 | -0.5",
                "2 × 3 m up, 4 m along falling 100 mm | 10 | 5.9",
                "coil 2.5 m, 2 m out | 4.5 | 0",
                "2' 6\" out, rise 40\" | 1.778 | 1.016",
            })
    void lengthsAndHeights(String typed, double length, double lift) {
        assertThat(run(typed).length()).isCloseTo(length, within(1e-9));
        assertThat(run(typed).lift()).isCloseTo(lift, within(1e-9));
    }

    @Test
    void insulationAndPlaceHoldOnUntilSomethingElseIsSaid() {
        TubeRun run = run(
                "2 m along insulated 9 mm, attic 3 m along, wall, 2 m along insulated 19 mm k 0.036 in sun, bare up 1 m");
        List<TubeRun.Piece> pieces = run.pieces();
        assertThat(pieces.get(1).around()).isEqualTo(TubeRun.Around.ATTIC);
        assertThat(pieces.get(1).insulation().orElseThrow()).isCloseTo(0.009, within(1e-9));
        assertThat(pieces.get(3).insulation().orElseThrow()).isCloseTo(0.019, within(1e-9));
        assertThat(pieces.get(3).conductivity()).hasValue(0.036);
        assertThat(pieces.get(3).sun()).isTrue();
        assertThat(pieces.get(4).insulation()).hasValue(0.0);
        assertThat(run("1 m in, wall, 2 m out").pieces().get(2).around()).isEqualTo(TubeRun.Around.OUTDOORS);
    }

    @Test
    void equivalentLengthCountsEveryFitting() {
        Tube half = Tube.of(0.0127).orElseThrow();
        // 10 m and two short elbows of 1.4 ft, one long of 0.9 ft, a trap of 2.3 + 1.4 ft
        double feet = 2 * 1.4 + 0.9 + 2.3 + 1.4;
        assertThat(run("10 m out, 2 elbows, long elbow, trap").equivalent(half))
                .isCloseTo(10 + feet * 0.3048, within(1e-9));
    }

    @Test
    void whatLiesLowerThanBothSidesIsALowSpot() {
        assertThat(run("down 1 m, 2 m out, up 0.4 m").lowSpots())
                .singleElement()
                .satisfies(spot -> assertThat(spot.depth()).isCloseTo(0.4, within(1e-9)));
        assertThat(run("down 1 m, trap, 2 m out, up 3 m").lowSpots()).isEmpty();
        assertThat(run("down 1 m, 2 m out, down 1 m").lowSpots()).isEmpty();
        assertThat(run("3 m out, sag 60 mm, 3 m out").lowSpots()).hasSize(1);
    }

    @Test
    void aRiseEndsAtATrapOrAFall() {
        assertThat(run("1 m out, trap, up 3 m, trap, up 2 m, 1 m out, up 4 m").rises())
                .extracting(TubeRun.Rise::height, TubeRun.Rise::trapped)
                .containsExactly(tuple(3.0, true), tuple(6.0, true));
        assertThat(run("up 3 m, down 1 m, up 2 m").rises())
                .extracting(TubeRun.Rise::height)
                .containsExactly(3.0, 2.0);
    }

    @Test
    void rainRunsIntoAHoleThatLiesLower() {
        assertThat(run("1 m in, wall, up 2 m").comesDownToHole()).isTrue();
        assertThat(run("1 m in, wall, up 2 m").dripsBeforeHole()).isFalse();
        assertThat(run("1 m in, wall, drip loop, up 2 m").dripsBeforeHole()).isTrue();
        assertThat(run("1 m in, wall, down 2 m, up 1 m").comesDownToHole()).isFalse();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "3 m out, elbw | Part 2, \"elbw\"",
                "3 m out, up | Part 2, \"up\": it has neither a length nor a fitting",
                "3 m up down | it goes two ways at once",
                "3 kg out | Part 1, \"3 kg out\"",
                "0 m out | a length is more than nothing",
                "elbow, trap | No length is said",
                "3 m out, back 3 m | comes back to where it began",
                "start 0.5 m, 2 m out, down 0.8 m, trap, 2 m along | below ground",
                "5 m along falling 6 m | cannot rise or fall farther than it is long",
                "3 m out insulated 900 mm | insulation is 0 to 150 mm thick",
                "3 m out k 4 | an insulation's k is",
                "99 elbows, 3 m out | there are 1 to 60 alike",
            })
    void whatMakesNoSenseIsNamed(String typed, String message) {
        assertThatThrownBy(() -> run(typed))
                .isInstanceOf(Entry.Unsuitable.class)
                .hasMessageContaining(message);
    }

    @Test
    void aPartIsChangedWhereItIsDrawn() {
        String typed = "3,2 m out, elbow; up 2.5 m";
        assertThat(Notation.parts(typed))
                .extracting(Notation.Part::text)
                .containsExactly("3,2 m out", "elbow", "up 2.5 m");
        assertThat(NOTATION.changed(typed, "2", Notation.Change.REPLACE, "up 3 m"))
                .isEqualTo("3,2 m out, elbow, up 3 m");
        assertThat(NOTATION.changed(typed, "0", Notation.Change.AFTER, "wall"))
                .isEqualTo("3,2 m out, wall, elbow, up 2.5 m");
        assertThat(NOTATION.changed(typed, "0", Notation.Change.BEFORE, "trap")).startsWith("trap, 3,2 m out");
        assertThat(NOTATION.changed(typed, "1", Notation.Change.REMOVE, "")).isEqualTo("3,2 m out, up 2.5 m");
        assertThatThrownBy(() -> NOTATION.changed(typed, "x", Notation.Change.REMOVE, ""))
                .hasMessageContaining("There is no part");
    }

    @Test
    void tubesHoldWhatTheTablesSay() {
        // an independent entry of ASTM B280 walls (inches) and of JIS B 8607
        double[][] known = {
            {0.25, 0.030, 14, 18},
            {0.375, 0.032, 34, 42},
            {0.5, 0.032, 49, 61},
            {0.625, 0.035, 68, 82},
            {0.75, 0.035, 100, 120}
        };
        for (double[] row : known) {
            Tube tube = Tube.of(row[0] * 0.0254).orElseThrow();
            assertThat(tube.wall()).isCloseTo(row[1] * 0.0254, within(5e-6));
            assertThat(tube.flare().orElseThrow().leastTorque()).isEqualTo(row[2]);
            assertThat(tube.flare().orElseThrow().mostTorque()).isEqualTo(row[3]);
        }
        assertThat(Tube.of(0.0145)).isEmpty();
        // 10 m of 1/4 and 1/2 in: inner diameters 4.826 and 11.074 mm
        double litres = 10 * Math.PI / 4 * (0.004826 * 0.004826 + 0.011074 * 0.011074) * 1000;
        assertThat(1000
                        * LineContents.volume(
                                10,
                                Tube.of(0.00635).orElseThrow(),
                                Tube.of(0.0127).orElseThrow()))
                .isCloseTo(litres, within(1e-6));
        assertThat(LineContents.addedCharge(11.7, 7.6, 0.02, 0)).isCloseTo(0.082, within(1e-9));
        assertThat(LineContents.addedCharge(6.6, 7.6, 0.02, 0)).isZero();
        assertThat(LineContents.addedCharge(6.6, 7.6, 0.02, 0.01)).isCloseTo(-0.01, within(1e-9));
    }

    /** Worked by hand: 22 mm tube, 13 mm insulation of 0.040 W/(m·K), 9 W/(m²·K), 7 °C in air of 30 °C. */
    @Test
    void surfacesOfColdTubes() {
        double outer = 0.024;
        double resistance = 9 * outer * Math.log(outer / 0.011);
        double surface = (resistance * 30 + 0.040 * 7) / (resistance + 0.040);
        assertThat(surface).isCloseTo(25.588, within(0.001));
        assertThat(Sweating.ofTube(30, 7, 0.011, 0.013, 0.040, 9)).isCloseTo(surface, within(1e-9));
        assertThat(Sweating.ofTube(30, 7, 0.011, 0, 0.040, 9)).isCloseTo(7, within(1e-9));
        double needed = Sweating.thickness(30, surface, 7, 0.011, 0.040, 9);
        assertThat(needed).isCloseTo(0.013, within(1e-5));
        // slab: U = 1/(1/9 + 0.02/0.04), Ts = Ta − U/9·ΔT
        assertThat(Sweating.ofFlat(30, 10, 0.02, 0.04, 9)).isCloseTo(30 - 20 / (9 * (1 / 9.0 + 0.5)), within(1e-9));
    }
}
