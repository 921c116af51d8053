package org.undanus.core.station.condensate;

import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;

/** The drain is nowhere narrower than the sheet's, or than the code's where no sheet speaks. */
final class DrainSize implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("condensate.size", Dimension.LENGTH, "Drain, outer diameter");
    static final About ABOUT = About.of(
                    "condensate.size", Station.CONDENSATE, Scope.DRAIN_RUN, "Drain wide enough", Severity.DAMAGE)
            .sources("Data sheet, drain; mechanical code, condensate drains; check the adopted edition")
            .needs(DrainPoints.SIZE)
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Measured size = x.need(DrainPoints.SIZE);
        List<Limit> limits = x.at(x.indoor().orElseThrow()).limits(LIMIT, SheetLimit.atLeast(SheetValue.DRAIN_SIZE));
        return WithinLimits.judge(
                x.finding(),
                LIMIT,
                size.uncertain(),
                size.resolution(),
                limits,
                "Replace the narrow part of the drain; inside diameter");
    }
}
