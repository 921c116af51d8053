package org.undanus.server.correction;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.correction.CorrectionMapper.CorrectionRow;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.walk.JudgementView;

/** Raises corrections and keeps them. */
@Service
public class Corrections {

    /** A correction with what the register says of its installation. */
    public record Listed(Correction correction, String reference, String title, String crew) {}

    private final CorrectionMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    Corrections(CorrectionMapper mapper, CaseFiles cases, Journal journal) {
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    @Transactional(readOnly = true)
    public List<Correction> of(CaseFile file) {
        return mapper.ofInstallation(file.header().id()).stream()
                .map(CorrectionRow::correction)
                .toList();
    }

    @Transactional(readOnly = true)
    List<Listed> all(Person person) {
        Map<String, CaseFiles.Named> visible =
                cases.named(person).stream().collect(Collectors.toMap(CaseFiles.Named::id, Function.identity()));
        return mapper.all().stream()
                .filter(row -> visible.containsKey(row.installationId()))
                .map(row -> {
                    CaseFiles.Named header = visible.get(row.installationId());
                    return new Listed(row.correction(), header.reference(), header.title(), header.crew());
                })
                .toList();
    }

    /**
     * Raises a correction from a judgement as it now stands.
     *
     * @param words what the inspector asks for; empty takes the judgement's own remedy
     * @throws UnsuitableException when the judgement leaves nothing to correct
     */
    @Transactional
    Correction raise(
            String installation, String key, String words, Optional<LocalDate> due, Person person, UnitSystem units) {
        CaseFile file = cases.openForWriting(installation, person);
        requireInspector(person);
        Judgement judgement = file.judgements().all().stream()
                .filter(j -> j.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such judgement."));
        if (!judgement.verdict().open()) {
            throw new UnsuitableException(
                    "judgement",
                    "This " + judgement.verdict().title().toLowerCase(Locale.ROOT) + ": there is nothing to correct.");
        }
        List<Correction> before = of(file);
        if (before.stream()
                .anyMatch(c -> c.state() == Correction.State.OPEN
                        && c.requirement().equals(judgement.about().id())
                        && c.component().equals(judgement.component()))) {
            throw new UnsuitableException("judgement", "A correction for this judgement is already open.");
        }
        JudgementView view = JudgementView.of(judgement, file.evidence(), units);
        Correction raised = new Correction(
                UUID.randomUUID().toString(),
                before.size() + 1,
                installation,
                view.requirement(),
                view.component(),
                view.title() + (view.subject().isEmpty() ? "" : ", " + view.subject()),
                judgement.verdict().title() + ". " + view.because(),
                view.limits().stream()
                        .map(l -> l.authority() + ": " + l.bound() + " " + l.value() + " (" + l.source() + ")")
                        .collect(Collectors.joining("; ")),
                words.isBlank() ? view.remedy().orElse("") : words.strip(),
                due,
                Correction.State.OPEN,
                person.name(),
                Instant.now().truncatedTo(ChronoUnit.MILLIS),
                1);
        keep(raised, person.name());
        return raised;
    }

    /**
     * Keeps a correction as it is.
     *
     * @param by who raised it or brought it in
     */
    @Transactional
    public void keep(Correction correction, String by) {
        CorrectionRow row = CorrectionRow.of(correction);
        mapper.insert(row);
        journal.write(by, "correction.raised", row.id(), row);
    }

    /** @throws ConflictException with both versions when somebody changed it meanwhile */
    @Transactional
    Correction amend(
            String id, String words, Optional<LocalDate> due, Correction.State state, int version, Person person) {
        CorrectionRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such correction.");
        }
        cases.openForWriting(row.installationId(), person);
        requireInspector(person);
        Correction c = row.correction();
        Correction amended = new Correction(
                id,
                c.number(),
                c.installationId(),
                c.requirement(),
                c.component(),
                c.what(),
                c.finding(),
                c.limits(),
                words.strip(),
                due,
                state,
                c.raisedBy(),
                c.raisedAt(),
                version);
        if (mapper.update(CorrectionRow.of(amended)) == 0) {
            throw new ConflictException(
                    "Someone changed this correction meanwhile. Nothing was saved; compare the two.",
                    amended,
                    mapper.find(id).correction());
        }
        CorrectionRow now = mapper.find(id);
        journal.write(person.name(), "correction.amended", id, now);
        return now.correction();
    }

    private static void requireInspector(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Corrections are raised by the inspection office.");
        }
    }
}
