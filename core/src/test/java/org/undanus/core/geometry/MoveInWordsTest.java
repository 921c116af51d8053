package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.UnitSystem;

class MoveInWordsTest {

    /** A wall above, a stair to the left, another unit to the right; the front faces down. */
    private static PlanGeometry yard() {
        return new Sites()
                .rectangle("house", SitePlan.Kind.WALL, -5, 4, 12, 0.3)
                .called("House wall")
                .rectangle("stair", SitePlan.Kind.OBSTACLE, -1, -3, 1, 8)
                .called("Outside stair")
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -20, -20, 40, 40)
                .unit("u", 2, 3, 270)
                .unit("v", 4.5, 3, 270)
                .geometry();
    }

    private static String said(PlanGeometry plan, double dx, double dy, double turn) {
        return MoveInWords.of(plan, id -> "Unit " + id, new SmallestMove.Move("u", dx, dy, turn))
                .in(UnitSystem.SI);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.1|0|0|100 mm away from the outside stair",
                "-0.1|0|0|100 mm away from the unit v",
                "0|-0.05|0|50 mm away from the house wall",
                "0|0.05|0|50 mm toward the house wall",
                "0.1|-0.012|0|12 mm away from the house wall and 100 mm away from the outside stair",
                "0.1|-0.05|0|50 mm away from the house wall and 100 mm away from the outside stair",
                "0|0|90|turned 90° counter-clockwise",
                "0.0001|-0.05|0|50 mm away from the house wall",
                "0|-0.05|180|50 mm away from the house wall and turned 180° counter-clockwise",
            })
    void aMoveIsToldFromWhatStandsNear(double dx, double dy, double turn, String words) {
        assertThat(said(yard(), dx, dy, turn)).isEqualTo(words);
    }

    @Test
    void whatStandsNearIsNamedWithItsDistanceTheNearestFirst() {
        assertThat(MoveInWords.near(yard(), id -> "Unit " + id, "u"))
                .extracting(near -> near.name() + " " + UnitSystem.SI + " "
                        + Math.round(1000 * near.distance().si()))
                .containsExactly("the house wall SI 850", "the outside stair SI 1600", "the unit v SI 1700");
        assertThat(MoveInWords.near(yard(), id -> id, "nobody")).isEmpty();
    }

    @Test
    void whereNothingStandsNearTheUnitsOwnSidesTellIt() {
        PlanGeometry empty = new Sites()
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -20, -20, 40, 40)
                .unit("u", 2, 3, 270)
                .geometry();
        assertThat(said(empty, 0.1, 0.2, 0)).isEqualTo("200 mm toward its back side and 100 mm toward its right side");
        assertThat(said(empty, -0.1, -0.2, 0))
                .isEqualTo("200 mm toward its front side and 100 mm toward its left side");
    }
}
