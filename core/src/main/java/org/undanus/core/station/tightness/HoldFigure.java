package org.undanus.core.station.tightness;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.undanus.core.curve.NitrogenHold;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.CurvePlot;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.plan.Charts;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The hold as a chart: the pressure as it was shown, and dashed the one that the temperature alone would have made. */
final class HoldFigure {
    private HoldFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.LINE_SET).stream()
                .flatMap(lines -> chart(facts, evidence, rules, judgements, lines, Charts.Look.WHOLE).stream())
                .map(Charts.Chart::drawing)
                .toList();
    }

    static Optional<Charts.Chart> chart(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Subject lines, Charts.Look look) {
        Examination x = Examination.of(facts, evidence, rules, HoldTest.ABOUT, lines);
        return HoldTest.hold(x).map(hold -> chart(x, judgements, hold, look));
    }

    private static Optional<Curve> pressure(Examination x) {
        return Curve.of(x, TightnessPoints.PRESSURE_LOG, TightnessPoints.PRESSURE_READINGS)
                .filter(curve -> curve.outline().size() >= NitrogenHold.FEWEST);
    }

    private static Charts.Chart chart(Examination x, Judgements judgements, NitrogenHold hold, Charts.Look look) {
        double air = x.facts().site().atmosphere().si();
        Optional<Curve> pressure = pressure(x);
        Outline all = pressure.map(Curve::outline)
                .orElseGet(() -> Outline.of(Instant.EPOCH, new double[] {0, hold.lasting()}, new double[] {
                    hold.first() - air, hold.last() - air
                }));
        double begin = look.begin(all.lasting());
        double end = look.end(all.lasting());
        Outline shown = pressure.map(curve -> curve.near(x, TightnessPoints.PRESSURE_LOG, begin, end))
                .orElse(all);
        Optional<Curve> temperature = Curve.of(x, TightnessPoints.TEMPERATURE_LOG, TightnessPoints.TEMPERATURE_READINGS)
                .filter(t -> pressure.isPresent());
        double began = pressure.map(curve -> HoldTest.held(x, curve).from()).orElse(0.0);
        DoubleUnaryOperator alone = at -> byTemperature(hold, temperature, began, at) - air;
        double ended = began + hold.lasting();
        double least = Math.min(alone.applyAsDouble(Math.max(began, begin)), alone.applyAsDouble(Math.min(ended, end)));
        double most = Math.max(alone.applyAsDouble(Math.max(began, begin)), alone.applyAsDouble(Math.min(ended, end)));
        for (int i = 0; i < shown.size(); i++) {
            least = Math.min(least, shown.least(i));
            most = Math.max(most, shown.most(i));
        }
        double origin = all.seconds(0);
        CurvePlot plot = new CurvePlot(
                Text.plain(x.subject().title()),
                CurvePlot.Scale.LINEAR,
                Dimension.GAUGE_PRESSURE,
                begin,
                end,
                least,
                most);
        look.beside()
                .flatMap(other -> pressure(x.at(other)))
                .ifPresent(other -> plot.beside(
                        other.outline(),
                        Text.of("{beside}", look.beside().orElseThrow().title())));
        double grows = hold.change().expanded() / hold.lasting();
        plot.band(
                        began,
                        ended,
                        at -> alone.applyAsDouble(at) - grows * (at - began),
                        at -> alone.applyAsDouble(at) + grows * (at - began))
                .curve(shown, origin)
                .course(began, ended, alone);
        x.listedOf(TightnessPoints.PRESSURE_LOG, TightnessPoints.MARKS, Marks.class)
                .ifPresent(plot::marks);
        look.moment(all.lasting())
                .ifPresent(at -> plot.cursor(
                        at,
                        Text.of(
                                "{pressure} at {time}; by temperature {expected}",
                                GaugePressure.ofPascals(shown.at(origin + at)),
                                Duration.ofSeconds(at),
                                GaugePressure.ofPascals(alone.applyAsDouble(Math.max(began, Math.min(at, ended)))))));
        plot.caption(Text.of(
                "Line: as the gauge showed it. Dashed: by the temperature alone, with the band it may lie in."));
        Text because = judgements
                .find(HoldTest.ABOUT, x.subject().id())
                .map(Judgement::because)
                .orElse(Text.empty());
        Text said = spoken(
                hold, air, Meaning.of(judgements, HoldTest.ABOUT, x.subject().id()), because);
        return new Charts.Chart(plot.spoken(said), because, all.lasting(), Set.of());
    }

    private static Text spoken(NitrogenHold hold, double air, Meaning meaning, Text because) {
        return Text.of(
                "Held from {first} to {last}; by temperature alone it would end at {expected}. {standing}: {because}",
                GaugePressure.ofPascals(hold.first() - air),
                GaugePressure.ofPascals(hold.last() - air),
                GaugePressure.ofPascals(hold.expected() - air),
                meaning.said(),
                because);
    }

    /** The pressure that the temperature alone would have made at a time, absolute; on a straight line where no course of it is known. */
    private static double byTemperature(NitrogenHold hold, Optional<Curve> temperature, double began, double at) {
        AbsolutePressure from = AbsolutePressure.ofPascals(hold.first());
        return temperature
                .map(Curve::outline)
                .filter(of -> Nitrogen.describes(from, kelvin(of, began)) && Nitrogen.describes(from, kelvin(of, at)))
                .map(of ->
                        Nitrogen.warmed(from, kelvin(of, began), kelvin(of, at)).si())
                .orElse(hold.first() + (hold.expected() - hold.first()) * (at - began) / hold.lasting());
    }

    private static Temperature kelvin(Outline of, double at) {
        return Temperature.ofKelvin(of.at(of.seconds(0) + at));
    }
}
