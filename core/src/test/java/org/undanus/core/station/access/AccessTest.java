package org.undanus.core.station.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.judgement.Verdict;

class AccessTest {

    private static CaseFixture attic() {
        return new CaseFixture().read("access.place", "system", "attic");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "opening-width, 22 in, MEETS",
        "opening-width, 18 in, FAILS",
        "opening-width, 20 in, TOO_CLOSE",
        "opening-height, 30.5 in, MEETS",
        "passage-length, 19 ft, MEETS",
        "passage-length, 21 ft, FAILS",
        "floor-width, 23 in, FAILS",
        "service-depth, 31 in, MEETS",
        "socket-distance, 26 ft, FAILS",
    })
    void theWayToAnAtticUnit(String point, String typed, Verdict verdict) {
        assertThat(attic().read("access." + point, "system", typed)
                        .judge("access." + point)
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void onAnOpenFloorTheWayIsNotAsked() {
        CaseFixture open = new CaseFixture().read("access.place", "system", "open floor");
        assertThat(open.judge("access.passage-length").verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(open.judge("access.light").verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(open.judge("access.service-depth").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture().judge("access.passage-length").verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void spaceBeforeLiveGearIsASafetyMatter() {
        var judgement =
                new CaseFixture().outdoor("access.working-depth", "34 in").judge("access.working-depth");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.about().cautions()).anyMatch(c -> c.contains("covers stay on"));
        assertThat(judgement.remedy().orElseThrow().toString()).contains("licensed");
    }

    @Test
    void theLargestPieceIsTakenFromTheSheet() {
        CaseFixture fixture = attic().sheets(CaseFixture.sized("WS-12 I", 0.5, 0.55, 1.2))
                .indoor("plate.model", "WS-12 I")
                .read("access.opening-width", "system", "560 mm")
                .read("access.opening-height", "system", "760 mm");
        assertThat(fixture.judge("access.largest-piece").verdict()).isEqualTo(Verdict.MEETS);
        fixture.read("access.opening-width", "system", "480 mm");
        assertThat(fixture.judge("access.largest-piece").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(fixture.noSheets().judge("access.largest-piece").verdict()).isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void turnedRectanglesGoThroughExactlyWhenATurnIsFound(int seed) {
        Random random = new Random(seed);
        double p = 0.5 + random.nextDouble();
        double q = 0.05 + random.nextDouble() * 0.4;
        double a = 0.4 + random.nextDouble();
        double b = 0.3 + random.nextDouble() * 0.6;
        // the third size is so long that only the section p by q can go through
        boolean formula = PassageFit.spare(new double[] {p, q, 100}, a, b) >= 0;
        boolean found = false;
        for (double turn = 0; turn <= 90; turn += 0.02) {
            double c = Math.cos(Math.toRadians(turn));
            double s = Math.sin(Math.toRadians(turn));
            double wide = p * c + q * s;
            double high = p * s + q * c;
            found |= wide <= Math.max(a, b) && high <= Math.min(a, b);
        }
        assertThat(formula).isEqualTo(found);
    }

    @Test
    void spareIsHowMuchBothSidesCouldGrow() {
        double[] piece = {0.5, 0.4, 2};
        // by the longer side, by the shorter side, and too small by so much
        assertThat(PassageFit.spare(piece, 0.6, 0.55)).isCloseTo(0.1, within(1e-6));
        assertThat(PassageFit.spare(piece, 0.6, 0.41)).isCloseTo(0.01, within(1e-6));
        assertThat(PassageFit.spare(piece, 0.35, 0.45)).isCloseTo(-0.05, within(1e-6));
        // a thin plate goes through aslant what is narrower than it
        assertThat(PassageFit.spare(new double[] {0.6, 0.01, 2}, 0.45, 0.45))
                .isPositive()
                .isLessThan(0.05);
    }
}
