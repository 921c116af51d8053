package org.undanus.core.station.siting;

import org.undanus.core.evidence.Point;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** A wall unit hangs away from heat and steam, electronics, curtains. Source: data sheet, place of installation. */
final class WallDistance implements Requirement {
    private final SitePlan.ItemKind kind;
    private final Point point;
    private final LimitKey limit;
    private final About about;

    WallDistance(SitePlan.ItemKind kind, Point point, Severity severity) {
        this.kind = kind;
        this.point = point;
        this.limit = new LimitKey(point.id(), Dimension.LENGTH, point.title());
        this.about = About.of(point.id(), Station.SITING, point.scope(), point.title(), severity)
                .sources("Data sheet, place of installation")
                .limits(limit);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        return Clearance.judgeOnWall(
                x,
                point,
                limit,
                x.rules().limits(limit),
                wall -> wall.nearest(kind),
                "The drawing shows none on its wall.",
                Text.of("Move the unit or that away from it"));
    }
}
