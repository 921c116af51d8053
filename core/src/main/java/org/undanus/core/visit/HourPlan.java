package org.undanus.core.visit;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;

/**
 * What to read in the time there is, so that as much as possible of what is at stake is resolved: judgement by judgement the one
 * whose lines resolve most for each minute they take, lines shared with one chosen already taking none. What is at stake in a
 * judgement that is open is the weight of its failure times the likelihood that it fails. A greedy choice like this for a budget
 * comes to at least (1 − 1/e)/2 of the best there is (Khuller, Moss and Naor 1999), where the better of it and the single best is
 * taken, as here.
 *
 * @param lines to be read, in walking order
 * @param time they take
 * @param resolved what of the stake is resolved by them
 * @param stake all there is at the beginning
 * @param open judgements that stay open, by what is at stake
 * @param unreached lines that would have been due and are left
 * @param hopeless lines that are due and can never count: out of sight by now, and nobody read them before
 * @param confirm recorded lines that are to be read again as a sample, in walking order
 */
public record HourPlan(
        List<PointKey> lines,
        Duration time,
        double resolved,
        double stake,
        Map<Severity, Long> open,
        int unreached,
        List<PointKey> hopeless,
        List<PointKey> confirm) {

    /**
     * A line that is due.
     *
     * @param seconds it takes to read it and write it down
     * @param hopeless whether reading it now can no longer count
     */
    public record Line(PointKey key, double seconds, boolean hopeless) {}

    /** A judgement that is open, with the lines that would decide it. */
    private record Wish(Judgement judgement, Set<PointKey> lines, double stake) {}

    public HourPlan {
        lines = List.copyOf(lines);
        hopeless = List.copyOf(hopeless);
        confirm = List.copyOf(confirm);
    }

    /**
     * @param judgements those that the visit looks at
     * @param due lines in walking order, read or not
     * @param fails how likely a judgement is to fail once it is decided, 0 to 1
     * @param time there is
     * @param seed of the sample of recorded lines: the same for the same visit, and nobody's choice
     */
    public static HourPlan of(
            List<Judgement> judgements,
            List<Line> due,
            Evidence evidence,
            RuleBook rules,
            ToDoubleFunction<Judgement> fails,
            Duration time,
            String seed) {
        Map<PointKey, Line> byKey = new LinkedHashMap<>();
        due.forEach(line -> byKey.put(line.key(), line));
        List<Wish> wishes = wishes(judgements, byKey, evidence, rules, fails);
        Set<PointKey> chosen = greedy(wishes, byKey, time.toMillis() / 1000.0);
        double greedily = resolved(wishes, chosen);
        Set<PointKey> best = new LinkedHashSet<>();
        for (Wish wish : wishes) {
            if (wish.stake > greedily && seconds(wish.lines, Set.of(), byKey) <= time.toMillis() / 1000.0) {
                greedily = wish.stake;
                best = wish.lines;
            }
        }
        Set<PointKey> read = best.isEmpty() ? chosen : best;
        Set<PointKey> confirm = confirm(judgements, byKey, evidence, rules, time, read, seed);
        List<PointKey> lines = byKey.keySet().stream().filter(read::contains).toList();
        Map<Severity, Long> open = new EnumMap<>(Severity.class);
        wishes.stream()
                .filter(wish -> !read.containsAll(wish.lines))
                .forEach(wish -> open.merge(wish.judgement.about().severity(), 1L, Long::sum));
        long unread = due.stream()
                .filter(line -> !line.hopeless && evidence.answer(line.key).isEmpty())
                .count();
        return new HourPlan(
                lines,
                Duration.ofMillis(Math.round(1000 * (seconds(read, Set.of(), byKey) + seconds(confirm, read, byKey)))),
                resolved(wishes, read),
                wishes.stream().mapToDouble(Wish::stake).sum(),
                open,
                (int) unread
                        - (int) lines.stream()
                                .filter(key -> evidence.answer(key).isEmpty())
                                .count(),
                due.stream()
                        .filter(line ->
                                line.hopeless && evidence.answer(line.key).isEmpty())
                        .map(Line::key)
                        .toList(),
                byKey.keySet().stream().filter(confirm::contains).toList());
    }

    /** Of what stands in the crew's record alone a share, drawn by lot, what is most at stake first, as far as time is left. */
    private static Set<PointKey> confirm(
            List<Judgement> judgements,
            Map<PointKey, Line> due,
            Evidence evidence,
            RuleBook rules,
            Duration time,
            Set<PointKey> read,
            String seed) {
        Map<PointKey, Severity> stakes = new LinkedHashMap<>();
        for (Judgement judgement : judgements) {
            for (PointKey key : judgement.evidence()) {
                stakes.merge(
                        key, judgement.about().severity(), (one, other) -> one.compareTo(other) <= 0 ? one : other);
            }
        }
        List<PointKey> recorded = due.keySet().stream()
                .filter(key -> !due.get(key).hopeless && stakes.containsKey(key))
                .filter(key -> evidence.latest(key)
                        .filter(reading -> reading.grade() == Grade.RECORDED)
                        .isPresent())
                .sorted(Comparator.comparing((PointKey key) -> stakes.get(key))
                        .thenComparing(key -> lot(key, seed))
                        .thenComparing(PointKey::toString))
                .toList();
        double left = time.toMillis() / 1000.0 - seconds(read, Set.of(), due);
        Set<PointKey> confirm = new LinkedHashSet<>();
        long wanted = (long) Math.ceil(rules.number(HourSettings.CONFIRMED) * recorded.size());
        for (PointKey key : recorded) {
            left -= read.contains(key) ? 0 : due.get(key).seconds;
            if (confirm.size() >= wanted || left < 0) {
                break;
            }
            confirm.add(key);
        }
        return confirm;
    }

    private static int lot(PointKey key, String seed) {
        return new Random((long) (seed + key.point() + key.component()).hashCode()).nextInt();
    }

    private static List<Wish> wishes(
            List<Judgement> judgements,
            Map<PointKey, Line> due,
            Evidence evidence,
            RuleBook rules,
            ToDoubleFunction<Judgement> fails) {
        List<Wish> wishes = new ArrayList<>();
        for (Judgement judgement : judgements) {
            boolean tooClose = judgement.verdict() == Verdict.TOO_CLOSE;
            if (judgement.verdict() != Verdict.NOT_SHOWN && !tooClose) {
                continue;
            }
            Set<PointKey> lines = new LinkedHashSet<>();
            judgement.evidence().stream()
                    .filter(due::containsKey)
                    .filter(key -> !due.get(key).hopeless)
                    .filter(key -> evidence.answer(key).isEmpty())
                    .forEach(lines::add);
            boolean spoilt = judgement.evidence().stream()
                    .anyMatch(key -> due.containsKey(key)
                            && due.get(key).hopeless
                            && evidence.answer(key).isEmpty());
            if (lines.isEmpty() && tooClose) {
                judgement.line(evidence).filter(due::containsKey).ifPresent(lines::add);
            }
            if (!lines.isEmpty() && !spoilt) {
                double weight = HourSettings.weight(judgement.about().severity(), rules);
                wishes.add(new Wish(judgement, lines, weight * fails.applyAsDouble(judgement)));
            }
        }
        return wishes;
    }

    private static Set<PointKey> greedy(List<Wish> wishes, Map<PointKey, Line> due, double budget) {
        Set<PointKey> chosen = new LinkedHashSet<>();
        List<Wish> left = new ArrayList<>(wishes);
        double spent = 0;
        while (true) {
            Wish best = null;
            double most = 0;
            double takes = 0;
            for (Wish wish : left) {
                double seconds = seconds(wish.lines, chosen, due);
                if (spent + seconds <= budget) {
                    double rate = wish.stake / Math.max(seconds, 1e-9);
                    if (best == null || rate > most) {
                        best = wish;
                        most = rate;
                        takes = seconds;
                    }
                }
            }
            if (best == null) {
                return chosen;
            }
            chosen.addAll(best.lines);
            spent += takes;
            left.remove(best);
        }
    }

    /** What these take that are not among others. */
    private static double seconds(Collection<PointKey> lines, Set<PointKey> others, Map<PointKey, Line> due) {
        return lines.stream()
                .filter(key -> !others.contains(key))
                .mapToDouble(key -> due.get(key).seconds)
                .sum();
    }

    private static double resolved(List<Wish> wishes, Set<PointKey> read) {
        return wishes.stream()
                .filter(wish -> read.containsAll(wish.lines))
                .mapToDouble(Wish::stake)
                .sum();
    }
}
