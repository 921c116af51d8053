package org.undanus.server.rulebook;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.Walk;
import org.undanus.server.account.Person;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;

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

    /** @param layer the book it is given by, empty where it is this one's own */
    record BookLimit(
            String key,
            String station,
            String title,
            String authority,
            String bound,
            String value,
            String source,
            String layer) {}

    /** @param layer as of limits */
    record BookSchool(String topic, String chosen, List<String> others, String layer) {}

    /**
     * @param value empty where a book of a place has to give it
     * @param layer as of limits
     */
    record BookSetting(String title, String value, String source, String layer) {}

    private final RuleBooks books;

    RuleBookController(RuleBooks books) {
        this.books = books;
    }

    @GetMapping
    List<BookSummary> all() {
        return books.newest().stream().map(RuleBookController::summary).toList();
    }

    @GetMapping("/{id}")
    BookView one(@PathVariable String id, @RequestParam Optional<UnitSystem> units) {
        RuleBook book = books.newest(id).orElseThrow(() -> new NotFoundException("There is no such rule book."));
        QuantityFormat format = QuantityFormat.of(units.orElse(book.display()));
        return new BookView(
                summary(book),
                book.decisionRule().key(),
                Walk.vocabulary().limits().values().stream()
                        .sorted(Comparator.comparing(RuleBookController::station)
                                .thenComparing(LimitKey::id))
                        .flatMap(key -> book.limits(key).stream()
                                .map(limit -> new BookLimit(
                                        key.id(),
                                        station(key).number() + " "
                                                + station(key).title(),
                                        key.title(),
                                        limit.authority().name(),
                                        limit.bound().words(),
                                        format.format(limit.value()),
                                        limit.source(),
                                        named(book, book.layer(key, limit)))))
                        .toList(),
                Walk.vocabulary().topics().values().stream()
                        .sorted(Comparator.comparing(SchoolTopic::id))
                        .map(topic -> schools(topic, book))
                        .toList(),
                Walk.vocabulary().settings().values().stream()
                        .sorted(Comparator.comparing(setting -> setting.id()))
                        .map(setting -> setting(setting, book, format))
                        .toList(),
                book.yaml());
    }

    @PostMapping(consumes = {MediaType.TEXT_PLAIN_VALUE, "application/yaml"})
    @ResponseStatus(HttpStatus.CREATED)
    BookSummary add(@RequestBody String yaml, @AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Rule books are kept by the quality lead.");
        }
        return summary(books.add(yaml, person.name()));
    }

    private static BookSchool schools(SchoolTopic topic, RuleBook book) {
        SchoolTopic.School chosen = book.school(topic);
        return new BookSchool(
                topic.title(),
                chosen.title(),
                topic.schools().stream()
                        .filter(school -> !school.equals(chosen))
                        .map(SchoolTopic.School::title)
                        .toList(),
                named(book, book.layer(layer -> layer.schools().get(topic.id()))));
    }

    private static BookSetting setting(Setting setting, RuleBook book, QuantityFormat format) {
        if (!book.decides(setting)) {
            return new BookSetting(setting.title(), "", "Left to a book that extends this one", "");
        }
        RuleBook.Ruling ruling = book.setting(setting);
        return new BookSetting(
                setting.title(),
                format.format(ruling.value()),
                ruling.source(),
                named(book, book.layer(layer -> layer.settings().get(setting.id()))));
    }

    private static String named(RuleBook book, RuleBook layer) {
        return layer.equals(book) ? "" : layer.title();
    }

    private static BookSummary summary(RuleBook book) {
        List<String> extending = book.layers().stream()
                .filter(layer -> !layer.equals(book))
                .map(layer -> layer.title() + ", version " + layer.version())
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
