package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.BASE_HEIGHT;
import static org.undanus.core.station.siting.SitingPoints.FLOOD_LEVEL;
import static org.undanus.core.station.siting.SitingPoints.HEATS;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The base stands clear of ground, snow and flood: over the ground as the rule book asks; where it heats in winter, over the
 * design snow with room for ice to fall; over the flood level with freeboard.
 */
final class BaseHeight implements Requirement {
    private static final Setting SNOW =
            Setting.usefulOfPlace("siting.design-snow", Dimension.LENGTH, "Design snow depth");
    private static final Setting SNOW_MARGIN =
            new Setting("siting.snow-margin", Dimension.LENGTH, "Room over the snow for ice to fall");
    private static final Setting FREEBOARD =
            new Setting("siting.flood-freeboard", Dimension.LENGTH, "Freeboard over the flood level");
    private static final LimitKey LIMIT = new LimitKey("siting.base-height", Dimension.LENGTH, "Base over the ground");
    private static final About ABOUT = About.of(
                    "siting.base-height",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Base over ground, snow and flood",
                    Severity.DAMAGE)
            .sources("Adopted mechanical code, heat pump supports; flood map of the authority")
            .needs(HEATS)
            .limits(LIMIT)
            .settings(SNOW, SNOW_MARGIN, FREEBOARD)
            .cautions(BASE_HEIGHT.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        List<Limit> limits = x.limits(LIMIT);
        if (x.affirmed(HEATS).orElseThrow()) {
            if (!x.rules().decides(SNOW)) {
                return x.undecided(List.of(SNOW));
            }
            limits.add(new Limit(
                    x.rules().code(),
                    Bound.AT_LEAST,
                    Length.ofMetres(x.rules().number(SNOW) + x.rules().number(SNOW_MARGIN)),
                    Text.of(
                            "Design snow {snow} ({source}) and {margin} ({marginSource})",
                            x.rules().setting(SNOW).value(),
                            x.rules().setting(SNOW).source(),
                            x.rules().setting(SNOW_MARGIN).value(),
                            x.rules().setting(SNOW_MARGIN).source())));
        }
        x.number(FLOOD_LEVEL)
                .ifPresent(flood -> limits.add(new Limit(
                        x.rules().code(),
                        Bound.AT_LEAST,
                        Length.ofMetres(flood + x.rules().number(FREEBOARD)),
                        Text.of(
                                "Flood level and freeboard: {source}",
                                x.rules().setting(FREEBOARD).source()))));
        Optional<PlanGeometry> plan = Drawn.plan(x);
        Optional<Drawn.Distance> drawn = plan.flatMap(p -> p.unit(x.unit().id()))
                .map(unit -> Drawn.distance(x, unit.base() - plan.get().ground(unit.id()), "the ground under it"));
        return Clearance.judge(x, BASE_HEIGHT, LIMIT, limits, drawn, Text.of("Raise the unit"));
    }
}
