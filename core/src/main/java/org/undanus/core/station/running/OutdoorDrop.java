package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.OUTDOOR;
import static org.undanus.core.derived.AirPoints.OUTDOOR_LEAVING;
import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * In heating the outdoor coil cools its air: not more than the heat taken from it can, or too little air passes; and at all, or it
 * takes none. Frost takes a part of the heat, so the air cools less than by the whole of it.
 */
final class OutdoorDrop implements Requirement {
    private static final LimitKey DROP =
            new LimitKey("running.outdoor-drop", Dimension.TEMPERATURE_DIFFERENCE, "Outdoor air cools in the coil by");
    private static final About ABOUT = About.of(
                    "running.outdoor-drop",
                    Station.RUNNING,
                    Scope.OUTDOOR_UNIT,
                    "Outdoor coil's air drop",
                    Severity.PERFORMANCE)
            .sources("ΔT ≤ (Q − P)·v/(cp·V̇): heat and power by the sheet at the outdoor temperature")
            .needs(OperationPoints.MODE)
            .limits(DROP)
            .settings(ExpectedSplit.TOLERANCE, SteadyRunning.DURATION)
            .cautions(OUTDOOR_LEAVING.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.chosen(OperationPoints.MODE).orElseThrow().equals(OperationPoints.HEATING)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The machine was read in cooling."), "");
        }
        Optional<Judgement> notYet = SteadyRunning.notYet(x);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        List<Point> missing = x.missing(OUTDOOR, OUTDOOR_LEAVING);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<Judgement> thin = ThinAir.at(x);
        if (thin.isPresent()) {
            return thin.get();
        }
        Optional<Component> unread = pairs(x).keySet().stream()
                .filter(unit -> x.at(unit).measured(RETURN_DRY_BULB).isEmpty())
                .findFirst();
        if (unread.isPresent()) {
            return x.at(unread.get()).notShown(List.of(RETURN_DRY_BULB));
        }
        Optional<Quantity> flow = x.sheet().flatMap(sheet -> sheet.value(SheetValue.OUTDOOR_AIRFLOW));
        Optional<Power> taken = taken(x);
        if (flow.isEmpty() || taken.isEmpty()) {
            return x.noSheetTells(
                    Text.of(
                            "airflow of the outdoor coil, or capacity and power in heating at {need}",
                            x.need(OUTDOOR).quantity()),
                    "Bring the maker's sheet with both.");
        }
        return compared(x, flow.get().si(), taken.get());
    }

    /** The indoor units that the sheet lists, with what it says of each pair. */
    private static Map<Component, DataSheet.Pair> pairs(Examination x) {
        Map<Component, DataSheet.Pair> pairs = new LinkedHashMap<>();
        for (Component unit : x.facts().components()) {
            x.at(unit)
                    .written(PlatePoints.MODEL)
                    .flatMap(model -> x.sheet().flatMap(sheet -> sheet.pairWith(model)))
                    .ifPresent(pair -> pairs.put(unit, pair));
        }
        return pairs;
    }

    /** Heat that the outdoor coil takes from the air: capacity less power of all pairs here; empty where a sheet is silent. */
    private static Optional<Power> taken(Examination x) {
        Temperature outdoors = (Temperature) x.need(OUTDOOR).quantity();
        double sum = 0;
        for (Map.Entry<Component, DataSheet.Pair> each : pairs(x).entrySet()) {
            Temperature indoors =
                    (Temperature) x.at(each.getKey()).need(RETURN_DRY_BULB).quantity();
            Optional<Power> heat = each.getValue().capacity(DataSheet.Mode.HEATING, outdoors, indoors);
            Optional<Power> power = each.getValue().input(DataSheet.Mode.HEATING, outdoors, indoors);
            if (heat.isEmpty() || power.isEmpty()) {
                return Optional.empty();
            }
            sum += heat.get().si() - power.get().si();
        }
        return sum > 0 ? Optional.of(Power.ofWatts(sum)) : Optional.empty();
    }

    private static Judgement compared(Examination x, double flow, Power taken) {
        Value.Measured entering = x.need(OUTDOOR);
        Value.Measured leaving = x.need(OUTDOOR_LEAVING);
        MoistAir air = MoistAir.ofHumidityRatio(
                (Temperature) entering.quantity(), 0, x.facts().site().atmosphere());
        double most = taken.si() * air.specificVolume() / (air.heatCapacity() * flow);
        double tolerance = x.rules().number(ExpectedSplit.TOLERANCE);
        Uncertain drop = Propagation.through(v -> v[0] - v[1], entering.uncertain(), leaving.uncertain());
        List<Limit> limits = new ArrayList<>(x.rules().limits(DROP));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_LEAST,
                TemperatureDifference.ofKelvin(0),
                "It takes heat from the outdoor air"));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_MOST,
                TemperatureDifference.ofKelvin(most / (1 - tolerance)),
                Text.of(
                        "All of the heat from dry air, airflow within tolerance: {source}",
                        x.rules().setting(ExpectedSplit.TOLERANCE).source())));
        Finding finding = x.finding()
                .step(OUTDOOR.title(), entering.quantity())
                .step(OUTDOOR_LEAVING.title(), leaving.quantity())
                .step("Heat from the outdoor air", "Q − P by the sheet", taken, "")
                .step("Most it can cool the air by", "(Q − P)·v/(cp·V̇)", TemperatureDifference.ofKelvin(most), "");
        return finding.compare(
                DROP,
                drop,
                Math.max(entering.resolution(), leaving.resolution()),
                limits,
                drop.value() > most
                        ? Text.of("Too little air passes: look for ice, leaves and a fan that is slow.")
                        : Text.of("Look whether the compressor runs and the reversing valve stands in heating."));
    }
}
