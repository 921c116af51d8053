package org.undanus.core.station.evacuation;

import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.undanus.core.curve.PullDown;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.CurvePlot;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.plan.Charts;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The vacuum over time, on a logarithmic scale: what was shown, what was done, the course read from it, and the levels asked for. */
final class VacuumFigure {
    /** As far down as a pull-down is drawn, Pa. */
    private static final double DEEPEST = 5;

    private static final int DRAWN = 60;

    private VacuumFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.LINE_SET).stream()
                .flatMap(lines -> chart(facts, evidence, rules, judgements, lines, Charts.Look.WHOLE).stream())
                .map(Charts.Chart::drawing)
                .toList();
    }

    static Optional<Charts.Chart> chart(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Subject lines, Charts.Look look) {
        Examination x = Examination.of(facts, evidence, rules, Dryness.CURVE_ABOUT, lines);
        return VacuumCurve.of(x).map(curve -> chart(x, curve, judgements, look));
    }

    private static void levels(CurvePlot plot, List<Judgement> held, SortedMap<Double, List<Text>> others) {
        for (Judgement judgement : held) {
            limits(judgement)
                    .forEach(limit -> plot.level(
                            limit.value().si(),
                            Text.of("{bound} {limit}", limit.bound().words(), limit.value()),
                            Meaning.of(judgement)));
        }
        others.forEach((level, who) ->
                plot.otherLevel(level, Text.of("{who}: {level}", Text.list(who), AbsolutePressure.ofPascals(level))));
    }

    private static Charts.Chart chart(Examination x, VacuumCurve vacuum, Judgements judgements, Charts.Look look) {
        Curve curve = vacuum.curve();
        double lasting = curve.outline().lasting();
        double begin = look.begin(lasting);
        double end = look.end(lasting);
        Outline shown = curve.near(x, EvacuationPoints.LOG, begin, end);
        List<Judgement> held = List.of(Acceptance.DEEP_ENOUGH, Acceptance.STOOD).stream()
                .flatMap(requirement ->
                        judgements.find(requirement.about(), x.subject().id()).stream())
                .toList();
        SortedMap<Double, List<Text>> others =
                look.options().contains(Charts.Option.OTHER_SCHOOLS) ? Acceptance.others(x) : new TreeMap<>();
        CurvePlot plot = empty(x, look, begin, end, reach(shown, held, others));
        double origin = curve.outline().seconds(0);
        look.beside()
                .flatMap(other -> VacuumCurve.of(x.at(other)).map(VacuumCurve::curve))
                .ifPresent(other -> plot.beside(
                        other.outline(),
                        Text.of("{beside}", look.beside().orElseThrow().title())));
        Optional<Rise> rise = vacuum.told() ? vacuum.read(Dryness.mostMoisture(x)) : Optional.empty();
        rise.ifPresent(read -> band(plot, vacuum.isolated(), read));
        plot.curve(shown, origin);
        if (vacuum.pulled()) {
            Dryness.pullDown(x).ifPresent(pull -> expected(plot, pull, x, curve));
        }
        levels(plot, held, others);
        x.listedOf(EvacuationPoints.LOG, EvacuationPoints.MARKS, Marks.class).ifPresent(plot::marks);
        rise.ifPresent(
                read -> plot.course(
                                vacuum.isolated(),
                                vacuum.isolated() + read.lasting(),
                                at -> read.at(at - vacuum.isolated()))
                        .caption(
                                Text.of(
                                        "Line: as the gauge showed it. Dashed: the course read from it, with the band it may lie in.")));
        look.moment(lasting)
                .ifPresent(at -> plot.cursor(
                        at,
                        Text.of(
                                "{value} at {time}",
                                AbsolutePressure.ofPascals(shown.at(origin + at)),
                                Duration.ofSeconds(at))));
        Text said = judgements
                .find(Dryness.CURVE_ABOUT, x.subject().id())
                .map(Judgement::because)
                .orElse(Text.empty());
        return new Charts.Chart(
                plot.spoken(Text.of("Vacuum over time. {said}", said)),
                said,
                lasting,
                EnumSet.allOf(Charts.Option.class));
    }

    /** The least and the most that has to be seen, Pa: the course, the levels asked for, and those of others. */
    private static DoubleSummaryStatistics reach(
            Outline shown, List<Judgement> held, SortedMap<Double, List<Text>> others) {
        return DoubleStream.concat(
                        IntStream.range(0, shown.size())
                                .mapToObj(i -> DoubleStream.of(shown.least(i), shown.most(i)))
                                .flatMapToDouble(Function.identity()),
                        DoubleStream.concat(
                                held.stream()
                                        .flatMap(judgement -> limits(judgement).stream())
                                        .mapToDouble(limit -> limit.value().si()),
                                others.keySet().stream().mapToDouble(Double::doubleValue)))
                .summaryStatistics();
    }

    private static CurvePlot empty(
            Examination x, Charts.Look look, double begin, double end, DoubleSummaryStatistics reach) {
        return new CurvePlot(
                Text.plain(x.subject().title()),
                look.options().contains(Charts.Option.EVEN_SCALE)
                        ? CurvePlot.Scale.LINEAR
                        : CurvePlot.Scale.LOGARITHMIC,
                Dimension.ABSOLUTE_PRESSURE,
                begin,
                end,
                reach.getMin(),
                Math.max(0, reach.getMax()));
    }

    /** The pull-down of a dry and tight system by this pump and hose, from when the pump was switched on. */
    private static void expected(CurvePlot plot, PullDown pull, Examination x, Curve curve) {
        double on = x.listedOf(EvacuationPoints.LOG, EvacuationPoints.MARKS, Marks.class)
                .map(marks -> marks.last(Marks.Act.PUMP_ON))
                .orElse(OptionalDouble.empty())
                .orElse(0);
        double first = curve.outline().at(curve.outline().seconds(0) + on);
        double[] seconds = new double[DRAWN + 1];
        double[] values = new double[DRAWN + 1];
        for (int i = 0; i <= DRAWN; i++) {
            values[i] = first * Math.pow(DEEPEST / first, (double) i / DRAWN);
            seconds[i] = on + pull.time(first, values[i]);
        }
        plot.course(seconds, values, Text.of("dry and tight, by pump and hose"));
    }

    private static void band(CurvePlot plot, double isolated, Rise rise) {
        DoubleUnaryOperator spread = rise.spread();
        DoubleUnaryOperator wide = at -> new Uncertain(0, spread.applyAsDouble(at - isolated)).expanded();
        plot.band(
                isolated,
                isolated + rise.lasting(),
                at -> rise.at(at - isolated) - wide.applyAsDouble(at),
                at -> rise.at(at - isolated) + wide.applyAsDouble(at));
    }

    private static List<Limit> limits(Judgement judgement) {
        return judgement.comparison().map(Comparison::limits).orElse(List.of()).stream()
                .filter(Comparison.Held::binds)
                .map(Comparison.Held::limit)
                .toList();
    }
}
