package org.undanus.core.station.airside;

import static org.undanus.core.station.airside.DuctPoints.AROUND_HUMIDITY;
import static org.undanus.core.station.airside.DuctPoints.AROUND_TEMPERATURE;
import static org.undanus.core.station.airside.DuctPoints.DUCT_INSULATION;
import static org.undanus.core.station.airside.DuctPoints.INSULATION_CONDUCTIVITY;
import static org.undanus.core.station.airside.DuctPoints.SURFACE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Sweating;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
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
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** The coldest metal outside stays above the dew point of the air about it: as read, else computed through its insulation. */
final class SweatingMetal implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("airside.sweating", Dimension.TEMPERATURE, "Surface of duct or cabinet");
    private static final Setting COEFFICIENT = new Setting(
            "airside.surface-coefficient", Dimension.COUNT, "Surface coefficient, watts per square metre and kelvin");
    private static final Setting CONDUCTIVITY = new Setting(
            "airside.insulation-conductivity",
            Dimension.THERMAL_CONDUCTIVITY,
            "Conductivity of duct insulation where none is known");
    private static final double THICKEST = 1;
    private static final double ACCURACY = 1e-5;

    static final About ABOUT = About.of(
                    "airside.sweating", Station.AIRSIDE, Scope.DUCT_SYSTEM, "Duct condensation", Severity.DAMAGE)
            .sources("ASHRAE Fundamentals, Psychrometrics and insulation")
            .needs(AROUND_TEMPERATURE, AROUND_HUMIDITY)
            .limits(LIMIT)
            .settings(COEFFICIENT, CONDUCTIVITY);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Measured around = x.need(AROUND_TEMPERATURE);
        Optional<Uncertain> dewPoint = dewPoint(x, around);
        if (dewPoint.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The dew point of such air cannot be computed."),
                            "Read dry bulb and humidity again at the same place and moment.");
        }
        Limit limit = new Limit(
                        x.rules().computed(),
                        Bound.AT_LEAST,
                        Temperature.ofKelvin(dewPoint.get().value()),
                        "Dew point of the air about it")
                .within(dewPoint.get().standardUncertainty());
        Optional<Uncertain> inside = x.at(x.indoor().orElseThrow())
                .measured(AirPoints.SUPPLY_DRY_BULB)
                .map(Value.Measured::uncertain);
        Optional<Uncertain> read = x.measured(SURFACE).map(Value.Measured::uncertain);
        Optional<Uncertain> thickness = x.measured(DUCT_INSULATION).map(Value.Measured::uncertain);
        if (read.isEmpty() && (inside.isEmpty() || thickness.isEmpty())) {
            return x.notShown(
                    List.of(SURFACE),
                    Text.of(
                            "It must be {dewPoint} or warmer.",
                            Temperature.ofKelvin(dewPoint.get().value())));
        }
        double k = x.number(INSULATION_CONDUCTIVITY).orElseGet(() -> x.rules().number(CONDUCTIVITY));
        double h = x.rules().number(COEFFICIENT);
        Uncertain surface = read.orElseGet(() -> Propagation.through(
                in -> Sweating.ofFlat(in[0], in[1], Math.max(0, in[2]), k, h),
                around.uncertain(),
                inside.orElseThrow(),
                thickness.orElseThrow()));
        Finding finding = x.finding()
                .step("Air about it", around.quantity())
                .step("Dew point", Temperature.ofKelvin(dewPoint.get().value()));
        if (read.isEmpty()) {
            finding.step(
                    "Surface, computed",
                    "(Ta − Ts)·h = k·(Ts − Ti)/thickness",
                    Temperature.ofKelvin(surface.value()),
                    ABOUT.sources().get(0));
        }
        Comparison held = finding.hold(LIMIT, surface, 0, List.of(limit)).orElseThrow();
        return finding.conclude(held.verdict(), finding.room(), remedy(inside, around, dewPoint.get(), k, h));
    }

    private static Text remedy(
            Optional<Uncertain> inside, Value.Measured around, Uncertain dewPoint, double k, double h) {
        if (inside.isEmpty()) {
            return Text.of("Insulate it, or keep the air around it drier.");
        }
        double needed = Root.of(
                t -> Sweating.ofFlat(around.quantity().si(), inside.get().value(), t, k, h) - dewPoint.value(),
                0,
                THICKEST,
                ACCURACY);
        return Text.of(
                "Insulate it {needed} thick or more, or keep the air around it drier.",
                new AtLeast(Length.ofMetres(needed)));
    }

    private static Optional<Uncertain> dewPoint(Examination x, Value.Measured around) {
        try {
            return Optional.of(Propagation.through(
                    in -> MoistAir.ofRelativeHumidity(
                                    Temperature.ofKelvin(in[0]),
                                    Math.max(0.001, Math.min(1, in[1])),
                                    x.facts().site().atmosphere())
                            .dewPoint()
                            .si(),
                    around.uncertain(),
                    x.need(AROUND_HUMIDITY).uncertain()));
        } catch (IllegalArgumentException outsideTheFormulas) {
            return Optional.empty();
        }
    }
}
