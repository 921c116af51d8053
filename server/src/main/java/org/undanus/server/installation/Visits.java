package org.undanus.server.installation;

import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.VisitRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** Begins visits, confines them to scopes and notes that they were sealed. */
@Service
public class Visits {

    private final InstallationMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    Visits(InstallationMapper mapper, CaseFiles cases, Journal journal) {
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    static void requireDay(LocalDate visitedOn) {
        if (!Years.OF_VISITS.hold(visitedOn)) {
            throw new UnsuitableException("visitedOn", Text.of("A visit lies in {ofVisits}.", Years.OF_VISITS));
        }
    }

    /**
     * Begins another visit; what is read from then on is read at it.
     *
     * @throws UnsuitableException when it would lie before the last one
     */
    @Transactional
    public void begin(String id, Stage stage, LocalDate on, boolean unannounced, Person person) {
        CaseFile file = cases.openForWriting(id, person);
        requireDay(on);
        if (on.isBefore(file.header().visitedOn())) {
            throw new UnsuitableException(
                    "visitedOn",
                    Text.of(
                            "The last visit was on {visitedOn}; this one cannot lie before it.",
                            file.header().visitedOn()));
        }
        begun(id, stage, on, unannounced, person.name());
    }

    /**
     * Notes under which number the visit that the header names was sealed.
     *
     * @throws ConflictException where it is already
     */
    @Transactional
    public void seal(CaseFile.Header header, String number, Person person) {
        if (mapper.sealVisit(header.visitId(), number) == 0) {
            throw new ConflictException(
                    "This visit is sealed already. Nothing was changed.", number, mapper.visit(header.visitId()));
        }
        VisitRow row = mapper.visit(header.visitId());
        journal.write(person.name(), "visit.sealed", row.id(), row);
    }

    /**
     * Confines the visit that goes on to some scopes of its rule book.
     *
     * @param scopes their ids; none for the whole
     * @throws UnsuitableException where the book has no such scope, or the visit is sealed
     */
    @Transactional
    public void confine(String id, List<String> scopes, Person person) {
        CaseFile file = cases.openForWriting(id, person);
        CaseFile.Visit visit = file.header().visit();
        if (visit.sealedAs().isPresent()) {
            throw new UnsuitableException(
                    "scopes",
                    Text.of(
                            "This visit is sealed as {sealedAs}; what it looked at stays.",
                            visit.sealedAs().get()));
        }
        scopes.stream()
                .filter(scope -> !file.rules().scopes().containsKey(scope))
                .findFirst()
                .ifPresent(unknown -> {
                    throw new UnsuitableException(
                            "scopes", Text.of("The rule book has no scope \"{unknown}\".", unknown));
                });
        mapper.confineVisit(visit.id(), scopes.isEmpty() ? null : String.join(" ", new LinkedHashSet<>(scopes)));
        VisitRow row = mapper.visit(visit.id());
        journal.write(person.name(), "visit.confined", row.id(), row);
    }

    /** Keeps that a visit has begun; nothing of it is checked. */
    void begun(String installation, Stage stage, LocalDate on, boolean unannounced, String by) {
        VisitRow row = new VisitRow(
                UUID.randomUUID().toString(), installation, stage, on, unannounced ? true : null, null, null);
        mapper.insertVisit(row);
        journal.write(by, "visit.begun", row.id(), row);
    }
}
