package org.undanus.server.installation;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Reading;
import org.undanus.core.installation.SitePlan;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.installation.InstallationMapper.VisitRow;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.store.Commit;
import org.undanus.view.CaseFile;

/** Opens case files, and lets nobody see another crew's. */
@Service
public class CaseFiles {

    private static final int REMEMBERED = 300;

    private final Cache<String, CaseFile> judged =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<String, CaseFile.Known> read =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private final InstallationMapper mapper;
    private final RowsOfMany many;
    private final CaseMaterial.Drawings drawings;
    private final CaseRows rows;

    CaseFiles(InstallationMapper mapper, RowsOfMany many, CaseMaterial.Drawings drawings, CaseRows rows) {
        this.mapper = mapper;
        this.many = many;
        this.drawings = drawings;
        this.rows = rows;
    }

    /** @throws NotFoundException when there is none, or it is none of this person's business */
    @Transactional(readOnly = true)
    public CaseFile open(String id, Person person) {
        return file(visible(id, person));
    }

    /** Whoever asks, held until the transaction ends. */
    @Transactional
    CaseFile lockedFile(String id) {
        mapper.lock(id);
        return file(mapper.find(id));
    }

    /** As {@link #open}, holding the installation for one writer until the transaction ends. */
    @Transactional
    public CaseFile openForWriting(String id, Person person) {
        mapper.lock(id);
        InstallationRow row = visible(id, person);
        mapper.forgetStanding(id);
        return file(row);
    }

    InstallationRow visible(String id, Person person) {
        InstallationRow row = mapper.find(id);
        if (row == null || !person.maySee(row.crew())) {
            throw new NotFoundException("There is no such installation in your register.");
        }
        return row;
    }

    /** What an installation is called by. */
    public record Named(String id, String reference, String title, String crew) {}

    /** All that this person may see, by reference, unread. */
    @Transactional(readOnly = true)
    public List<Named> named(Person person) {
        return mapper.all().stream()
                .filter(row -> person.maySee(row.crew()))
                .map(row -> new Named(row.id(), row.reference(), row.title(), row.crew()))
                .toList();
    }

    /** All that this person may see, by reference. */
    @Transactional(readOnly = true)
    public List<CaseFile> all(Person person) {
        Map<String, List<ComponentRow>> components = grouped(mapper.allComponents(), ComponentRow::installationId);
        Map<String, List<SubjectRow>> subjects = grouped(mapper.allSubjects(), SubjectRow::installationId);
        Map<String, List<VisitRow>> visits = grouped(mapper.allVisits(), VisitRow::installationId);
        Map<String, List<ReadingRow>> readings = grouped(mapper.allReadings(), ReadingRow::installationId);
        Map<String, SitePlan> plans = drawings.drawings();
        return mapper.all().stream()
                .filter(row -> person.maySee(row.crew()))
                .map(row -> file(
                        row,
                        components.get(row.id()),
                        subjects.getOrDefault(row.id(), List.of()),
                        visits.get(row.id()),
                        whole(row.id(), readings.getOrDefault(row.id(), List.of()), visits.get(row.id())),
                        Optional.ofNullable(plans.get(row.id()))))
                .toList();
    }

    /** Those judged by any version of a book, by their ids. */
    @Transactional(readOnly = true)
    public List<String> judgedBy(String book) {
        return mapper.judgedBy(book);
    }

    /** All there are, by their ids in order. */
    @Transactional(readOnly = true)
    public List<String> ids() {
        return mapper.ids();
    }

    /** Installations that have a drawing. */
    public Set<String> drawn() {
        return drawings.drawn();
    }

    /**
     * Many at once, whoever may see them, read afresh and remembered nowhere.
     *
     * @param ids in their order; those between the first and the last that are not among them are read over
     * @param points of which readings are wanted; empty for all there are
     * @param drawn those that have a drawing
     */
    @Transactional(readOnly = true)
    public List<CaseFile> openMany(List<String> ids, Optional<Set<String>> points, Set<String> drawn) {
        if (ids.isEmpty()) {
            return List.of();
        }
        String from = ids.get(0);
        String to = ids.get(ids.size() - 1);
        Set<String> wanted = Set.copyOf(ids);
        Map<String, List<ComponentRow>> components = many.components(from, to);
        Map<String, List<SubjectRow>> subjects = many.subjects(from, to);
        Map<String, List<VisitRow>> visits = many.visits(from, to);
        Map<String, List<ReadingRow>> readings =
                points.map(asked -> many.readings(from, to, asked)).orElseGet(() -> many.readings(from, to));
        return many.installations(from, to).stream()
                .filter(row -> wanted.contains(row.id()))
                .map(row -> {
                    List<ReadingRow> own = readings.getOrDefault(row.id(), List.of());
                    List<Reading> read = rows.readings(row.id(), own, visits.get(row.id()));
                    return rows.file(
                            row,
                            components.get(row.id()),
                            subjects.getOrDefault(row.id(), List.of()),
                            visits.get(row.id()),
                            new CaseFile.Known(
                                    own.size(),
                                    points.map(asked -> Evidence.of(read, asked))
                                            .orElseGet(() -> Evidence.of(read))),
                            drawn.contains(row.id()) ? drawings.drawing(row.id()) : Optional.empty());
                })
                .toList();
    }

    private static <T> Map<String, List<T>> grouped(List<T> rows, Function<T, String> by) {
        return rows.stream().collect(Collectors.groupingBy(by));
    }

    private CaseFile file(InstallationRow row) {
        String id = row.id();
        List<VisitRow> visits = mapper.visits(id);
        return file(row, mapper.components(id), mapper.subjects(id), visits, known(id, visits), drawings.drawing(id));
    }

    /**
     * Readings are only ever added, so that only those are fetched that came since. What is remembered has been committed: nobody
     * else is shown what is rolled back.
     */
    private CaseFile.Known known(String id, List<VisitRow> visits) {
        CaseFile.Known before = Optional.ofNullable(read.getIfPresent(id)).orElse(CaseFile.Known.NOTHING);
        List<ReadingRow> later = mapper.readingsAfter(id, before.rows());
        if (later.isEmpty()) {
            return before;
        }
        List<Reading> all = new ArrayList<>(before.evidence().readings());
        all.addAll(rows.readings(id, later, visits));
        CaseFile.Known now = new CaseFile.Known(before.rows() + later.size(), Evidence.of(all));
        Commit.after(() -> read.put(id, now));
        return now;
    }

    private CaseFile.Known whole(String id, List<ReadingRow> all, List<VisitRow> visits) {
        return new CaseFile.Known(all.size(), Evidence.of(rows.readings(id, all, visits)));
    }

    private CaseFile file(
            InstallationRow row,
            List<ComponentRow> components,
            List<SubjectRow> subjects,
            List<VisitRow> visits,
            CaseFile.Known known,
            Optional<SitePlan> plan) {
        return remembered(rows.file(row, components, subjects, visits, known, plan));
    }

    /**
     * The last file of this installation where it says the same, and with it its judgements; else the new one, of which only what
     * changed is judged anew. What is compared is all that a judgement rests on, so that nothing has to be told when something
     * changes.
     */
    private CaseFile remembered(CaseFile read) {
        String id = read.header().id();
        CaseFile last = judged.getIfPresent(id);
        if (last != null && last.saysTheSameAs(read)) {
            return last;
        }
        CaseFile now = last == null ? read : read.after(last);
        judged.put(id, now);
        return now;
    }

    /** Once what was saved stands, this is what the installation is: read and judged already, it need not be again. */
    public void remember(CaseFile saved) {
        String id = saved.header().id();
        Commit.after(() -> {
            judged.put(id, saved);
            read.put(id, saved.known());
        });
    }
}
