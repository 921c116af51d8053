package org.undanus.view;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MarginBar;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.rules.Deferral;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Wording;

/**
 * A judgement printed in a reader's wording.
 *
 * @param brief verdict, margin and whose limit in a few words
 * @param line the line it is about first of all
 */
public record JudgementView(
        String key,
        String requirement,
        String title,
        String component,
        String subject,
        String station,
        Verdict verdict,
        String severity,
        String brief,
        String because,
        Optional<String> remedy,
        Optional<BarView> bar,
        List<LimitView> limits,
        Optional<String> probability,
        List<StepView> derivation,
        List<EvidenceView> evidence,
        Optional<LineKey> line,
        List<String> sources,
        List<String> cautions,
        Optional<String> school,
        List<SchoolView> otherSchools) {

    public record LineKey(String point, String component) {}

    /** The layout of a margin bar, positions from 0 to 1. */
    public record BarView(
            double permittedFrom,
            double permittedTo,
            List<TickView> ticks,
            double needle,
            double whiskerFrom,
            double whiskerTo,
            String reading) {}

    public record TickView(double position, String label, boolean binds, boolean defers, int row) {}

    /** @param givesWay why it does not bind though stricter, where that is so */
    public record LimitView(
            String authority,
            String note,
            String bound,
            String value,
            String source,
            boolean binds,
            Optional<String> givesWay) {}

    public record StepView(String name, String how, String value, String source) {}

    /** @param reading what was read, empty where the line is open */
    public record EvidenceView(
            String point,
            String component,
            String line,
            Optional<String> reading,
            Optional<String> grade,
            Optional<String> by) {}

    /** What the requirement comes to by another school. */
    public record SchoolView(String title, Verdict verdict, String because, Optional<BarView> bar) {}

    public static JudgementView of(Judgement judgement, Evidence evidence, Wording wording) {
        return new JudgementView(
                judgement.key(),
                judgement.about().id(),
                wording.say(judgement.about().title()),
                judgement.component(),
                wording.say(judgement.subject()),
                judgement.about().station().key(),
                judgement.verdict(),
                wording.say(judgement.about().severity().title()),
                judgement.brief().in(wording),
                judgement.because().in(wording),
                judgement.remedy().map(text -> text.in(wording)),
                bar(judgement, wording),
                judgement.comparison().stream()
                        .flatMap(c -> c.limits().stream())
                        .map(held -> limit(held, wording))
                        .toList(),
                judgement
                        .comparison()
                        .filter(c -> c.measured().standardUncertainty() > 0)
                        .map(c -> String.format(Locale.ROOT, "%.1f %%", 100 * c.probabilityOfConforming())),
                judgement.derivation().stream()
                        .map(s -> new StepView(
                                s.name().in(wording),
                                s.how().in(wording),
                                s.value().in(wording),
                                s.source().in(wording)))
                        .toList(),
                judgement.evidence().stream()
                        .map(key -> evidence(key, evidence, wording))
                        .toList(),
                judgement.line(evidence).map(key -> new LineKey(key.point(), key.component())),
                judgement.about().sources().stream().map(wording::say).toList(),
                judgement.about().cautions().stream().map(wording::say).toList(),
                judgement.school().map(SchoolTopic.School::title).map(wording::say),
                judgement.otherSchools().stream()
                        .map(other -> new SchoolView(
                                wording.say(other.school().orElseThrow().title()),
                                other.verdict(),
                                other.because().in(wording),
                                bar(other, wording)))
                        .toList());
    }

    private static LimitView limit(Comparison.Held held, Wording wording) {
        return new LimitView(
                wording.say(held.limit().authority().name()),
                wording.say(held.limit().authority().note()),
                wording.say(held.limit().bound().words()),
                QuantityFormat.of(wording.units()).format(held.limit().value()),
                held.limit().source().in(wording),
                held.binds(),
                held.deferral().map(Deferral::reason).map(wording::say));
    }

    private static EvidenceView evidence(PointKey key, Evidence evidence, Wording wording) {
        Optional<Reading> reading = evidence.latest(key);
        return new EvidenceView(
                key.point(),
                key.component(),
                Walk.point(key.point()).map(Point::title).map(wording::say).orElse(key.point()),
                reading.map(read -> read.said().in(wording)),
                reading.map(read -> wording.say(read.grade().title())),
                reading.map(Reading::by));
    }

    private static Optional<BarView> bar(Judgement judgement, Wording wording) {
        return judgement.comparison().map(comparison -> {
            MarginBar bar = MarginBar.of(comparison);
            return new BarView(
                    bar.permittedFrom(),
                    bar.permittedTo(),
                    bar.ticks().stream()
                            .map(t -> new TickView(t.position(), t.label().in(wording), t.binds(), t.defers(), t.row()))
                            .toList(),
                    bar.needle(),
                    bar.whiskerFrom(),
                    bar.whiskerTo(),
                    bar.reading().in(wording));
        });
    }
}
