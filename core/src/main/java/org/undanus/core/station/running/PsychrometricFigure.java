package org.undanus.core.station.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * The psychrometric sketch of station 13: the saturation line at the site's pressure, the return state, the supply temperature
 * read, the way of the air between them and the stretch expected. Cooled air loses moisture where both bulbs show it; heated air
 * keeps its own. Dry bulb in °C to the right, humidity ratio in g/kg upwards.
 */
final class PsychrometricFigure {
    private static final double COLDEST = 0;
    private static final double WARMEST_COOLING = 40;
    private static final double WARMEST_HEATING = 60;
    private static final double STEP = 1;
    private static final double TICK = 10;
    private static final double MOST_GRAMS = 24;
    private static final double GRAMS_TICK = 5;
    private static final double GRAMS = 1000;

    private final Component component;
    private final Case facts;
    private final Evidence evidence;
    private final Judgements judgements;
    private final boolean heating;
    private final double warmest;

    private PsychrometricFigure(Component component, Case facts, Evidence evidence, Judgements judgements) {
        this.component = component;
        this.facts = facts;
        this.evidence = evidence;
        this.judgements = judgements;
        this.heating = evidence.standing(
                        new PointKey(OperationPoints.MODE.id(), Subject.SYSTEM.id()), Value.Chosen.class)
                .filter(mode -> mode.option().equals(OperationPoints.HEATING))
                .isPresent();
        this.warmest = heating ? WARMEST_HEATING : WARMEST_COOLING;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.components().stream()
                .filter(Component::hasCoil)
                .map(component -> new PsychrometricFigure(component, facts, evidence, judgements).drawing())
                .toList();
    }

    private Drawing drawing() {
        Optional<Temperature> dryBulb = temperature(AirPoints.RETURN_DRY_BULB);
        Optional<Temperature> supply = temperature(AirPoints.SUPPLY_DRY_BULB);
        About judged = heating ? HeatingRise.ABOUT : TemperatureSplit.ABOUT;
        Optional<Judgement> judgement = judgements.find(judged, component.id());
        Meaning meaning = Meaning.of(judgements, judged, component.id());
        Optional<Comparison> band = judgement.flatMap(Judgement::comparison);
        Optional<Temperature> coldest =
                band.flatMap(c -> supplyAt(c, heating ? Bound.AT_LEAST : Bound.AT_MOST, dryBulb));
        Optional<Temperature> hottest =
                band.flatMap(c -> supplyAt(c, heating ? Bound.AT_MOST : Bound.AT_LEAST, dryBulb));
        Drawing.Builder chart = Drawing.of(
                heating ? Text.of("{component}, heating", component.title()) : Text.plain(component.title()),
                Frame.stretched(COLDEST - 2, -3, warmest + 5, MOST_GRAMS + 0.5));
        if (coldest.isPresent() && hottest.isPresent()) {
            chart.box(Role.PERMITTED, across(coldest.get()), 0, across(hottest.get()), MOST_GRAMS);
        }
        axes(chart);
        supply.ifPresent(t -> chart.line(
                        Role.READ,
                        meaning.on(key(AirPoints.SUPPLY_DRY_BULB)),
                        Place.of(across(t), 0),
                        Place.of(across(t), MOST_GRAMS))
                .words(
                        Text.of("supply {supply}", t),
                        Place.of(across(t), MOST_GRAMS - 2),
                        Weight.STRONG,
                        meaning.on(key(AirPoints.SUPPLY_DRY_BULB)),
                        Side.LEFT,
                        Side.RIGHT));
        Optional<Place> returned = returning(chart, dryBulb);
        returned.flatMap(from -> supply.flatMap(t -> supplied(from, t))).ifPresent(to -> chart.line(
                        Role.RUN, meaning.on(key(AirPoints.SUPPLY_DRY_BULB)), returned.orElseThrow(), to)
                .dot(Role.READ, to, key(AirPoints.SUPPLY_DRY_BULB)));
        if (coldest.isPresent() && hottest.isPresent()) {
            chart.words(
                    Text.of("expected {coldest} to {hottest}", coldest.get(), hottest.get()),
                    Place.of(across(hottest.get()), 2.2),
                    Weight.PLAIN,
                    Side.RIGHT,
                    Side.LEFT);
        }
        return chart.spoken(Text.of(
                "Return {dryBulb}, supply {supply}, expected {coldest} to {hottest}: {standing}",
                said(dryBulb),
                said(supply),
                said(coldest),
                said(hottest),
                meaning.said()));
    }

    private void axes(Drawing.Builder chart) {
        for (double grams = 0; grams < MOST_GRAMS; grams += GRAMS_TICK) {
            chart.line(grams == 0 ? Role.OUTLINE : Role.GRID, Place.of(COLDEST, grams), Place.of(warmest, grams));
            if (grams > 0) {
                chart.words(
                        Text.of("{grams} g/kg", Math.round(grams)), Place.of(warmest, grams), Weight.QUIET, Side.RIGHT);
            }
        }
        for (double celsius = COLDEST; celsius <= warmest; celsius += TICK) {
            chart.line(Role.OUTLINE, Place.of(celsius, 0), Place.of(celsius, -0.5))
                    .words(
                            Text.of("{celsius}", Temperature.ofCelsius(celsius)),
                            Place.of(celsius, -0.4),
                            Weight.QUIET,
                            Side.BELOW);
        }
        List<Place> saturation = saturation(facts.site().atmosphere());
        if (saturation.size() > 1) {
            chart.line(Role.CURVE, saturation)
                    .aside(Text.of("saturation"), saturation.get(saturation.size() - 1), Side.RIGHT, Side.LEFT);
        }
    }

    private Optional<Place> returning(Drawing.Builder chart, Optional<Temperature> dryBulb) {
        Optional<Place> state = dryBulb.flatMap(dry -> temperature(AirPoints.RETURN_WET_BULB)
                .flatMap(wet -> state(dry, wet, facts.site().atmosphere())));
        PointKey line = key(AirPoints.RETURN_WET_BULB);
        if (state.isPresent()) {
            chart.dot(Role.READ, state.get(), line)
                    .words(
                            Text.of("return {dryBulb}", dryBulb.orElseThrow()),
                            state.get(),
                            Weight.STRONG,
                            Meaning.of(line),
                            Side.RIGHT,
                            Side.LEFT,
                            Side.ABOVE);
        } else {
            chart.words(
                    Text.of("return air: both bulbs to be read"),
                    Place.of((COLDEST + warmest) / 2, MOST_GRAMS / 3),
                    Weight.QUIET,
                    Meaning.of(line),
                    Side.CENTRE);
        }
        return state;
    }

    /** Where the air went: heated it keeps its moisture, cooled both bulbs tell; empty where only one was read. */
    private Optional<Place> supplied(Place from, Temperature supply) {
        if (heating) {
            return Optional.of(Place.of(across(supply), from.y()));
        }
        return temperature(AirPoints.SUPPLY_WET_BULB)
                .flatMap(wet -> state(supply, wet, facts.site().atmosphere()));
    }

    private PointKey key(Point point) {
        return new PointKey(point.id(), component.id());
    }

    private static Object said(Optional<Temperature> temperature) {
        return temperature.map(t -> (Object) t).orElse("not known");
    }

    /** A temperature off the chart stands at its edge; its words say what it is. */
    private double across(Temperature temperature) {
        return Math.max(COLDEST, Math.min(warmest, temperature.celsius()));
    }

    /** The supply temperature at an end of the band: return air less the split allowed there. */
    private Optional<Temperature> supplyAt(Comparison band, Bound bound, Optional<Temperature> dryBulb) {
        return band.limits().stream()
                .filter(held -> held.binds() && held.limit().bound() == bound)
                .findFirst()
                .flatMap(held -> dryBulb.map(dry -> Temperature.ofKelvin(
                        dry.si() + (heating ? 1 : -1) * held.limit().value().si())));
    }

    private Optional<Temperature> temperature(Point point) {
        return evidence.standing(key(point), Value.Measured.class).map(read -> (Temperature) read.quantity());
    }

    private Optional<Place> state(Temperature dry, Temperature wet, AbsolutePressure pressure) {
        try {
            double grams = MoistAir.ofWetBulb(dry, wet, pressure).humidityRatio() * GRAMS;
            return Optional.of(Place.of(across(dry), Math.min(MOST_GRAMS, grams)));
        } catch (IllegalArgumentException impossible) {
            // two bulbs that do not go together are judged as such; here there is simply nothing to draw
            return Optional.empty();
        }
    }

    private List<Place> saturation(AbsolutePressure pressure) {
        List<Place> line = new ArrayList<>();
        if (!MoistAir.describes(pressure)) {
            return line;
        }
        for (double t = COLDEST; t <= warmest; t += STEP) {
            double grams =
                    MoistAir.saturated(Temperature.ofCelsius(t), pressure).humidityRatio() * GRAMS;
            if (grams <= MOST_GRAMS) {
                line.add(Place.of(t, grams));
            }
        }
        return line;
    }
}
