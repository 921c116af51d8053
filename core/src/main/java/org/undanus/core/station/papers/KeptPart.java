package org.undanus.core.station.papers;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** One thing that stays of an old system is held against a value of the new unit's plate, or the sheet that fills it. */
final class KeptPart implements Requirement {

    private final Point kept;
    private final Point old;
    private final Predicate<Component> unit;
    private final List<SheetLimit> against;
    private final LimitKey limit;
    private final About about;
    private final String remedy;

    private KeptPart(
            Point kept,
            Point old,
            Predicate<Component> unit,
            List<SheetLimit> against,
            LimitKey limit,
            About about,
            String remedy) {
        this.kept = kept;
        this.old = old;
        this.unit = unit;
        this.against = List.copyOf(against);
        this.limit = limit;
        this.about = about;
        this.remedy = remedy;
    }

    /**
     * @param kept yes where it stays
     * @param old what was measured of it
     * @param unit which units of the new system it serves
     */
    static KeptPart of(
            Point kept, Point old, Predicate<Component> unit, Severity severity, String title, String remedy) {
        LimitKey limit = new LimitKey(old.id(), old.dimension().orElseThrow(), old.title());
        About about = About.of(kept.id(), Station.PAPERS, Scope.REPLACEMENT, title, severity)
                .sources("Plate and data sheet of the new units")
                .needs(kept)
                .limits(limit);
        return new KeptPart(kept, old, unit, List.of(), limit, about, remedy);
    }

    KeptPart against(SheetLimit... given) {
        return new KeptPart(kept, old, unit, List.of(given), limit, about, remedy);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.affirmed(kept).orElseThrow()) {
            return renewed(x, kept);
        }
        Optional<Component> served =
                x.facts().components().stream().filter(unit).findFirst();
        if (served.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("The new system has no unit that it serves."), "");
        }
        Optional<Value.Measured> found = x.measured(old);
        if (found.isEmpty()) {
            return x.notShown(List.of(old));
        }
        Examination outside = x.at(served.get());
        Finding finding = x.finding().step(kept.title(), "yes");
        List<Limit> limits = x.limits(limit);
        for (SheetLimit each : against) {
            Optional<Quantity> asked = each.value()
                    .plate()
                    .flatMap(outside::measured)
                    .map(Value.Measured::quantity)
                    .or(() -> outside.sheet().flatMap(s -> s.value(each.value())));
            asked.ifPresent(value -> limits.add(new Limit(
                    x.rules().maker(),
                    each.bound(),
                    value,
                    Text.of(
                            "{unit}, {value}",
                            served.get().title(),
                            each.value().title()))));
        }
        return limits.isEmpty()
                ? finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("Neither plate nor sheet of the new unit tells what it needs."),
                        "Read the plate, or add the maker's sheet.")
                : WithinLimits.judge(
                        finding, limit, found.get().uncertain(), found.get().resolution(), limits, remedy);
    }

    static Judgement renewed(Examination x, Point kept) {
        return x.finding()
                .step(kept.title(), "no")
                .conclude(Verdict.DOES_NOT_APPLY, Text.of("It has been renewed."), "");
    }
}
