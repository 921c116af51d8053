package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.OUTDOOR;
import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;
import static org.undanus.core.derived.AirPoints.RETURN_WET_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_WET_BULB;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.derived.CoolingCoil;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** Heat taken from the air, by its enthalpies and flow, as a share of what this coil should take in this air. */
final class CoolingCapacity implements Requirement {
    private static final LimitKey SHARE =
            new LimitKey("running.capacity", Dimension.RATIO, "Cooling capacity, of the expected");
    private static final double COARSE = 0.01;
    static final About ABOUT = About.of(
                    "running.capacity",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Cooling capacity by enthalpy",
                    Severity.PERFORMANCE)
            .sources("Q = V̇/v·(h_return − h_supply); ASHRAE Fundamentals, Psychrometrics")
            .needs(OperationPoints.MODE)
            .limits(SHARE)
            .settings(ExpectedSplit.settings())
            .restingOn(SteadyOperation.ABOUT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.chosen(OperationPoints.MODE).orElseThrow().equals(OperationPoints.COOLING)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The machine was read in heating."), "");
        }
        Optional<Judgement> notYet = SteadyOperation.notYet(x);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        List<Point> missing = x.missing(RETURN_DRY_BULB, RETURN_WET_BULB, SUPPLY_DRY_BULB, SUPPLY_WET_BULB, OUTDOOR);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<Judgement> noAirflow = SheetHeating.noAirflow(x);
        if (noAirflow.isPresent()) {
            return noAirflow.get();
        }
        try {
            return computed(x, Airflow.of(x, x.unit()).agreed().orElseThrow());
        } catch (IllegalArgumentException e) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("These air states cannot be used together: {message}.", RefusedException.said(e)),
                            "Read dry and wet bulb again at the same place and moment.");
        }
    }

    /** Both bulbs of one air; a wet bulb that reads above the dry one by no more than they are uncertain is at saturation. */
    private static Uncertain[] bulbs(Examination x, Point dry, Point wet) {
        Uncertain air = x.need(dry).uncertain();
        Uncertain wick = x.need(wet).uncertain();
        double over = wick.value() - air.value();
        double doubt = new Uncertain(0, Math.hypot(air.standardUncertainty(), wick.standardUncertainty())).expanded();
        return over > 0 && over <= doubt
                ? new Uncertain[] {air, new Uncertain(air.value(), wick.standardUncertainty())}
                : new Uncertain[] {air, wick};
    }

    private static double watts(double flow, double dry, double wet, double out, double outWet, AbsolutePressure air) {
        MoistAir back = MoistAir.ofWetBulb(Temperature.ofKelvin(dry), Temperature.ofKelvin(wet), air);
        MoistAir supply = MoistAir.ofWetBulb(Temperature.ofKelvin(out), Temperature.ofKelvin(outWet), air);
        return flow / back.specificVolume() * (back.enthalpy() - supply.enthalpy());
    }

    /** Heat taken from the air, W; empty where not both bulbs were read, or they cannot go together. */
    static Optional<Uncertain> taken(Examination x) {
        if (!x.has(RETURN_WET_BULB) || !x.has(SUPPLY_WET_BULB)) {
            return Optional.empty();
        }
        AbsolutePressure air = x.facts().site().atmosphere();
        try {
            return Optional.of(Propagation.through(
                            v -> watts(v[0], v[1], v[2], v[3], v[4], air),
                            Airflow.of(x, x.unit()).agreed().orElseThrow(),
                            bulbs(x, RETURN_DRY_BULB, RETURN_WET_BULB)[0],
                            bulbs(x, RETURN_DRY_BULB, RETURN_WET_BULB)[1],
                            bulbs(x, SUPPLY_DRY_BULB, SUPPLY_WET_BULB)[0],
                            bulbs(x, SUPPLY_DRY_BULB, SUPPLY_WET_BULB)[1]))
                    .filter(watts -> watts.value() >= 0);
        } catch (IllegalArgumentException impossible) {
            return Optional.empty();
        }
    }

    private static Judgement computed(Examination x, Uncertain flow) {
        AbsolutePressure air = x.facts().site().atmosphere();
        Optional<ExpectedSplit> model = ExpectedSplit.of(x).filter(ExpectedSplit::describesAirflow);
        if (model.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("No rated capacity describes this coil at this airflow."),
                            "Add the outdoor unit's data sheet, or read the capacity on its plate.");
        }
        CoolingCoil coil = model.get().coil();
        Uncertain[] returned = bulbs(x, RETURN_DRY_BULB, RETURN_WET_BULB);
        Uncertain[] supply = bulbs(x, SUPPLY_DRY_BULB, SUPPLY_WET_BULB);
        Uncertain[] in = {
            flow,
            returned[0],
            returned[1],
            supply[0],
            supply[1],
            x.need(OUTDOOR).uncertain()
        };
        double taken = watts(in[0].value(), in[1].value(), in[2].value(), in[3].value(), in[4].value(), air);
        MoistAir back =
                MoistAir.ofWetBulb(Temperature.ofKelvin(in[1].value()), Temperature.ofKelvin(in[2].value()), air);
        double expected = coil.capacity(back, in[5].value() - Temperature.ZERO_CELSIUS, in[0].value());
        double sensible = in[0].value() / back.specificVolume() * back.heatCapacity() * (in[1].value() - in[3].value());
        Uncertain share = Propagation.through(
                v -> watts(v[0], v[1], v[2], v[3], v[4], air)
                        / coil.capacity(
                                MoistAir.ofWetBulb(Temperature.ofKelvin(v[1]), Temperature.ofKelvin(v[2]), air),
                                v[5] - Temperature.ZERO_CELSIUS,
                                v[0]),
                in);
        Finding finding = x.finding();
        model.get().steps().forEach(s -> finding.step(s.name(), s.how(), s.value(), s.source()));
        finding.step(
                        "Total capacity",
                        "V̇/v·(h_return − h_supply)",
                        Power.ofWatts(Math.max(0, taken)),
                        ABOUT.sources().get(0))
                .step("Sensible part", "V̇/v·cp·(t_return − t_supply)", Power.ofWatts(Math.max(0, sensible)), "")
                .step("Expected in this air", "coil model", Power.ofWatts(expected), "");
        return finding.compare(
                SHARE,
                share,
                COARSE,
                x.rules().limits(SHARE),
                Text.of("Look at airflow and filter, then at charge and outdoor coil, before anything is replaced."));
    }
}
