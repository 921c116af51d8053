package org.undanus.server.installation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.words.Languages;
import org.undanus.server.words.Viewer;

/** The register: which installations there are and how each stands. */
@RestController
@RequestMapping("/api/installations")
class RegisterController {
    /**
     * Stage and what follows are empty where it is to be judged first.
     *
     * @param said the most pressing sentence; empty where nothing is open
     */
    record RegisterEntry(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            String stage,
            Optional<LocalDate> visitedOn,
            Optional<Verdict> worst,
            Map<Verdict, Long> counts,
            int readings,
            String said) {}

    /**
     * @param total how many fit the filters
     * @param all how many there are
     * @param outdated how many of these are still being judged again, so that they may stand otherwise soon
     */
    record RegisterPage(List<RegisterEntry> entries, int total, int all, int outdated, StripView strip) {}

    /** The programme at a glance; each number is how many the register shows with that filter. */
    record StripView(
            Map<Verdict, Integer> verdicts, List<CrewCount> crews, List<StationCount> stations, int dueThisWeek) {}

    record CrewCount(String crew, int installations, int failing) {}

    record StationCount(Station station, String title, int failing) {}

    /** Which installations are wanted, in which order and units. */
    record Asked(
            Optional<@Size(max = 100) String> words,
            Optional<String> crew,
            Optional<Verdict> worst,
            Optional<Station> station,
            Optional<Boolean> due,
            Optional<RegisterIndex.Order> order,
            Optional<Boolean> reversed) {
        private RegisterIndex.Wanted wanted() {
            return new RegisterIndex.Wanted(
                    words.orElse(""), crew.filter(c -> !c.isBlank()), worst, station, due.orElse(false));
        }
    }

    /**
     * What a new installation can be put together from.
     *
     * @param reference the next free one
     */
    record ChoicesView(String reference, List<String> crews, List<PlaceView> places) {}

    /** @param elevation as it would be typed */
    record PlaceView(String name, String elevation) {}

    private final RegisterIndex index;
    private final Choices choices;
    private final Languages languages;

    RegisterController(RegisterIndex index, Choices choices, Languages languages) {
        this.index = index;
        this.choices = choices;
        this.languages = languages;
    }

    /**
     * The register, page by page.
     *
     * @param page from 0
     */
    @GetMapping
    RegisterPage page(
            @ParameterObject @Valid Asked asked,
            Viewer viewer,
            @RequestParam(defaultValue = "0") @Min(0) @Max(100_000) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(200) int size,
            @AuthenticationPrincipal Person person) {
        RegisterIndex.Page found = index.page(
                person,
                asked.wanted(),
                asked.order().orElse(RegisterIndex.Order.STAKE),
                asked.reversed().orElse(false),
                page,
                size);
        return new RegisterPage(
                found.entries().stream()
                        .map(listed -> entry(listed, person, viewer.wording(UnitSystem.US)))
                        .toList(),
                found.total(),
                found.all(),
                found.outdated(),
                view(found.strip()));
    }

    private StripView view(RegisterIndex.Strip strip) {
        return new StripView(
                strip.verdicts(),
                strip.crews().stream()
                        .map(crew -> new CrewCount(crew.crew(), crew.installations(), crew.failing()))
                        .toList(),
                strip.stations().entrySet().stream()
                        .map(each -> new StationCount(
                                each.getKey(),
                                languages.ofRequest().say(each.getKey().title()),
                                each.getValue()))
                        .toList(),
                strip.dueThisWeek());
    }

    /** The register as a table for other programs, every row that fits, in English whoever asks. */
    @GetMapping(value = "/register.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(
            @ParameterObject @Valid Asked asked, Viewer viewer, @AuthenticationPrincipal Person person) {
        List<RegisterEntry> entries = index
                .all(
                        person,
                        asked.wanted(),
                        asked.order().orElse(RegisterIndex.Order.STAKE),
                        asked.reversed().orElse(false))
                .stream()
                .map(listed ->
                        entry(listed, person, Wording.english(viewer.units().orElse(UnitSystem.US))))
                .toList();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"register.csv\"")
                .body(RegisterCsv.of(entries).getBytes(StandardCharsets.UTF_8));
    }

    /** What a new installation can be put together from. */
    @GetMapping("/choices")
    @MayAlsoAnswer(HttpStatus.FORBIDDEN)
    ChoicesView choices(@AuthenticationPrincipal Person person) {
        Register.requireKeeper(person);
        return new ChoicesView(
                choices.nextReference(),
                choices.crews(),
                choices.places().stream()
                        .map(place -> new PlaceView(place.name(), Math.round(place.elevation()) + " m"))
                        .toList());
    }

    private RegisterEntry entry(RegisterIndex.Listed listed, Person person, Wording wording) {
        RegisterIndexMapper.ListedRow row = listed.row();
        return new RegisterEntry(
                row.id(),
                row.reference(),
                row.title(),
                row.building(),
                row.system(),
                row.crew(),
                Optional.ofNullable(row.stage())
                        .map(stage -> wording.say(stage.title()))
                        .orElse(""),
                Optional.ofNullable(row.visitedOn()),
                listed.worst(),
                listed.counts(),
                Optional.ofNullable(row.readings()).orElse(0),
                index.said(listed, person, wording));
    }
}
