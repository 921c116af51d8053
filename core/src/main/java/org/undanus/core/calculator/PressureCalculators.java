package org.undanus.core.calculator;

import static org.undanus.core.calculator.Calculators.step;

import java.util.List;
import org.undanus.core.curve.LeakFlow;
import org.undanus.core.curve.NitrogenHold;
import org.undanus.core.curve.PullDown;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.judgement.Step;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Leak;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.OfGas;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.words.Text;

/** Computations of the tightness test and of evacuation. */
final class PressureCalculators {
    /** Seconds of a year (365.25 days). */
    private static final double YEAR = 31_557_600;

    private static final String REAL_GAS = "Same density at the later temperature, p = ρRT(1 + Bρ + Cρ²); nitrogen";

    private PressureCalculators() {}

    static List<Computation> all() {
        return List.of(warmed(), smallestLeak(), holdNeeded(), pullDown(), rise(), vacuum());
    }

    private static AbsolutePressure absolute(Typed typed, String input) {
        AbsolutePressure air = AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(typed.si("elevation")));
        return GaugePressure.ofPascals(typed.si(input)).absolute(air);
    }

    private static AbsolutePressure air(Typed typed) {
        return AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(typed.si("elevation")));
    }

    private static Temperature temperature(Typed typed, AbsolutePressure pressure, String input) {
        Temperature read = Temperature.ofKelvin(typed.si(input));
        if (!Nitrogen.describes(pressure, read)) {
            throw new InputException(input, "Nitrogen is described from -30 to 60 °C and up to 5 MPa.");
        }
        return read;
    }

    private static Computation warmed() {
        return new Computation(
                "nitrogen-temperature",
                10,
                "Pressure by temperature alone",
                REAL_GAS,
                List.of(
                        Input.of("pressure", "Pressure at the start", Dimension.GAUGE_PRESSURE, "400 psig"),
                        Input.of("start", "Temperature at the start", Dimension.TEMPERATURE, "74 °F"),
                        Input.of("end", "Temperature at the end", Dimension.TEMPERATURE, "58 °F"),
                        Input.of("elevation", "Height above sea level", Dimension.LENGTH, "2100 ft")),
                typed -> {
                    AbsolutePressure start = absolute(typed, "pressure");
                    AbsolutePressure end = Nitrogen.warmed(
                            start, temperature(typed, start, "start"), temperature(typed, start, "end"));
                    return List.of(
                            step("Pressure at the end", REAL_GAS, end.gauge(air(typed))),
                            step("Change", "p2 − p1", end.minus(start)));
                });
    }

    private static Computation smallestLeak() {
        return new Computation(
                "smallest-leak",
                10,
                "Smallest leak a hold could show",
                "V·U(Δp)/Δt; q ∝ (p² − p_air²)/η to refrigerant",
                List.of(
                        Input.of("volume", "Volume under test", Dimension.VOLUME, "2.1 L"),
                        Input.of("time", "Held for", Dimension.DURATION, "14 h"),
                        Input.of("pressure", "Pressure", Dimension.GAUGE_PRESSURE, "400 psig"),
                        Input.of("step", "Step of the gauge's display", Dimension.PRESSURE_DIFFERENCE, "1 psi"),
                        Input.of("elevation", "Height above sea level", Dimension.LENGTH, "2100 ft")),
                typed -> {
                    double u = typed.positive("step") / Math.sqrt(12);
                    AbsolutePressure tested = absolute(typed, "pressure");
                    Temperature steady = Temperature.ofCelsius(20);
                    temperatureOf(tested, steady);
                    NitrogenHold hold = NitrogenHold.of(
                            new Uncertain(tested.si(), u),
                            new Uncertain(tested.si(), u),
                            Uncertain.exact(steady.si()),
                            Uncertain.exact(steady.si()),
                            typed.positive("time"));
                    double leak = hold.smallestLeak(typed.positive("volume"));
                    Refrigerant r = Refrigerant.shipped("R410A").orElseThrow();
                    return List.of(
                            Step.of(
                                    "Change that would have shown",
                                    "U(Δp), steady temperature",
                                    Text.of(
                                            "{expanded}",
                                            new OfGas(hold.change().expanded())),
                                    ""),
                            step("Smallest leak", "V·U(Δp)/Δt", Leak.ofPascalCubicMetresPerSecond(leak)),
                            Step.of(
                                    "As R410A at 25 °C, lost in a year",
                                    "q·M/(RT)",
                                    Text.of(
                                            "{year}",
                                            Mass.ofKilograms(YEAR * LeakFlow.refrigerant(leak, tested, air(typed), r))),
                                    ""));
                });
    }

    private static void temperatureOf(AbsolutePressure pressure, Temperature steady) {
        if (!Nitrogen.describes(pressure, steady)) {
            throw new InputException("pressure", "Nitrogen is described up to 5 MPa.");
        }
    }

    private static Computation holdNeeded() {
        return new Computation(
                "hold-needed",
                10,
                "How long to hold",
                "V·U(Δp)/q",
                List.of(
                        Input.of("volume", "Volume under test", Dimension.VOLUME, "2.1 L"),
                        Input.of("change", "Change that would show", Dimension.PRESSURE_DIFFERENCE, "1.2 kPa"),
                        Input.of("leak", "Leak that must show", Dimension.LEAK, "0.05 Pa·L/s")),
                typed -> List.of(step(
                        "Hold it for",
                        "V·U(Δp)/q",
                        Duration.ofSeconds(
                                typed.positive("volume") * typed.positive("change") / typed.positive("leak")))));
    }

    private static Computation pullDown() {
        return new Computation(
                "pull-down",
                11,
                "How fast it pulls down",
                "dp/dt = −S·(p − p_u)/V, 1/S = 1/S_pump + 1/C, C = π·d⁴·p̄/(128·η·L) + 121·d³/L",
                List.of(
                        Input.of("volume", "Volume to be emptied", Dimension.VOLUME, "2.1 L"),
                        Input.of("pump", "Pump, rated displacement", Dimension.VOLUME_FLOW, "4 cfm"),
                        Input.of("ultimate", "Vacuum the pump reaches alone", Dimension.ABSOLUTE_PRESSURE, "30 micron"),
                        Input.of("bore", "Hose, bore", Dimension.LENGTH, "1/4 in"),
                        Input.of("hose", "Hose, length", Dimension.LENGTH, "5 ft"),
                        Input.of("target", "Vacuum to be reached", Dimension.ABSOLUTE_PRESSURE, "300 micron"),
                        Input.of("elevation", "Height above sea level", Dimension.LENGTH, "2100 ft")),
                typed -> {
                    PullDown pull = new PullDown(
                            typed.positive("volume"),
                            typed.positive("pump"),
                            typed.si("ultimate"),
                            typed.positive("bore"),
                            typed.positive("hose"));
                    double time = pull.time(air(typed).si(), typed.positive("target"));
                    if (Double.isInfinite(time)) {
                        throw new InputException("target", "The pump never comes below what it reaches alone.");
                    }
                    return List.of(
                            step("Quickest, dry and tight", "∫ V·dp/(S·(p − p_u))", Duration.ofSeconds(time)),
                            step(
                                    "What the pump draws through the hose there",
                                    "1/S = 1/S_pump + 1/C",
                                    VolumeFlow.ofCubicMetresPerSecond(pull.speedAt(typed.positive("target")))));
                });
    }

    private static Computation rise() {
        return new Computation(
                "vacuum-rise",
                11,
                "Leak from a straight rise",
                "q = V·Δp/Δt, where the course is straight",
                List.of(
                        Input.of("volume", "Volume isolated", Dimension.VOLUME, "2.1 L"),
                        Input.of("first", "Vacuum at isolation", Dimension.ABSOLUTE_PRESSURE, "300 micron"),
                        Input.of("last", "Vacuum at the end", Dimension.ABSOLUTE_PRESSURE, "800 micron"),
                        Input.of("time", "Isolated for", Dimension.DURATION, "15 min")),
                typed -> List.of(step(
                        "Leak",
                        "V·Δp/Δt",
                        Leak.ofPascalCubicMetresPerSecond(typed.positive("volume")
                                * (typed.si("last") - typed.si("first"))
                                / typed.positive("time")))));
    }

    private static Computation vacuum() {
        return new Computation(
                "water-in-vacuum",
                11,
                "Water in a vacuum",
                "Saturation pressure of water and ice; ASHRAE Fundamentals (Hyland and Wexler)",
                List.of(Input.of("wall", "Coldest wall", Dimension.TEMPERATURE, "54 °F")),
                typed -> {
                    Temperature wall = Temperature.ofKelvin(typed.si("wall"));
                    if (wall.celsius() < -100 || wall.celsius() > 200) {
                        throw new InputException("wall", "Water's pressure is described from -100 to 200 °C.");
                    }
                    return List.of(step("Water or ice holds", "", MoistAir.saturationPressure(wall)));
                });
    }
}
