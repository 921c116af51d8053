package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.OUTDOOR;
import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/**
 * What the sheet says of this pair in heating, in the weather of the visit.
 *
 * @param pair of this indoor unit
 * @param outdoors the air that enters the outdoor coil
 * @param indoors the air that enters the indoor coil
 * @param capacity by the sheet there
 */
record SheetHeating(DataSheet.Pair pair, Temperature outdoors, Temperature indoors, Power capacity) {
    /** Where heat for the power taken is too little. */
    static final Text LOOK = Text.of("See that back-up heat is off, then look at airflow, outdoor coil and charge.");

    /** Why a heating reading of this unit shows nothing, or does not apply; empty where it can be judged. */
    static Optional<Judgement> notYet(Examination x, Point... needed) {
        Optional<Judgement> unread = unread(x, needed);
        if (unread.isPresent()) {
            return unread;
        }
        return of(x).isPresent()
                ? Optional.empty()
                : Optional.of(x.finding()
                        .step(OUTDOOR.title(), x.need(OUTDOOR).quantity())
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of(
                                        "No sheet tells the heating capacity of this pair at {need} outdoors.",
                                        x.need(OUTDOOR).quantity()),
                                "Bring the maker's capacity table, or come back in weather that it covers."));
    }

    /** Why a heating reading of this unit shows nothing, or does not apply, whatever a sheet tells; empty where it can be judged. */
    static Optional<Judgement> unread(Examination x, Point... needed) {
        if (!x.chosen(OperationPoints.MODE).orElseThrow().equals(OperationPoints.HEATING)) {
            return Optional.of(
                    x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The machine was read in cooling."), ""));
        }
        Optional<Judgement> unsettled = SteadyOperation.notYet(x);
        if (unsettled.isPresent()) {
            return unsettled;
        }
        List<Point> asked = new ArrayList<>(List.of(RETURN_DRY_BULB, SUPPLY_DRY_BULB, OUTDOOR));
        asked.addAll(List.of(needed));
        List<Point> missing = x.missing(asked.toArray(Point[]::new));
        if (!missing.isEmpty()) {
            return Optional.of(x.notShown(missing));
        }
        return ThinAir.at(x);
    }

    /** Why heat cannot be held against the power taken: no airflow, or power that is not this unit's own; empty where it can. */
    static Optional<Judgement> noPerformance(Examination x) {
        Optional<Judgement> noAirflow = noAirflow(x);
        return noAirflow.isPresent() || x.facts().subjects(Scope.COIL_UNIT).size() <= 1
                ? noAirflow
                : Optional.of(x.finding()
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of("Several indoor units share this power: none can be told apart."),
                                "Read the power while this unit alone runs, as a visit of its own."));
    }

    /** Empty where no sheet covers it. */
    static Optional<SheetHeating> of(Examination x) {
        Temperature outdoors = (Temperature) x.need(OUTDOOR).quantity();
        Temperature indoors = (Temperature) x.need(RETURN_DRY_BULB).quantity();
        return x.facts()
                .outdoorUnit()
                .flatMap(unit -> x.at(unit).sheet())
                .flatMap(sheet -> x.written(PlatePoints.MODEL).flatMap(sheet::pairWith))
                .flatMap(pair -> pair.capacity(DataSheet.Mode.HEATING, outdoors, indoors)
                        .map(capacity -> new SheetHeating(pair, outdoors, indoors, capacity)));
    }

    /** Why heat cannot be computed from what was read of the airflow; empty where it can. */
    static Optional<Judgement> noAirflow(Examination x) {
        Airflow flow = Airflow.of(x, x.unit());
        if (flow.agreed().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(
                flow.estimates().isEmpty()
                        ? x.notShown(List.of(AirPoints.HOOD))
                        : x.finding()
                                .conclude(
                                        Verdict.NOT_SHOWN,
                                        Text.of("{methods} disagree: no airflow can be taken.", flow.named()),
                                        "Measure the airflow again."));
    }

    /** Heat that the air takes up, W: V̇/v·cp·(t_supply − t_return), by the airflow measured. */
    static Uncertain given(Examination x) {
        AbsolutePressure air = x.facts().site().atmosphere();
        return Propagation.through(
                v -> watts(v[0], v[1], v[2], air),
                Airflow.of(x, x.unit()).agreed().orElseThrow(),
                x.need(RETURN_DRY_BULB).uncertain(),
                x.need(SUPPLY_DRY_BULB).uncertain());
    }

    /** Heat for each watt of electricity, Q/P. */
    static Uncertain performance(Examination x) {
        return Propagation.through(
                v -> v[0] / v[1], given(x), x.need(RunningPoints.POWER).uncertain());
    }

    /** What performance is computed from. */
    static Finding performanceExplained(Examination x) {
        return x.finding()
                .step("Heat given to the air", Power.ofWatts(given(x).value()))
                .step(RunningPoints.POWER.title(), x.need(RunningPoints.POWER).quantity());
    }

    /** @param flow of the air that enters, m³/s */
    private static double watts(double flow, double back, double supply, AbsolutePressure air) {
        MoistAir entering = MoistAir.ofHumidityRatio(Temperature.ofKelvin(back), 0, air);
        return flow / entering.specificVolume() * entering.heatCapacity() * (supply - back);
    }
}
