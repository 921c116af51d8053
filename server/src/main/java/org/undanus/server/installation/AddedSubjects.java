package org.undanus.server.installation;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.installation.Subject;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** Subjects of an installation that cannot be told from its units: added and taken away. */
@Service
public class AddedSubjects {

    private static final int MOST_SUBJECTS = 200;

    private final InstallationMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    AddedSubjects(InstallationMapper mapper, CaseFiles cases, Journal journal) {
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    /**
     * Adds a subject that cannot be told from the units.
     *
     * @throws UnsuitableException where the installation cannot have it
     */
    @Transactional
    public void add(String id, Subject subject, Person person) {
        CaseFile file = cases.openForWriting(id, person);
        List<SubjectRow> rows = mapper.subjects(id);
        if (rows.size() >= MOST_SUBJECTS) {
            throw new UnsuitableException(
                    "title", Text.of("An installation has {mostSubjects} of these at most.", MOST_SUBJECTS));
        }
        List<Subject> with = new ArrayList<>(file.facts().added());
        with.add(subject);
        try {
            file.facts().withAdded(with);
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("joins", Text.of("{why}.", RefusedException.said(e)));
        }
        SubjectRow row = new SubjectRow(
                id,
                subject.id(),
                subject.kind(),
                subject.title(),
                String.join(" ", subject.joins()),
                rows.size(),
                false);
        mapper.insertSubject(row);
        journal.write(person.name(), "subject.added", row.key(), row);
    }

    /** An id that nothing of this installation has had: the kind and a number. */
    @Transactional(readOnly = true)
    public String freeId(String installation, Subject.Kind kind) {
        Set<String> taken =
                mapper.subjects(installation).stream().map(SubjectRow::id).collect(Collectors.toSet());
        int number = 1;
        while (taken.contains(kind.key() + "-" + number)) {
            number++;
        }
        return kind.key() + "-" + number;
    }

    /**
     * Takes away a subject that was added, of which nothing has been read.
     *
     * @throws UnsuitableException where something has
     */
    @Transactional
    public void remove(String id, String subject, Person person) {
        CaseFile file = cases.openForWriting(id, person);
        SubjectRow row = mapper.subjects(id).stream()
                .filter(r -> r.id().equals(subject) && !r.removed())
                .findFirst()
                .orElseThrow(() -> new NotFoundException("Nothing of this name was added to the installation."));
        if (file.evidence().readings().stream()
                .anyMatch(r -> r.key().component().equals(subject))) {
            throw new UnsuitableException("subject", Text.of("{row} has readings; it stays.", row.title()));
        }
        SubjectRow removed =
                new SubjectRow(row.installationId(), row.id(), row.kind(), row.title(), row.joins(), row.place(), true);
        mapper.updateSubject(removed);
        journal.write(person.name(), "subject.removed", row.key(), removed);
    }
}
