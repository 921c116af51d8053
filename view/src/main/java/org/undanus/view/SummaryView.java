package org.undanus.view;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.Weather;
import org.undanus.core.station.handover.WantedPicture;
import org.undanus.core.visit.VisitSummary;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;

/**
 * What binds an installation, and what is open before its visit can be closed.
 *
 * @param outcome in a sentence
 * @param decisive the first few
 * @param lesser how many fail beside those
 * @param couldChange the first few; {@code more} are left
 * @param open what has to end before the visit is closed
 * @param pictures that are missing
 */
public record SummaryView(
        String outcome,
        List<Brief> decisive,
        int lesser,
        List<Brief> couldChange,
        int more,
        List<Revisit> revisits,
        List<Open> open,
        List<Open> pictures) {
    private static final int FEW = 12;

    /**
     * A judgement in a line.
     *
     * @param point the line it is about first of all; empty where it is about none
     */
    public record Brief(
            String key,
            String station,
            String title,
            String subject,
            Verdict verdict,
            String severity,
            String found,
            Optional<String> remedy,
            Optional<String> point,
            Optional<String> component) {}

    /** @param weather in words */
    public record Revisit(String weather, List<String> what) {}

    /** Something that is still going on or missing. */
    public record Open(String what, String where) {}

    /**
     * @param open what still goes on
     * @param shown whether a photo of something hangs there
     */
    public static SummaryView of(CaseFile file, List<Open> open, Predicate<WantedPicture> shown, Wording wording) {
        List<Judgement> all = file.judgements().all();
        VisitSummary summary = VisitSummary.of(all);
        return new SummaryView(
                Outcome.of(all).sentence().in(wording),
                briefs(summary.decisive().stream().limit(FEW).toList(), file, wording),
                summary.lesser() + Math.max(0, summary.decisive().size() - FEW),
                briefs(summary.couldChange().stream().limit(FEW).toList(), file, wording),
                Math.max(0, summary.couldChange().size() - FEW),
                summary.revisits().entrySet().stream()
                        .map(entry -> new Revisit(
                                words(entry.getKey()).in(wording),
                                entry.getValue().stream()
                                        .map(judgement ->
                                                wording.say(judgement.about().title()))
                                        .distinct()
                                        .toList()))
                        .toList(),
                open,
                WantedPicture.of(file.facts(), all).stream()
                        .filter(shown.negate())
                        .map(wanted -> new Open(wording.say(wanted.title()), wording.say(wanted.subject())))
                        .toList());
    }

    private static List<Brief> briefs(List<Judgement> judgements, CaseFile file, Wording wording) {
        return judgements.stream()
                .map(judgement -> {
                    Optional<PointKey> line = judgement.line(file.evidence());
                    return new Brief(
                            judgement.key(),
                            judgement.about().station().key(),
                            wording.say(judgement.about().title()),
                            judgement.subject(),
                            judgement.verdict(),
                            wording.say(judgement.about().severity().title()),
                            judgement.finding().in(wording),
                            judgement.remedy().map(remedy -> remedy.in(wording)),
                            line.map(PointKey::point),
                            line.map(PointKey::component));
                })
                .toList();
    }

    private static Text words(Weather weather) {
        return Text.of("{bound} {outdoors} outdoors", weather.bound().words(), weather.outdoors());
    }
}
