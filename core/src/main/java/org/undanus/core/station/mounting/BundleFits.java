package org.undanus.core.station.mounting;

import static org.undanus.core.station.mounting.MountingPoints.HOLE_DIAMETER;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The bundle goes through the hole with room to spare, so that the drain is not pinched. The smallest circle about the
 * bundle is found by {@link Bundle}.
 */
final class BundleFits implements Requirement {
    static final Setting SLACK =
            new Setting("mounting.bundle-slack", Dimension.RATIO, "Room to spare in the hole, of its diameter");
    private static final LimitKey LIMIT =
            new LimitKey("mounting.hole-diameter", Dimension.LENGTH, "Hole, clear diameter");
    static final About ABOUT = About.of(
                    "mounting.bundle-fits", Station.MOUNTING, Scope.SPLIT_UNIT, "Bundle fits the hole", Severity.DAMAGE)
            .sources("Smallest circle about given circles, packed; data sheet, hole through the wall")
            .needs(HOLE_DIAMETER)
            .limits(LIMIT)
            .settings(SLACK);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<LineBundle> bundle = LineBundle.of(x);
        if (bundle.isEmpty()) {
            return x.notShown(LineBundle.missing(x));
        }
        Uncertain packed = bundle.get().diameter();
        double room = 1 + x.rules().number(SLACK);
        List<Limit> limits = x.limits(LIMIT, SheetLimit.atLeast(SheetValue.HOLE_DIAMETER));
        limits.add(new Limit(
                x.rules().practice(),
                Bound.AT_LEAST,
                Length.ofMetres(packed.value() * room),
                Text.plain(x.rules().setting(SLACK).source()),
                packed.standardUncertainty() * room));
        Finding finding = x.finding();
        bundle.get().parts().forEach(part -> finding.step(part.title(), Length.ofMetres(part.outer())));
        finding.step(
                "Smallest circle about the bundle",
                "packed",
                Amount.of(Dimension.LENGTH, packed, 0),
                "smallest of many packings, free of overlap");
        Value.Measured hole = x.need(HOLE_DIAMETER);
        Optional<Comparison> held = finding.hold(LIMIT, hole.uncertain(), hole.resolution(), limits);
        return finding.conclude(
                held.orElseThrow().verdict(), finding.room(), remedy(finding, hole, bundle.get(), room));
    }

    /** A drain with a hole of its own is often easier to have than a wider hole. */
    private static Text remedy(Finding finding, Value.Measured hole, LineBundle bundle, double room) {
        Text wider = Text.of("Ask for a hole at least {lacking} wider", finding.lacking());
        if (!bundle.hasDrain()) {
            return Text.of("{wider}, or lead the cable through another.", wider);
        }
        Length rest = Length.ofMetres(2 * bundle.withoutDrain().radius() * room);
        return rest.si() <= hole.quantity().si() - hole.uncertain().expanded()
                ? Text.of("{wider}, or give the drain a hole of its own: the rest needs {rest}.", wider, rest)
                : Text.of("{wider}, or lead the cable and the drain through others.", wider);
    }
}
