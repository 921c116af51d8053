package org.undanus.server.find;

import jakarta.validation.constraints.Size;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.calculator.Calculators;
import org.undanus.core.judgement.Station;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.correction.Corrections;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** Whatever is called so: each with the address it is at. */
@RestController
@RequestMapping("/api/find")
class FindController {
    private static final int OF_A_KIND = 6;

    /**
     * @param detail what kind of thing it is
     * @param address within the application
     */
    record Found(String title, String detail, String address) {}

    /**
     * Something that may be found, by its title, its detail and whatever else it is called.
     *
     * @param names other words for it
     */
    private record Named(String title, String detail, String address, List<String> names) {
        private boolean isCalled(List<String> parts) {
            String all = (title + " " + detail + " " + String.join(" ", names)).toLowerCase(Locale.ROOT);
            return parts.stream().allMatch(all::contains);
        }

        /** What is called just so stands before what is called so among other words. */
        private int farOff(List<String> parts) {
            String whole = String.join(" ", parts);
            return title.equalsIgnoreCase(whole) || names.stream().anyMatch(whole::equalsIgnoreCase) ? 0 : 1;
        }
    }

    private final CaseFiles cases;
    private final SheetLibrary library;
    private final RefrigerantStore refrigerants;
    private final Corrections corrections;

    FindController(CaseFiles cases, SheetLibrary library, RefrigerantStore refrigerants, Corrections corrections) {
        this.corrections = corrections;
        this.cases = cases;
        this.library = library;
        this.refrigerants = refrigerants;
    }

    /**
     * What is called so, a few of each kind.
     *
     * @param words all of them, wherever in what it is called
     * @param installation whose lines and judgements are looked through too
     */
    @GetMapping
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    List<Found> find(
            @RequestParam @Size(max = 100) String words,
            @RequestParam Optional<String> installation,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        List<String> parts = Arrays.stream(words.toLowerCase(Locale.ROOT).split("\\s+"))
                .filter(part -> !part.isEmpty())
                .toList();
        Wording wording = viewer.wording(UnitSystem.SI);
        Optional<CaseFile> file = installation.map(id -> cases.open(id, person));
        return Stream.of(
                        file.stream().flatMap(found -> lines(found, wording)),
                        file.stream().flatMap(found -> judgements(found, wording)),
                        file.stream().flatMap(found -> corrections(found, wording)),
                        calculators(wording),
                        sheets(wording),
                        limits(wording))
                .flatMap(kind -> kind.filter(named -> named.isCalled(parts))
                        .sorted(Comparator.comparingInt(named -> named.farOff(parts)))
                        .limit(OF_A_KIND))
                .map(named -> new Found(named.title, named.detail, named.address))
                .toList();
    }

    private static Stream<Named> lines(CaseFile file, Wording wording) {
        return Arrays.stream(Station.values()).flatMap(station -> file.lines(station).stream()
                .map(line -> new Named(
                        wording.say(line.point().title()),
                        (line.subject().title().isEmpty()
                                        ? Text.of("line, {station}", station.title())
                                        : Text.of(
                                                "line, {station}, {subject}",
                                                station.title(),
                                                line.subject().title()))
                                .in(wording),
                        "/installations/" + file.header().id() + "/" + station.key() + "?line="
                                + encoded(line.key().point() + "@" + line.key().component()),
                        line.point().aliases())));
    }

    private static Stream<Named> judgements(CaseFile file, Wording wording) {
        return file.judgements().all().stream()
                .map(judgement -> new Named(
                        wording.say(judgement.about().title()),
                        (judgement.subject().isEmpty()
                                        ? Text.of(judgement.verdict().title())
                                        : Text.of(
                                                "{verdict}, {subject}",
                                                judgement.verdict().title(),
                                                judgement.subject()))
                                .in(wording),
                        "/installations/" + file.header().id() + "/"
                                + judgement.about().station().key() + "?judgement=" + encoded(judgement.key()),
                        List.of("judgement")));
    }

    private Stream<Named> corrections(CaseFile file, Wording wording) {
        return corrections.of(file).stream()
                .map(correction -> new Named(
                        Text.of("{number}. {what}", correction.number(), correction.what())
                                .in(wording),
                        Text.of(
                                        "correction, {state}",
                                        Text.plain(correction.state().title()))
                                .in(wording),
                        "/corrections/" + correction.id(),
                        List.of(correction.words())));
    }

    private Stream<Named> calculators(Wording wording) {
        return Calculators.of(refrigerants.known()).all().stream()
                .map(computation -> new Named(
                        wording.say(computation.title()),
                        wording.say("calculator"),
                        "/calculators/" + computation.id(),
                        computation.inputs().stream()
                                .map(input -> wording.say(input.title()))
                                .collect(Collectors.toCollection(() -> new ArrayList<>(List.of(computation.id()))))));
    }

    private Stream<Named> sheets(Wording wording) {
        return library.newest().stream()
                .map(version -> version.sheet().sheet())
                .map(sheet -> new Named(
                        sheet.model(),
                        Text.of("data sheet, {maker}", sheet.maker()).in(wording),
                        "/data-sheets?model=" + encoded(sheet.model()),
                        List.of(sheet.document())));
    }

    private static Stream<Named> limits(Wording wording) {
        return Walk.vocabulary().limits().values().stream()
                .map(limit -> new Named(
                        wording.say(limit.title()),
                        wording.say("limits in rule books"),
                        "/rule-books?find=" + encoded(limit.title()),
                        List.of(limit.id())));
    }

    private static String encoded(String word) {
        return URLEncoder.encode(word, StandardCharsets.UTF_8);
    }
}
