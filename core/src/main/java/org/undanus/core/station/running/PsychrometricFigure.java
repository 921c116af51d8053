package org.undanus.core.station.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Bound;

/**
 * The psychrometric sketch of station 13 as data: the saturation line at the site's pressure, the return state, the supply
 * temperature read and the stretch expected. Humidity ratios in kg/kg.
 */
public record PsychrometricFigure(List<Coil> coils) {
    private static final double COLDEST = 0;
    private static final double WARMEST = 40;
    private static final double STEP = 1;

    /** A point of the chart. */
    public record State(Temperature dryBulb, double humidityRatio) {}

    /**
     * @param returning where both bulbs have been read and go together
     * @param supply as read
     * @param expectedFrom coldest supply temperature expected
     * @param expectedTo warmest supply temperature expected
     */
    public record Coil(
            Component component,
            List<State> saturation,
            Optional<State> returning,
            Optional<Temperature> supply,
            Optional<Temperature> expectedFrom,
            Optional<Temperature> expectedTo,
            Verdict verdict) {}

    public static PsychrometricFigure of(Case facts, Evidence evidence, Judgements judgements) {
        List<State> saturation = saturation(facts.site().atmosphere());
        return new PsychrometricFigure(facts.components().stream()
                .filter(component -> !component.outdoor())
                .map(component -> coil(component, saturation, facts, evidence, judgements))
                .toList());
    }

    private static Coil coil(
            Component component, List<State> saturation, Case facts, Evidence evidence, Judgements judgements) {
        Optional<Temperature> dryBulb = temperature(evidence, RunningPoints.RETURN_DRY_BULB, component);
        Optional<Temperature> wetBulb = temperature(evidence, RunningPoints.RETURN_WET_BULB, component);
        Optional<State> returning = dryBulb.flatMap(
                dry -> wetBulb.flatMap(wet -> state(dry, wet, facts.site().atmosphere())));
        Optional<Judgement> judgement = judgements.find("running.split", component.id());
        Optional<Comparison> band = judgement.flatMap(Judgement::comparison);
        return new Coil(
                component,
                saturation,
                returning,
                temperature(evidence, RunningPoints.SUPPLY_DRY_BULB, component),
                band.flatMap(c -> supplyAt(c, Bound.AT_MOST, dryBulb)),
                band.flatMap(c -> supplyAt(c, Bound.AT_LEAST, dryBulb)),
                judgement.map(Judgement::verdict).orElse(Verdict.NOT_SHOWN));
    }

    /** The supply temperature at an end of the band: return air less the split allowed there. */
    private static Optional<Temperature> supplyAt(Comparison band, Bound bound, Optional<Temperature> dryBulb) {
        return band.limits().stream()
                .filter(held -> held.binds() && held.limit().bound() == bound)
                .findFirst()
                .flatMap(held -> dryBulb.map(dry ->
                        Temperature.ofKelvin(dry.si() - held.limit().value().si())));
    }

    private static Optional<Temperature> temperature(Evidence evidence, Point point, Component component) {
        return evidence.standing(new PointKey(point.id(), component.id()), Value.Measured.class)
                .map(read -> (Temperature) read.quantity());
    }

    private static Optional<State> state(Temperature dry, Temperature wet, AbsolutePressure pressure) {
        try {
            return Optional.of(
                    new State(dry, MoistAir.ofWetBulb(dry, wet, pressure).humidityRatio()));
        } catch (IllegalArgumentException impossible) {
            // two bulbs that do not go together are judged as such; here there is simply nothing to draw
            return Optional.empty();
        }
    }

    private static List<State> saturation(AbsolutePressure pressure) {
        List<State> line = new ArrayList<>();
        if (!MoistAir.describes(pressure)) {
            return line;
        }
        for (double t = COLDEST; t <= WARMEST; t += STEP) {
            Temperature temperature = Temperature.ofCelsius(t);
            line.add(new State(
                    temperature, MoistAir.saturated(temperature, pressure).humidityRatio()));
        }
        return List.copyOf(line);
    }
}
