package org.undanus.core.plan;

import java.util.List;
import java.util.Set;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Station;
import org.undanus.core.rules.RuleBook;

/**
 * What one station asks, judges and draws.
 *
 * @param points the lines in the order they are read
 * @param figures what it draws, in the order it is shown
 * @param aids what else is worked with here
 */
public record StationPlan(
        Station station, List<Point> points, List<Requirement> requirements, List<Figures> figures, Set<Aid> aids) {

    /** What a station is worked with besides its lines and figures. */
    public enum Aid {
        /** The site is drawn and edited. */
        SITE_DRAWING,
        /** Photos of whole units are held beside the lines. */
        UNIT_PHOTOS
    }

    public StationPlan {
        points = List.copyOf(points);
        requirements = List.copyOf(requirements);
        figures = List.copyOf(figures);
        aids = Set.copyOf(aids);
    }

    public StationPlan(Station station, List<Point> points, List<Requirement> requirements) {
        this(station, points, requirements, List.of(), Set.of());
    }

    /** The same with its figures. */
    public StationPlan drawnBy(Figures... drawn) {
        return new StationPlan(station, points, requirements, List.of(drawn), aids);
    }

    /** The same with an aid. */
    public StationPlan with(Aid aid) {
        return new StationPlan(station, points, requirements, figures, Set.of(aid));
    }

    /** Every drawing of it. */
    public List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return figures.stream()
                .flatMap(figure -> figure.draw(facts, evidence, rules, judgements).stream())
                .toList();
    }
}
