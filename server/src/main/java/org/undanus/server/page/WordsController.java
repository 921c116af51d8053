package org.undanus.server.page;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Language;
import org.undanus.server.correction.Correction;
import org.undanus.server.words.Viewer;

/** The words for what comes in kinds, so that no screen has its own. */
@RestController
class WordsController {
    private static final Duration KEPT = Duration.ofMinutes(5);

    /**
     * @param verdicts most pressing first
     * @param grades strongest first
     * @param stages in order
     * @param units what a unit may be
     * @param parts what may be added beside the units
     * @param corrections where a correction may stand
     * @param instruments what an instrument may be
     * @param things what may be drawn on a site
     * @param wallItems what may be drawn on an indoor wall
     */
    record Words(
            List<VerdictWord> verdicts,
            List<GradeWord> grades,
            List<StageWord> stages,
            List<UnitWord> units,
            List<PartWord> parts,
            List<CorrectionWord> corrections,
            List<KeyWord> instruments,
            List<KeyWord> things,
            List<KeyWord> wallItems) {}

    /**
     * @param counted what stands after a number of them
     * @param open whether something is left to do
     */
    record VerdictWord(Verdict id, String title, String counted, boolean open) {}

    record GradeWord(Grade id, String title, String meaning) {}

    record StageWord(Stage id, String title) {}

    /** @param outdoor whether it stands outdoors, with a circuit of its own */
    record UnitWord(Component.Kind id, String title, boolean outdoor) {}

    record PartWord(Subject.Kind id, String title) {}

    /** @param ended whether nothing more is done about it */
    record CorrectionWord(Correction.State id, String title, boolean ended) {}

    record KeyWord(String id, String title) {}

    @GetMapping("/api/words")
    ResponseEntity<Words> words(Viewer viewer) {
        Language language = viewer.language();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(KEPT))
                .varyBy(HttpHeaders.ACCEPT_LANGUAGE)
                .body(new Words(
                        Stream.of(Verdict.values())
                                .map(v -> new VerdictWord(
                                        v, language.say(v.title()), language.say(v.counted()), v.open()))
                                .toList(),
                        Stream.of(Grade.values())
                                .map(g -> new GradeWord(g, language.say(g.title()), language.say(g.meaning())))
                                .toList(),
                        Stream.of(Stage.values())
                                .map(s -> new StageWord(s, language.say(s.title())))
                                .toList(),
                        Stream.of(Component.Kind.values())
                                .map(k -> new UnitWord(k, language.say(k.title()), k.outdoor()))
                                .toList(),
                        Stream.of(Subject.Kind.values())
                                .filter(Subject.Kind::addable)
                                .map(k -> new PartWord(k, language.say(k.title())))
                                .toList(),
                        Stream.of(Correction.State.values())
                                .map(s -> new CorrectionWord(s, language.say(s.title()), s.ended()))
                                .toList(),
                        Stream.of(InstrumentKind.values())
                                .map(k -> new KeyWord(k.key(), language.say(k.title())))
                                .toList(),
                        Stream.of(SitePlan.Kind.values())
                                .map(k -> new KeyWord(k.key(), language.say(k.title())))
                                .toList(),
                        Stream.of(SitePlan.ItemKind.values())
                                .map(k -> new KeyWord(k.key(), language.say(k.title())))
                                .toList()));
    }
}
