package org.undanus.server.trial;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.rulebook.TriedBooks;
import org.undanus.server.store.Digest;
import org.undanus.server.work.Underway;

/** Tries a changed rule book or changed data sheets on every installation they may touch, in the background. */
@Service
public class Trials implements TriedBooks {
    private static final Logger LOG = LoggerFactory.getLogger(Trials.class);
    /** So many are read at once. */
    private static final int AT_ONCE = 500;

    private static final int WORKERS = Math.max(2, Runtime.getRuntime().availableProcessors());

    private final CaseFiles cases;
    private final Judge judge;
    private final Underway<Trial> known = new Underway<>("This trial is no longer known. Begin it again.");
    private final ExecutorService workers = Executors.newFixedThreadPool(WORKERS, work -> new Thread(work, "trial"));

    Trials(CaseFiles cases, Judge.FailureListener failures) {
        this.cases = cases;
        this.judge = Walk.judge().containing(failures);
    }

    /** One trial under way, shared by those who work on it. */
    private static final class Run {
        private final Trial trial;
        private final Change change;
        private final List<String> ids;
        private final AtomicInteger next = new AtomicInteger();
        private final AtomicInteger working = new AtomicInteger(WORKERS);

        Run(Trial trial, Change change) {
            this.trial = trial;
            this.change = change;
            this.ids = change.installations();
        }

        void work() {
            try {
                for (int from = next.getAndAdd(AT_ONCE);
                        from < ids.size() && trial.running();
                        from = next.getAndAdd(AT_ONCE)) {
                    change.compare(ids.subList(from, Math.min(ids.size(), from + AT_ONCE)), trial);
                }
            } catch (RuntimeException e) {
                failed(trial, e);
            } finally {
                if (working.decrementAndGet() == 0) {
                    trial.end(Underway.State.DONE, null);
                }
            }
        }
    }

    private static void failed(Trial trial, RuntimeException e) {
        LOG.warn("A trial ended early", e);
        trial.end(Underway.State.FAILED, "The trial ended early; the server's log says why. Nothing was changed.");
    }

    /** Begins to try a book; a trial that this person has running ends. */
    Trial.ArchiveTrial begin(RuleBook draft, RuleBook newest, String person) {
        List<About> all = judge.abouts();
        Set<String> touched =
                RuleChange.between(newest, draft, Walk.vocabulary()).touched(all);
        List<String> requirements = all.stream()
                .filter(about -> touched.contains(about.id()))
                .map(About::title)
                .toList();
        return begin(person, requirements, Digest.sha256(draft.yaml()), () -> new BookChange(cases, judge, draft));
    }

    /**
     * Begins to try data sheets; a trial that this person has running ends.
     *
     * @param models those that the sheets are of
     */
    Trial.ArchiveTrial begin(DataSheets then, List<String> models, String person) {
        return begin(person, List.of(), "", () -> new SheetsChange(cases, judge, then, models));
    }

    private Trial.ArchiveTrial begin(String person, List<String> requirements, String digest, Supplier<Change> change) {
        Trial trial = new Trial(UUID.randomUUID().toString(), person, requirements, digest);
        known.begin(trial);
        workers.execute(() -> {
            try {
                Run run = new Run(trial, change.get());
                trial.begins(run.ids.size());
                for (int worker = 0; worker < WORKERS; worker++) {
                    workers.execute(run::work);
                }
            } catch (RuntimeException e) {
                failed(trial, e);
            }
        });
        return trial.view();
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    Trial of(String id, String person) {
        return known.of(id, person);
    }

    @Override
    public Optional<Tried> tried(String digest, String person) {
        return known.of(person).stream()
                .filter(trial -> trial.of(digest) && trial.state() == Underway.State.DONE)
                .map(Trial::outcome)
                .findFirst();
    }

    @PreDestroy
    void stop() {
        known.stop();
        workers.shutdown();
    }
}
