package org.undanus.core.station.airside;

import static org.undanus.core.derived.AirPoints.STATIC_COIL;
import static org.undanus.core.derived.AirPoints.STATIC_FILTERED;
import static org.undanus.core.derived.AirPoints.STATIC_RETURN;
import static org.undanus.core.derived.AirPoints.STATIC_SUPPLY;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** What the fan works against, part by part. */
final class StaticPressure {
    private StaticPressure() {}

    private static final String SOURCE = "Data sheet, pressure drops; ASHRAE 111, static pressure profile";
    private static final LimitKey EXTERNAL_LIMIT = key("external-static", "External static pressure");
    private static final LimitKey FILTER_LIMIT = key("filter-drop", "Pressure drop of the filter");
    private static final LimitKey COIL_LIMIT = key("coil-drop", "Pressure drop of the coil");
    private static final LimitKey RETURN_LIMIT = key("return-drop", "Pressure drop of the return ducts");
    private static final LimitKey SUPPLY_LIMIT = key("supply-drop", "Pressure drop of the supply ducts");

    private static LimitKey key(String name, String title) {
        return new LimitKey("airside." + name, Dimension.PRESSURE_DIFFERENCE, title);
    }

    private static About about(LimitKey limit, String title, Point... needs) {
        return About.of(limit.id(), Station.AIRSIDE, Scope.DUCT_SYSTEM, title, Severity.PERFORMANCE)
                .sources(SOURCE)
                .needs(needs)
                .limits(limit)
                .cautions(STATIC_SUPPLY.caution());
    }

    static final Requirement EXTERNAL = Requirement.of(
            about(EXTERNAL_LIMIT, "Total external static pressure (TESP)", STATIC_RETURN, STATIC_SUPPLY),
            StaticPressure::external);

    static final Requirement FILTER = Requirement.of(
            about(FILTER_LIMIT, "Filter, pressure drop", STATIC_RETURN, STATIC_FILTERED),
            x -> drop(
                    x,
                    FILTER_LIMIT,
                    STATIC_RETURN,
                    STATIC_FILTERED,
                    SheetValue.FILTER_DROP,
                    "Replace the filter, or fit a larger one of less resistance: its drop must come down by {lacking}."));

    static final Requirement COIL = Requirement.of(
            about(COIL_LIMIT, "Coil, pressure drop", STATIC_FILTERED, STATIC_COIL),
            x -> drop(
                    x,
                    COIL_LIMIT,
                    STATIC_FILTERED,
                    STATIC_COIL,
                    SheetValue.COIL_DROP,
                    "Check the coil for dirt, ice and water: its drop must come down by {lacking}."));

    static final Requirement RETURN = Requirement.of(
            about(RETURN_LIMIT, "Return ducts, pressure drop", STATIC_RETURN),
            x -> held(
                    x,
                    RETURN_LIMIT,
                    Propagation.through(in -> -in[0], x.need(STATIC_RETURN).uncertain()),
                    x.rules().limits(RETURN_LIMIT),
                    "Enlarge the return ducts and grilles: the drop must come down by {lacking}."));

    static final Requirement SUPPLY = Requirement.of(
            about(SUPPLY_LIMIT, "Supply ducts, pressure drop", STATIC_SUPPLY),
            x -> held(
                    x,
                    SUPPLY_LIMIT,
                    x.need(STATIC_SUPPLY).uncertain(),
                    x.rules().limits(SUPPLY_LIMIT),
                    "Open dampers and enlarge the tightest supply duct: the drop must come down by {lacking}."));

    private static Judgement external(Examination x) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(EXTERNAL_LIMIT));
        Component unit = x.indoor().orElseThrow();
        x.at(unit)
                .measured(PlatePoints.STATIC_PRESSURE_LIMIT)
                .ifPresent(most -> limits.add(new Limit(
                        x.rules().maker(),
                        Bound.AT_MOST,
                        most.quantity(),
                        x.at(unit).sheet().map(DataSheet::document).orElse("Nameplate"))));
        if (limits.isEmpty()) {
            return x.at(unit).notShown(List.of(PlatePoints.STATIC_PRESSURE_LIMIT));
        }
        return held(
                x,
                EXTERNAL_LIMIT,
                Airflow.external(x).orElseThrow(),
                limits,
                "Take {lacking} off it: the largest drop of filter, coil, return and supply first.");
    }

    private static Judgement drop(
            Examination x, LimitKey key, Point before, Point after, SheetValue given, String remedy) {
        Uncertain drop = Propagation.through(
                in -> in[0] - in[1], x.need(before).uncertain(), x.need(after).uncertain());
        List<Limit> limits = x.at(x.indoor().orElseThrow()).limits(key, SheetLimit.atMost(given));
        return held(x, key, drop, limits, remedy);
    }

    private static Judgement held(Examination x, LimitKey key, Uncertain value, List<Limit> limits, String remedy) {
        Finding finding = x.finding();
        Optional<Comparison> held = finding.hold(key, value, 0, limits);
        return held.isEmpty()
                ? finding.nobodyLimits()
                : finding.conclude(held.get().verdict(), finding.room(), Text.of(remedy, finding.lacking()));
    }

    /** A drop in Pa, for the drawing; empty where one of the two has not been read. */
    static Optional<PressureDifference> between(Examination x, Point before, Point after) {
        Optional<Value.Measured> from = x.measured(before);
        return x.measured(after)
                .flatMap(to -> from.map(f -> PressureDifference.ofPascals(
                        Math.abs(f.quantity().si() - to.quantity().si()))));
    }
}
