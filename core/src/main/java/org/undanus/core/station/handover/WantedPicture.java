package org.undanus.core.station.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Verdict;

/**
 * A picture that belongs to the file of an installation: of every plate, of how units stand, of what the owner has to find, and of
 * whatever fails for safety or does damage.
 *
 * @param title what it shows
 * @param subject of which unit; empty for the system
 * @param lines where it may hang
 */
public record WantedPicture(String title, String subject, List<PointKey> lines) {
    private static final Set<Severity> SERIOUS = Set.of(Severity.SAFETY, Severity.DAMAGE);

    public WantedPicture {
        lines = List.copyOf(lines);
    }

    /** All of them, whether they hang already or not. */
    public static List<WantedPicture> of(Case facts, List<Judgement> judgements) {
        List<WantedPicture> wanted = new ArrayList<>();
        add(wanted, facts, Scope.UNIT, PlatePoints.MODEL, "Nameplate");
        add(wanted, facts, Scope.OUTDOOR_UNIT, UnitPoints.SUPPORT, "How it stands");
        add(wanted, facts, Scope.SYSTEM, HandoverPoints.DISCONNECT, "Disconnects");
        add(wanted, facts, Scope.SYSTEM, HandoverPoints.FILTERS, "Filters");
        judgements.stream()
                .filter(judgement -> judgement.verdict() == Verdict.FAILS
                        && SERIOUS.contains(judgement.about().severity()))
                .map(judgement ->
                        new WantedPicture(judgement.about().title(), judgement.subject(), judgement.evidence()))
                .forEach(wanted::add);
        return wanted;
    }

    private static void add(List<WantedPicture> wanted, Case facts, Scope scope, Point point, String title) {
        for (Subject subject : facts.subjects(scope)) {
            wanted.add(new WantedPicture(title, subject.title(), List.of(new PointKey(point.id(), subject.id()))));
        }
    }

    /**
     * Whether a picture that hangs there shows it.
     *
     * @param point empty where it hangs on the unit as a whole
     */
    public boolean shownBy(Optional<String> point, Optional<String> component) {
        return lines.stream()
                .anyMatch(line -> component.filter(line.component()::equals).isPresent()
                        && point.map(line.point()::equals).orElse(lines.size() == 1));
    }
}
