package org.undanus.core.station.siting;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.geometry.WallGeometry;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;

/** What the site's drawing tells of the subject, where its grade is good enough to judge by. */
final class Drawn {
    private Drawn() {}

    /**
     * A length taken from the drawing.
     *
     * @param to what it leads to, empty where that is plain
     */
    record Distance(Uncertain metres, String to) {}

    /** The plan with the unit in it. */
    static Optional<PlanGeometry> plan(Examination x) {
        return trusted(x)
                .map(plan -> x.computedOnce(
                        PlanGeometry.class, () -> new PlanGeometry(plan, sizes(x.facts(), x.evidence()))))
                .filter(plan -> plan.unit(x.unit().id()).isPresent());
    }

    /** The unit on its wall. */
    static Optional<WallGeometry> wall(Examination x) {
        return wallView(x)
                .flatMap(view ->
                        x.sheet().flatMap(DataSheet::size).or(view::size).map(s -> new WallGeometry(view, s)));
    }

    static Optional<SitePlan.WallView> wallView(Examination x) {
        return trusted(x).flatMap(plan -> plan.wall(x.unit().id()));
    }

    private static Optional<SitePlan> trusted(Examination x) {
        Optional<Grade> least =
                x.rules().minimumGrade(x.about().id(), x.about().station().key());
        return x.facts().plan().filter(plan -> least.map(plan.grade()::atLeast).orElse(true));
    }

    /** Cabinet sizes by component, as the sheets of the models read off the plates give them. */
    static Map<String, DataSheet.Size> sizes(Case facts, Evidence evidence) {
        Map<String, DataSheet.Size> sizes = new HashMap<>();
        for (Component component : facts.components()) {
            evidence.standing(new PointKey(PlatePoints.MODEL.id(), component.id()), Value.Written.class)
                    .map(Value.Written::text)
                    .flatMap(facts.sheets()::of)
                    .flatMap(DataSheet::size)
                    .ifPresent(size -> sizes.put(component.id(), size));
        }
        return sizes;
    }

    static Distance distance(Examination x, double metres, String to) {
        return new Distance(new Uncertain(metres, standardUncertainty(x.facts(), x.rules(), metres)), to);
    }

    /**
     * Of a distance between two drawn things, m: rectangular within the drawing's stated accuracy (JCGM 100, 4.3.7); where
     * none is stated, that of two lengths taken with the usual tape.
     */
    static double standardUncertainty(Case facts, RuleBook rules, double metres) {
        return facts.plan()
                .flatMap(SitePlan::accuracy)
                .map(half -> half / Math.sqrt(3))
                .orElseGet(
                        () -> Math.sqrt(2) * rules.accuracy(InstrumentKind.TAPE).standardUncertainty(metres, 0));
    }
}
