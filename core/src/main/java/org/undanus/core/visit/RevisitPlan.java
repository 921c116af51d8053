package org.undanus.core.visit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Admission;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;

/**
 * What a re-visit has to look at: only what is open, station by station in the order of the walk, with the instruments to bring.
 *
 * @param holds lines whose time has to run; it comes on top of the time
 * @param time for reading the lines, by the rule book; empty where it leaves that open
 */
public record RevisitPlan(List<Stop> stops, List<Tool> tools, List<PointKey> holds, Optional<Duration> time) {

    /** How long a line takes. */
    public static final Setting PER_LINE = Setting.useful(
            "handover.time-per-line",
            Dimension.DURATION,
            "Time to read a line and write it down, for planning a visit");

    /** @param lines to read, each once */
    public record Stop(Station station, List<PointKey> lines, List<Judgement> open) {}

    /**
     * @param needed the expanded uncertainty that would settle what is too close to call; empty where any will do
     * @param atHand those that are fit on the day and good enough; where none is, those that are fit
     * @param enough whether any of them is
     */
    public record Tool(InstrumentKind kind, Optional<Quantity> needed, List<Instrument> atHand, boolean enough) {}

    /** How exactly a kind has to read, and of what size. */
    private record Need(Dimension dimension, double value, double allowed, Quantity shown) {}

    /**
     * @param points the line an id stands for
     * @param on the day of the re-visit
     */
    public static RevisitPlan of(
            Case facts,
            Evidence evidence,
            RuleBook rules,
            List<Judgement> judgements,
            Function<String, Optional<Point>> points,
            LocalDate on) {
        Map<Station, Set<PointKey>> lines = new EnumMap<>(Station.class);
        Map<Station, List<Judgement>> open = new EnumMap<>(Station.class);
        Map<InstrumentKind, Optional<Need>> needs = new EnumMap<>(InstrumentKind.class);
        Set<PointKey> holds = new LinkedHashSet<>();
        Set<PointKey> asked = new LinkedHashSet<>();
        for (Judgement judgement : judgements) {
            if (!judgement.verdict().open()) {
                continue;
            }
            open.computeIfAbsent(judgement.about().station(), any -> new ArrayList<>())
                    .add(judgement);
            for (PointKey key : toRead(judgement, evidence, points)) {
                if (!asked.add(key)) {
                    continue;
                }
                Point point = points.apply(key.point()).orElseThrow();
                lines.computeIfAbsent(judgement.about().station(), any -> new LinkedHashSet<>())
                        .add(key);
                if (point.instrument() == InstrumentKind.CLOCK) {
                    holds.add(key);
                } else if (point.instrument() != InstrumentKind.READ_OFF) {
                    needs.merge(point.instrument(), need(judgement), RevisitPlan::stricter);
                }
            }
        }
        return new RevisitPlan(
                open.entrySet().stream()
                        .map(each -> new Stop(
                                each.getKey(),
                                List.copyOf(lines.getOrDefault(each.getKey(), Set.of())),
                                each.getValue()))
                        .toList(),
                needs.entrySet().stream()
                        .map(each -> tool(
                                each.getKey(), each.getValue(), facts, Admission.use(facts, evidence, List.of(), on)))
                        .toList(),
                List.copyOf(holds),
                rules.decides(PER_LINE)
                        ? Optional.of(Duration.ofSeconds(rules.number(PER_LINE) * asked.size()))
                        : Optional.empty());
    }

    /** Of what is not shown the lines that nobody has read; of the rest the one it is about. */
    private static List<PointKey> toRead(
            Judgement judgement, Evidence evidence, Function<String, Optional<Point>> points) {
        List<PointKey> unread = judgement.verdict() != Verdict.NOT_SHOWN
                ? List.of()
                : judgement.evidence().stream()
                        .filter(key -> evidence.latest(key).isEmpty())
                        .filter(key -> points.apply(key.point())
                                .filter(point -> !point.optional()
                                        && evidence.pointless(point, key.component())
                                                .isEmpty())
                                .isPresent())
                        .toList();
        return unread.isEmpty()
                ? judgement.line(evidence).stream()
                        .filter(key -> points.apply(key.point()).isPresent())
                        .toList()
                : unread;
    }

    private static Optional<Need> need(Judgement judgement) {
        return judgement
                .comparison()
                .filter(made -> judgement.verdict() == Verdict.TOO_CLOSE && made.allowed() > 0)
                .map(made -> new Need(
                        made.dimension(), made.measured().value(), made.allowed(), made.difference(made.allowed())));
    }

    /** The one that asks for more; of two that read different things the first. */
    private static Optional<Need> stricter(Optional<Need> one, Optional<Need> other) {
        if (one.isEmpty() || other.isEmpty()) {
            return one.or(() -> other);
        }
        boolean alike = one.get().dimension == other.get().dimension;
        return alike && other.get().allowed < one.get().allowed ? other : one;
    }

    private static Tool tool(InstrumentKind kind, Optional<Need> need, Case facts, Instrument.Use use) {
        List<Instrument> fit = facts.toolcase().instruments().stream()
                .filter(instrument ->
                        instrument.kind() == kind && instrument.unfit(use).isEmpty())
                .toList();
        List<Instrument> enough = need.map(
                        asked -> facts.toolcase().goodEnough(kind, asked.dimension, asked.value, asked.allowed, use))
                .orElse(fit);
        return new Tool(kind, need.map(Need::shown), enough.isEmpty() ? fit : enough, !enough.isEmpty());
    }
}
