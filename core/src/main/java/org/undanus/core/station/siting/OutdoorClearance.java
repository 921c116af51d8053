package org.undanus.core.station.siting;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * One face of the outdoor unit has the clear distance that code, maker and programme ask for. Front is where the air
 * leaves, unless the maker's sheet draws it otherwise. Source: data sheet; mechanical code, clearances for service.
 */
final class OutdoorClearance implements Requirement {
    private static final Map<Face, OutdoorClearance> ALL =
            Face.OUTDOOR.stream().collect(Collectors.toUnmodifiableMap(Function.identity(), OutdoorClearance::new));

    private final Face face;
    private final Point point;
    private final LimitKey limit;
    private final About about;

    /** @param face one of those an outdoor unit keeps clear */
    static OutdoorClearance of(Face face) {
        return Objects.requireNonNull(ALL.get(face));
    }

    private OutdoorClearance(Face face) {
        this.face = face;
        String name = "outdoor-clearance-" + face.key();
        point = Point.quantity(
                        "siting." + name,
                        Scope.OUTDOOR_UNIT,
                        Dimension.LENGTH,
                        "Clearance, " + face.key(),
                        "Tape the shortest distance from the cabinet to anything solid on this side.",
                        0,
                        30)
                .with(InstrumentKind.TAPE)
                .called(face.spoken().toArray(String[]::new));
        limit = new LimitKey("siting." + name, Dimension.LENGTH, "Clearance, " + face.key());
        about = About.of(
                        "siting." + name,
                        Station.SITING,
                        Scope.OUTDOOR_UNIT,
                        "Clearance, " + face.key(),
                        Severity.PERFORMANCE)
                .sources("Data sheet, installation space", "Adopted mechanical code, clearances for service")
                .limits(limit)
                .cautions("On a roof or ladder, keep three points of contact and stay clear of the edge.");
    }

    Point point() {
        return point;
    }

    @Override
    public About about() {
        return about;
    }

    List<Limit> limits(Examination x) {
        Optional<Mounting> mounting = x.chosen(UnitPoints.SUPPORT).map(Mounting::of);
        return Clearance.limits(x, limit, x.sheet().flatMap(sheet -> sheet.clearance(face, mounting)));
    }

    /** The least distance that binds on this face, m. */
    double asked(Examination x) {
        return Clearance.asked(x, limit, limits(x));
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<PlanGeometry> plan = Drawn.plan(x);
        Optional<Drawn.Distance> drawn =
                plan.flatMap(p -> p.clear(x.unit().id(), face)).map(d -> Drawn.distance(x, d.metres(), d.to()));
        return Clearance.judgeOrNothing(
                x,
                point,
                limit,
                limits(x),
                plan.isPresent(),
                drawn,
                "Nothing stands on this side in the drawing.",
                Text.of("Move the unit, or what stands before its {face} face", face.key()));
    }
}
