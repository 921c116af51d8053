package org.undanus.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;

/**
 * What one station asks, judges and draws.
 *
 * @param points the lines in the order they are read
 * @param figures what it draws, in the order it is shown
 * @param aids what else is worked with here
 * @param sizes the lists of standard sizes a rule book must give for it
 * @param tables the tables a rule book chooses between, with what they may be
 * @param precedents what should be read before it
 * @param holdings what is left alone for a while here
 * @param marking what can be marked on its curves while they are taken
 * @param charts its curves, to be looked at closely
 */
public record StationPlan(
        Station station,
        List<Point> points,
        List<Requirement> requirements,
        List<Figures> figures,
        Set<Aid> aids,
        Map<String, Dimension> sizes,
        Map<String, Set<String>> tables,
        List<Precedent> precedents,
        List<HoldableLine> holdings,
        Optional<Marking> marking,
        Optional<Charts> charts) {

    /**
     * Work that comes before a station's.
     *
     * @param station whose lines are read first
     * @param consequence what it comes to where they are not: a sentence
     */
    public record Precedent(Station station, String consequence) {}

    /** What a station is worked with besides its lines and figures. */
    public enum Aid {
        /** The site is drawn and edited. */
        SITE_DRAWING,
        /** Photos of whole units are held beside the lines. */
        UNIT_PHOTOS,
        /** Its curves are looked at closely. */
        BENCH,
        /** What the visit comes to is summed up. */
        SUMMARY,
        /** A running machine is read. */
        MACHINE
    }

    public StationPlan {
        points = List.copyOf(points);
        requirements = List.copyOf(requirements);
        figures = List.copyOf(figures);
        aids = Set.copyOf(aids);
        sizes = Map.copyOf(sizes);
        tables = Map.copyOf(tables);
        precedents = List.copyOf(precedents);
        holdings = List.copyOf(holdings);
    }

    public StationPlan(Station station, List<Point> points, List<Requirement> requirements) {
        this(
                station,
                points,
                requirements,
                List.of(),
                Set.of(),
                Map.of(),
                Map.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    /** This plan with its figures. */
    public StationPlan drawnBy(Figures... drawn) {
        return new StationPlan(
                station,
                points,
                requirements,
                List.of(drawn),
                aids,
                sizes,
                tables,
                precedents,
                holdings,
                marking,
                charts);
    }

    /** This plan with an aid. */
    public StationPlan with(Aid aid) {
        return new StationPlan(
                station,
                points,
                requirements,
                figures,
                Set.of(aid),
                sizes,
                tables,
                precedents,
                holdings,
                marking,
                charts);
    }

    /** This plan with a list of standard sizes. */
    public StationPlan sizes(String list, Dimension dimension) {
        return new StationPlan(
                station,
                points,
                requirements,
                figures,
                aids,
                Map.of(list, dimension),
                tables,
                precedents,
                holdings,
                marking,
                charts);
    }

    /** This plan with tables to choose between. */
    public StationPlan tables(Map<String, Set<String>> choices) {
        return new StationPlan(
                station, points, requirements, figures, aids, sizes, choices, precedents, holdings, marking, charts);
    }

    /** This plan, to be walked after another station. */
    public StationPlan after(Station earlier, String consequence) {
        List<Precedent> more = new ArrayList<>(precedents);
        more.add(new Precedent(earlier, consequence));
        return new StationPlan(
                station, points, requirements, figures, aids, sizes, tables, more, holdings, marking, charts);
    }

    /** This plan with what is left alone for a while. */
    public StationPlan holding(HoldableLine... held) {
        return new StationPlan(
                station,
                points,
                requirements,
                figures,
                aids,
                sizes,
                tables,
                precedents,
                List.of(held),
                marking,
                charts);
    }

    /** This plan with what can be marked on its curves while they are taken. */
    public StationPlan marked(Marking marks) {
        return new StationPlan(
                station,
                points,
                requirements,
                figures,
                aids,
                sizes,
                tables,
                precedents,
                holdings,
                Optional.of(marks),
                charts);
    }

    /** This plan with curves that can be looked at closely. */
    public StationPlan charted(Charts curves) {
        return new StationPlan(
                station,
                points,
                requirements,
                figures,
                Set.of(Aid.BENCH),
                sizes,
                tables,
                precedents,
                holdings,
                marking,
                Optional.of(curves));
    }

    /** Every drawing of it. */
    public List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return figures.stream()
                .flatMap(figure -> figure.draw(facts, evidence, rules, judgements).stream())
                .toList();
    }
}
