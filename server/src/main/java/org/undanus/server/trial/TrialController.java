package org.undanus.server.trial;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.datasheet.SheetFile;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.datasheet.SheetRecord;
import org.undanus.server.installation.Amendments;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.space.KeepsNothing;
import org.undanus.view.CaseFile;

/** Rule books tried, and installations moved to them, over HTTP. */
@RestController
@RequestMapping("/api")
class TrialController {

    /** @param ids the installations to move; all that are judged by a version of the book where it is left out */
    record Move(
            Optional<@Size(max = 10_000, message = "holds more than 10000") List<@NotNull(message = "is empty") String>>
                    ids) {}

    record MovedInstallations(int moved) {}

    private final Trials trials;
    private final RuleBooks books;
    private final CaseFiles cases;
    private final Amendments amendments;
    private final SheetLibrary library;

    TrialController(Trials trials, RuleBooks books, CaseFiles cases, Amendments amendments, SheetLibrary library) {
        this.library = library;
        this.trials = trials;
        this.books = books;
        this.cases = cases;
        this.amendments = amendments;
    }

    /** Tries a text on every installation judged by a version of the book; how it goes on is asked under its id. */
    @PostMapping(
            path = "/rule-books/{id}/trials",
            consumes = {MediaType.TEXT_PLAIN_VALUE, "application/yaml"})
    @ResponseStatus(HttpStatus.ACCEPTED)
    @KeepsNothing
    Trial.ArchiveTrial begin(
            @PathVariable String id, @RequestBody String yaml, @AuthenticationPrincipal Person person) {
        requireLead(person);
        RuleBook newest = books.newest(id).orElseThrow(() -> new NotFoundException("There is no such rule book."));
        RuleBook draft = books.read(yaml);
        if (!draft.id().equals(id)) {
            throw new UnsuitableException("id", Text.of("This is a text of {draft}, not of {id}.", draft.id(), id));
        }
        return trials.begin(draft, newest, person.name());
    }

    /** Tries a file of data sheets on every installation with a unit that they speak of. */
    @PostMapping("/data-sheets/trials")
    @ResponseStatus(HttpStatus.ACCEPTED)
    @KeepsNothing
    Trial.ArchiveTrial begin(@RequestBody SheetFile file, @AuthenticationPrincipal Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Data sheets are tried on the archive by those who may see all of it.");
        }
        List<SheetRecord> sheets = file.sound();
        return trials.begin(
                library.sheetsWith(sheets),
                sheets.stream().map(SheetRecord::model).toList(),
                person.name());
    }

    @GetMapping("/trials/{id}")
    Trial.ArchiveTrial state(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return trials.of(id, person.name()).view();
    }

    /** Ends a trial; nothing was changed by it. */
    @DeleteMapping("/trials/{id}")
    @KeepsNothing
    Trial.ArchiveTrial cancel(@PathVariable String id, @AuthenticationPrincipal Person person) {
        Trial trial = trials.of(id, person.name());
        trial.cancel();
        return trial.view();
    }

    /** Has installations judged by this version from now on: by a newer one, or by an older one again. All or none. */
    @PostMapping("/rule-books/{id}/versions/{version}/installations")
    @Transactional
    MovedInstallations move(
            @PathVariable String id,
            @PathVariable int version,
            @Valid @RequestBody Move asked,
            @AuthenticationPrincipal Person person) {
        requireLead(person);
        RuleBook book = books.book(id, version);
        int moved = 0;
        for (String installation : asked.ids().orElseGet(() -> cases.judgedBy(id))) {
            CaseFile file = cases.openForWriting(installation, person);
            if (!file.rules().id().equals(id)) {
                throw new UnsuitableException(
                        "ids",
                        Text.of(
                                "{reference} is judged by another book, {rules}. None was moved.",
                                file.header().reference(),
                                file.rules().title()));
            }
            if (file.rules().version() != version) {
                amendments.amend(file, Amendments.Amended.of(file, book), person);
                moved++;
            }
        }
        return new MovedInstallations(moved);
    }

    private static void requireLead(Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Rule books are tried and published by the quality lead.");
        }
    }
}
