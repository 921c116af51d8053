package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.CONDENSING;
import static org.undanus.core.audit.RecordLines.EVAPORATING;
import static org.undanus.core.audit.RecordLines.LIQUID_TEMPERATURE;
import static org.undanus.core.audit.RecordLines.OUTDOOR_AIR;
import static org.undanus.core.audit.RecordLines.RETURN_DRY;
import static org.undanus.core.audit.RecordLines.RETURN_WET;
import static org.undanus.core.audit.RecordLines.SUCTION_TEMPERATURE;
import static org.undanus.core.audit.RecordLines.SUPPLY_DRY;
import static org.undanus.core.audit.RecordLines.SUPPLY_WET;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;

/** Whether, in cooling, heat goes from warm to cold everywhere: no coil cools below what cools it. */
final class HeatFlowsDown implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.heat-flow",
                    "Heat goes from warm to cold",
                    "Each temperature against the one it cannot be colder than, in cooling")
            .shows("That two temperatures were not read where the record says", "Which of them is wrong")
            .innocently(
                    "Two thermometers, or two lines of the form, were swapped",
                    "The machine was running in heating",
                    "One of them was read at another moment, or in the sun")
            .asks("Where was each of these temperatures read, and in which mode did the machine run?")
            .sources("Second law of thermodynamics")
            .settings(AuditSettings.AIR);

    /** One that is never colder than another. */
    private record Order(Point warm, Point cold) {}

    private static final List<Order> ORDERS = List.of(
            new Order(LIQUID_TEMPERATURE, OUTDOOR_AIR),
            new Order(CONDENSING, OUTDOOR_AIR),
            new Order(CONDENSING, LIQUID_TEMPERATURE),
            new Order(SUCTION_TEMPERATURE, EVAPORATING),
            new Order(RETURN_DRY, SUPPLY_DRY),
            new Order(RETURN_DRY, RETURN_WET),
            new Order(SUPPLY_DRY, SUPPLY_WET),
            new Order(SUPPLY_DRY, EVAPORATING));

    /** Two that are claimed, and by how many standard uncertainties the wrong way round. */
    private record Pair(
            Order order, PointKey warm, PointKey cold, Value.Measured high, Value.Measured low, double wrong) {}

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Optional<Double> air = paper.number(AuditSettings.AIR);
        boolean cooling = paper.record()
                .claim(new PointKey(RecordLines.MODE.id(), PointKey.SYSTEM))
                .flatMap(claim -> claim.value().answer())
                .filter(OperationPoints.COOLING.id()::equals)
                .isPresent();
        List<Pair> pairs = new ArrayList<>();
        if (cooling && air.isPresent()) {
            ORDERS.forEach(order -> pairs.addAll(pairs(paper, order, air.get())));
        }
        if (pairs.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT, PointKey.SYSTEM, Text.of("The record has no two temperatures of it running in cooling.")));
        }
        Pair worst = pairs.stream().max(Comparator.comparingDouble(Pair::wrong)).orElseThrow();
        // the worst of several is odder than one of them
        Doubt doubt = new Doubt(Math.min(1, Doubt.beyond(worst.wrong()).chance() * pairs.size()));
        return List.of(Found.weighed(
                        ABOUT,
                        PointKey.SYSTEM,
                        doubt,
                        Text.of(
                                worst.wrong() > 0
                                        ? "{warm}: {high}. {cold}: {low}. In cooling the first is never the colder."
                                        : "{warm}: {high}. {cold}: {low}. So it goes in cooling.",
                                worst.order().warm().title(),
                                worst.high().quantity(),
                                worst.order().cold().title(),
                                worst.low().quantity()),
                        List.of(worst.warm(), worst.cold()))
                .drawn(new Found.Band(
                        Dimension.TEMPERATURE,
                        worst.low().quantity().si(),
                        Double.POSITIVE_INFINITY,
                        worst.high().quantity().si())));
    }

    private static List<Pair> pairs(AuditedRecord paper, Order order, double air) {
        List<Pair> pairs = new ArrayList<>();
        for (Subject warm : paper.facts().subjects(order.warm().scope())) {
            for (Subject cold : cold(paper, warm, order.cold().scope())) {
                Optional<Value.Measured> high = paper.measured(order.warm(), warm);
                Optional<Value.Measured> low = paper.measured(order.cold(), cold);
                if (high.isPresent() && low.isPresent()) {
                    double u = Math.sqrt(Math.pow(high.get().standardUncertainty(), 2)
                            + Math.pow(low.get().standardUncertainty(), 2)
                            + air * air);
                    pairs.add(new Pair(
                            order,
                            RecordLines.key(order.warm(), warm.id()),
                            RecordLines.key(order.cold(), cold.id()),
                            high.get(),
                            low.get(),
                            (low.get().quantity().si() - high.get().quantity().si()) / u));
                }
            }
        }
        return pairs;
    }

    /** Subjects whose cold end belongs to this warm one: itself, where both are read of one; else all there are. */
    private static List<Subject> cold(AuditedRecord paper, Subject warm, Scope scope) {
        List<Subject> all = paper.facts().subjects(scope);
        return all.contains(warm) ? List.of(warm) : all;
    }
}
