package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.OUTDOOR;
import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The temperature rise in heating is what the sheet's capacity at this outdoor temperature makes of this airflow. */
final class HeatingRise implements Requirement {
    private static final LimitKey RISE =
            new LimitKey("running.heating-rise", Dimension.TEMPERATURE_DIFFERENCE, "Temperature rise, heating");
    static final About ABOUT = About.of(
                    "running.heating-rise",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Temperature rise, heating",
                    Severity.PERFORMANCE)
            .sources("ΔT = Q/(ρ·cp·V̇) of dry air, Q by the sheet at the outdoor temperature")
            .needs(OperationPoints.MODE)
            .limits(RISE)
            .restingOn(SteadyOperation.ABOUT)
            .settings(ExpectedSplit.TOLERANCE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet = SheetHeating.notYet(x);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        SheetHeating sheet = SheetHeating.of(x).orElseThrow();
        Optional<Uncertain> flow = Airflow.of(x, x.unit())
                .agreed()
                .or(() -> sheet.pair().airflow().map(rated -> Uncertain.exact(rated.si())));
        return flow.isEmpty() ? x.notShown(List.of(AirPoints.HOOD)) : compared(x, sheet.capacity(), flow.get());
    }

    private static double kelvin(double watts, double flow, double back, AbsolutePressure air) {
        MoistAir entering = MoistAir.ofHumidityRatio(Temperature.ofKelvin(back), 0, air);
        return watts * entering.specificVolume() / (flow * entering.heatCapacity());
    }

    private static Judgement compared(Examination x, Power capacity, Uncertain flow) {
        AbsolutePressure air = x.facts().site().atmosphere();
        Uncertain back = x.need(RETURN_DRY_BULB).uncertain();
        double tolerance = x.rules().number(ExpectedSplit.TOLERANCE);
        Uncertain expected =
                Propagation.through(v -> kelvin(capacity.si(), v[0], v[1], air), flow, Uncertain.exact(back.value()));
        Uncertain rise =
                Propagation.through(v -> v[0] - v[1], x.need(SUPPLY_DRY_BULB).uncertain(), back);
        Uncertain read =
                new Uncertain(rise.value(), Math.hypot(rise.standardUncertainty(), expected.standardUncertainty()));
        Text source = Text.of(
                "Sheet's capacity at this outdoor temperature, airflow within tolerance: {source}",
                x.rules().setting(ExpectedSplit.TOLERANCE).source());
        List<Limit> limits = new ArrayList<>(x.rules().limits(RISE));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_LEAST,
                TemperatureDifference.ofKelvin(expected.value() / (1 + tolerance)),
                source));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_MOST,
                TemperatureDifference.ofKelvin(expected.value() / (1 - tolerance)),
                source));
        Finding finding = x.finding()
                .step(OUTDOOR.title(), x.need(OUTDOOR).quantity())
                .step("Capacity there", "by the sheet", capacity, "")
                .step("Airflow taken", VolumeFlow.ofCubicMetresPerSecond(flow.value()))
                .step(
                        "Expected rise",
                        "Q/(ρ·cp·V̇)",
                        TemperatureDifference.ofKelvin(expected.value()),
                        ABOUT.sources().get(0));
        Comparison held = finding.hold(RISE, read, 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                read.value() > expected.value()
                        ? Text.of("Look at the airflow first: filter, coil, fan speed, ducts.")
                        : Text.of("Look at outdoor coil, defrost and charge, and whether back-up heat was off."));
    }
}
