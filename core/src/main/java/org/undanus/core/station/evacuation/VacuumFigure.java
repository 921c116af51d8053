package org.undanus.core.station.evacuation;

import java.util.List;
import java.util.Optional;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.CurvePlot;
import org.undanus.core.derived.Marks;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Standing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.RuleBook;

/** The vacuum over time, on a logarithmic scale: what was shown, what was done, the course read from it, and the levels asked for. */
final class VacuumFigure {
    private VacuumFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.LINE_SET).stream()
                .map(lines -> Examination.of(facts, evidence, rules, Dryness.CURVE_ABOUT, lines))
                .flatMap(x -> VacuumCurve.of(x).map(curve -> drawing(x, curve, judgements)).stream())
                .toList();
    }

    private static Drawing drawing(Examination x, VacuumCurve vacuum, Judgements judgements) {
        Curve curve = vacuum.curve();
        Outline all = curve.outline();
        double least = Double.POSITIVE_INFINITY;
        double most = 0;
        for (int i = 0; i < all.size(); i++) {
            least = Math.min(least, all.least(i));
            most = Math.max(most, all.most(i));
        }
        List<Judgement> held = List.of(Acceptance.DEEP_ENOUGH, Acceptance.STOOD).stream()
                .flatMap(requirement ->
                        judgements.find(requirement.about(), x.subject().id()).stream())
                .toList();
        for (Judgement judgement : held) {
            for (Limit limit : limits(judgement)) {
                least = Math.min(least, limit.value().si());
                most = Math.max(most, limit.value().si());
            }
        }
        CurvePlot plot = new CurvePlot(
                x.subject().title(),
                CurvePlot.Scale.LOGARITHMIC,
                Dimension.ABSOLUTE_PRESSURE,
                all.lasting(),
                least,
                most);
        plot.curve(all, all.seconds(0));
        for (Judgement judgement : held) {
            limits(judgement)
                    .forEach(limit -> plot.level(
                            limit.value().si(),
                            Text.of("{} {}", limit.bound().words(), limit.value()),
                            Standing.of(judgement)));
        }
        x.listed(EvacuationPoints.MARKS, Marks.class).ifPresent(marks -> marks.marks()
                .forEach(mark ->
                        plot.mark(mark.seconds(), Text.of("{}", mark.act().title()))));
        Optional<Rise> rise = vacuum.read(Dryness.mostMoisture(x));
        rise.ifPresent(read -> plot.course(
                        vacuum.isolated(), vacuum.isolated() + read.lasting(), at -> read.at(at - vacuum.isolated()))
                .caption(Text.of("Line: as the gauge showed it. Dashed: the course read from it.")));
        Text said = judgements
                .find(Dryness.CURVE_ABOUT, x.subject().id())
                .map(Judgement::because)
                .orElse(Text.of(""));
        return plot.spoken(Text.of("Vacuum over time. {}", said));
    }

    private static List<Limit> limits(Judgement judgement) {
        return judgement.comparison().map(Comparison::limits).orElse(List.of()).stream()
                .filter(Comparison.Held::binds)
                .map(Comparison.Held::limit)
                .toList();
    }
}
