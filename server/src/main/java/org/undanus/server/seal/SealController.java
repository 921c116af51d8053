package org.undanus.server.seal;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.store.TemporaryFiles;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import tools.jackson.databind.JsonNode;

/** Sealed visits over HTTP. */
@RestController
@RequestMapping("/api")
class SealController {
    private static final String ZIP = "application/zip";

    /**
     * A sealed visit beside what the newest rules would say of the same evidence.
     *
     * @param verdicts how many of each, as sealed
     * @param ruleBook it was judged by, in which version
     * @param newest version of that book that is kept now
     * @param beside verdicts that the newest would change; those of the seal stand
     */
    record SealedView(
            String number,
            String stage,
            Instant sealedAt,
            String sealedBy,
            String root,
            String fingerprint,
            Map<Verdict, Integer> verdicts,
            String ruleBook,
            int version,
            int newest,
            List<Beside> beside) {}

    record Beside(String title, String subject, Verdict asSealed, Verdict byNewest, String said) {}

    private final TemporaryFiles temporary;
    private final Seals seals;
    private final CaseFiles cases;
    private final RuleBooks books;

    SealController(TemporaryFiles temporary, Seals seals, CaseFiles cases, RuleBooks books) {
        this.temporary = temporary;
        this.seals = seals;
        this.cases = cases;
        this.books = books;
    }

    /** Seals the visit that goes on. */
    @PostMapping("/installations/{id}/seals")
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer({HttpStatus.CONFLICT, HttpStatus.UNPROCESSABLE_CONTENT})
    Seals.Sealed seal(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return seals.seal(id, person);
    }

    @GetMapping("/installations/{id}/seals")
    List<SealedView> all(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return seals.of(file).stream()
                .map(seal -> view(seal, file, viewer.wording(file.rules().display())))
                .toList();
    }

    /**
     * The sealed file, to be kept anywhere and checked anywhere.
     *
     * @param number of the visit, from 1
     */
    @GetMapping(path = "/installations/{id}/seals/{number}/file", produces = ZIP)
    ResponseEntity<StreamingResponseBody> file(
            @PathVariable String id, @PathVariable int number, @AuthenticationPrincipal Person person) {
        Seals.Sealed seal = seals.of(cases.open(id, person), number);
        String name = "sealed-" + seal.number().replaceAll("[^A-Za-z0-9-]", "-") + ".zip";
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(ZIP))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(to -> seals.write(seal.number(), to));
    }

    /** What the check of a sealed file came to: see {@link SealCheck.Verification}. */
    record CheckedSeal(
            boolean sound,
            boolean exact,
            String sentence,
            List<String> problems,
            String fingerprint,
            Optional<Boolean> known) {
        private static CheckedSeal of(SealCheck.Verification checked, Wording wording) {
            return new CheckedSeal(
                    checked.sound(),
                    checked.exact(),
                    checked.sentence().in(wording),
                    checked.problems().stream()
                            .map(problem -> problem.in(wording))
                            .toList(),
                    checked.fingerprint(),
                    checked.known());
        }
    }

    /** Checks a sealed file and says what in it was changed. */
    @PostMapping(path = "/sealed/check", consumes = ZIP)
    @KeepsNothing
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    CheckedSeal check(InputStream content, Viewer viewer, @AuthenticationPrincipal Person person) throws IOException {
        Path file = temporary.file(".zip");
        try {
            Files.copy(content, file, StandardCopyOption.REPLACE_EXISTING);
            return CheckedSeal.of(seals.check(file), viewer.wording(UnitSystem.SI));
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private SealedView view(Seals.Sealed seal, CaseFile now, Wording wording) {
        JsonNode sealed = seals.document(seal.number()).path("installations").path(0);
        Map<String, Verdict> verdicts = new HashMap<>();
        Map<Verdict, Integer> counts = new HashMap<>();
        for (JsonNode each : sealed.path("judgements")) {
            Verdict verdict = Verdict.valueOf(each.path("verdict").asString());
            verdicts.put(
                    each.path("requirement").asString() + "@"
                            + each.path("component").asString(),
                    verdict);
            counts.merge(verdict, 1, Integer::sum);
        }
        JsonNode named = sealed.path("ruleBook");
        RuleBook newest = books.newest(named.path("id").asString()).orElseThrow();
        CaseFile then = asSealed(seal, sealed, now).heldAgainst(newest);
        List<Beside> beside = new ArrayList<>();
        for (Judgement judgement : then.judgements().all()) {
            Verdict before = verdicts.get(judgement.key());
            if (before != null && before != judgement.verdict()) {
                beside.add(new Beside(
                        wording.say(judgement.about().title()),
                        judgement.subject(),
                        before,
                        judgement.verdict(),
                        judgement.because().in(wording)));
            }
        }
        return new SealedView(
                seal.number(),
                wording.say(then.header().stage().visit()),
                seal.sealedAt(),
                seal.sealedBy(),
                seal.root(),
                seal.fingerprint(),
                counts,
                newest.title(),
                named.path("version").asInt(),
                newest.version(),
                beside);
    }

    /** The installation with what the seal holds of readings, at the visit it was made of. */
    private static CaseFile asSealed(Seals.Sealed seal, JsonNode sealed, CaseFile now) {
        Set<String> read = new HashSet<>();
        sealed.path("readings").forEach(reading -> read.add(reading.path("id").asString()));
        Evidence evidence = Evidence.of(now.evidence().readings().stream()
                .filter(reading -> read.contains(reading.id().toString()))
                .toList());
        CaseFile.Visit visit = now.header().visits().stream()
                .filter(each -> each.sealedAs().equals(Optional.of(seal.number())))
                .findFirst()
                .orElseThrow();
        return now.at(visit, evidence);
    }
}
