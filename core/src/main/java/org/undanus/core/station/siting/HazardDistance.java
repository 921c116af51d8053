package org.undanus.core.station.siting;

import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.geometry.PlanGeometry;
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

/** An outdoor unit keeps its distance from openings, vents, gas meters or antennas. Source: mechanical and fuel gas codes. */
final class HazardDistance implements Requirement {
    private final SitePlan.Kind kind;
    private final Point point;
    private final LimitKey limit;
    private final About about;

    HazardDistance(SitePlan.Kind kind, Point point, Severity severity, String source) {
        this.kind = kind;
        this.point = point;
        this.limit = new LimitKey(point.id(), Dimension.LENGTH, point.title());
        this.about = About.of(point.id(), Station.SITING, point.scope(), point.title(), severity)
                .sources(source)
                .limits(limit);
    }

    SitePlan.Kind kind() {
        return kind;
    }

    Point point() {
        return point;
    }

    @Override
    public About about() {
        return about;
    }

    double asked(Examination x) {
        return Clearance.asked(x, limit, x.rules().limits(limit));
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<PlanGeometry> plan = Drawn.plan(x);
        Optional<Drawn.Distance> drawn =
                plan.flatMap(p -> p.nearest(x.unit().id(), kind)).map(d -> Drawn.distance(x, d.metres(), d.to()));
        return Clearance.judgeOrNothing(
                x,
                point,
                limit,
                x.rules().limits(limit),
                plan.isPresent(),
                drawn,
                "The drawing shows none on the site.",
                Text.of("Move the unit away from it"));
    }
}
