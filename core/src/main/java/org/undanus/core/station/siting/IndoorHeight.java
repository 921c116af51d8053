package org.undanus.core.station.siting;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
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
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** A wall unit hangs at the height over the floor that its sheet and the rule book ask for. */
final class IndoorHeight implements Requirement {
    static final Point HEIGHT = Point.quantity(
                    "siting.indoor-height",
                    Scope.WALL_UNIT,
                    Dimension.LENGTH,
                    "Height over the floor",
                    "Tape from the finished floor to the underside of the unit.",
                    0,
                    15)
            .with(InstrumentKind.TAPE);

    private static final LimitKey LIMIT =
            new LimitKey("siting.indoor-height", Dimension.LENGTH, "Height over the floor");
    static final About ABOUT = About.of(
                    "siting.indoor-height",
                    Station.SITING,
                    Scope.WALL_UNIT,
                    "Height over the floor",
                    Severity.PERFORMANCE)
            .sources("Data sheet, mounting height")
            .limits(LIMIT)
            .cautions("Ladder on firm, level ground; nobody below.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        List<Limit> limits = x.limits(
                LIMIT, SheetLimit.atLeast(SheetValue.LOWEST_MOUNTING), SheetLimit.atMost(SheetValue.HIGHEST_MOUNTING));
        Optional<Drawn.Distance> drawn =
                Drawn.wallView(x).map(SitePlan.WallView::underside).map(height -> Drawn.distance(x, height, ""));
        return Clearance.judge(x, HEIGHT, LIMIT, limits, drawn, Text.of("Move the unit up or down"));
    }
}
