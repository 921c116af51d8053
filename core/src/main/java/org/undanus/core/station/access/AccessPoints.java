package org.undanus.core.station.access;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** What is read on the way to the equipment and before live gear. */
final class AccessPoints {
    private AccessPoints() {}

    private static final String WAY =
            "Attics and crawl spaces: test each step, light on, somebody knows where you are.";
    private static final String LIVE = "Live gear: covers stay on while you measure.";

    static final Option OPEN_FLOOR = Option.of("open-floor", "open floor");
    static final Option CLOSET = Option.of("closet", "closet");
    static final Option ATTIC = Option.of("attic", "attic");
    static final Option CRAWL_SPACE = Option.of("crawl-space", "crawl space");

    static final Point PLACE = Point.choice(
            "access.place",
            Scope.SYSTEM,
            "Where the indoor equipment stands",
            "The place somebody must get into to serve it.",
            List.of(OPEN_FLOOR, CLOSET, ATTIC, CRAWL_SPACE));

    private static Point length(String name, String title, String how, double most) {
        return Point.quantity("access." + name, Scope.SYSTEM, Dimension.LENGTH, title, how, 0, most)
                .with(InstrumentKind.TAPE);
    }

    static final Point OPENING_WIDTH = length(
                    "opening-width", "Opening, clear width", "Inside the frame, at the narrowest place.", 5)
            .onlyWhere(PLACE, CLOSET, ATTIC, CRAWL_SPACE);
    static final Point OPENING_HEIGHT = length(
                    "opening-height", "Opening, clear length or height", "Inside the frame, at the narrowest place.", 5)
            .onlyWhere(PLACE, CLOSET, ATTIC, CRAWL_SPACE);
    static final Point PASSAGE_LENGTH = length(
                    "passage-length", "Passage, length", "Along its middle, from the opening to the equipment.", 100)
            .withCaution(WAY)
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE);
    static final Point PASSAGE_WIDTH = length("passage-width", "Passage, clear width", "At its narrowest.", 10)
            .withCaution(WAY)
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE);
    static final Point PASSAGE_HEIGHT = length("passage-height", "Passage, clear height", "At its lowest.", 10)
            .withCaution(WAY)
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE);
    static final Point FLOOR_WIDTH = length(
                    "floor-width",
                    "Solid floor, width",
                    "Of the continuous floor along the passage, at its narrowest.",
                    10)
            .withCaution(WAY)
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE);
    static final Point SERVICE_DEPTH = length(
            "service-depth", "Service space, depth", "Level space before the service side, straight out from it.", 10);
    static final Point SERVICE_WIDTH = length("service-width", "Service space, width", "Along the service side.", 10);
    static final Point LIGHT = Point.yesNo(
                    "access.light",
                    Scope.SYSTEM,
                    "Light at the equipment",
                    "A fixed lamp that lights the service side.")
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE)
            .called("lamp");
    static final Point SWITCH = Point.yesNo(
                    "access.switch", Scope.SYSTEM, "Its switch at the opening", "Within reach before one climbs in.")
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE)
            .called("lamp switch");
    static final Point SOCKET = length(
                    "socket-distance",
                    "Receptacle, distance to the equipment",
                    "To the nearest receptacle on the same level.",
                    60)
            .called("socket", "outlet", "receptacle");
    static final Point LADDER_SAFE = Point.yesNo(
                    "access.way-safe",
                    Scope.SYSTEM,
                    "Way up or down is safe",
                    "A fixed or standing ladder on firm ground, no open edge beside it.")
            .onlyWhere(PLACE, ATTIC, CRAWL_SPACE)
            .called("ladder safe", "way safe");

    private static Point before(String name, String title, String how) {
        return Point.quantity("access." + name, Scope.POWERED_UNIT, Dimension.LENGTH, title, how, 0, 10)
                .with(InstrumentKind.TAPE)
                .withCaution(LIVE);
    }

    static final Point WORKING_DEPTH = before(
            "working-depth",
            "Electrical working space, depth",
            "Straight out from the front of the disconnect or panel.");
    static final Point WORKING_WIDTH =
            before("working-width", "Electrical working space, width", "The width one can stand in before it.");
    static final Point WORKING_HEIGHT =
            before("working-height", "Electrical working space, height", "From the standing place up.");
}
