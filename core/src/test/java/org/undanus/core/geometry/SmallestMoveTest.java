package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;

class SmallestMoveTest {
    private static final Footprint.Reach REACH = new Footprint.Reach(0.6, 0.1, 0.3, 0.3);

    private static SmallestMove.Asked asked(Map<SitePlan.Kind, Double> hazards) {
        return new SmallestMove.Asked(REACH, 0.5, REACH, hazards);
    }

    private static SmallestMove.Result find(PlanGeometry plan, boolean mayTurn) {
        Map<String, SmallestMove.Asked> asked = new LinkedHashMap<>();
        plan.units().forEach(u -> asked.put(u.id(), asked(Map.of(SitePlan.Kind.OPENING, 0.9))));
        return new SmallestMove(plan, asked, mayTurn).find();
    }

    @Test
    void movesJustAsFarAsTheShortFaceLacks() {
        PlanGeometry plan = new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 6)
                .rectangle("wall", SitePlan.Kind.WALL, 0, 5.5, 6, 0.5)
                .unit("u", 3, 5.3, 270)
                .geometry();
        SmallestMove.Result found = find(plan, false);
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        SmallestMove.Move move = found.moves().get(0);
        assertThat(move.dx()).isCloseTo(0, within(1e-6));
        assertThat(move.dy()).isCloseTo(-0.05, within(1e-6));
    }

    @Test
    void nothingToCureIsSaidAndAMissingAreaToo() {
        Sites free =
                new Sites().rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 6).unit("u", 3, 3, 270);
        assertThat(find(free.geometry(), false).outcome()).isEqualTo(SmallestMove.Answer.NOTHING_TO_CURE);
        assertThat(find(new Sites().unit("u", 3, 3, 270).geometry(), false).outcome())
                .isEqualTo(SmallestMove.Answer.NO_AREA);
    }

    @Test
    void aTurnCuresWhatNoShiftCan() {
        // facing along the lane the cabinet asks for 1.4 m across, facing across it for 1.0 m
        PlanGeometry lane = lane(1.2);
        SmallestMove.Result still = find(lane, false);
        assertThat(still.outcome()).isEqualTo(SmallestMove.Answer.NO_PLACE);
        assertThat(still.without()).contains("u");
        SmallestMove.Result turned = find(lane, true);
        assertThat(turned.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        SmallestMove.Move move = turned.moves().get(0);
        assertThat(move.turn() % 180).isEqualTo(90);
        PlanGeometry after = lane(1.2, 0.6 + move.dx(), 4 + move.dy(), (270 + move.turn()) % 360);
        assertThat(keeps(after, "u", 1e-6)).isTrue();
        assertThat(find(lane(0.98), true).outcome()).isEqualTo(SmallestMove.Answer.NO_PLACE);
        assertThat(find(lane(1.42), false).outcome()).isEqualTo(SmallestMove.Answer.CURED);
    }

    /** A lane between two walls with a unit in it that faces along it. */
    private static PlanGeometry lane(double width) {
        return lane(width, 0.6, 4, 270);
    }

    private static PlanGeometry lane(double width, double x, double y, double facing) {
        return new Sites()
                .rectangle("lane", SitePlan.Kind.AREA, 0, 0, width, 8)
                .rectangle("left", SitePlan.Kind.WALL, -0.5, 0, 0.5, 8)
                .rectangle("right", SitePlan.Kind.WALL, width, 0, 0.5, 8)
                .unit("u", x, y, facing)
                .geometry();
    }

    /** A yard with posts thrown into it. */
    private static Sites thrown(Random random) {
        Sites site = new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 5)
                .line("door", SitePlan.Kind.OPENING, 0, 0, 1, 0);
        for (int i = 0; i < 5; i++) {
            double x = random.nextDouble() * 5.4;
            double y = random.nextDouble() * 4.4;
            double w = 0.1 + random.nextDouble() * 0.7;
            double skew = random.nextDouble() * 0.3;
            site.polygon(
                    "post-" + i,
                    SitePlan.Kind.OBSTACLE,
                    0,
                    2,
                    x,
                    y,
                    x + w,
                    y + skew,
                    x + w,
                    y + 0.5 + skew,
                    x,
                    y + 0.5);
        }
        return site;
    }

    private static boolean keeps(PlanGeometry plan, String id, double slack) {
        boolean faces = Face.IN_PLAN.stream()
                .allMatch(face -> plan.clear(id, face)
                                .map(d -> d.metres() >= REACH.on(face) - slack)
                                .orElse(true)
                        && plan.neighbour(id, face)
                                .map(d -> d.metres() >= REACH.on(face) - slack)
                                .orElse(true));
        boolean hazard = plan.nearest(id, SitePlan.Kind.OPENING)
                .map(d -> d.metres() >= 0.9 - slack)
                .orElse(true);
        return faces && hazard && plan.overlaps().isEmpty();
    }

    private static boolean inYard(double x, double y) {
        return x >= 0.4 && x <= 5.6 && y >= 0.15 && y <= 4.85;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 4, 7, 10, 13, 16, 19, 20})
    void noCureStillViolatesAndNoneOnAGridIsSmaller(int seed) {
        Random random = new Random(seed);
        double x = 0.5 + random.nextDouble() * 5;
        double y = 0.3 + random.nextDouble() * 4.4;
        PlanGeometry plan = thrown(new Random(seed)).unit("u", x, y, 270).geometry();
        SmallestMove.Result found = find(plan, false);
        double moved = found.metres();
        if (found.outcome() == SmallestMove.Answer.CURED) {
            SmallestMove.Move move = found.moves().get(0);
            PlanGeometry after = thrown(new Random(seed))
                    .unit("u", x + move.dx(), y + move.dy(), 270)
                    .geometry();
            assertThat(keeps(after, "u", 1e-6))
                    .as("the cure keeps every distance")
                    .isTrue();
        }
        double step = 0.1;
        Optional<Double> best = Optional.empty();
        for (double gx = 0.4; gx <= 5.6; gx += step) {
            for (double gy = 0.15; gy <= 4.85; gy += step) {
                double away = Math.hypot(gx - x, gy - y);
                boolean nearer = best.map(b -> away < b).orElse(true);
                // with a little room, as places without any are not looked for and hazards' keep-outs are polygons
                // outside circles
                if (nearer
                        && inYard(gx, gy)
                        && keeps(thrown(new Random(seed)).unit("u", gx, gy, 270).geometry(), "u", -0.002)) {
                    best = Optional.of(away);
                }
            }
        }
        if (found.outcome() == SmallestMove.Answer.NO_PLACE) {
            assertThat(best).as("no place on the grid either").isEmpty();
        } else {
            best.ifPresent(b -> assertThat(moved).isLessThanOrEqualTo(b + 1e-6));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {31, 34, 37, 42})
    void severalUnitsEndUpClearOfEachOther(int seed) {
        double[][] places = {{2, 2, 270}, {2.5, 2.6, 90}, {3.4, 2.2, 0}};
        Sites site = thrown(new Random(seed));
        for (int i = 0; i < places.length; i++) {
            site.unit("u" + i, places[i][0], places[i][1], places[i][2]);
        }
        SmallestMove.Result found = find(site.geometry(), false);
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        Sites cured = thrown(new Random(seed));
        for (int i = 0; i < places.length; i++) {
            String id = "u" + i;
            Optional<SmallestMove.Move> move =
                    found.moves().stream().filter(m -> m.unit().equals(id)).findFirst();
            cured.unit(
                    id,
                    places[i][0] + move.map(SmallestMove.Move::dx).orElse(0.0),
                    places[i][1] + move.map(SmallestMove.Move::dy).orElse(0.0),
                    places[i][2]);
        }
        PlanGeometry after = cured.geometry();
        assertThat(after.units())
                .allSatisfy(
                        u -> assertThat(keeps(after, u.id(), 1e-6)).as(u.id()).isTrue());
    }

    // At (3, 3) facing 270 the front is toward -y: 0.4 m each way along x, 0.15 m along y, its top at 0.7 m.

    private static Sites yard() {
        return new Sites().rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 6).unit("u", 3, 3, 270);
    }

    private static SmallestMove.Move only(SmallestMove.Result found) {
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        assertThat(found.moves()).hasSize(1);
        return found.moves().get(0);
    }

    private static Sites canopy(double bottom) {
        return yard().polygon("canopy", SitePlan.Kind.OBSTACLE, bottom, bottom + 0.1, 2, 3, 4, 3, 4, 5, 2, 5);
    }

    @Test
    void aCanopyTooLowIsLeft() {
        SmallestMove.Move move = only(find(canopy(1.0).geometry(), false));
        assertThat(move.dx()).isCloseTo(0, within(1e-6));
        assertThat(move.dy()).isCloseTo(-0.15, within(1e-6));
        assertThat(find(canopy(1.2).geometry(), false).outcome()).isEqualTo(SmallestMove.Answer.NOTHING_TO_CURE);
    }

    /** The round corners of what a hazard asks for are polygons outside them, 0.13 % farther at most. */
    @Test
    void aHazardIsKeptAwayFromByItsDistance() {
        SmallestMove.Move move = only(
                find(yard().line("door", SitePlan.Kind.OPENING, 2, 2.2, 4, 2.2).geometry(), false));
        assertThat(move.dy()).isBetween(0.25, 0.25 + 0.9 * 0.0013);
        assertThat(find(
                                yard().line("door", SitePlan.Kind.OPENING, 2, 1.9, 4, 1.9)
                                        .geometry(),
                                false)
                        .outcome())
                .isEqualTo(SmallestMove.Answer.NOTHING_TO_CURE);
    }

    @Test
    void whatIsAskedOfUnitsIsNotAskedOfWalls() {
        SmallestMove.Asked ofUnits = new SmallestMove.Asked(Footprint.Reach.NONE, 0, REACH, Map.of());
        PlanGeometry theirs = yard().rectangle("theirs", SitePlan.Kind.NEIGHBOUR_UNIT, 3.6, 2, 0.3, 2)
                .geometry();
        SmallestMove.Move move = only(new SmallestMove(theirs, Map.of("u", ofUnits), false).find());
        assertThat(move.dx()).isCloseTo(-0.1, within(1e-6));
        PlanGeometry wall =
                yard().rectangle("wall", SitePlan.Kind.WALL, 3.6, 2, 0.3, 2).geometry();
        assertThat(new SmallestMove(wall, Map.of("u", ofUnits), false).find().outcome())
                .isEqualTo(SmallestMove.Answer.NOTHING_TO_CURE);
    }

    /** u asks for nothing, but v on its right asks for 0.3 m to its left and has 0.2 m. */
    @Test
    void whatANeighbourAsksForIsKeptToo() {
        PlanGeometry plan = yard().unit("v", 4.0, 3, 270).geometry();
        Map<String, SmallestMove.Asked> asked = new LinkedHashMap<>();
        asked.put("u", new SmallestMove.Asked(Footprint.Reach.NONE, 0, Footprint.Reach.NONE, Map.of()));
        asked.put("v", new SmallestMove.Asked(Footprint.Reach.NONE, 0, REACH, Map.of()));
        SmallestMove.Result found = new SmallestMove(plan, asked, false).find();
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        assertThat(found.metres()).isCloseTo(0.1, within(1e-6));
    }

    @Test
    void wherePlaceIsForOneOfTwoNothingIsProven() {
        Map<String, SmallestMove.Asked> asked = new LinkedHashMap<>();
        for (String id : List.of("u", "v")) {
            asked.put(id, new SmallestMove.Asked(Footprint.Reach.NONE, 0, Footprint.Reach.NONE, Map.of()));
        }
        PlanGeometry plan = new Sites()
                .rectangle("ledge", SitePlan.Kind.AREA, 0, 0, 1, 0.5)
                .unit("u", 0.5, 0.25, 270)
                .unit("v", 0.5, 0.3, 270)
                .geometry();
        SmallestMove.Result found = new SmallestMove(plan, asked, true).find();
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.NOT_FOUND);
        assertThat(found.moves()).isEmpty();
        assertThat(found.without()).isEmpty();
    }

    @Test
    void aPlaceFarAwayIsFound() {
        PlanGeometry plan = new Sites()
                .rectangle("lane", SitePlan.Kind.AREA, 0, 0, 40, 1)
                .rectangle("beds", SitePlan.Kind.OBSTACLE, 0, 0, 15, 1)
                .unit("u", 1, 0.5, 270)
                .geometry();
        assertThat(only(find(plan, false)).dx()).isCloseTo(14.7, within(1e-6));
    }

    @Test
    void theWayInAllIsThatOfEveryUnit() {
        PlanGeometry plan = new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 12, 6)
                .rectangle("wall", SitePlan.Kind.WALL, 0, 5.5, 12, 0.5)
                .unit("u", 3, 5.3, 270)
                .unit("v", 8, 5.35, 270)
                .geometry();
        SmallestMove.Result found = find(plan, false);
        assertThat(found.moves()).hasSize(2);
        assertThat(found.metres()).isCloseTo(0.15, within(1e-6));
    }

    /** In this lane the first of two may stay where the second would have had to pass it: the better order wins. */
    @Test
    void theOrderWithTheLeastWayIsTaken() {
        PlanGeometry plan = new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 10, 2)
                .unit("u", 4, 1, 270)
                .unit("v", 4.9, 1, 270)
                .geometry();
        SmallestMove.Result found = find(plan, false);
        assertThat(found.outcome()).isEqualTo(SmallestMove.Answer.CURED);
        assertThat(found.metres()).isCloseTo(0.2, within(1e-6));
    }

    @Test
    void aMovedUnitTurnsAboutItsCentre() {
        PlanGeometry.Placed unit = yard().geometry().unit("u").orElseThrow();
        Footprint moved = SmallestMove.moved(unit, new SmallestMove.Move("u", 0.5, -0.25, 180))
                .footprint();
        assertThat(new double[] {moved.x(), moved.y(), moved.facing()}).containsExactly(3.5, 2.75, 90);
    }

    /** u has 0.35 m to the wall and 0.2 m to v: if v goes first by 0.1 m all is well, if u goes first it must pass v. */
    @Test
    void theCheaperOrderWins() {
        PlanGeometry plan = new Sites()
                .rectangle("lane", SitePlan.Kind.AREA, 0, 0, 10, 0.31)
                .rectangle("wall", SitePlan.Kind.WALL, -1, 0, 1, 0.31)
                .unit("u", 0.75, 0.155, 270)
                .unit("v", 1.75, 0.155, 270)
                .geometry();
        SmallestMove.Move move = only(find(plan, false));
        assertThat(move.unit()).isEqualTo("v");
        assertThat(move.dx()).isCloseTo(0.1, within(1e-6));
    }

    /** With its back to the wall it asks for 0.25 m, beside it for 0.7 m: turned it may stay where it is. */
    @Test
    void aTurnIsTakenWhereItSavesWay() {
        PlanGeometry plan =
                yard().rectangle("wall", SitePlan.Kind.WALL, 3.55, 0, 0.2, 6).geometry();
        assertThat(only(find(plan, false)).dx()).isCloseTo(-0.15, within(1e-6));
        SmallestMove.Move turned = only(find(plan, true));
        assertThat(turned.turn()).isEqualTo(270);
        assertThat(turned.metres()).isCloseTo(0, within(1e-6));
    }

    @Test
    void aUnitBeyondItsAreaIsBroughtInside() {
        PlanGeometry plan = new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 6)
                .unit("u", 0.2, 3, 270)
                .geometry();
        assertThat(only(find(plan, false)).dx()).isCloseTo(0.2, within(1e-6));
    }

    /** From corner to corner 1.04 m, across 0.6 m and along 0.85 m: a hazard asks for 0.9 m as the crow flies. */
    @Test
    void aHazardIsKeptAwayFromInTheRound() {
        PlanGeometry plan =
                yard().line("door", SitePlan.Kind.OPENING, 4, 4, 5, 4).geometry();
        assertThat(find(plan, false).outcome()).isEqualTo(SmallestMove.Answer.NOTHING_TO_CURE);
    }
}
