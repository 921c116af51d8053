package org.undanus.core.station.condensate;

import static org.undanus.core.station.condensate.DrainPoints.POUR_CLEARED;
import static org.undanus.core.station.condensate.DrainPoints.POUR_TIME;
import static org.undanus.core.station.condensate.DrainPoints.POUR_VOLUME;
import static org.undanus.core.station.condensate.DrainPoints.PUMP_CURVE;
import static org.undanus.core.station.condensate.DrainPoints.PUMP_LIFT;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.derived.notation.PumpCurve;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.Volume;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Drain and pump carry off more than the coil gives. */
final class Flow {
    private Flow() {}

    private static final LimitKey POUR_LIMIT =
            new LimitKey("condensate.pour-flow", Dimension.LIQUID_FLOW, "Flow that the pour showed");
    private static final LimitKey PUMP_LIMIT =
            new LimitKey("condensate.pump-flow", Dimension.LIQUID_FLOW, "Pump's flow at its lift");
    private static final Setting PUMP_FACTOR =
            new Setting("condensate.pump-factor", Dimension.COUNT, "Factor of a pump's flow over the water there is");
    private static final String SOURCE = "Moisture balance of the coil; the latent share of capacity bounds it";

    static final Requirement POUR = Requirement.of(
            About.of("condensate.pour", Station.CONDENSATE, Scope.DRAIN_RUN, "Pour test", Severity.DAMAGE)
                    .sources(SOURCE)
                    .limits(POUR_LIMIT)
                    .settings(CondensateRate.SENSIBLE_RATIO, Airflow.FAN_TABLE, Airflow.GRID_METHOD),
            Flow::pour);

    static final Requirement PUMP = Requirement.of(
            About.of("condensate.pump-flow", Station.CONDENSATE, Scope.DRAIN_RUN, "Pump moves enough", Severity.DAMAGE)
                    .sources("The pump's label or sheet", SOURCE)
                    .needs(DrainPoints.PUMP, PUMP_CURVE, PUMP_LIFT)
                    .limits(PUMP_LIMIT)
                    .settings(PUMP_FACTOR, CondensateRate.SENSIBLE_RATIO, Airflow.FAN_TABLE, Airflow.GRID_METHOD),
            Flow::pump);

    static Optional<CondensateRate> rate(Examination x) {
        return x.indoor().flatMap(unit -> CondensateRate.of(x, unit)).filter(found -> found.rate() > 0);
    }

    private static Judgement noRate(Examination x) {
        return x.noSheetTells(
                "the capacity that bounds this coil's water",
                "Add the outdoor unit's sheet, or read the capacity on its plate.");
    }

    private static void explain(Finding finding, CondensateRate rate) {
        finding.step(
                rate.bound() ? "Water, at most" : "Water in today's air",
                rate.how(),
                LiquidFlow.ofCubicMetresPerSecond(rate.rate()),
                SOURCE);
    }

    private static Judgement pour(Examination x) {
        Optional<CondensateRate> rate = rate(x);
        List<Point> missing = x.missing(POUR_CLEARED, POUR_VOLUME, POUR_TIME);
        if (x.affirmed(POUR_CLEARED).filter(cleared -> !cleared).isPresent()) {
            return blocked(x, rate);
        }
        if (!missing.isEmpty()) {
            return rate.map(r -> x.notShown(
                            missing,
                            Text.of(
                                    "A litre must be gone within {rate}.",
                                    Duration.ofSeconds(Math.rint(1e-3 / r.rate())))))
                    .orElseGet(() -> x.notShown(missing));
        }
        if (rate.isEmpty()) {
            return noRate(x);
        }
        double held = inTrap(x);
        double poured = x.need(POUR_VOLUME).quantity().si();
        if (poured <= held) {
            return tooLittle(x, poured, held);
        }
        Uncertain flow = Propagation.through(
                in -> in[1] > 0 ? (in[0] - held) / in[1] : Double.NaN,
                x.need(POUR_VOLUME).uncertain(),
                x.need(POUR_TIME).uncertain());
        Finding finding = x.finding();
        explain(finding, rate.get());
        List<Limit> limits = new ArrayList<>(x.rules().limits(POUR_LIMIT));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_LEAST,
                LiquidFlow.ofCubicMetresPerSecond(rate.get().rate()),
                rate.get().how()));
        finding.step(
                "Flow that it showed",
                "(water poured − water in the trap) / time",
                LiquidFlow.ofCubicMetresPerSecond(flow.value()),
                "");
        Comparison compared = finding.hold(POUR_LIMIT, flow, 0, limits).orElseThrow();
        return finding.conclude(
                compared.verdict(),
                finding.room(),
                Text.of(
                        "Clean the drain or replace it with a larger one: the same water must be gone within {poured}.",
                        Duration.ofSeconds(
                                Math.rint((poured - held) / rate.get().rate()))));
    }

    private static Judgement blocked(Examination x, Optional<CondensateRate> rate) {
        return x.finding()
                .step(POUR_CLEARED.title(), "no")
                .conclude(
                        Verdict.FAILS,
                        Text.of("The water did not come out, or came out where it should not."),
                        rate.map(r -> Text.of(
                                        "Clear the drain, then pour again: it must carry {rate}.",
                                        LiquidFlow.ofCubicMetresPerSecond(r.rate())))
                                .orElse(Text.of("Clear the drain, then pour again.")));
    }

    private static Judgement tooLittle(Examination x, double poured, double held) {
        return x.finding()
                .step("Water poured", Volume.ofCubicMetres(poured))
                .step("The trap alone holds", "two legs of its seal", Volume.ofCubicMetres(held), "")
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "{poured} fits into the trap: such a pour cannot show that the drain runs.",
                                Volume.ofCubicMetres(poured)),
                        Text.of(
                                "Pour at least {held} and time it until it is clear.",
                                Volume.ofCubicMetres(Math.max(1e-3, 2 * held))));
    }

    /** Two legs of the seal in a tube of the drain's size, m³; 0 where that is not known. */
    private static double inTrap(Examination x) {
        boolean trapped =
                x.chosen(DrainPoints.CABINET).filter(DrainPoints.DRAWN::equals).isPresent();
        if (!trapped) {
            return 0;
        }
        return x.number(DrainPoints.TRAP_SEAL)
                .flatMap(seal -> x.number(DrainPoints.SIZE).map(size -> 2 * seal * Math.PI * size * size / 4))
                .orElse(0.0);
    }

    private static Judgement pump(Examination x) {
        PumpCurve curve = x.listed(PUMP_CURVE, PumpCurve.class).orElseThrow();
        Optional<CondensateRate> rate = rate(x);
        if (rate.isEmpty()) {
            return noRate(x);
        }
        double needed = x.rules().number(PUMP_FACTOR) * rate.get().rate();
        Uncertain lift = x.need(PUMP_LIFT).uncertain();
        Uncertain flow = Propagation.through(in -> curve.at(in[0]), lift);
        Finding finding = x.finding();
        explain(finding, rate.get());
        List<Limit> limits = new ArrayList<>(x.rules().limits(PUMP_LIMIT));
        limits.add(new Limit(
                x.rules().practice(),
                Bound.AT_LEAST,
                LiquidFlow.ofCubicMetresPerSecond(needed),
                x.rules().setting(PUMP_FACTOR).source()));
        finding.step("Lift", Length.ofMetres(lift.value()));
        Comparison held = finding.hold(PUMP_LIMIT, flow, 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Install a pump that moves {needed} at {lift}.",
                        LiquidFlow.ofCubicMetresPerSecond(needed),
                        Length.ofMetres(lift.value())));
    }
}
