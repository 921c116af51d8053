package org.undanus.core.station.siting;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Face;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** A wall unit has the room at its sides, above and below that its sheet asks for. Source: data sheet, installation space. */
final class IndoorClearance implements Requirement {
    private static final Map<Face, IndoorClearance> ALL =
            Face.ON_WALL.stream().collect(Collectors.toUnmodifiableMap(Function.identity(), IndoorClearance::new));

    private final Face face;
    private final Point point;
    private final LimitKey limit;
    private final About about;

    /** @param face one of those a wall unit keeps clear */
    static IndoorClearance of(Face face) {
        return Objects.requireNonNull(ALL.get(face));
    }

    private IndoorClearance(Face face) {
        this.face = face;
        String name = "indoor-clearance-" + face.key();
        String title = face == Face.ABOVE || face == Face.BELOW
                ? "Room " + face.key() + " the unit"
                : "Room at its " + face.key();
        point = Point.quantity(
                        "siting." + name,
                        Scope.WALL_UNIT,
                        Dimension.LENGTH,
                        title,
                        "Tape from the cabinet to the nearest wall, shelf or ceiling on this side.",
                        0,
                        15)
                .with(InstrumentKind.TAPE);
        limit = new LimitKey("siting." + name, Dimension.LENGTH, title);
        about = About.of("siting." + name, Station.SITING, Scope.WALL_UNIT, title, Severity.PERFORMANCE)
                .sources("Data sheet, installation space")
                .limits(limit)
                .cautions("Ladder on firm, level ground; nobody below.");
    }

    Point point() {
        return point;
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
                Clearance.limits(x, limit, x.sheet().flatMap(sheet -> sheet.clearance(face, Optional.empty()))),
                wall -> wall.clear(face),
                "Only the floor is below it in the drawing.",
                Text.of("Move the unit or what stands beside it"));
    }
}
