package org.undanus.server.rulebook;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.AsKept;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookDraft;
import org.undanus.core.rules.RuleBookException;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Language;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;

/** Rule books to read, and the quality lead's way to bring in a new version. */
@RestController
@RequestMapping("/api/rule-books")
class RuleBookController {

    /** @param extending the books it stands on, the most general first */
    record BookSummary(String id, int version, String title, UnitSystem display, String note, List<String> extending) {}

    record BookView(
            BookSummary book,
            String decisionRule,
            List<BookLimit> limits,
            List<BookSchool> schools,
            List<BookSetting> settings,
            String yaml) {}

    /**
     * @param by id of the authority
     * @param layer the book it is given by, empty where it is this one's own
     * @param requirements those that it is a limit of
     */
    record BookLimit(
            String key,
            String station,
            String title,
            String by,
            String authority,
            Bound side,
            String bound,
            String value,
            String source,
            String layer,
            List<String> requirements) {}

    /** @param layer as of limits */
    record BookSchool(String id, String topic, String chosen, List<SchoolChoice> others, String layer) {}

    record SchoolChoice(String id, String title) {}

    /**
     * @param value empty where a book of a place has to give it
     * @param layer as of limits
     * @param requirements those that need it
     */
    record BookSetting(String id, String title, String value, String source, String layer, List<String> requirements) {}

    private final RuleBooks books;

    RuleBookController(RuleBooks books) {
        this.books = books;
    }

    @GetMapping
    List<BookSummary> all(Viewer viewer) {
        return books.newest().stream()
                .map(book -> summary(book, viewer.language()))
                .toList();
    }

    /** The versions there are, the newest first. */
    @GetMapping("/{id}/versions")
    List<BookSummary> versions(@PathVariable String id, Viewer viewer) {
        newest(id);
        return books.versions(id).stream()
                .sorted(Comparator.comparing(RuleBook::version).reversed())
                .map(book -> summary(book, viewer.language()))
                .toList();
    }

    /** What a later version says otherwise than an earlier one. */
    @GetMapping("/{id}/changes")
    List<ChangeView> changes(@PathVariable String id, @RequestParam int from, @RequestParam int to, Viewer viewer) {
        return changes(books.book(id, from), books.book(id, to), viewer);
    }

    /** Something that two versions say otherwise. */
    record ChangeView(String kind, String title, String before, String now) {}

    private static List<ChangeView> changes(RuleBook before, RuleBook now, Viewer viewer) {
        Wording wording = viewer.wording(now.display());
        return RuleChange.between(before, now, Walk.vocabulary()).differences().stream()
                .map(each -> new ChangeView(
                        wording.say(each.kind().title()),
                        each.title(),
                        each.before().in(wording),
                        each.now().in(wording)))
                .toList();
    }

    record LimitDraft(
            @NotBlank(message = "is empty") String key,
            @NotBlank(message = "is empty") String by,
            @NotNull(message = "is missing") Bound side,
            @NotNull(message = "is missing") @Size(max = 60, message = "is longer than 60 characters") String value,
            @NotNull(message = "is missing") @Size(max = 300, message = "is longer than 300 characters")
                    String source) {}

    record SettingDraft(
            @NotBlank(message = "is empty") String id,
            @NotBlank(message = "is empty") @Size(max = 60, message = "is longer than 60 characters") String value,
            @NotNull(message = "is missing") @Size(max = 300, message = "is longer than 300 characters")
                    String source) {}

    record SchoolDraft(@NotBlank(message = "is empty") String topic, @NotBlank(message = "is empty") String school) {}

    /** Changes to the newest version of a book. */
    record BookDraft(
            @NotNull(message = "is missing") @Size(max = 200, message = "holds more than 200")
                    List<@Valid @NotNull(message = "is empty") LimitDraft> limits,
            @NotNull(message = "is missing") @Size(max = 200, message = "holds more than 200")
                    List<@Valid @NotNull(message = "is empty") SettingDraft> settings,
            @NotNull(message = "is missing") @Size(max = 200, message = "holds more than 200")
                    List<@Valid @NotNull(message = "is empty") SchoolDraft> schools,
            @NotNull(message = "is missing") @Size(max = 1000, message = "is longer than 1000 characters")
                    String note) {}

    /** A draft that can be read, with what it changes. */
    record DraftView(String yaml, int version, List<ChangeView> changes) {}

    /** The text of the next version, made from single changes; nothing is saved. */
    @PostMapping("/{id}/draft")
    @KeepsNothing
    DraftView draft(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody BookDraft asked,
            @AuthenticationPrincipal Person person) {
        requireLead(person);
        RuleBook newest = newest(id);
        RuleBookDraft.Changes changes = new RuleBookDraft.Changes(
                asked.limits().stream()
                        .map(l -> new RuleBookDraft.LimitChange(l.key(), l.by(), l.side(), l.value(), l.source()))
                        .toList(),
                asked.settings().stream()
                        .map(s -> new RuleBookDraft.SettingChange(s.id(), s.value(), s.source()))
                        .toList(),
                asked.schools().stream()
                        .map(s -> new RuleBookDraft.SchoolChange(s.topic(), s.school()))
                        .toList(),
                asked.note());
        RuleBook draft = books.read(text(newest, changes));
        return new DraftView(draft.yaml(), draft.version(), changes(newest, draft, viewer));
    }

    private static String text(RuleBook newest, RuleBookDraft.Changes changes) {
        try {
            return RuleBookDraft.of(newest, changes, newest.version() + 1);
        } catch (RuleBookException e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("changes", RefusedException.said(e));
        }
    }

    private RuleBook newest(String id) {
        return books.newest(id).orElseThrow(() -> new NotFoundException("There is no such rule book."));
    }

    private static void requireLead(Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Rule books are kept by the quality lead.");
        }
    }

    /** @param version the newest where it is left out */
    @GetMapping("/{id}")
    BookView one(@PathVariable String id, @RequestParam Optional<Integer> version, Viewer viewer) {
        RuleBook book = version.map(number -> books.book(id, number)).orElseGet(() -> newest(id));
        Wording wording = viewer.wording(book.display());
        return new BookView(
                summary(book, viewer.language()),
                book.decisionRule().words(),
                Walk.vocabulary().limits().values().stream()
                        .sorted(Comparator.comparing(RuleBookController::station)
                                .thenComparing(LimitKey::id))
                        .flatMap(key -> book.limits(key).stream()
                                .map(limit -> new BookLimit(
                                        key.id(),
                                        station(key).number() + " "
                                                + station(key).title(),
                                        key.title(),
                                        limit.authority().id(),
                                        limit.authority().name(),
                                        limit.bound(),
                                        wording.say(limit.bound().words()),
                                        AsKept.written(limit.value(), wording.units()),
                                        limit.source().in(wording),
                                        named(book, book.layer(key, limit)),
                                        users(about -> about.limits().contains(key)))))
                        .toList(),
                Walk.vocabulary().topics().values().stream()
                        .sorted(Comparator.comparing(SchoolTopic::id))
                        .map(topic -> schools(topic, book, wording))
                        .toList(),
                Walk.vocabulary().settings().values().stream()
                        .sorted(Comparator.comparing(setting -> setting.id()))
                        .map(setting -> setting(setting, book, wording))
                        .toList(),
                book.yaml());
    }

    /**
     * Publishes a text as a version.
     *
     * @param untried why it was not tried on the archive first; left out where it was
     */
    @PostMapping(consumes = {MediaType.TEXT_PLAIN_VALUE, "application/yaml"})
    @ResponseStatus(HttpStatus.CREATED)
    BookSummary add(
            @RequestBody String yaml,
            @RequestParam Optional<@Size(max = 1000, message = "is longer than 1000 characters") String> untried,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        requireLead(person);
        return summary(books.publish(yaml, untried, person.name()), viewer.language());
    }

    private static BookSchool schools(SchoolTopic topic, RuleBook book, Wording wording) {
        SchoolTopic.School chosen = book.school(topic);
        return new BookSchool(
                topic.id(),
                wording.say(topic.title()),
                wording.say(chosen.title()),
                topic.schools().stream()
                        .filter(school -> !school.equals(chosen))
                        .map(school -> new SchoolChoice(school.id(), wording.say(school.title())))
                        .toList(),
                named(book, book.layer(layer -> layer.schools().get(topic.id()))));
    }

    private static BookSetting setting(Setting setting, RuleBook book, Wording wording) {
        if (!book.decides(setting)) {
            return new BookSetting(
                    setting.id(),
                    wording.say(setting.title()),
                    "",
                    "Left to a book that extends this one",
                    "",
                    users(setting));
        }
        RuleBook.Ruling ruling = book.setting(setting);
        return new BookSetting(
                setting.id(),
                wording.say(setting.title()),
                AsKept.written(ruling.value(), wording.units()),
                ruling.source(),
                named(book, book.layer(layer -> layer.settings().get(setting.id()))),
                users(setting));
    }

    private static List<String> users(Setting setting) {
        return users(about -> about.settings().contains(setting));
    }

    private static List<String> users(Predicate<About> using) {
        return Walk.judge().abouts().stream()
                .filter(using)
                .map(About::title)
                .distinct()
                .toList();
    }

    private static String named(RuleBook book, RuleBook layer) {
        return layer.equals(book) ? "" : layer.title();
    }

    private static BookSummary summary(RuleBook book, Language language) {
        List<String> extending = book.layers().stream()
                .filter(layer -> !layer.equals(book))
                .map(layer -> Text.of("{book}, version {version}", layer.title(), layer.version())
                        .in(new Wording(UnitSystem.SI, language)))
                .toList();
        return new BookSummary(book.id(), book.version(), book.title(), book.display(), book.note(), extending);
    }

    /** Where it is asked for; a limit's id begins with its station. */
    private static Station station(LimitKey key) {
        return Arrays.stream(Station.values())
                .filter(station -> key.id().startsWith(station.key() + "."))
                .findFirst()
                .orElseThrow();
    }
}
