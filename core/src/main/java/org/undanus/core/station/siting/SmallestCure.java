package org.undanus.core.station.siting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.geometry.Footprint;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;

/**
 * The smallest move of outdoor units, from where they are drawn, that cures every distance at once. Each distance is asked
 * with the drawing's expanded uncertainty on top, so that what is found is judged Meets.
 */
public final class SmallestCure {
    private SmallestCure() {}

    public static SmallestMove.Result find(
            Case facts, Evidence evidence, RuleBook rules, PlanGeometry plan, boolean mayTurn) {
        Map<String, SmallestMove.Asked> asked = new HashMap<>();
        for (Component component : facts.components()) {
            if (component.outdoor() && plan.unit(component.id()).isPresent()) {
                asked.put(component.id(), asked(facts, evidence, rules, component));
            }
        }
        return new SmallestMove(plan, asked, mayTurn).find();
    }

    private static SmallestMove.Asked asked(Case facts, Evidence evidence, RuleBook rules, Component unit) {
        Map<Face, Double> solid = new HashMap<>();
        Map<Face, Double> neighbours = new HashMap<>();
        for (Face face : Face.OUTDOOR) {
            OutdoorClearance clearance = OutdoorClearance.of(face);
            Examination x = Examination.of(facts, evidence, rules, clearance.about(), unit);
            solid.put(face, sure(facts, rules, clearance.asked(x)));
        }
        Examination spacing = Examination.of(facts, evidence, rules, new NeighbourSpacing().about(), unit);
        for (Face face : Face.IN_PLAN) {
            neighbours.put(face, sure(facts, rules, NeighbourSpacing.asked(spacing, face)));
        }
        Map<SitePlan.Kind, Double> hazards = new HashMap<>();
        for (HazardDistance hazard : Siting.HAZARDS) {
            Examination x = Examination.of(facts, evidence, rules, hazard.about(), unit);
            hazards.put(hazard.kind(), sure(facts, rules, hazard.asked(x)));
        }
        hazards.values().removeAll(List.of(0.0));
        return new SmallestMove.Asked(reach(solid), solid.get(Face.ABOVE), reach(neighbours), hazards);
    }

    private static double sure(Case facts, RuleBook rules, double metres) {
        return metres == 0
                ? 0
                : metres + new Uncertain(metres, Drawn.standardUncertainty(facts, rules, metres)).expanded();
    }

    private static Footprint.Reach reach(Map<Face, Double> by) {
        return new Footprint.Reach(by.get(Face.FRONT), by.get(Face.BACK), by.get(Face.LEFT), by.get(Face.RIGHT));
    }
}
