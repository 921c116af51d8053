package org.undanus.server.summary;

import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Subject;
import org.undanus.core.station.Walk;
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
import org.undanus.view.SummaryView;

/** What binds an installation, and what is open before its visit can be closed, over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/summary")
class SummaryController {

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
    SummaryView summary(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Wording wording = viewer.wording(file.rules().display());
        List<Photo> hung = photos.of(file);
        return SummaryView.of(
                file,
                open(file, wording),
                wanted -> hung.stream().anyMatch(photo -> wanted.shownBy(photo.point(), photo.component())),
                wording);
    }

    private List<SummaryView.Open> open(CaseFile file, Wording wording) {
        String id = file.header().id();
        List<SummaryView.Open> open = new ArrayList<>();
        holds.running().stream()
                .filter(hold -> hold.installationId().equals(id))
                .map(hold -> new SummaryView.Open(wording.say("Hold is running"), where(file, hold.key(), wording)))
                .forEach(open::add);
        live.at(id).stream()
                .map(listening -> new SummaryView.Open(
                        Text.of("Line listens to {instrument}", listening.instrument())
                                .in(wording),
                        where(file, listening.key(), wording)))
                .forEach(open::add);
        corrections.of(file).stream()
                .filter(correction -> !correction.state().ended())
                .map(correction -> new SummaryView.Open(
                        Text.of("Correction {number} is open", correction.number())
                                .in(wording),
                        correction.what()))
                .forEach(open::add);
        return open;
    }

    private static String where(CaseFile file, PointKey key, Wording wording) {
        String subject =
                file.facts().subject(key.component()).map(Subject::title).orElse("");
        return Walk.point(key.point())
                .map(point -> point.titled(subject).in(wording))
                .orElse(key.point());
    }
}
