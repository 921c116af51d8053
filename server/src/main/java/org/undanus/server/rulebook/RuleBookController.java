package org.undanus.server.rulebook;

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
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.station.Walk;
import org.undanus.server.account.Person;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;

/** Rule books to read, and the quality lead's way to bring in a new version. */
@RestController
@RequestMapping("/api/rule-books")
class RuleBookController {

    record BookSummary(String id, int version, String title, UnitSystem display, String note) {}

    record BookView(
            BookSummary book,
            String decisionRule,
            List<BookLimit> limits,
            List<BookSchool> schools,
            List<BookSetting> settings,
            String yaml) {}

    record BookLimit(String key, String title, String authority, String bound, String value, String source) {}

    record BookSchool(String topic, String chosen, List<String> others) {}

    record BookSetting(String title, String value, String source) {}

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
                        .sorted(Comparator.comparing(LimitKey::id))
                        .flatMap(key -> book.limits(key).stream()
                                .map(limit -> new BookLimit(
                                        key.id(),
                                        key.title(),
                                        limit.authority().name(),
                                        limit.bound().words(),
                                        format.format(limit.value()),
                                        limit.source())))
                        .toList(),
                Walk.vocabulary().topics().values().stream()
                        .sorted(Comparator.comparing(SchoolTopic::id))
                        .map(topic -> schools(topic, book))
                        .toList(),
                Walk.vocabulary().settings().values().stream()
                        .sorted(Comparator.comparing(setting -> setting.id()))
                        .map(setting -> new BookSetting(
                                setting.title(),
                                format.format(book.setting(setting).value()),
                                book.setting(setting).source()))
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
                        .toList());
    }

    private static BookSummary summary(RuleBook book) {
        return new BookSummary(book.id(), book.version(), book.title(), book.display(), book.note());
    }
}
