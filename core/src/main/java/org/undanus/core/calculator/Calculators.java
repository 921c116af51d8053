package org.undanus.core.calculator;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.ChargeLimit;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.judgement.Step;
import org.undanus.core.quantity.Area;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Frequency;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.SoundLevel;
import org.undanus.core.station.access.PassageFit;
import org.undanus.core.station.mounting.HoleFall;
import org.undanus.core.station.siting.Isolator;
import org.undanus.core.station.siting.SoundSpread;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** Every computation of the stations there are. What rule books decide stands in its inputs, with a common value typed in. */
public final class Calculators {
    private static final String CHARGE_SOURCE =
            "IEC 60335-2-40, simplified to one room without ventilation; check the adopted edition";

    private final List<Computation> all;

    private Calculators(Refrigerants known) {
        all = Stream.concat(
                        Stream.of(
                                capacity(),
                                support(),
                                isolators(),
                                snow(),
                                sound(),
                                charge(known),
                                roomForCharge(known),
                                passage(),
                                bundle(),
                                hole(),
                                run()),
                        Stream.of(
                                        LineCalculators.all(),
                                        PressureCalculators.all(),
                                        new RefrigerantCalculators(known).all())
                                .flatMap(List::stream))
                .toList();
    }

    /** @param known the refrigerants that may be chosen */
    public static Calculators of(Refrigerants known) {
        return new Calculators(known);
    }

    public List<Computation> all() {
        return all;
    }

    public Optional<Computation> named(String id) {
        return all.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    static Step step(String name, String how, Quantity value) {
        return Step.of(name, how, value, "");
    }

    private static Computation capacity() {
        return new Computation(
                "capacity",
                1,
                "Capacity over load",
                "Load summary and capacity table",
                List.of(
                        Input.of("capacity", "Capacity at design temperatures", Dimension.POWER, "12 kBtu/h"),
                        Input.of("load", "Stated load", Dimension.POWER, "11 kBtu/h")),
                typed -> List.of(step(
                        "Capacity over load",
                        "capacity / load",
                        Ratio.ofFraction(typed.positive("capacity") / typed.positive("load")))));
    }

    private static Computation support() {
        return new Computation(
                "support",
                2,
                "Bracket or stand",
                "Capacity at least factor × mass",
                List.of(
                        Input.of("mass", "Mass of the unit", Dimension.MASS, "86 lb"),
                        Input.of("factor", "Factor", Dimension.COUNT, "4")),
                typed -> List.of(step(
                        "Rated load to ask for",
                        "factor × mass",
                        Mass.ofKilograms(typed.positive("factor") * typed.positive("mass")))));
    }

    private static Computation isolators() {
        return new Computation(
                "isolators",
                2,
                "Isolators",
                "Undamped spring: √(g/δ)/2π, 1/|1 − (f/f₀)²|",
                List.of(
                        Input.of("mass", "Mass of the unit", Dimension.MASS, "86 lb"),
                        Input.of("count", "Isolators", Dimension.COUNT, "4"),
                        Input.of("deflection", "Deflection under the unit", Dimension.LENGTH, "0.3 in"),
                        Input.of("speed", "Speed of the fan", Dimension.FREQUENCY, "860 rpm")),
                typed -> {
                    double deflection = typed.positive("deflection");
                    return List.of(
                            step(
                                    "Load on each",
                                    "mass / isolators",
                                    Mass.ofKilograms(typed.positive("mass") / typed.positive("count"))),
                            step(
                                    "Natural frequency",
                                    "√(g/δ)/2π",
                                    Frequency.ofHertz(Isolator.naturalFrequency(deflection))),
                            step(
                                    "Transmissibility",
                                    "1/|1 − (f/f₀)²|",
                                    Ratio.ofFraction(Isolator.transmissibility(typed.positive("speed"), deflection))));
                });
    }

    private static Computation snow() {
        return new Computation(
                        "base",
                        2,
                        "Base over snow and flood",
                        "Snow and margin, or flood level and freeboard, whichever is more",
                        List.of(
                                Input.of("snow", "Design snow depth", Dimension.LENGTH, "21.7 in"),
                                Input.of("margin", "Room for ice to fall", Dimension.LENGTH, "12 in"),
                                Input.of("flood", "Flood level over the ground", Dimension.LENGTH, "0 in"),
                                Input.of("freeboard", "Freeboard", Dimension.LENGTH, "12 in")),
                        typed -> {
                            double snow = typed.si("snow") + typed.si("margin");
                            double flood = typed.si("flood") > 0 ? typed.si("flood") + typed.si("freeboard") : 0;
                            return List.of(
                                    step("For snow", "depth + margin", Length.ofMetres(snow)),
                                    step("For flood", "level + freeboard; 0 without flood", Length.ofMetres(flood)),
                                    step(
                                            "Base over the ground",
                                            "the greater",
                                            Length.ofMetres(Math.max(snow, flood))));
                        })
                .drawnBy(typed -> {
                    double snow = typed.si("snow") + typed.si("margin");
                    double flood = typed.si("flood") > 0 ? typed.si("flood") + typed.si("freeboard") : 0;
                    return Sketches.base(typed.si("snow"), typed.si("flood"), Math.max(snow, flood));
                });
    }

    private static Computation sound() {
        return new Computation(
                        "sound",
                        2,
                        "Sound at a distance",
                        "Lp(r₂) = Lp(r₁) − 20·log₁₀(r₂/r₁), ISO 9613-2; levels add as energies",
                        List.of(
                                Input.of("level", "Sound levels from the sheets", Dimension.SOUND_LEVEL, "49 dB")
                                        .orSeveral(),
                                Input.of("at", "known at", Dimension.LENGTH, "1 m"),
                                Input.of("distance", "Distances, in the same order", Dimension.LENGTH, "13 ft")
                                        .orSeveral(),
                                Input.of("walls", "Reflecting walls", Dimension.COUNT, "1"),
                                Input.of("wall", "Added by each wall", Dimension.SOUND_LEVEL, "3 dB")),
                        typed -> {
                            List<Double> levels = typed.each("level");
                            List<Double> distances = typed.each("distance");
                            if (levels.size() != distances.size()) {
                                throw new InputException(
                                        "distance", "As many distances as levels, parted by semicolons.");
                            }
                            if (distances.stream().anyMatch(d -> d <= 0)) {
                                throw new InputException("distance", "This must be more than nothing.");
                            }
                            List<Step> steps = new ArrayList<>();
                            List<Double> there = new ArrayList<>();
                            for (int i = 0; i < levels.size(); i++) {
                                double level = SoundSpread.at(levels.get(i), typed.positive("at"), distances.get(i))
                                        + typed.si("walls") * typed.si("wall");
                                there.add(level);
                                steps.add(new Step(
                                        Text.of("Unit {number}", i + 1),
                                        Text.of("spread and walls"),
                                        SoundLevel.ofDecibels(level),
                                        Text.empty()));
                            }
                            steps.add(step("Together", "energy sum", SoundLevel.ofDecibels(SoundSpread.sum(there))));
                            return steps;
                        })
                .drawnBy(typed -> Sketches.heard(typed.each("level"), typed.each("distance")));
    }

    private static Input burning(Refrigerants known) {
        List<String> names = known.all()
                .filter(Refrigerant::flammable)
                .map(Refrigerant::name)
                .toList();
        return Input.choice("refrigerant", "Refrigerant", names, names.get(0));
    }

    private static Input height() {
        return Input.of("height", "Release height, from the rule book", Dimension.LENGTH, "1.8 m");
    }

    private static double flammabilityLimit(Refrigerants known, Typed typed) {
        return known.named(typed.choice("refrigerant"))
                .flatMap(Refrigerant::lowerFlammabilityLimit)
                .orElseThrow();
    }

    private static Computation charge(Refrigerants known) {
        return new Computation(
                "charge",
                2,
                "Flammable refrigerant for a room",
                CHARGE_SOURCE,
                List.of(burning(known), height(), Input.of("area", "Floor area", Dimension.AREA, "200 ft2")),
                typed -> List.of(step(
                        "Most refrigerant",
                        "2.5·LFL^1.25·h₀·√A",
                        Mass.ofKilograms(ChargeLimit.kilograms(
                                flammabilityLimit(known, typed), typed.positive("height"), typed.positive("area"))))));
    }

    private static Computation roomForCharge(Refrigerants known) {
        return new Computation(
                "room",
                2,
                "Room for a flammable charge",
                CHARGE_SOURCE,
                List.of(
                        burning(known),
                        height(),
                        Input.of("charge", "Refrigerant in all", Dimension.MASS, "4 lb 2 oz")),
                typed -> List.of(step(
                        "Least floor area",
                        "(m / (2.5·LFL^1.25·h₀))²",
                        Area.ofSquareMetres(ChargeLimit.area(
                                flammabilityLimit(known, typed),
                                typed.positive("height"),
                                typed.positive("charge"))))));
    }

    private static Computation passage() {
        return new Computation(
                        "passage",
                        3,
                        "Largest piece through an opening",
                        "Rectangles in rectangles, Math. Mag. 73 (2000)",
                        List.of(
                                Input.of("width", "Piece, width", Dimension.LENGTH, "21 in"),
                                Input.of("depth", "Piece, depth", Dimension.LENGTH, "22 in"),
                                Input.of("height", "Piece, height", Dimension.LENGTH, "50 in"),
                                Input.of("opening-width", "Opening, width", Dimension.LENGTH, "22 in"),
                                Input.of("opening-height", "Opening, height", Dimension.LENGTH, "30 in")),
                        typed -> {
                            double spare = PassageFit.spare(
                                    new double[] {
                                        typed.positive("width"), typed.positive("depth"), typed.positive("height")
                                    },
                                    typed.positive("opening-width"),
                                    typed.positive("opening-height"));
                            return List.of(Step.of(
                                    spare >= 0 ? "It goes through" : "It does not go through",
                                    "straight or turned in the plane of the opening",
                                    Text.of(
                                            spare >= 0 ? "{spare} to spare" : "{spare} too large",
                                            Length.ofMetres(Math.abs(spare))),
                                    ""));
                        })
                .drawnBy(typed -> {
                    double[] piece = {typed.positive("width"), typed.positive("depth"), typed.positive("height")};
                    Arrays.sort(piece);
                    double width = typed.positive("opening-width");
                    double height = typed.positive("opening-height");
                    return width <= height
                            ? Sketches.passage(piece[0], piece[1], width, height)
                            : Sketches.passage(piece[1], piece[0], width, height);
                });
    }

    private static Computation bundle() {
        return new Computation(
                        "bundle",
                        4,
                        "Hole for a bundle",
                        "Circles packed in a circle, many starts; within 1 % of the best known",
                        List.of(
                                Input.of(
                                                "diameters",
                                                "Outer diameters, with insulation",
                                                Dimension.LENGTH,
                                                "5/8 in; 1-1/8 in; 1 in; 0.45 in")
                                        .orSeveral(),
                                Input.of("slack", "Room to spare", Dimension.RATIO, "10 %")),
                        typed -> {
                            Bundle packed = packed(typed);
                            double diameter = 2 * packed.radius();
                            return List.of(
                                    step("Packed", "smallest circle about them", Length.ofMetres(diameter)),
                                    step(
                                            "Hole to ask for",
                                            "with room to spare",
                                            Length.ofMetres(diameter * (1 + typed.si("slack")))));
                        })
                .drawnBy(typed -> {
                    Bundle packed = packed(typed);
                    return Sketches.bundle(packed, packed.radius() * (1 + typed.si("slack")));
                });
    }

    private static Bundle packed(Typed typed) {
        try {
            return Bundle.of(typed.each("diameters").stream().map(d -> d / 2).toList());
        } catch (IllegalArgumentException e) {
            throw new InputException("diameters", RefusedException.said(e));
        }
    }

    private static Computation hole() {
        return new Computation(
                        "hole",
                        4,
                        "Fall of a hole",
                        "(height inside − height outside) / thickness",
                        List.of(
                                Input.of("inner", "Height inside", Dimension.LENGTH, "80-1/4 in"),
                                Input.of("outer", "Height outside", Dimension.LENGTH, "79-5/8 in"),
                                Input.of("thickness", "Wall thickness", Dimension.LENGTH, "9-1/2 in")),
                        typed -> List.of(step(
                                "Fall outward",
                                "(inside − outside) / thickness",
                                Ratio.ofFraction(HoleFall.fall(
                                        typed.si("inner"), typed.si("outer"), typed.positive("thickness"))))))
                .drawnBy(typed -> Sketches.fall(typed.positive("thickness"), typed.si("inner") - typed.si("outer")));
    }

    private static Computation run() {
        return new Computation(
                        "run",
                        4,
                        "Fall of a run",
                        "Length × slope against the height there is",
                        List.of(
                                Input.of("length", "Length of the run", Dimension.LENGTH, "17 ft"),
                                Input.of("slope", "Slope", Dimension.RATIO, "1 %"),
                                Input.of("available", "Height there is", Dimension.LENGTH, "3 in")),
                        typed -> {
                            double needed = typed.positive("length") * typed.positive("slope");
                            double left = typed.si("available") - needed;
                            return List.of(
                                    step("Fall needed", "length × slope", Length.ofMetres(needed)),
                                    Step.of(
                                            left >= 0 ? "It can fall" : "It cannot fall",
                                            "height there is − fall needed",
                                            Text.of(
                                                    left >= 0 ? "{left} to spare" : "{left} lacking",
                                                    Length.ofMetres(Math.abs(left))),
                                            ""));
                        })
                .drawnBy(typed ->
                        Sketches.fall(typed.positive("length"), typed.positive("length") * typed.positive("slope")));
    }
}
