package org.undanus.server.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.siting.SitingFigure;
import org.undanus.server.installation.CaseFile;

/** A site's plan as numbers to scale and words to print: metres, x to the right, y up the sheet. */
public record PlanView(
        List<FeatureView> features,
        List<UnitView> units,
        List<DistanceView> distances,
        List<String> overlaps,
        List<HungView> hung,
        CureView cure,
        CureView turnedCure) {
    private static final double HALF_MILLIMETRE = 0.0005;

    /**
     * @param solid whether air and people cannot pass through it
     * @param points corners in order
     */
    public record FeatureView(
            String id, String kind, String title, boolean solid, boolean closed, List<PointView> points) {}

    public record PointView(double x, double y) {}

    /**
     * @param facing direction of its front, degrees counter-clockwise from the x axis
     * @param cabinet its width and depth in words
     */
    public record UnitView(
            String component,
            String title,
            double x,
            double y,
            double facing,
            double width,
            double depth,
            String cabinet,
            Verdict verdict) {}

    /** Where an indoor unit hangs on its wall, in words. */
    public record HungView(String component, String fromLeft, String overFloor) {}

    public record DistanceView(
            String component,
            String name,
            String text,
            PointView from,
            PointView to,
            Verdict verdict,
            String judgement) {}

    /**
     * What became of the search for the smallest move.
     *
     * @param outcome for example {@code CURED}
     * @param sentence says it in words
     */
    public record CureView(SmallestMove.Outcome outcome, String sentence, List<MoveView> moves) {}

    /** @param x where the unit would stand, with its new facing */
    public record MoveView(
            String component, double x, double y, double facing, String sideways, String along, String text) {}

    /** Empty where the site has not been drawn. */
    public static Optional<PlanView> of(CaseFile file, UnitSystem units) {
        return SitingFigure.of(file.facts(), file.evidence(), file.rules(), file.judgements())
                .plan()
                .map(plan -> of(plan, file.facts(), QuantityFormat.of(units)));
    }

    static PlanView of(SitingFigure.Plan plan, Case facts, QuantityFormat format) {
        return new PlanView(
                plan.drawing().features().stream()
                        .map(f -> new FeatureView(
                                f.id(),
                                f.kind().key(),
                                f.title(),
                                f.kind().solid(),
                                f.closed(),
                                f.outline().stream()
                                        .map(v -> new PointView(v.x(), v.y()))
                                        .toList()))
                        .toList(),
                plan.units().stream()
                        .map(u -> new UnitView(
                                u.component(),
                                title(facts, u.component()),
                                u.x(),
                                u.y(),
                                u.facing(),
                                u.width(),
                                u.depth(),
                                length(u.width(), format) + " × " + length(u.depth(), format),
                                u.verdict()))
                        .toList(),
                plan.distances().stream()
                        .map(d -> new DistanceView(
                                d.component(),
                                d.name(),
                                format.format(d.length()),
                                new PointView(d.fromX(), d.fromY()),
                                new PointView(d.toX(), d.toY()),
                                d.verdict(),
                                d.judgement()))
                        .toList(),
                plan.overlaps(),
                plan.drawing().walls().stream()
                        .map(w -> new HungView(w.component(), length(w.left(), format), length(w.underside(), format)))
                        .toList(),
                cure(plan.cure(), plan, facts, format),
                cure(plan.turnedCure(), plan, facts, format));
    }

    private static String length(double metres, QuantityFormat format) {
        return format.format(Length.ofMetres(metres));
    }

    private static String title(Case facts, String component) {
        return facts.component(component).map(Component::title).orElse(component);
    }

    private static CureView cure(
            SmallestMove.Result result, SitingFigure.Plan plan, Case facts, QuantityFormat format) {
        List<MoveView> moves = result.moves().stream()
                .map(move -> move(move, plan, facts, format))
                .toList();
        List<String> words = new ArrayList<>();
        moves.forEach(m -> words.add(m.text()));
        return new CureView(
                result.outcome(),
                switch (result.outcome()) {
                    case NOTHING_TO_CURE -> "As drawn, every distance is kept.";
                    case CURED ->
                        (moves.size() == 1 ? "Smallest cure: " : "A cure, not proven the smallest: ")
                                + String.join("; ", words) + ".";
                    case NO_PLACE ->
                        "No place in the permitted area cures "
                                + title(facts, result.without().orElse("")) + ".";
                    case NOT_FOUND -> "No cure was found by moving one unit after another; that proves nothing.";
                    case NO_AREA -> "Draw a boundary or a permitted area to have the smallest move computed.";
                },
                moves);
    }

    private static MoveView move(SmallestMove.Move move, SitingFigure.Plan plan, Case facts, QuantityFormat format) {
        SitingFigure.Placed unit = plan.units().stream()
                .filter(u -> u.component().equals(move.unit()))
                .findFirst()
                .orElseThrow();
        String sideways = shift(move.dx(), "right", "left", format).orElse("");
        String along = shift(move.dy(), "up", "down", format).orElse("");
        List<String> parts = new ArrayList<>(List.of(sideways, along));
        parts.removeIf(String::isEmpty);
        if (move.turn() != 0) {
            parts.add("turned " + (int) move.turn() + "° counter-clockwise");
        }
        return new MoveView(
                move.unit(),
                unit.x() + move.dx(),
                unit.y() + move.dy(),
                (unit.facing() + move.turn()) % 360,
                sideways,
                along,
                title(facts, move.unit()) + " " + String.join(", ", parts));
    }

    private static Optional<String> shift(double metres, String ahead, String back, QuantityFormat format) {
        return Math.abs(metres) < HALF_MILLIMETRE
                ? Optional.empty()
                : Optional.of(length(Math.abs(metres), format) + " " + (metres > 0 ? ahead : back));
    }
}
