package org.undanus.core.station.airside;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 9 asks and judges. */
public final class Airside {
    private static final String PRACTICE = "Mechanical code, ducts; common practice; check the adopted edition";

    private Airside() {}

    private static Observed seen(Point point, Severity severity, String good, String bad, String remedy) {
        return Observed.that(Station.AIRSIDE, point, severity, PRACTICE, good, bad, remedy);
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.AIRSIDE,
                        DuctPoints.all(),
                        Stream.of(air(), filter(), sealing(), carrying())
                                .flatMap(List::stream)
                                .toList())
                .drawnBy(StaticFigure::draw, GridFigure::draw);
    }

    private static List<Requirement> air() {
        return List.of(
                StaticPressure.EXTERNAL,
                StaticPressure.RETURN,
                StaticPressure.FILTER,
                StaticPressure.COIL,
                StaticPressure.SUPPLY,
                new AirflowEnough());
    }

    private static List<Requirement> filter() {
        return List.of(
                new FaceVelocity(),
                seen(
                        DuctPoints.FILTER_FITS,
                        Severity.DAMAGE,
                        "The filter fills its frame.",
                        "Air passes beside the filter and dirties the coil.",
                        "Fit a filter of the frame's size, or close the gap."),
                seen(
                        DuctPoints.FILTER_DIRECTION,
                        Severity.PERFORMANCE,
                        "Its arrow goes with the air.",
                        "Its arrow goes against the air.",
                        "Turn it round."),
                seen(
                        DuctPoints.FILTER_CLEAN,
                        Severity.PERFORMANCE,
                        "The filter is clean.",
                        "The filter is loaded: every air reading of today is of a starved machine.",
                        "Replace it, then read static pressure and airflow again."));
    }

    private static List<Requirement> sealing() {
        return List.of(
                Answered.of(Station.AIRSIDE, DuctPoints.JOINTS_PERMANENT, Severity.PERFORMANCE, PRACTICE)
                        .when("mastic", Verdict.MEETS, "Joints that stay closed are sealed with mastic.", "")
                        .when("listed-tape", Verdict.MEETS, "Joints are closed with listed tape.", "")
                        .when(
                                "cloth-tape",
                                Verdict.FAILS,
                                "Cloth tape lets go within a few summers.",
                                "Take it off and seal the joints with mastic or listed tape.")
                        .when(
                                "open",
                                Verdict.FAILS,
                                "Joints are open.",
                                "Seal every joint with mastic or listed tape."),
                Answered.of(Station.AIRSIDE, DuctPoints.JOINTS_REMOVABLE, Severity.PERFORMANCE, PRACTICE)
                        .when("gasket-or-tape", Verdict.MEETS, "Panels close on a gasket or removable tape.", "")
                        .when(
                                "mastic",
                                Verdict.FAILS,
                                "Mastic glues a panel that has to come off.",
                                "Cut it free and close it with a gasket or tape.")
                        .when("open", Verdict.FAILS, "Panels leak.", "Close them with a gasket or removable tape."),
                seen(
                        DuctPoints.HOLES_PLUGGED,
                        Severity.PERFORMANCE,
                        "Every test hole has its plug.",
                        "A test hole is open.",
                        "Plug it before leaving."),
                seen(
                        DuctPoints.CABLES_SEALED,
                        Severity.PERFORMANCE,
                        "Cable entries are sealed.",
                        "Air passes where wires enter.",
                        "Seal every entry."),
                seen(
                        DuctPoints.CABINET_TIGHT,
                        Severity.DAMAGE,
                        "No humid air is drawn in.",
                        "Humid air is drawn into the cabinet: it sweats inside and out.",
                        "Seal panels and seams on the side where the fan draws."),
                seen(
                        DuctPoints.PORTS_CLOSED,
                        Severity.PERFORMANCE,
                        "Test ports are closed again.",
                        "A test port was left open.",
                        "Close it before leaving."),
                new SweatingMetal(),
                new DuctLeakage());
    }

    private static List<Requirement> carrying() {
        return List.of(
                new Hangers(),
                seen(
                        DuctPoints.PADS,
                        Severity.PERFORMANCE,
                        "Pads keep its vibration from the building.",
                        "Nothing stands between the unit and the building: it will hum.",
                        "Put in pads or spring hangers made for its weight."),
                seen(
                        DuctPoints.FLEX_STRETCHED,
                        Severity.PERFORMANCE,
                        "Flexible duct is stretched.",
                        "Flexible duct lies slack: it costs much more pressure than it should.",
                        "Pull it to its full length and cut off the surplus."),
                Observed.that(
                                Station.AIRSIDE,
                                DuctPoints.FIRE_RATED,
                                Severity.SAFETY,
                                "Adopted building code, ducts through fire-rated construction",
                                "No duct passes fire-rated construction.",
                                "A duct passes fire-rated construction: its damper and sealing are for the authority to judge.",
                                "Ask the building authority which damper belongs there, and for its papers.")
                        .not()
                        .elseRefer(),
                new FlexibleBend(),
                WithinLimits.of(
                        Station.AIRSIDE,
                        DuctPoints.FLEX_SPACING,
                        Severity.PERFORMANCE,
                        PRACTICE,
                        "Support the flexible duct every {limit} maximum."));
    }
}
