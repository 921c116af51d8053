package org.undanus.core.station.mounting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.rules.RuleBook;

/** The drawing of station 4 as data: the hole in section with its fall, and the bundle packed into it. */
public record PenetrationFigure(List<Hole> holes) {

    /**
     * @param packed diameter of the smallest circle about the bundle
     * @param wanted diameter to ask for, with room to spare
     * @param parts the bundle packed, drain lowest; empty where a size is not known
     */
    public record Hole(
            Component component,
            Optional<Length> diameter,
            Optional<Length> packed,
            Optional<Length> wanted,
            List<Part> parts,
            Optional<Length> thickness,
            Optional<Ratio> fall,
            Verdict fits,
            Verdict drains) {}

    /** A round thing in its place, m from the bundle's centre. */
    public record Part(String title, double x, double y, double radius) {}

    public static PenetrationFigure of(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return new PenetrationFigure(facts.components().stream()
                .filter(c -> !c.outdoor())
                .map(c -> hole(c, Examination.of(facts, evidence, rules, new BundleFits().about(), c), judgements))
                .toList());
    }

    private static Hole hole(Component component, Examination x, Judgements judgements) {
        Optional<LineBundle> lines = LineBundle.of(x);
        Optional<Bundle> bundle = lines.map(LineBundle::packed);
        List<Part> placed = new ArrayList<>();
        bundle.ifPresent(b -> {
            for (int i = 0; i < b.circles().size(); i++) {
                Bundle.Circle c = b.circles().get(i);
                placed.add(new Part(lines.get().parts().get(i).title(), c.x(), c.y(), c.radius()));
            }
        });
        Optional<Double> slack = x.rules().decides(BundleFits.SLACK)
                ? Optional.of(x.rules().number(BundleFits.SLACK))
                : Optional.empty();
        return new Hole(
                component,
                x.number(MountingPoints.HOLE_DIAMETER).map(Length::ofMetres),
                bundle.map(b -> Length.ofMetres(2 * b.radius())),
                bundle.flatMap(b -> slack.map(s -> Length.ofMetres(2 * b.radius() * (1 + s)))),
                placed,
                x.number(MountingPoints.WALL_THICKNESS).map(Length::ofMetres),
                judgements
                        .find("mounting.hole-fall", component.id())
                        .flatMap(Judgement::comparison)
                        .map(c -> Ratio.ofFraction(c.measured().value())),
                judgements.verdict("mounting.bundle-fits", component.id()),
                judgements.verdict("mounting.hole-fall", component.id()));
    }
}
