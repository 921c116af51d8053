package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.BURNER_AIR;
import static org.undanus.core.station.fuel.FuelPoints.FLUE_OXYGEN;
import static org.undanus.core.station.fuel.FuelPoints.FLUE_TEMPERATURE;
import static org.undanus.core.station.fuel.FuelPoints.SUPPLIED;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
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
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * How much hotter the flue gas is than the air it was burnt with lies where the maker says; the loss by it is shown, where oxygen
 * is known.
 */
public final class StackTemperature implements Requirement {
    private static final double PERCENT = 100;
    /** Oxygen of air that the published coefficients reckon with, percent. */
    private static final double OXYGEN_OF_AIR = 21;

    private static final String SIEGERT =
            "Siegert's formula, coefficients of 1. BImSchV, Annex 2; by net heating value";
    private static final LimitKey LIMIT =
            new LimitKey("fuel.stack-temperature", Dimension.TEMPERATURE_DIFFERENCE, "Net stack temperature");
    private static final About ABOUT = About.of(
                    "fuel.stack-temperature",
                    Station.FUEL,
                    Scope.FUEL_UNIT,
                    "Net stack temperature",
                    Severity.PERFORMANCE)
            .sources("Data sheet, flue gas", SIEGERT)
            .needs(FLUE_TEMPERATURE, BURNER_AIR)
            .limits(LIMIT)
            .cautions(FuelPoints.MONOXIDE);

    @Override
    public About about() {
        return ABOUT;
    }

    /**
     * Share of the heat that leaves with dry flue gas: (t_flue − t_air)·(A/(21 − O2) + B), in percent.
     *
     * @param net flue gas over combustion air, K
     * @param oxygen in the dry flue gas, as a ratio, under 0.21
     * @return as a ratio
     */
    public static double loss(double net, double oxygen, boolean propane) {
        double a = propane ? 0.63 : 0.66;
        double b = propane ? 0.008 : 0.009;
        return net * (a / (OXYGEN_OF_AIR - PERCENT * oxygen) + b) / PERCENT;
    }

    @Override
    public Judgement judge(Examination x) {
        Uncertain net = Propagation.through(
                in -> in[0] - in[1],
                x.need(FLUE_TEMPERATURE).uncertain(),
                x.need(BURNER_AIR).uncertain());
        Finding finding = x.finding()
                .step(FLUE_TEMPERATURE.title(), x.need(FLUE_TEMPERATURE).quantity())
                .step(BURNER_AIR.title(), x.need(BURNER_AIR).quantity());
        loss(x, net)
                .ifPresent(lost -> finding.step(
                        "Stack loss, for information",
                        "(t flue − t air)·(A/(21 − O2) + B)",
                        Text.of("{share}", Amount.of(Dimension.RATIO, lost, 0)),
                        SIEGERT));
        Optional<Comparison> held = finding.hold(
                LIMIT,
                net,
                0,
                x.limits(
                        LIMIT,
                        SheetLimit.atLeast(SheetValue.LEAST_STACK_TEMPERATURE),
                        SheetLimit.atMost(SheetValue.MOST_STACK_TEMPERATURE)));
        return held.map(
                        compared -> finding.conclude(
                                compared.verdict(),
                                finding.room(),
                                compared.binding().limit().bound() == Bound.AT_MOST
                                        ? "A licensed technician finds why heat stays in the flue: input, airflow, soot, baffles."
                                        : "A licensed technician finds why the flue gas is cold: input, too much air, water in the exchanger. A vent not made for it corrodes."))
                .orElseGet(finding::nobodyLimits);
    }

    /** Empty where fuel or oxygen is not known, or the sample is air. */
    private static Optional<Uncertain> loss(Examination x, Uncertain net) {
        boolean gas = x.chosen(SUPPLIED)
                .filter(fuel -> !fuel.equals(FuelPoints.OTHER_FUEL))
                .isPresent();
        boolean propane = x.chosen(SUPPLIED).filter(FuelPoints.PROPANE::equals).isPresent();
        return x.measured(FLUE_OXYGEN)
                .map(Value.Measured::uncertain)
                .filter(oxygen ->
                        gas && net.value() > 0 && PERCENT * (oxygen.value() + oxygen.expanded()) < OXYGEN_OF_AIR)
                .map(oxygen -> Propagation.through(in -> loss(in[0], in[1], propane), net, oxygen));
    }
}
