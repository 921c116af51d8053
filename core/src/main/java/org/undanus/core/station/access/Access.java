package org.undanus.core.station.access;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 3 asks and judges. */
public final class Access {
    private Access() {}

    private static final String CODE = "Adopted mechanical code, access to equipment in attics and crawl spaces";

    private static WithinLimits tight(Point point, String remedy) {
        return WithinLimits.of(Station.ACCESS, point, Severity.SAFETY, CODE, remedy);
    }

    private static WithinLimits live(Point point) {
        return WithinLimits.of(
                Station.ACCESS,
                point,
                Severity.SAFETY,
                "NFPA 70, 110.26; check the adopted edition",
                "Have the space before the gear cleared, or the gear moved by a licensed person");
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.ACCESS,
                        List.of(
                                AccessPoints.PLACE,
                                AccessPoints.OPENING_WIDTH,
                                AccessPoints.OPENING_HEIGHT,
                                AccessPoints.PASSAGE_LENGTH,
                                AccessPoints.PASSAGE_WIDTH,
                                AccessPoints.PASSAGE_HEIGHT,
                                AccessPoints.FLOOR_WIDTH,
                                AccessPoints.LADDER_SAFE,
                                AccessPoints.SERVICE_DEPTH,
                                AccessPoints.SERVICE_WIDTH,
                                AccessPoints.LIGHT,
                                AccessPoints.SWITCH,
                                AccessPoints.SOCKET,
                                AccessPoints.WORKING_DEPTH,
                                AccessPoints.WORKING_WIDTH,
                                AccessPoints.WORKING_HEIGHT),
                        List.of(
                                TightPlace.enclosed(tight(AccessPoints.OPENING_WIDTH, "Have the opening widened")),
                                TightPlace.enclosed(tight(AccessPoints.OPENING_HEIGHT, "Have the opening enlarged")),
                                TightPlace.enclosed(new LargestPiece()),
                                TightPlace.attic(tight(
                                        AccessPoints.PASSAGE_LENGTH, "Have the way shortened or another opening made")),
                                TightPlace.attic(tight(AccessPoints.PASSAGE_WIDTH, "Have the passage cleared")),
                                TightPlace.attic(tight(AccessPoints.PASSAGE_HEIGHT, "Have the passage cleared")),
                                TightPlace.attic(tight(AccessPoints.FLOOR_WIDTH, "Have a continuous solid floor laid")),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.LADDER_SAFE,
                                        Severity.SAFETY,
                                        "Common rules for work at height",
                                        "One gets there safely.",
                                        "The way there is not safe.",
                                        "Do not go up until a safe ladder stands.")),
                                tight(AccessPoints.SERVICE_DEPTH, "Have the service side cleared"),
                                tight(AccessPoints.SERVICE_WIDTH, "Have the service side cleared"),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.LIGHT,
                                        Severity.SAFETY,
                                        CODE,
                                        "There is a fixed lamp.",
                                        "There is no fixed lamp at the equipment.",
                                        "Have a lamp fitted that lights the service side.")),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.SWITCH,
                                        Severity.SAFETY,
                                        CODE,
                                        "The switch is at the opening.",
                                        "The switch is not within reach of the opening.",
                                        "Have the switch moved to the opening.")),
                                tight(AccessPoints.SOCKET, "Have a socket fitted on the same level"),
                                live(AccessPoints.WORKING_DEPTH),
                                live(AccessPoints.WORKING_WIDTH),
                                live(AccessPoints.WORKING_HEIGHT)))
                .drawnBy(WayFigure::draw);
    }
}
