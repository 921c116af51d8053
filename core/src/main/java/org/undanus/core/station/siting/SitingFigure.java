package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.geometry.WallGeometry;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;

/**
 * The drawing of station 2 as data: every unit with its size and, side by side, the distance found and the distance asked
 * for; and the site's plan with the smallest move that cures it. Lengths in metres; whoever draws it only scales.
 *
 * @param plan where a site has been drawn
 */
public record SitingFigure(List<Unit> units, Optional<Plan> plan) {

    /** A cabinet whose sheet is not at hand is drawn at this size, and said to be. */
    private static final DataSheet.Size UNKNOWN_OUTDOOR =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.35), Length.ofMetres(0.7));

    private static final DataSheet.Size UNKNOWN_INDOOR =
            new DataSheet.Size(Length.ofMetres(0.85), Length.ofMetres(0.22), Length.ofMetres(0.3));

    /**
     * @param sized whether the size is the sheet's
     * @param height over the floor, for wall units
     */
    public record Unit(
            Component component, DataSheet.Size size, boolean sized, List<Side> sides, Optional<Side> height) {}

    /**
     * @param clear as taped or drawn
     * @param asked the binding limit
     */
    public record Side(
            String name, Optional<Length> clear, Optional<Length> asked, Verdict verdict, String judgement) {}

    /**
     * @param distances from the faces of units, where something stands before them
     * @param overlaps what cannot be built as drawn, a sentence each
     * @param cure with shifts only
     * @param turnedCure where units may also be turned by quarter turns
     */
    public record Plan(
            SitePlan drawing,
            List<Placed> units,
            List<Measured> distances,
            List<String> overlaps,
            SmallestMove.Result cure,
            SmallestMove.Result turnedCure) {}

    /** A unit's outline in the plan, m. */
    public record Placed(
            String component, double x, double y, double facing, double width, double depth, Verdict verdict) {}

    /** A distance with the two points it lies between, m. */
    public record Measured(
            String component,
            String name,
            Length length,
            double fromX,
            double fromY,
            double toX,
            double toY,
            Verdict verdict,
            String judgement) {}

    public static SitingFigure of(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        Map<String, DataSheet.Size> sizes = Drawn.sizes(facts, evidence);
        return new SitingFigure(
                units(facts, evidence, judgements),
                facts.plan().map(plan -> plan(facts, evidence, rules, judgements, plan, sizes)));
    }

    /** The units that are judged by their siting. */
    static List<Unit> units(Case facts, Evidence evidence, Judgements judgements) {
        Map<String, DataSheet.Size> sizes = Drawn.sizes(facts, evidence);
        return facts.components().stream()
                .filter(component -> component.outdoor() || component.wallMounted())
                .map(component -> unit(component, Optional.ofNullable(sizes.get(component.id())), judgements))
                .toList();
    }

    private static Unit unit(Component component, Optional<DataSheet.Size> size, Judgements judgements) {
        List<Side> sides = new ArrayList<>();
        for (Face face : Face.values()) {
            String id = (component.outdoor() ? "siting.outdoor-clearance-" : "siting.indoor-clearance-") + face.key();
            judgements.find(id, component.id()).ifPresent(j -> sides.add(side(face.key(), j)));
        }
        return new Unit(
                component,
                size.orElse(component.outdoor() ? UNKNOWN_OUTDOOR : UNKNOWN_INDOOR),
                size.isPresent(),
                List.copyOf(sides),
                judgements.find(IndoorHeight.HEIGHT.id(), component.id()).map(j -> side("height", j)));
    }

    private static Side side(String name, Judgement judgement) {
        return new Side(
                name,
                judgement.comparison().map(c -> Length.ofMetres(c.measured().value())),
                judgement.comparison().map(c -> (Length) c.binding().limit().value()),
                judgement.verdict(),
                judgement.key());
    }

    private static Plan plan(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Judgements judgements,
            SitePlan drawing,
            Map<String, DataSheet.Size> sizes) {
        PlanGeometry geometry = new PlanGeometry(drawing, sizes);
        List<Placed> placed = new ArrayList<>();
        List<Measured> distances = new ArrayList<>();
        for (PlanGeometry.Standing unit : geometry.units()) {
            for (Face face : Face.IN_PLAN) {
                geometry.clear(unit.id(), face)
                        .ifPresent(d -> distances.add(
                                measured(unit, face.key(), "siting.outdoor-clearance-" + face.key(), d, judgements)));
            }
            for (HazardDistance hazard : Siting.HAZARDS) {
                geometry.nearest(unit.id(), hazard.kind())
                        .ifPresent(d -> distances.add(measured(
                                unit, hazard.kind().title(), hazard.about().id(), d, judgements)));
            }
            placed.add(new Placed(
                    unit.id(),
                    unit.footprint().x(),
                    unit.footprint().y(),
                    unit.footprint().facing(),
                    unit.footprint().width(),
                    unit.footprint().depth(),
                    worst(distances, unit.id())));
        }
        SmallestMove.Result cure = SmallestCure.find(facts, evidence, rules, geometry, false);
        return new Plan(
                drawing,
                List.copyOf(placed),
                List.copyOf(distances),
                overlaps(geometry, drawing, sizes),
                cure,
                cure.outcome() == SmallestMove.Outcome.NOTHING_TO_CURE
                        ? cure
                        : SmallestCure.find(facts, evidence, rules, geometry, true));
    }

    private static List<String> overlaps(PlanGeometry geometry, SitePlan drawing, Map<String, DataSheet.Size> sizes) {
        List<String> found = new ArrayList<>(geometry.overlaps());
        for (SitePlan.WallView wall : drawing.walls()) {
            Optional.ofNullable(sizes.get(wall.component()))
                    .or(wall::size)
                    .flatMap(size -> new WallGeometry(wall, size).overlap())
                    .ifPresent(found::add);
        }
        return found;
    }

    private static Measured measured(
            PlanGeometry.Standing unit,
            String name,
            String requirement,
            PlanGeometry.Distance d,
            Judgements judgements) {
        return new Measured(
                unit.id(),
                name,
                Length.ofMetres(d.metres()),
                d.fromX(),
                d.fromY(),
                d.toX(),
                d.toY(),
                judgements.verdict(requirement, unit.id()),
                requirement + "@" + unit.id());
    }

    private static Verdict worst(List<Measured> distances, String unit) {
        return distances.stream()
                .filter(d -> d.component().equals(unit))
                .map(Measured::verdict)
                .filter(Verdict::open)
                .reduce(Verdict.MEETS, Verdict::or);
    }
}
