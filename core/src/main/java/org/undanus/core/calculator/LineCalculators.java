package org.undanus.core.calculator;

import static org.undanus.core.calculator.Calculators.step;

import java.util.List;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.Sweating;
import org.undanus.core.derived.Tube;
import org.undanus.core.judgement.Step;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Concentration;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Torque;
import org.undanus.core.quantity.Velocity;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.Volume;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.station.airside.DuctLeakage;
import org.undanus.core.station.condensate.Trap;
import org.undanus.core.station.electrical.ConduitFill;
import org.undanus.core.station.electrical.SupplyQuality;
import org.undanus.core.station.electrical.VoltageDrop;
import org.undanus.core.station.fuel.BurnerInput;
import org.undanus.core.station.fuel.CombustionAir;
import org.undanus.core.station.fuel.Monoxide;
import org.undanus.core.words.Text;

/** Computations of piping, condensate, electrical, fuel and air side. */
final class LineCalculators {
    private LineCalculators() {}

    static List<Computation> all() {
        return List.of(
                contents(),
                insulation(),
                flare(),
                trap(),
                condensate(),
                pour(),
                voltageDrop(),
                conduit(),
                imbalance(),
                input(),
                monoxide(),
                combustionAir(),
                faceVelocity(),
                leakage());
    }

    /** @throws InputException when no tube of the list is near it */
    private static Tube tube(Typed typed, String input) {
        return Tube.of(typed.positive(input))
                .orElseThrow(() -> new InputException(input, "No refrigerant tube has this outer diameter."));
    }

    private static Computation contents() {
        return new Computation(
                "line-contents",
                5,
                "What lines hold, and charge for them",
                "Σ π·d²/4·L with walls of " + Tube.SIZES_SOURCE + "; k·(L − L0)",
                List.of(
                        Input.of("length", "Length of the lines", Dimension.LENGTH, "38 ft"),
                        Input.of("liquid", "Liquid line, outer diameter", Dimension.LENGTH, "1/4 in"),
                        Input.of("suction", "Suction line, outer diameter", Dimension.LENGTH, "1/2 in"),
                        Input.of("precharged", "Length the charge is for", Dimension.LENGTH, "25 ft"),
                        Input.of("each", "Extra charge per length", Dimension.LINEAR_DENSITY, "0.22 oz/ft")),
                typed -> {
                    double length = typed.positive("length");
                    double added = LineContents.addedCharge(length, typed.si("precharged"), typed.positive("each"), 0);
                    return List.of(
                            step(
                                    "Inside both tubes",
                                    "Σ π·d²/4·L",
                                    Volume.ofCubicMetres(LineContents.volume(
                                            length, tube(typed, "liquid"), tube(typed, "suction")))),
                            step(
                                    "Charge to add",
                                    "k·(L − L0); none up to the length the charge is for, unless the maker has some taken out",
                                    Mass.ofKilograms(added)));
                });
    }

    private static Computation insulation() {
        return new Computation(
                "line-insulation",
                5,
                "Insulation against condensation",
                "(Ta − Ts)·h·ro = k·(Ts − Ti)/ln(ro/ri); ASHRAE Fundamentals",
                List.of(
                        Input.of("tube", "Tube, outer diameter", Dimension.LENGTH, "1/2 in"),
                        Input.of("inside", "Temperature of the tube", Dimension.TEMPERATURE, "45 °F"),
                        Input.of("air", "Air about it", Dimension.TEMPERATURE, "82 °F"),
                        Input.of("dew", "Dew point of that air", Dimension.TEMPERATURE, "72 °F"),
                        Input.of(
                                "k",
                                "Conductivity of the insulation",
                                Dimension.THERMAL_CONDUCTIVITY,
                                "0.28 Btu·in/h·ft²·F°"),
                        Input.of("h", "Surface coefficient, W/(m²·K)", Dimension.COUNT, "9")),
                typed -> {
                    if (typed.si("dew") >= typed.si("air")) {
                        throw new InputException("dew", "A dew point lies below the air's temperature.");
                    }
                    double needed = Sweating.thickness(
                            typed.si("air"),
                            typed.si("dew"),
                            typed.si("inside"),
                            typed.positive("tube") / 2,
                            typed.positive("k"),
                            typed.positive("h"));
                    return List.of(
                            step("Bare tube", "", Temperature.ofKelvin(typed.si("inside"))),
                            Step.of(
                                    "Insulation to ask for",
                                    "the surface as warm as the dew point",
                                    Text.of("{needed}", new AtLeast(Length.ofMetres(needed))),
                                    ""));
                });
    }

    private static Computation flare() {
        return new Computation(
                "flare",
                5,
                "Flare and its torque",
                Tube.FLARES_SOURCE + "; a data sheet goes first",
                List.of(Input.of("tube", "Tube, outer diameter", Dimension.LENGTH, "3/8 in")),
                typed -> {
                    Tube.Flare flare = tube(typed, "tube")
                            .flare()
                            .orElseThrow(
                                    () -> new InputException("tube", "Tube of this size is not flared by the table."));
                    return List.of(
                            Step.of(
                                    "Diameter of the flare",
                                    "",
                                    Text.of(
                                            "{leastDiameter} to {mostDiameter}",
                                            new Amount(Length.ofMetres(flare.leastDiameter()), 1e-4, 0),
                                            new Amount(Length.ofMetres(flare.mostDiameter()), 1e-4, 0)),
                                    Tube.FLARES_SOURCE),
                            Step.of(
                                    "Torque of the nut",
                                    "",
                                    Text.of(
                                            "{leastTorque} to {mostTorque}",
                                            Torque.ofNewtonMetres(flare.leastTorque()),
                                            Torque.ofNewtonMetres(flare.mostTorque())),
                                    Tube.FLARES_SOURCE));
                });
    }

    private static Computation trap() {
        return new Computation(
                "trap",
                6,
                "Trap for a cabinet that draws",
                "|Δp|/(ρ·g) + margin; seal a share of it",
                List.of(
                        Input.of("suction", "Suction at the pan", Dimension.PRESSURE_DIFFERENCE, "0.6 inwc"),
                        Input.of("margin", "Margin", Dimension.LENGTH, "1 in"),
                        Input.of("share", "Seal, share of the height", Dimension.RATIO, "50 %")),
                typed -> {
                    double drop = Trap.drop(Math.abs(typed.si("suction")), typed.si("margin"));
                    return List.of(
                            step("Height before the seal", "|Δp|/(ρ·g) + margin", Length.ofMetres(drop)),
                            step("Seal", "share of it", Length.ofMetres(drop * typed.positive("share"))));
                });
    }

    private static Computation condensate() {
        return new Computation(
                "condensate",
                6,
                "Water of a coil, at most",
                "Latent share of capacity over the heat of condensing",
                List.of(
                        Input.of("capacity", "Cooling capacity", Dimension.POWER, "36 kBtu/h"),
                        Input.of("sensible", "Sensible ratio", Dimension.RATIO, "75 %")),
                typed -> {
                    double rate = CondensateRate.ofCapacity(typed.positive("capacity"), typed.si("sensible"));
                    if (!(rate > 0)) {
                        throw new InputException("sensible", "Nothing condenses when all of it is sensible.");
                    }
                    return List.of(
                            step("Time of a litre", "1 L / rate", Duration.ofSeconds(Math.rint(1e-3 / rate))),
                            step("Water, at most", "Q·(1 − ratio)/h", LiquidFlow.ofCubicMetresPerSecond(rate)));
                });
    }

    private static Computation pour() {
        return new Computation(
                "pour",
                6,
                "Pour test",
                "Water poured over the time until clear",
                List.of(
                        Input.of("volume", "Water poured", Dimension.VOLUME, "0.5 gal"),
                        Input.of("time", "Time until clear", Dimension.DURATION, "75 s")),
                typed -> List.of(step(
                        "Flow that it showed",
                        "volume / time",
                        LiquidFlow.ofCubicMetresPerSecond(typed.positive("volume") / typed.positive("time")))));
    }

    private static Computation voltageDrop() {
        return new Computation(
                "voltage-drop",
                7,
                "Voltage lost on the way",
                "b·(ρ·L/S·cos φ + λ·L·sin φ)·I; IEC 60364-5-52, annex G",
                List.of(
                        Input.choice("metal", "Conductors", List.of("copper", "aluminium"), "copper"),
                        Input.choice("phases", "Phases", List.of("1", "3"), "1"),
                        Input.of("length", "Length one way", Dimension.LENGTH, "64 ft"),
                        Input.of("size", "Conductor size", Dimension.CONDUCTOR_AREA, "10 AWG"),
                        Input.of("current", "Current", Dimension.CURRENT, "22 A"),
                        Input.of("voltage", "Voltage", Dimension.VOLTAGE, "230 V"),
                        Input.of("temperature", "Temperature of the conductors", Dimension.TEMPERATURE, "140 °F"),
                        Input.of("cos", "Power factor", Dimension.RATIO, "90 %")),
                typed -> {
                    if (typed.si("cos") <= 0 || typed.si("cos") > 1) {
                        throw new InputException("cos", "A power factor lies between 0 and 100 %.");
                    }
                    double drop = VoltageDrop.drop(
                            typed.choice("metal").equals("copper"),
                            typed.choice("phases").equals("3"),
                            typed.positive("length"),
                            typed.positive("size"),
                            typed.positive("current"),
                            ((Temperature) typed.quantity("temperature")).celsius(),
                            typed.si("cos"));
                    return List.of(
                            Step.of(
                                    "Voltage lost",
                                    "b·(ρ·L/S·cos φ + λ·L·sin φ)·I",
                                    Text.of("{drop}", new Amount(Voltage.ofVolts(drop), 0.01, 0)),
                                    ""),
                            step("Share", "of the voltage", Ratio.ofFraction(drop / typed.positive("voltage"))));
                });
    }

    private static Computation conduit() {
        return new Computation(
                "conduit",
                7,
                "Conduit fill",
                "n·d²/D²; NFPA 70, chapter 9, table 1; check the adopted edition",
                List.of(
                        Input.of("wires", "Conductors", Dimension.COUNT, "4"),
                        Input.of("wire", "Diameter of one", Dimension.LENGTH, "0.184 in"),
                        Input.of("inside", "Conduit, inner diameter", Dimension.LENGTH, "0.622 in")),
                typed -> List.of(step(
                        "Filled",
                        "n·d²/D²",
                        Ratio.ofFraction(ConduitFill.fill(
                                typed.positive("wires"), typed.positive("wire"), typed.positive("inside"))))));
    }

    private static Computation imbalance() {
        return new Computation(
                "imbalance",
                7,
                "Imbalance of three phases",
                "Largest deviation over mean, NEMA MG 1",
                List.of(
                        Input.of("one", "Lines 1 and 2", Dimension.VOLTAGE, "400 V"),
                        Input.of("two", "Lines 2 and 3", Dimension.VOLTAGE, "404 V"),
                        Input.of("three", "Lines 3 and 1", Dimension.VOLTAGE, "396 V")),
                typed -> List.of(step(
                        "Imbalance",
                        "largest deviation / mean",
                        Ratio.ofFraction(SupplyQuality.imbalance(
                                typed.positive("one"), typed.positive("two"), typed.positive("three"))))));
    }

    private static Computation input() {
        return new Computation(
                "burner-input",
                8,
                "Burner input at the meter",
                "Volume × revolutions / time × heating value as metered",
                List.of(
                        Input.of("dial", "Volume of one revolution", Dimension.VOLUME, "2 ft³"),
                        Input.of("revolutions", "Revolutions", Dimension.COUNT, "1"),
                        Input.of("time", "Time for them", Dimension.DURATION, "104 s"),
                        Input.of("value", "Heating value", Dimension.HEATING_VALUE, "1030 Btu/ft³")),
                typed -> List.of(step(
                        "Input",
                        "V·n/t·H",
                        Power.ofWatts(BurnerInput.input(
                                typed.positive("dial"),
                                typed.positive("revolutions"),
                                typed.positive("time"),
                                typed.positive("value"),
                                1)))));
    }

    private static Computation monoxide() {
        return new Computation(
                "air-free",
                8,
                "Carbon monoxide, air-free",
                "CO · 20.9/(20.9 − O2)",
                List.of(
                        Input.of("monoxide", "Carbon monoxide as shown", Dimension.CONCENTRATION, "80 ppm"),
                        Input.of("oxygen", "Oxygen", Dimension.RATIO, "9 %")),
                typed -> {
                    double oxygen = typed.si("oxygen");
                    if (oxygen < 0 || oxygen >= 0.209) {
                        throw new InputException("oxygen", "Flue gas holds less oxygen than air, which has 20.9 %.");
                    }
                    return List.of(step(
                            "Air-free",
                            "CO · 20.9/(20.9 − O2)",
                            Concentration.ofParts(Monoxide.airFree(typed.si("monoxide"), oxygen))));
                });
    }

    private static Computation combustionAir() {
        return new Computation(
                "combustion-air",
                8,
                "Room for a fire",
                "So much for each 1000 Btu/h; fuel gas code, check the adopted edition",
                List.of(
                        Input.of("input", "Input of all fires", Dimension.POWER, "100 kBtu/h"),
                        Input.of("each", "Room for each 1000 Btu/h", Dimension.VOLUME, "50 ft³")),
                typed -> List.of(step(
                        "Room to ask for",
                        "input / 1000 Btu/h × each",
                        Volume.ofCubicMetres(CombustionAir.room(typed.positive("input"), typed.positive("each"))))));
    }

    private static Computation faceVelocity() {
        return new Computation(
                "face-velocity",
                9,
                "Velocity at a filter",
                "Airflow over face area",
                List.of(
                        Input.of("flow", "Airflow", Dimension.VOLUME_FLOW, "1200 cfm"),
                        Input.of("width", "Filter, width", Dimension.LENGTH, "20 in"),
                        Input.of("height", "Filter, height", Dimension.LENGTH, "20 in")),
                typed -> List.of(step(
                        "Face velocity",
                        "flow / area",
                        Velocity.ofMetresPerSecond(
                                typed.positive("flow") / (typed.positive("width") * typed.positive("height"))))));
    }

    private static Computation leakage() {
        return new Computation(
                "duct-leakage",
                9,
                "Duct leakage at another pressure",
                "Q·(p ref/Δp)^n; ASTM E1554",
                List.of(
                        Input.of("flow", "Leakage as tested", Dimension.VOLUME_FLOW, "60 cfm"),
                        Input.of("pressure", "Test pressure", Dimension.PRESSURE_DIFFERENCE, "50 Pa"),
                        Input.of("reference", "Pressure wanted", Dimension.PRESSURE_DIFFERENCE, "25 Pa"),
                        Input.of("exponent", "Exponent n", Dimension.COUNT, "0.65")),
                typed -> List.of(step(
                        "Leakage there",
                        "Q·(p ref/Δp)^n",
                        VolumeFlow.ofCubicMetresPerSecond(DuctLeakage.at(
                                typed.positive("reference"),
                                typed.positive("flow"),
                                typed.positive("pressure"),
                                typed.positive("exponent"))))));
    }
}
