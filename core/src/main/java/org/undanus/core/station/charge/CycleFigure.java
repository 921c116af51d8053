package org.undanus.core.station.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Enthalpy;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * The cycle as it was read, over enthalpy and the logarithm of pressure: the liquid's and the vapour's lines from the tables, the
 * states read as dots within what their instruments leave open, and the way between them.
 */
final class CycleFigure {
    private static final int DRAWN = 40;
    private static final double KILO = 1000;
    private static final double MARGIN = 0.04;
    private static final int ROUND = 24;
    private static final double OVER = 0.07;

    private final Examination x;
    private final Enthalpy enthalpy;
    private final Saturation saturation;
    private final RefrigerantState state;
    private final Temperature warmest;
    private final double leastHeat;
    private final double mostHeat;
    private final double low;
    private final double high;

    private CycleFigure(Examination x, Refrigerant refrigerant) {
        this.x = x;
        this.enthalpy = refrigerant.enthalpy();
        this.saturation = refrigerant.saturation();
        this.state = RefrigerantState.of(x).orElseThrow();
        this.warmest = Temperature.ofKelvin(
                Math.min(enthalpy.warmest().si(), saturation.warmest().si()));
        this.leastHeat = enthalpy.liquid(enthalpy.coldest(), 0);
        this.mostHeat = enthalpy.vapour(warmest, 0) + (enthalpy.vapour(enthalpy.coldest(), 0) - leastHeat) / 3;
        this.low = Math.log(saturation.dew(enthalpy.coldest()).si());
        this.high = Math.log(saturation.bubble(warmest).si());
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.OUTDOOR_UNIT).stream()
                .flatMap(unit -> draw(facts, evidence, rules, judgements, unit).stream())
                .toList();
    }

    private static Optional<Drawing> draw(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Subject unit) {
        Examination x = Examination.of(facts, evidence, rules, SoundCycle.ABOUT, unit);
        return x.refrigerant(PlatePoints.REFRIGERANT)
                .map(refrigerant -> new CycleFigure(x, refrigerant).draw(judgements, refrigerant));
    }

    private Place place(double joules, double pascals) {
        return Place.of(
                (joules - leastHeat) / (mostHeat - leastHeat), (Math.log(Math.max(pascals, 1)) - low) / (high - low));
    }

    private Drawing draw(Judgements judgements, Refrigerant refrigerant) {
        Drawing.Builder drawing = Drawing.of(x.subject().title(), Frame.stretched(-0.16, -0.12, 1.13, 1.06));
        axes(drawing);
        lines(drawing);
        List<Text> said = new ArrayList<>();
        cycle(drawing, said);
        Meaning meaning = Meaning.of(judgements, SoundCycle.ABOUT, x.subject().id());
        Text because = judgements
                .find(SoundCycle.ABOUT, x.subject().id())
                .map(Judgement::because)
                .orElse(Text.empty());
        return drawing.caption(Text.of(
                        "{refrigerant} over enthalpy and pressure (logarithmic). Dots: as read, with what the instruments leave open.",
                        refrigerant.name()))
                .spoken(Text.of(
                        "Cycle of {refrigerant}: {said}. {standing}: {because}",
                        refrigerant.name(),
                        said.isEmpty() ? "no state has been read" : Text.list(said),
                        meaning.said(),
                        because));
    }

    private void axes(Drawing.Builder drawing) {
        drawing.line(Role.OUTLINE, Place.of(0, 0), Place.of(1, 0)).line(Role.OUTLINE, Place.of(0, 0), Place.of(0, 1));
        for (double celsius = -40; celsius <= 60; celsius += 20) {
            Temperature at = Temperature.ofCelsius(celsius);
            double pressure = saturation.dew(at).si();
            double up = place(leastHeat, pressure).y();
            if (up >= 0 && up <= 1) {
                drawing.line(Role.GRID, Place.of(0, up), Place.of(1, up))
                        .words(
                                Text.of(
                                        "{gauge}",
                                        AbsolutePressure.ofPascals(pressure).gauge(state.air())),
                                Place.of(0, up),
                                Weight.QUIET,
                                Side.LEFT)
                        .words(Text.of("{at}", at), Place.of(1, up), Weight.QUIET, Side.RIGHT);
            }
        }
        double step = 100 * KILO;
        for (double heat = Math.ceil(leastHeat / step) * step; heat <= mostHeat; heat += step) {
            double across = place(heat, 1).x();
            drawing.line(Role.OUTLINE, Place.of(across, 0), Place.of(across, -0.02))
                    .words(
                            Text.of("{heat} kJ/kg", Math.round(heat / KILO)),
                            Place.of(across, -0.02),
                            Weight.QUIET,
                            Side.BELOW);
        }
    }

    private void lines(Drawing.Builder drawing) {
        List<Place> liquid = new ArrayList<>();
        List<Place> vapour = new ArrayList<>();
        double coldest = enthalpy.coldest().celsius();
        for (int i = 0; i <= DRAWN; i++) {
            Temperature at = Temperature.ofCelsius(coldest + (warmest.celsius() - coldest) * i / DRAWN);
            liquid.add(place(enthalpy.liquid(at, 0), saturation.bubble(at).si()));
            vapour.add(place(enthalpy.vapour(at, 0), saturation.dew(at).si()));
        }
        drawing.line(Role.CURVE, liquid)
                .aside(Text.of("liquid"), liquid.get(DRAWN / 4), Side.LEFT, Side.RIGHT)
                .line(Role.CURVE, vapour)
                .aside(Text.of("vapour"), vapour.get(DRAWN / 4), Side.RIGHT, Side.LEFT);
    }

    /** A state that was read. */
    private record Spot(Place at, double heat, double pressure) {}

    private void cycle(Drawing.Builder drawing, List<Text> said) {
        Optional<Spot> liquid = spot(drawing, RefrigerantState.HIGH, true, said);
        Optional<Spot> suction = spot(drawing, RefrigerantState.LOW, false, said);
        if (liquid.isPresent() && suction.isPresent()) {
            Place metered = place(liquid.get().heat, suction.get().pressure);
            drawing.line(Role.RUN, liquid.get().at, metered).line(Role.RUN, metered, suction.get().at);
            discharge(liquid.get()).ifPresent(hot -> {
                drawing.line(Role.RUN, suction.get().at, hot.at).line(Role.RUN, hot.at, liquid.get().at);
                dot(drawing, hot.at, ChargePoints.DISCHARGE_TEMPERATURE, Text.of("discharge"), Side.LEFT);
                said.add(Text.of("discharge read"));
            });
        }
    }

    private Optional<Spot> discharge(Spot liquid) {
        return x.number(ChargePoints.DISCHARGE_TEMPERATURE).flatMap(hot -> {
            try {
                Temperature dew = saturation.dewTemperature(AbsolutePressure.ofPascals(liquid.pressure));
                double heat = enthalpy.vapour(dew, hot - dew.si());
                return Optional.of(new Spot(place(heat, liquid.pressure), heat, liquid.pressure));
            } catch (IllegalArgumentException outsideItsTable) {
                return Optional.empty();
            }
        });
    }

    /** Its words stand over it, where the cycle's own lines do not run. */
    private void dot(Drawing.Builder drawing, Place at, Point point, Text words, Side side) {
        PointKey key = new PointKey(point.id(), x.subject().id());
        drawing.dot(Role.READ, at, key)
                .words(words, Place.of(at.x(), at.y() + OVER), Weight.STRONG, Meaning.of(key), side, Side.ABOVE);
    }

    private Optional<Spot> spot(Drawing.Builder drawing, List<Point> points, boolean liquid, List<Text> said) {
        if (!x.missing(points.toArray(Point[]::new)).isEmpty()) {
            return Optional.empty();
        }
        Uncertain gauge = x.need(points.get(0)).uncertain();
        AbsolutePressure pressure =
                AbsolutePressure.ofPascals(gauge.value() + state.air().si());
        try {
            Uncertain by = liquid ? state.subcooling() : state.superheat();
            Temperature at = liquid ? saturation.bubbleTemperature(pressure) : saturation.dewTemperature(pressure);
            double heat = heat(at, by.value(), liquid);
            Place middle = place(heat, pressure.si());
            double wide = Math.abs(heat(at, by.value() + by.expanded(), liquid) - heat) / (mostHeat - leastHeat);
            double tall = gauge.expanded() / pressure.si() / (high - low);
            drawing.area(Role.PERMITTED, ellipse(middle, Math.max(wide, MARGIN / 8), Math.max(tall, MARGIN / 8)));
            String name = liquid ? "liquid line" : "suction line";
            dot(
                    drawing,
                    middle,
                    points.get(1),
                    Text.of(
                            liquid ? "liquid line, {by} subcooled" : "suction line, {by} superheated",
                            TemperatureDifference.ofKelvin(by.value())),
                    liquid ? Side.RIGHT : Side.LEFT);
            said.add(Text.of("{name} read", name));
            return Optional.of(new Spot(middle, heat, pressure.si()));
        } catch (IllegalArgumentException outsideItsTable) {
            return Optional.empty();
        }
    }

    private double heat(Temperature at, double by, boolean liquid) {
        return liquid ? enthalpy.liquid(at, by) : enthalpy.vapour(at, by);
    }

    private static Place[] ellipse(Place middle, double wide, double tall) {
        Place[] round = new Place[ROUND];
        for (int i = 0; i < ROUND; i++) {
            double angle = 2 * Math.PI * i / ROUND;
            round[i] = Place.of(middle.x() + wide * Math.cos(angle), middle.y() + tall * Math.sin(angle));
        }
        return round;
    }
}
