package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** A requirement that one reading settles: within what the rule book and the unit's data sheet allow. */
public final class WithinLimits implements Requirement {

    private static final String LIMIT = "{limit}";

    private final About about;
    private final Point point;
    private final LimitKey key;
    private final List<SheetLimit> fromSheet;
    private final String remedy;

    private WithinLimits(About about, Point point, LimitKey key, List<SheetLimit> fromSheet, String remedy) {
        this.about = about;
        this.point = point;
        this.key = key;
        this.fromSheet = List.copyOf(fromSheet);
        this.remedy = remedy;
    }

    /** @param remedy what to do where the limit is not kept; the limit stands where it says {limit}, else after it */
    public static WithinLimits of(Station station, Point point, Severity severity, String source, String remedy) {
        LimitKey key = new LimitKey(point.id(), point.dimension().orElseThrow(), point.title());
        About about = About.of(point.id(), station, point.scope(), point.title(), severity)
                .sources(source)
                .needs(point)
                .limits(key)
                .cautions(point.caution().isEmpty() ? new String[0] : new String[] {point.caution()});
        return new WithinLimits(about, point, key, List.of(), remedy);
    }

    /** This requirement, held against values of the unit's data sheet too. */
    public WithinLimits sheet(SheetLimit... given) {
        return new WithinLimits(about, point, key, List.of(given), remedy);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        List<Limit> limits = x.limits(key, fromSheet.toArray(SheetLimit[]::new));
        Value.Measured read = x.need(point);
        return judge(x.finding(), key, read.uncertain(), read.resolution(), limits, remedy);
    }

    /** Holds a value against limits. @param remedy what to do; the limit stands where it says {limit}, else after it */
    public static Judgement judge(
            Finding finding, LimitKey key, Uncertain value, double resolution, List<Limit> limits, String remedy) {
        return judged(
                finding,
                key,
                value,
                resolution,
                limits,
                limit -> remedy.contains(LIMIT) ? Text.of(remedy, limit.value()) : required(Text.of(remedy), finding));
    }

    /** Holds a value against limits and says the limit after what is to be done. */
    public static Judgement judge(
            Finding finding, LimitKey key, Uncertain value, double resolution, List<Limit> limits, Text remedy) {
        return judged(finding, key, value, resolution, limits, limit -> required(remedy, finding));
    }

    private static Text required(Text remedy, Finding finding) {
        return Text.of("{remedy}: {required}.", remedy, finding.required());
    }

    private static Judgement judged(
            Finding finding,
            LimitKey key,
            Uncertain value,
            double resolution,
            List<Limit> limits,
            Function<Limit, Text> remedy) {
        Optional<Comparison> held = finding.hold(key, value, resolution, limits);
        return held.map(compared -> finding.conclude(
                        compared.verdict(),
                        finding.room(),
                        remedy.apply(compared.binding().limit())))
                .orElseGet(finding::nobodyLimits);
    }
}
