package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.REFRIGERANT;
import static org.undanus.core.station.papers.PaperPoints.KEPT_LINES;
import static org.undanus.core.station.papers.PaperPoints.LINES_CLEANED;
import static org.undanus.core.station.papers.PaperPoints.OLD_LIQUID_LINE;
import static org.undanus.core.station.papers.PaperPoints.OLD_REFRIGERANT;
import static org.undanus.core.station.papers.PaperPoints.OLD_SUCTION_LINE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** Old refrigerant lines that stay are of the new unit's sizes and clean of old oil and refrigerant. Source: data sheet. */
final class KeptLines implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.kept-lines",
                    Station.PAPERS,
                    Scope.REPLACEMENT,
                    "Old refrigerant lines suit the new units",
                    Severity.DAMAGE)
            .sources("Plate and data sheet of the new units", "Data sheet, reuse of lines")
            .needs(KEPT_LINES)
            .cautions("Old lines may still hold pressure: recovery first, by a licensed person.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.affirmed(KEPT_LINES).orElseThrow()) {
            return KeptPart.renewed(x, KEPT_LINES);
        }
        Optional<Component> outdoor = x.facts().outdoorUnit();
        if (outdoor.isEmpty()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The system has no outdoor unit."), "");
        }
        Tubes tubes = Tubes.of(x.rules());
        List<Point> missing = x.missing(OLD_LIQUID_LINE, OLD_SUCTION_LINE, OLD_REFRIGERANT, LINES_CLEANED);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        if (tubes.sizes().isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("This version of the rule book names no standard tubes."),
                            "Move the installation to a newer version of its rule book.");
        }
        Examination outside = x.at(outdoor.get());
        Finding finding = x.finding();
        List<Text> faults = new ArrayList<>();
        for (Line line : LINES) {
            Optional<Judgement> unclear = line.judge(x, outside, tubes, finding, faults);
            if (unclear.isPresent()) {
                return unclear.get();
            }
        }
        return cleaned(x, outside, finding, faults);
    }

    /** One that is kept, and what the new unit asks of it. */
    private record Line(Point old, Point asked) {

        /**
         * Held against the standard tubes.
         *
         * @param faults takes it where it is of another size
         * @return why nothing can be said; empty where it could be
         */
        Optional<Judgement> judge(Examination x, Examination outside, Tubes tubes, Finding finding, List<Text> faults) {
            Value.Measured kept = x.need(old);
            Optional<Value.Measured> wanted = outside.measured(asked);
            if (wanted.isEmpty()) {
                return Optional.of(outside.notShown(List.of(asked)));
            }
            Tubes.Match match = tubes.nearest(kept);
            if (match.others()) {
                return Optional.of(finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "{sizes} of {old} could be more than one standard tube, {tube} the nearest.",
                                old.title(),
                                new Amount(kept.quantity(), FINE, 0),
                                match.tube()),
                        "Gauge the bare tube with a caliper, to a tenth of a millimetre."));
            }
            Length size = tubes.nearest(wanted.get()).tube();
            finding.step(
                    asked.title(),
                    "nearest standard tube: old, asked",
                    Text.of("{tube}, {asked}", match.tube(), size),
                    "ASTM B280, standard sizes as in the rule book");
            if (!match.tube().equals(size)) {
                faults.add(Text.of(
                        "{sizes} is {tube}, {asked} is asked for", Text.lowered(old.title()), match.tube(), size));
            }
            return Optional.empty();
        }
    }

    private static final List<Line> LINES = List.of(
            new Line(OLD_LIQUID_LINE, PlatePoints.LIQUID_LINE), new Line(OLD_SUCTION_LINE, PlatePoints.SUCTION_LINE));

    private static Judgement cleaned(Examination x, Examination outside, Finding finding, List<Text> faults) {
        Option before = x.chosen(OLD_REFRIGERANT).orElseThrow();
        Optional<Option> now = outside.chosen(REFRIGERANT);
        boolean cleaned = x.affirmed(LINES_CLEANED).orElseThrow();
        finding.step(
                        "Refrigerant",
                        "old, new",
                        Text.of(
                                "{before}, {now}",
                                before,
                                now.map(Option::words).orElse("not read")),
                        "")
                .step(LINES_CLEANED.title(), cleaned ? "yes" : "no");
        if (!faults.isEmpty()) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Of another size: {faults}.", Text.series(faults)),
                    "Run new lines, or get the maker's written consent to these sizes.");
        }
        if (!cleaned) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Oil and residue of {before} are left in the lines.", before),
                    "Clean the lines as the new unit's sheet asks, or run new ones, before they are joined.");
        }
        return finding.conclude(Verdict.MEETS, Text.of("The sizes suit and the lines are clean."), "");
    }

    /** Tubes are told apart by tenths of a millimetre. */
    private static final double FINE = 5e-5;
}
