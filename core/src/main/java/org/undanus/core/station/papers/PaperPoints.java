package org.undanus.core.station.papers;

import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.ReplacementPoints;
import org.undanus.core.quantity.Dimension;

/** What is read of the papers, and of what stays of an older system. */
final class PaperPoints {
    private PaperPoints() {}

    private static Point document(String name, String title, String how) {
        return Point.yesNo("papers." + name, Scope.SYSTEM, title, how);
    }

    static final Point PERMIT = document("permit", "Permit or consent", "Issued, for this work, at this address.")
            .dueAt(Stage.PLAN_CHECK);
    static final Point MANUALS =
            document("manuals", "Manuals at hand", "Installation manual of every unit, of this model.");
    static final Point LOAD_SUMMARY = document(
                    "load-summary", "Load summary at hand", "Cooling and heating load of what the system serves.")
            .dueAt(Stage.PLAN_CHECK);
    static final Point COMMISSIONING_RECORD = document(
            "commissioning-record",
            "Commissioning record at hand",
            "Pressure test, vacuum, charge and start-up sheets.");
    static final Point REFRIGERANT_LICENCE = Point.text(
            "papers.refrigerant-licence",
            Scope.REFRIGERANT_SYSTEM,
            "Licence, refrigerant circuit",
            "Class and number as stated. It is recorded here, not verified.");
    static final Point POWER_LICENCE = Point.text(
            "papers.power-licence",
            Scope.SYSTEM,
            "Licence, power",
            "Class and number as stated. It is recorded here, not verified.");
    static final Point JUDGED_ELSEWHERE = Point.text(
                    "papers.judged-elsewhere",
                    Scope.UNJUDGED_UNIT,
                    "Judged elsewhere by",
                    "Name, licence and day, as stated. It is recorded here, not verified.")
            .asOptional();
    static final Point COOLING_LOAD = Point.quantity(
                    "papers.cooling-load",
                    Scope.REFRIGERANT_SYSTEM,
                    Dimension.POWER,
                    "Cooling load",
                    "Total, from the load summary; none stated: leave open.",
                    300,
                    500_000)
            .asOptional()
            .dueAt(Stage.PLAN_CHECK);
    static final Point HEATING_LOAD = Point.quantity(
                    "papers.heating-load",
                    Scope.REFRIGERANT_SYSTEM,
                    Dimension.POWER,
                    "Heating load",
                    "From the load summary; none stated: leave open.",
                    300,
                    500_000)
            .asOptional()
            .dueAt(Stage.PLAN_CHECK);

    private static Point old(String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("papers." + name, Scope.REPLACEMENT, dimension, title, how, least, most)
                .asOptional();
    }

    static final Point KEPT_LINES = ReplacementPoints.kept("lines", "Refrigerant lines stay");
    static final Point OLD_LIQUID_LINE = old(
                    "old-liquid-line",
                    Dimension.LENGTH,
                    "Old liquid line, outer diameter",
                    "Gauge the bare tube.",
                    0.004,
                    0.04)
            .with(InstrumentKind.CALIPER)
            .onlyWhere(KEPT_LINES, "yes");
    static final Point OLD_SUCTION_LINE = old(
                    "old-suction-line",
                    Dimension.LENGTH,
                    "Old suction line, outer diameter",
                    "Gauge the bare tube.",
                    0.006,
                    0.08)
            .with(InstrumentKind.CALIPER)
            .onlyWhere(KEPT_LINES, "yes");
    static final Point OLD_REFRIGERANT = Point.openChoice(
                    "papers.old-refrigerant",
                    Scope.REPLACEMENT,
                    "Refrigerant of the old system",
                    "From its plate or the recovery record.")
            .asOptional()
            .onlyWhere(KEPT_LINES, "yes");
    static final Point LINES_CLEANED = Point.yesNo(
                    "papers.lines-cleaned",
                    Scope.REPLACEMENT,
                    "Old lines cleaned of oil and residue",
                    "Flushed or swabbed as the maker asks, with a record of it.")
            .asOptional()
            .onlyWhere(KEPT_LINES, "yes");
    static final Point OLD_BREAKER = old(
                    "old-breaker", Dimension.CURRENT, "Old device, rating", "On its face; covers stay on.", 1, 1000)
            .onlyWhere(ReplacementPoints.KEPT_BREAKER, "yes");
    static final Point KEPT_CONDUCTOR = ReplacementPoints.kept("conductor", "Conductor stays");
    static final Point OLD_CONDUCTOR_AMPACITY = old(
                    "old-conductor-ampacity",
                    Dimension.CURRENT,
                    "Old conductor, ampacity",
                    "As worked out for its size, insulation and way of laying.",
                    1,
                    1000)
            .onlyWhere(KEPT_CONDUCTOR, "yes");
    static final Point KEPT_DUCTS = ReplacementPoints.kept("ducts", "Ducts stay");
    static final Point OLD_DUCT_AIRFLOW = old(
                    "old-duct-airflow",
                    Dimension.VOLUME_FLOW,
                    "Old ducts, airflow they carry",
                    "Measured, or of their design, within the new unit's static pressure.",
                    0.02,
                    10)
            .onlyWhere(KEPT_DUCTS, "yes");
    static final Point KEPT_DRAIN = ReplacementPoints.kept("drain", "Drain stays");
    static final Point OLD_DRAIN = old(
                    "old-drain",
                    Dimension.LENGTH,
                    "Old drain, outer diameter",
                    "As printed on it or measured.",
                    0.005,
                    0.1)
            .onlyWhere(KEPT_DRAIN, "yes");
    static final Point KEPT_FLUE = ReplacementPoints.kept("flue", "Flue stays");
}
