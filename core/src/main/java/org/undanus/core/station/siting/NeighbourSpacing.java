package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.NEIGHBOUR_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.NEIGHBOUR_FACE;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Option;
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
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Two outdoor units leave each other the air the sheet asks for between units. Source: data sheet, several units. */
final class NeighbourSpacing implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("siting.neighbour-spacing", Dimension.LENGTH, "Distance to another unit");
    private static final About ABOUT = About.of(
                    "siting.neighbour-spacing",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Distance to other units",
                    Severity.PERFORMANCE)
            .sources("Data sheet, installation of several units")
            .limits(LIMIT);

    private record Candidate(Face face, PlanGeometry.Distance distance) {}

    @Override
    public About about() {
        return ABOUT;
    }

    static List<Limit> limits(Examination x, Face face) {
        Optional<Mounting> mounting = x.chosen(UnitPoints.SUPPORT).map(Mounting::of);
        return Clearance.limits(x, LIMIT, x.sheet().flatMap(sheet -> sheet.neighbour(face, mounting)));
    }

    static double asked(Examination x, Face face) {
        return Clearance.asked(x, LIMIT, limits(x, face));
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<PlanGeometry> plan = Drawn.plan(x);
        Optional<Candidate> worst = plan.flatMap(p -> worst(x, p));
        Optional<Option> face = x.chosen(NEIGHBOUR_FACE);
        if (face.isEmpty() && plan.isEmpty()) {
            return x.notShown(List.of(NEIGHBOUR_FACE));
        }
        if (face.isPresent() && face.get().equals(SitingPoints.NO_OTHER_UNIT)) {
            return x.finding()
                    .step(NEIGHBOUR_FACE.title(), face.get())
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("No other unit is near."), "");
        }
        if (face.isEmpty() && worst.isEmpty()) {
            return Clearance.nothingThere(x, "No other unit stands before a face in the drawing.");
        }
        Face judged = face.map(side -> Face.valueOf(side.id().toUpperCase(Locale.ROOT)))
                .orElseGet(() -> worst.orElseThrow().face);
        Optional<Drawn.Distance> drawn =
                plan.flatMap(p -> p.neighbour(x.unit().id(), judged)).map(d -> Drawn.distance(x, d.metres(), d.to()));
        return Clearance.judge(
                x, NEIGHBOUR_DISTANCE, LIMIT, limits(x, judged), drawn, Text.of("Set the two units farther apart"));
    }

    /** The face with the least room beyond what is asked. */
    private static Optional<Candidate> worst(Examination x, PlanGeometry plan) {
        Optional<Candidate> worst = Optional.empty();
        double least = Double.POSITIVE_INFINITY;
        for (Face face : Face.IN_PLAN) {
            Optional<PlanGeometry.Distance> distance = plan.neighbour(x.unit().id(), face);
            if (distance.isPresent() && distance.get().metres() - asked(x, face) < least) {
                least = distance.get().metres() - asked(x, face);
                worst = Optional.of(new Candidate(face, distance.get()));
            }
        }
        return worst;
    }
}
