package org.undanus.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.station.Walk;

/** What each requirement takes of a full judgement: those that take the most, and all together. */
public final class JudgeCost {
    private static final int NAMED = 6;

    private record Cost(String requirement, double microseconds) {}

    private JudgeCost() {}

    /** Arguments: milliseconds to warm up and to measure, for each requirement. */
    public static void main(String[] arguments) {
        long warmUp = TimeUnit.MILLISECONDS.toNanos(Long.parseLong(arguments[0]));
        long measured = TimeUnit.MILLISECONDS.toNanos(Long.parseLong(arguments[1]));
        JudgeBench one = new JudgeBench();
        one.fill();
        List<Cost> costs = new ArrayList<>();
        Walk.plans().stream().flatMap(plan -> plan.requirements().stream()).forEach(requirement -> {
            Judge judge = new Judge(List.of(requirement));
            perJudging(judge, one, warmUp);
            costs.add(new Cost(name(requirement), perJudging(judge, one, measured)));
        });
        costs.sort(Comparator.comparingDouble(Cost::microseconds).reversed());
        double all = costs.stream().mapToDouble(Cost::microseconds).sum();
        System.out.printf("%d requirements, each by itself: %.0f µs together%n", costs.size(), all);
        costs.stream()
                .limit(NAMED)
                .forEach(cost -> System.out.printf(
                        "  %-32s %6.1f µs, %2.0f %%%n",
                        cost.requirement(), cost.microseconds(), 100 * cost.microseconds() / all));
    }

    private static String name(Requirement requirement) {
        return requirement.about().id();
    }

    private static double perJudging(Judge judge, JudgeBench one, long nanoseconds) {
        long begun = System.nanoTime();
        int times = 0;
        do {
            judge.judge(one.facts, one.evidence, one.rules);
            times++;
        } while (System.nanoTime() - begun < nanoseconds);
        return (System.nanoTime() - begun) / 1000.0 / times;
    }
}
