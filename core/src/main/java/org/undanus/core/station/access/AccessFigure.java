package org.undanus.core.station.access;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Quantity;

/** The drawing of station 3 as data: every length with what it was found to be and what is asked. */
public record AccessFigure(List<Part> parts) {

    /**
     * @param name which part of the drawing
     * @param found as taped
     * @param asked the binding limit
     */
    public record Part(
            String name,
            String title,
            Optional<Quantity> found,
            Optional<Quantity> asked,
            Verdict verdict,
            String judgement) {}

    public static AccessFigure of(Judgements judgements) {
        return new AccessFigure(judgements.of(Station.ACCESS).stream()
                .filter(j -> j.component().equals(PointKey.SYSTEM)
                        || j.about().id().equals("access.largest-piece")
                        || j.about().id().startsWith("access.working"))
                .map(j -> new Part(
                        j.about().id().substring("access.".length()),
                        j.subject().isEmpty() ? j.about().title() : j.about().title() + ", " + j.subject(),
                        j.comparison().map(c -> c.dimension().of(c.measured().value())),
                        j.comparison().map(c -> c.binding().limit().value()),
                        j.verdict(),
                        j.key()))
                .toList());
    }
}
