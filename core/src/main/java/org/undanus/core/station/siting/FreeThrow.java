package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.THROW;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** A wall unit can throw its air across the room. Source: data sheet, installation space. */
final class FreeThrow implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("siting.indoor-throw", Dimension.LENGTH, "Free throw");
    private static final About ABOUT = About.of(
                    "siting.indoor-throw", Station.SITING, Scope.WALL_UNIT, "Free throw", Severity.PERFORMANCE)
            .sources("Data sheet, installation space")
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Drawn.Distance> drawn = Drawn.wallView(x)
                .flatMap(SitePlan.WallView::throwDistance)
                .map(metres -> Drawn.distance(x, metres, ""));
        return Clearance.judge(
                x,
                THROW,
                LIMIT,
                x.limits(LIMIT, SheetLimit.atLeast(SheetValue.LEAST_THROW)),
                drawn,
                Text.of("Clear its way or hang it elsewhere"));
    }
}
