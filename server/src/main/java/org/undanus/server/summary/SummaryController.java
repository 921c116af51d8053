package org.undanus.server.summary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.VisitSummary;
import org.undanus.core.judgement.Weather;
import org.undanus.core.station.Walk;
import org.undanus.core.station.handover.WantedPicture;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.correction.Corrections;
import org.undanus.server.hold.Holds;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.live.LiveStore;
import org.undanus.server.photo.Photo;
import org.undanus.server.photo.Photos;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** What binds an installation, and what is open before its visit can be closed, over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/summary")
class SummaryController {

    /**
     * A judgement in a line.
     *
     * @param point the line it is about first of all; empty where it is about none
     */
    record Brief(
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
    record Revisit(String weather, List<String> what) {}

    /** Something that is still going on or missing. */
    record Open(String what, String where) {}

    /**
     * @param outcome in a sentence
     * @param decisive the first few
     * @param lesser how many fail beside those
     * @param couldChange the first few; {@code more} are left
     * @param open what has to end before the visit is closed
     * @param pictures that are missing
     */
    record Summary(
            String outcome,
            List<Brief> decisive,
            int lesser,
            List<Brief> couldChange,
            int more,
            List<Revisit> revisits,
            List<Open> open,
            List<Open> pictures) {}

    private static final int FEW = 12;

    private final CaseFiles cases;
    private final Holds holds;
    private final LiveStore live;
    private final Corrections corrections;
    private final Photos photos;

    SummaryController(CaseFiles cases, Holds holds, LiveStore live, Corrections corrections, Photos photos) {
        this.cases = cases;
        this.holds = holds;
        this.live = live;
        this.corrections = corrections;
        this.photos = photos;
    }

    @GetMapping
    Summary summary(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Wording wording = viewer.wording(file.rules().display());
        List<Judgement> all = file.judgements().all();
        VisitSummary summary = VisitSummary.of(all);
        return new Summary(
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
                open(file, wording),
                missing(file, all));
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

    private List<Open> open(CaseFile file, Wording wording) {
        String id = file.header().id();
        List<Open> open = new ArrayList<>();
        holds.running().stream()
                .filter(hold -> hold.installationId().equals(id))
                .map(hold -> new Open(wording.say("Hold is running"), where(file, hold.key(), wording)))
                .forEach(open::add);
        live.at(id).stream()
                .map(listening -> new Open(
                        Text.of("Line listens to {instrument}", listening.instrument())
                                .in(wording),
                        where(file, listening.key(), wording)))
                .forEach(open::add);
        corrections.of(file).stream()
                .filter(correction -> !correction.state().ended())
                .map(correction -> new Open(
                        Text.of("Correction {number} is open", correction.number())
                                .in(wording),
                        correction.what()))
                .forEach(open::add);
        return open;
    }

    private static String where(CaseFile file, PointKey key, Wording wording) {
        String line = Walk.point(key.point()).map(Point::title).orElse(key.point());
        String subject =
                file.facts().subject(key.component()).map(Subject::title).orElse("");
        return (subject.isEmpty() ? Text.of(line) : Text.of("{line}, {subject}", line, subject)).in(wording);
    }

    private List<Open> missing(CaseFile file, List<Judgement> judgements) {
        List<Photo> hung = photos.of(file);
        return WantedPicture.of(file.facts(), judgements).stream()
                .filter(wanted -> hung.stream().noneMatch(photo -> wanted.shownBy(photo.point(), photo.component())))
                .map(wanted -> new Open(wanted.title(), wanted.subject()))
                .toList();
    }
}
