package org.undanus.core.calculator;

import static org.undanus.core.calculator.Calculators.step;

import java.util.List;
import java.util.function.Supplier;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.station.charge.TargetSuperheat;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** Computations of release and charge. */
final class RefrigerantCalculators {
    private static final int STATION = 12;
    private static final String TABLES = "Saturation by published reference equations of state, interpolated";
    private static final Input ELEVATION = Input.of("elevation", "Height above sea level", Dimension.LENGTH, "2100 ft");

    private final Refrigerants known;
    private final Input refrigerant;

    RefrigerantCalculators(Refrigerants known) {
        this.known = known;
        this.refrigerant = Input.choice("refrigerant", "Refrigerant", known.names(), "R410A");
    }

    List<Computation> all() {
        return List.of(temperatures(), pressures(), subcooling(), superheat(), targetSuperheat());
    }

    private Saturation table(Typed typed) {
        return known.named(typed.choice("refrigerant")).orElseThrow().saturation();
    }

    private static AbsolutePressure air(Typed typed) {
        return AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(typed.si("elevation")));
    }

    /** The tables name their range where they are left. */
    private static <T> T within(String input, Supplier<T> found) {
        try {
            return found.get();
        } catch (IllegalArgumentException e) {
            throw new InputException(input, Text.of("{why}.", RefusedException.said(e)));
        }
    }

    private Computation temperatures() {
        return new Computation(
                "saturation-temperature",
                STATION,
                "Saturation temperature",
                TABLES,
                List.of(refrigerant, Input.of("pressure", "Pressure", Dimension.GAUGE_PRESSURE, "118 psig"), ELEVATION),
                typed -> {
                    AbsolutePressure at =
                            GaugePressure.ofPascals(typed.si("pressure")).absolute(air(typed));
                    return within(
                            "pressure",
                            () -> List.of(
                                    step(
                                            "Liquid boils at",
                                            "bubble line",
                                            table(typed).bubbleTemperature(at)),
                                    step(
                                            "Vapour condenses at",
                                            "dew line",
                                            table(typed).dewTemperature(at))));
                });
    }

    private Computation pressures() {
        return new Computation(
                "saturation-pressure",
                STATION,
                "Saturation pressure",
                TABLES,
                List.of(refrigerant, Input.of("at", "Temperature", Dimension.TEMPERATURE, "72 °F"), ELEVATION),
                typed -> {
                    Temperature at = Temperature.ofKelvin(typed.si("at"));
                    return within(
                            "at",
                            () -> List.of(
                                    step(
                                            "Boiling liquid",
                                            "bubble line",
                                            table(typed).bubble(at).gauge(air(typed))),
                                    step(
                                            "Condensing vapour",
                                            "dew line",
                                            table(typed).dew(at).gauge(air(typed)))));
                });
    }

    private Computation subcooling() {
        return new Computation(
                "subcooling",
                STATION,
                "Subcooling",
                "t_bubble(p) − t of the liquid",
                List.of(
                        refrigerant,
                        Input.of("pressure", "Liquid line, pressure", Dimension.GAUGE_PRESSURE, "372 psig"),
                        Input.of("line", "Liquid line, temperature", Dimension.TEMPERATURE, "101 °F"),
                        ELEVATION),
                typed -> {
                    AbsolutePressure at =
                            GaugePressure.ofPascals(typed.si("pressure")).absolute(air(typed));
                    Temperature boils = within("pressure", () -> table(typed).bubbleTemperature(at));
                    return List.of(
                            step("Liquid boils at", "bubble line", boils),
                            step(
                                    "Subcooling",
                                    "under zero: vapour is in the line",
                                    TemperatureDifference.ofKelvin(boils.si() - typed.si("line"))));
                });
    }

    private Computation superheat() {
        return new Computation(
                "superheat",
                STATION,
                "Superheat",
                "t of the vapour − t_dew(p)",
                List.of(
                        refrigerant,
                        Input.of("pressure", "Suction line, pressure", Dimension.GAUGE_PRESSURE, "118 psig"),
                        Input.of("line", "Suction line, temperature", Dimension.TEMPERATURE, "51 °F"),
                        ELEVATION),
                typed -> {
                    AbsolutePressure at =
                            GaugePressure.ofPascals(typed.si("pressure")).absolute(air(typed));
                    Temperature condenses =
                            within("pressure", () -> table(typed).dewTemperature(at));
                    return List.of(
                            step("Vapour condenses at", "dew line", condenses),
                            step(
                                    "Superheat",
                                    "under zero: liquid is in the line",
                                    TemperatureDifference.ofKelvin(typed.si("line") - condenses.si())));
                });
    }

    private static Computation targetSuperheat() {
        return new Computation(
                "target-superheat",
                STATION,
                "Target superheat, fixed orifice",
                TargetSuperheat.SOURCE,
                List.of(
                        Input.of("wet", "Return air, wet bulb", Dimension.TEMPERATURE, "67 °F"),
                        Input.of("outdoor", "Outdoor air", Dimension.TEMPERATURE, "95 °F")),
                typed -> {
                    double target = TargetSuperheat.kelvin(typed.si("wet"), typed.si("outdoor"));
                    if (target < 0) {
                        throw new InputException("outdoor", "In this air a fixed orifice cannot be set by superheat.");
                    }
                    return List.of(step("Target superheat", "", TemperatureDifference.ofKelvin(target)));
                });
    }
}
