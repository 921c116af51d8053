package org.undanus.core.station.handover;

import java.util.List;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;

/** The points of station 14. Those that are public stand on the owner's page. */
public final class HandoverPoints {
    private HandoverPoints() {}

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("handover." + name, Scope.SYSTEM, title, how);
    }

    private static Point text(String name, String title, String how) {
        return Point.text("handover." + name, Scope.SYSTEM, title, how);
    }

    static final Point EXPLAINED = seen(
            "explained",
            "Controls explained",
            "Shown to whoever lives or works there: mode, temperature, timer, what defrost looks like.");
    static final Point MANUALS = seen("manuals", "Manuals left", "For use and for service, of every unit and control.");
    static final Option REGISTERED = Option.of("registered", "registered, conditions known");
    static final Option NOT_REGISTERED = Option.of("not-registered", "not registered");
    static final Point WARRANTY = Point.choice(
            "handover.warranty",
            Scope.SYSTEM,
            "Warranty",
            "Whether it is registered, and what voids it: missed service, filters of another size.",
            List.of(REGISTERED, NOT_REGISTERED, Option.of("not-known", "not known")));
    public static final Point FILTERS =
            text("filters", "Filters and their sizes", "How many, their size, and where they sit.");
    public static final Point DISCONNECT =
            text("disconnect", "Where the disconnects are", "In words that the owner finds them by.");
    public static final Point SETTINGS =
            text("settings", "Settings left on the control", "Mode, temperatures, fan, times.");
    public static final Point SERVICE = Point.month(
            "handover.next-service",
            Scope.SYSTEM,
            "Next service",
            "The month the crew comes again, for example 2027-05.");
    public static final Point FILTER_CHANGE = text(
                    "filter-change", "Filter change", "How often, and how the owner sees that it is due.")
            .asOptional();
    public static final Point WATCH = text(
                    "watch",
                    "What to watch",
                    "Water where none belongs, ice in cooling, noise, smell: whom to call then.")
            .asOptional();
    public static final Point RECOMMENDED = text(
                    "recommended",
                    "Recommendations",
                    "What would be better and is no fault: zones, another filter, cost and energy.")
            .asOptional();

    static final Point ENERGY_BEFORE = energy("before");
    static final Point ENERGY_AFTER = energy("after");

    private static Point energy(String when) {
        return Point.list(
                        "handover.energy-" + when,
                        Scope.REPLACEMENT,
                        "Meter, months " + when,
                        "Each month's energy with its degree days; four months or more.",
                        EnergyUse.NOTATION)
                .asOptional();
    }

    static List<Point> all() {
        return List.of(
                EXPLAINED,
                MANUALS,
                WARRANTY,
                FILTERS,
                FILTER_CHANGE,
                DISCONNECT,
                SETTINGS,
                SERVICE,
                WATCH,
                RECOMMENDED,
                ENERGY_BEFORE,
                ENERGY_AFTER);
    }
}
