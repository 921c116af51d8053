package org.undanus.core.station.piping;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/** A line has the size that the outdoor unit's plate or sheet asks for. */
final class LineSize implements Requirement {
    static final LineSize LIQUID =
            new LineSize("piping.liquid-size", "Liquid line, size", LinePoints.LIQUID, PlatePoints.LIQUID_LINE);
    static final LineSize SUCTION =
            new LineSize("piping.suction-size", "Suction line, size", LinePoints.SUCTION, PlatePoints.SUCTION_LINE);

    private final About about;
    private final Point fitted;
    private final Point asked;

    private LineSize(String id, String title, Point fitted, Point asked) {
        this.about = About.of(id, Station.PIPING, Scope.LINE_SET, title, Severity.DAMAGE)
                .sources("Data sheet, lines", Tube.SIZES_SOURCE)
                .needs(fitted);
        this.fitted = fitted;
        this.asked = asked;
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Quantity found = x.need(fitted).quantity();
        Optional<Quantity> wanted =
                x.outdoor().flatMap(unit -> x.at(unit).measured(asked)).map(read -> read.quantity());
        if (wanted.isEmpty()) {
            return x.outdoor()
                    .map(unit -> x.at(unit).notShown(List.of(asked)))
                    .orElseGet(() ->
                            x.noSheetTells("the size of these lines", "Add the outdoor unit and its data sheet."));
        }
        Optional<Tube> tube = Tube.of(found.si());
        if (tube.isEmpty()) {
            return x.finding()
                    .step(fitted.title(), found)
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("{found} is no size that refrigerant tube is sold in.", found),
                            Text.of("Measure it again on bare, round tube; {wanted} is asked for.", wanted.get()));
        }
        boolean same = tube.equals(Tube.of(wanted.get().si()));
        return x.finding()
                .step(fitted.title(), found)
                .step(asked.title(), wanted.get())
                .conclude(
                        same ? Verdict.MEETS : Verdict.FAILS,
                        same
                                ? Text.of(
                                        "It is {tube} tube, as asked for.",
                                        tube.get().name())
                                : Text.of(
                                        "It is {tube} tube; the maker asks for {wanted}.",
                                        tube.get().name(),
                                        Tube.of(wanted.get().si())
                                                .map(Tube::name)
                                                .orElse(wanted.get().toString())),
                        Text.of(
                                "Replace the line with {wanted} tube, or get the maker's written word that {tube} will do.",
                                Tube.of(wanted.get().si())
                                        .map(Tube::name)
                                        .orElse(wanted.get().toString()),
                                tube.get().name()));
    }
}
