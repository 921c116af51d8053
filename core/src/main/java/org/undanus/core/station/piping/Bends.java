package org.undanus.core.station.piping;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Tubes are bent wide enough and keep their round. */
final class Bends {
    private Bends() {}

    private static final LimitKey RADIUS_LIMIT =
            new LimitKey("piping.bend-radius", Dimension.LENGTH, "Radius of the tightest bend");
    private static final LimitKey FLATTENING_LIMIT =
            new LimitKey("piping.flattening", Dimension.RATIO, "Flattening at the worst bend");
    private static final Setting DIAMETERS = new Setting(
            "piping.bend-diameters", Dimension.COUNT, "Least bend radius in diameters, where no sheet is at hand");

    static final Requirement RADIUS = Requirement.of(
            About.of("piping.bend-radius", Station.PIPING, Scope.LINE_SET, "Bends wide enough", Severity.DAMAGE)
                    .sources("Data sheet, lines", "Common practice for soft copper bent by hand")
                    .needs(PipingPoints.BEND_RADIUS)
                    .limits(RADIUS_LIMIT)
                    .settings(DIAMETERS),
            Bends::radius);

    static final Requirement FLATTENING = Requirement.of(
            About.of("piping.flattening", Station.PIPING, Scope.LINE_SET, "Bends not flattened", Severity.DAMAGE)
                    .sources("ASME B31.5, bends under internal pressure; check the adopted edition")
                    .needs(PipingPoints.FLATTENED)
                    .limits(FLATTENING_LIMIT),
            Bends::flattening);

    private static Judgement radius(Examination x) {
        List<Limit> limits = x.outdoor()
                .map(unit -> x.at(unit).limits(RADIUS_LIMIT, SheetLimit.atLeast(SheetValue.LEAST_BEND_RADIUS)))
                .orElseGet(() -> new ArrayList<>(x.rules().limits(RADIUS_LIMIT)));
        if (limits.isEmpty()) {
            Optional<Tube> tube = Run.find(x).flatMap(Run::suction).or(() -> x.number(LinePoints.SUCTION)
                    .flatMap(Tube::of));
            if (tube.isEmpty()) {
                return x.notShown(List.of(LinePoints.SUCTION));
            }
            limits.add(new Limit(
                    x.rules().practice(),
                    Bound.AT_LEAST,
                    Length.ofMetres(x.rules().number(DIAMETERS) * tube.get().outer()),
                    x.rules().setting(DIAMETERS).source()));
        }
        Value.Measured radius = x.need(PipingPoints.BEND_RADIUS);
        return WithinLimits.judge(
                x.finding(),
                RADIUS_LIMIT,
                radius.uncertain(),
                radius.resolution(),
                limits,
                "Cut out the bend and make it with a radius of {limit} or more.");
    }

    private static Judgement flattening(Examination x) {
        Optional<Tube> tube = Run.find(x).flatMap(Run::suction).or(() -> x.number(LinePoints.SUCTION)
                .flatMap(Tube::of));
        if (tube.isEmpty()) {
            return x.notShown(List.of(LinePoints.SUCTION));
        }
        Uncertain flat = Propagation.through(
                in -> 1 - in[0] / tube.get().outer(),
                x.need(PipingPoints.FLATTENED).uncertain());
        List<Limit> limits = x.rules().limits(FLATTENING_LIMIT);
        double least = limits.stream()
                .mapToDouble(limit -> tube.get().outer() * (1 - limit.value().si()))
                .max()
                .orElse(0);
        return x.finding()
                .step("Flattening", "1 − narrowest width / outer diameter", Ratio.ofFraction(flat.value()), "")
                .compare(
                        FLATTENING_LIMIT,
                        flat,
                        0,
                        limits,
                        Text.of(
                                "Cut out the bend: nowhere less than {least} across.",
                                new Amount(Length.ofMetres(least), 1e-4, 0)));
    }
}
