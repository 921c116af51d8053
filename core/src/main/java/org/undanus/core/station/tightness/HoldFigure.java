package org.undanus.core.station.tightness;

import java.util.List;
import java.util.Optional;
import org.undanus.core.curve.Hold;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.CurvePlot;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Standing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.RuleBook;

/** The hold as a chart: the pressure as it was shown, and dashed the one that the temperature alone would have made. */
final class HoldFigure {
    private HoldFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.LINE_SET).stream()
                .map(lines -> Examination.of(facts, evidence, rules, HoldTest.ABOUT, lines))
                .flatMap(x -> drawing(x, judgements).stream())
                .toList();
    }

    private static Optional<Drawing> drawing(Examination x, Judgements judgements) {
        return HoldTest.hold(x).map(hold -> {
            Optional<Curve> pressure = Curve.of(x, TightnessPoints.PRESSURE_LOG, TightnessPoints.PRESSURE_READINGS)
                    .filter(curve -> curve.outline().size() >= Hold.FEWEST);
            return plot(x, judgements, hold, pressure);
        });
    }

    private static Drawing plot(Examination x, Judgements judgements, Hold hold, Optional<Curve> pressure) {
        double air = x.facts().site().atmosphere().si();
        Outline shown = pressure.map(Curve::outline)
                .orElseGet(() -> Outline.of(java.time.Instant.EPOCH, new double[] {0, hold.lasting()}, new double[] {
                    hold.first() - air, hold.last() - air
                }));
        double least = hold.expected() - air;
        double most = least;
        for (int i = 0; i < shown.size(); i++) {
            least = Math.min(least, shown.least(i));
            most = Math.max(most, shown.most(i));
        }
        double start = shown.seconds(0);
        Standing standing = Standing.of(judgements, HoldTest.ABOUT, x.subject().id());
        CurvePlot plot = new CurvePlot(
                x.subject().title(), CurvePlot.Scale.LINEAR, Dimension.GAUGE_PRESSURE, hold.lasting(), least, most);
        plot.curve(shown, start);
        Optional<Curve> temperature =
                Curve.of(x, TightnessPoints.TEMPERATURE_LOG, TightnessPoints.TEMPERATURE_READINGS);
        plot.course(
                0, hold.lasting(), at -> byTemperature(hold, temperature.filter(t -> pressure.isPresent()), at) - air);
        Optional<Judgement> judgement =
                judgements.find(HoldTest.ABOUT, x.subject().id());
        plot.caption(Text.of("Line: as the gauge showed it. Dashed: by the temperature alone."));
        return plot.spoken(Text.of(
                "Held from {} to {}; by temperature alone it would end at {}. {}: {}",
                GaugePressure.ofPascals(hold.first() - air),
                GaugePressure.ofPascals(hold.last() - air),
                GaugePressure.ofPascals(hold.expected() - air),
                standing.said(),
                judgement.map(Judgement::because).orElse(Text.of(""))));
    }

    /** The pressure that the temperature alone would have made at a time, absolute; on a straight line where no course of it is known. */
    private static double byTemperature(Hold hold, Optional<Curve> temperature, double at) {
        AbsolutePressure from = AbsolutePressure.ofPascals(hold.first());
        return temperature
                .map(Curve::outline)
                .filter(of -> Nitrogen.describes(from, kelvin(of, 0)) && Nitrogen.describes(from, kelvin(of, at)))
                .map(of -> Nitrogen.warmed(from, kelvin(of, 0), kelvin(of, at)).si())
                .orElse(hold.first() + (hold.expected() - hold.first()) * at / hold.lasting());
    }

    private static Temperature kelvin(Outline of, double at) {
        return Temperature.ofKelvin(of.at(of.seconds(0) + at));
    }
}
