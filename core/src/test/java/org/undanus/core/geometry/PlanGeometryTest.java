package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.Text;

class PlanGeometryTest {

    /** A unit facing down the sheet before a wall; a post on its left, as seen by someone who faces its front. */
    private static Sites yard() {
        return new Sites()
                .rectangle("house", SitePlan.Kind.WALL, 0, 3, 8, 0.3)
                .rectangle("post", SitePlan.Kind.OBSTACLE, 1.0, 2.4, 0.2, 0.2)
                .unit("u", 2, 2.5, 270);
    }

    @Test
    void clearDistanceIsTheShortestInTheStripBeforeAFace() {
        PlanGeometry plan = yard().geometry();
        assertThat(plan.clear("u", Face.BACK).orElseThrow().metres()).isCloseTo(0.35, within(1e-9));
        assertThat(plan.clear("u", Face.FRONT)).isEmpty();
        assertThat(plan.clear("u", Face.LEFT).orElseThrow().metres()).isCloseTo(0.4, within(1e-9));
        assertThat(plan.clear("u", Face.RIGHT)).isEmpty();
    }

    @Test
    void whatOnlyStandsFlushWithAnEdgeIsBesideAFaceNotBeforeIt() {
        PlanGeometry plan = yard().rectangle("flush", SitePlan.Kind.OBSTACLE, 2.4, 1.0, 0.5, 0.5)
                .geometry();
        assertThat(plan.clear("u", Face.FRONT)).isEmpty();
        PlanGeometry inTheWay = yard().rectangle("in", SitePlan.Kind.OBSTACLE, 2.3, 1.0, 0.5, 0.5)
                .geometry();
        assertThat(inTheWay.clear("u", Face.FRONT).orElseThrow().metres()).isCloseTo(0.85, within(1e-9));
    }

    @ParameterizedTest(name = "turned by {0} degrees")
    @CsvSource({"0", "30", "90", "137.5", "180", "271"})
    void turningTheWholeSiteChangesNoDistance(double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        double[] wall = {-1, 1, 3, 1.4, 3, 2, -1, 2};
        double[] turned = new double[wall.length];
        for (int i = 0; i < wall.length; i += 2) {
            turned[i] = wall[i] * c - wall[i + 1] * s;
            turned[i + 1] = wall[i] * s + wall[i + 1] * c;
        }
        PlanGeometry plan = new Sites()
                .polygon("wall", SitePlan.Kind.WALL, 0, 3, turned)
                .unit("u", 0, 0, (270 + degrees) % 360)
                .geometry();
        // the back of the cabinet reaches from x = -0.4 to 0.4; the wall rises to the right, so its left end is nearest
        assertThat(plan.clear("u", Face.BACK).orElseThrow().metres()).isCloseTo(1 + 0.06 - 0.15, within(1e-5));
    }

    @Test
    void heightsDecideWhatStandsInTheWay() {
        Sites site = new Sites()
                .unit("u", 0, 0, 0, 0.1)
                .polygon("low", SitePlan.Kind.OBSTACLE, 0, 0.05, 1, -1, 2, -1, 2, 1, 1, 1);
        assertThat(site.geometry().clear("u", Face.FRONT)).isEmpty();
        Sites shelf = new Sites()
                .unit("u", 0, 0, 0, 0.1)
                .polygon("roof", SitePlan.Kind.OBSTACLE, 1.2, 1.3, -1, -1, 1, -1, 1, 1, -1, 1);
        assertThat(shelf.geometry().clear("u", Face.FRONT)).isEmpty();
        assertThat(shelf.geometry().clear("u", Face.ABOVE).orElseThrow().metres())
                .isCloseTo(0.5, within(1e-9));
    }

    @Test
    void twoUnitsSeeEachOtherAndTheGroundLiftsNobody() {
        PlanGeometry plan = new Sites()
                .unit("a", 0, 0, 270)
                .unit("b", 1.3, 0, 270)
                .polygon("terrace", SitePlan.Kind.GROUND, 0, 0.4, -2, -2, 2, -2, 2, 2, -2, 2)
                .geometry();
        assertThat(plan.neighbour("a", Face.RIGHT).orElseThrow().metres()).isCloseTo(0.5, within(1e-9));
        assertThat(plan.neighbour("b", Face.LEFT).orElseThrow().to()).isEqualTo("a");
        assertThat(plan.neighbour("a", Face.LEFT)).isEmpty();
        assertThat(plan.clear("a", Face.RIGHT)).isEmpty();
        assertThat(plan.ground("a")).isEqualTo(0.4);
    }

    @Test
    void hazardsAndBoundaryAreMeasuredFromTheCabinet() {
        PlanGeometry plan = new Sites()
                .unit("u", 0, 0, 270)
                .line("door", SitePlan.Kind.OPENING, 1.4, 0, 2, 0)
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -3, -5, 10, 10)
                .geometry();
        assertThat(plan.nearest("u", SitePlan.Kind.OPENING).orElseThrow().metres())
                .isCloseTo(1.0, within(1e-9));
        assertThat(plan.nearest("u", SitePlan.Kind.BOUNDARY).orElseThrow().metres())
                .isCloseTo(2.6, within(1e-9));
        assertThat(plan.nearest("u", SitePlan.Kind.VENT)).isEmpty();
    }

    @Test
    void whatCannotBeBuiltIsNamed() {
        assertThat(yard().unit("v", 2.1, 2.5, 0).geometry().overlaps())
                .anyMatch(s -> s.toString().contains("u overlaps v"));
        assertThat(yard().unit("w", 5, 3.1, 0).geometry().overlaps())
                .anyMatch(s -> s.toString().contains("w overlaps house"));
        assertThat(yard().geometry().overlaps()).isEmpty();
    }

    @Test
    void outlinesThatCrossThemselvesOrEncloseNothingAreRefused() {
        assertThatThrownBy(() -> new Sites()
                        .polygon("bow", SitePlan.Kind.WALL, 0, 1, 0, 0, 1, 1, 1, 0, 0, 1)
                        .geometry())
                .hasMessageContaining("bow crosses itself");
        assertThatThrownBy(() -> new Sites()
                        .polygon("flat", SitePlan.Kind.WALL, 0, 1, 0, 0, 1, 0, 2, 0)
                        .geometry())
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Sites().rectangle("far", SitePlan.Kind.WALL, 11_000, 0, 1, 1))
                .hasMessageContaining("local metres");
        assertThatThrownBy(() -> yard().unit("u", 6, 1, 0).plan()).hasMessageContaining("share the id u");
        assertThatThrownBy(() -> new Sites().unit("x", 0, 0, 400)).hasMessageContaining("360");
    }

    // A cabinet at the origin facing 0 has its front toward +x, its right toward +y: 0.15 m deep and 0.4 m wide each
    // way,
    // from 0.1 to 0.7 m over the datum.

    private static Sites lone() {
        return new Sites().unit("u", 0, 0, 0);
    }

    @Test
    void onlySolidThingsThatAreNoUnitsStandInTheWay() {
        PlanGeometry plan = lone().rectangle("door", SitePlan.Kind.OPENING, 0.5, -1, 0.2, 2)
                .rectangle("theirs", SitePlan.Kind.NEIGHBOUR_UNIT, 1, -1, 0.2, 2)
                .rectangle("hedge", SitePlan.Kind.OBSTACLE, 1.5, -1, 0.2, 2)
                .geometry();
        assertThat(plan.clear("u", Face.FRONT)).hasValueSatisfying(d -> {
            assertThat(d.metres()).isCloseTo(1.35, within(1e-9));
            assertThat(d.to()).isEqualTo("hedge");
        });
        assertThat(plan.neighbour("u", Face.FRONT)).hasValueSatisfying(d -> {
            assertThat(d.metres()).isCloseTo(0.85, within(1e-9));
            assertThat(d.to()).isEqualTo("theirs");
        });
    }

    @Test
    void unitsOnAnotherLevelAreNoNeighbours() {
        PlanGeometry plan = lone().unit("high", 1, 0, 0, 2)
                .unit("near", 2, 0, 0)
                .rectangle("hedge", SitePlan.Kind.OBSTACLE, 0.5, -1, 0.2, 2)
                .geometry();
        assertThat(plan.neighbour("u", Face.FRONT)).hasValueSatisfying(d -> {
            assertThat(d.metres()).isCloseTo(1.7, within(1e-9));
            assertThat(d.to()).isEqualTo("near");
        });
    }

    /** From the face to what is nearest in its strip, along the face's normal. */
    @Test
    void theWayToTheNearestPointIsGiven() {
        PlanGeometry plan = new Sites()
                .unit("u", 3, 2, 90)
                .polygon("wedge", SitePlan.Kind.WALL, 0, 3, 2.9, 4, 3.3, 3.5, 3.3, 5)
                .geometry();
        PlanGeometry.Distance way = plan.clear("u", Face.FRONT).orElseThrow();
        assertThat(way.metres()).isCloseTo(1.35, within(1e-6));
        assertThat(new double[] {way.fromX(), way.fromY(), way.toX(), way.toY()})
                .containsExactly(new double[] {3.3, 2.15, 3.3, 3.5}, within(1e-6));
    }

    @Test
    void whatStandsInsideAFaceIsAtNoDistance() {
        assertThat(lone().rectangle("post", SitePlan.Kind.OBSTACLE, 0.1, -0.1, 0.3, 0.2)
                        .geometry()
                        .clear("u", Face.FRONT)
                        .orElseThrow()
                        .metres())
                .isZero();
    }

    @Test
    void onlyWhatIsSolidAndOverTheCabinetIsAbove() {
        PlanGeometry plan = lone().polygon("vent", SitePlan.Kind.VENT, 0.9, 1, -1, -1, 1, -1, 1, 1, -1, 1)
                .polygon("beside", SitePlan.Kind.OBSTACLE, 1.0, 1.1, 0.15, -1, 1, -1, 1, 1, 0.15, 1)
                .polygon("roof", SitePlan.Kind.OBSTACLE, 2.0, 2.1, -1, -1, 1, -1, 1, 1, -1, 1)
                .polygon("higher", SitePlan.Kind.OBSTACLE, 3.0, 3.1, -1, -1, 1, -1, 1, 1, -1, 1)
                .geometry();
        assertThat(plan.clear("u", Face.ABOVE)).hasValueSatisfying(d -> {
            assertThat(d.metres()).isCloseTo(1.3, within(1e-9));
            assertThat(d.to()).isEqualTo("roof");
            assertThat(d.fromX()).isZero();
        });
    }

    @Test
    void aShelfRightOnTheCabinetIsAtNoDistanceAndOneBelowItsTopIsNotAbove() {
        assertThat(lone().polygon("shelf", SitePlan.Kind.OBSTACLE, 0.7, 0.8, -1, -1, 1, -1, 1, 1, -1, 1)
                        .geometry()
                        .clear("u", Face.ABOVE)
                        .orElseThrow()
                        .metres())
                .isCloseTo(0, within(1e-9));
        assertThat(lone().polygon("shelf", SitePlan.Kind.OBSTACLE, 0.5, 0.8, -1, -1, 1, -1, 1, 1, -1, 1)
                        .geometry()
                        .clear("u", Face.ABOVE))
                .isEmpty();
    }

    @Test
    void onlyGroundUnderTheCabinetLiftsIt() {
        PlanGeometry plan = lone().polygon("terrace", SitePlan.Kind.GROUND, 0, 0.4, 5, 5, 6, 5, 6, 6, 5, 6)
                .rectangle("kerb", SitePlan.Kind.OBSTACLE, -1, -1, 2, 2)
                .geometry();
        assertThat(plan.ground("u")).isZero();
    }

    @Test
    void whatTouchesDoesNotStandInTheOther() {
        assertThat(lone().rectangle("wall", SitePlan.Kind.WALL, 0.15, -1, 1, 2)
                        .geometry()
                        .overlaps())
                .isEmpty();
        assertThat(lone().unit("v", 0.3, 0, 0).geometry().overlaps()).isEmpty();
        assertThat(lone().unit("v", 0.1, 0, 0, 2).geometry().overlaps()).isEmpty();
        assertThat(lone().unit("v", 0.1, 0, 0).geometry().overlaps())
                .extracting(Text::toString)
                .containsExactly("u overlaps v.");
        assertThat(lone().line("rail", SitePlan.Kind.OBSTACLE, 0, -1, 0, 1)
                        .geometry()
                        .overlaps())
                .extracting(Text::toString)
                .containsExactly("u overlaps rail.");
        assertThat(lone().line("rail", SitePlan.Kind.OBSTACLE, 0.15, -1, 0.15, 1)
                        .geometry()
                        .overlaps())
                .isEmpty();
        assertThat(lone().line("door", SitePlan.Kind.OPENING, 0, -1, 0, 1)
                        .geometry()
                        .overlaps())
                .isEmpty();
    }

    @Test
    void unitsMayStandInTheAreaElseInsideTheBoundary() {
        Sites plot = lone().rectangle("hedge", SitePlan.Kind.OBSTACLE, 20, 20, 1, 1)
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -5, -5, 10, 10);
        assertThat(plot.geometry().permitted().orElseThrow().getArea()).isCloseTo(100, within(1e-9));
        assertThat(plot.rectangle("yard", SitePlan.Kind.AREA, -2, -2, 4, 4)
                        .rectangle("court", SitePlan.Kind.AREA, 2, -2, 1, 4)
                        .geometry()
                        .permitted()
                        .orElseThrow()
                        .getArea())
                .isCloseTo(20, within(1e-9));
        assertThat(lone().geometry().permitted()).isEmpty();
        assertThat(plot.geometry().geometries(SitePlan.Kind.BOUNDARY))
                .singleElement()
                .satisfies(line -> assertThat(line.getLength()).isCloseTo(40, within(1e-9)));
        assertThat(plot.geometry().geometries(SitePlan.Kind.OBSTACLE))
                .singleElement()
                .satisfies(hedge -> assertThat(hedge.getArea()).isCloseTo(1, within(1e-9)));
        assertThat(plot.geometry().solids()).singleElement().satisfies(hedge -> {
            assertThat(hedge.unit()).isFalse();
            assertThat(hedge.top()).isEqualTo(3);
        });
    }
}
