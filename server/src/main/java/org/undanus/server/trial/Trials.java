package org.undanus.server.trial;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judged;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotFoundException;

/**
 * Tries a rule book on every installation that is judged by a version of it. Only requirements that the change can touch are
 * judged, and only what those look at is read; where one looks further the installation is read whole.
 */
@Service
public class Trials {
    private static final Logger LOG = LoggerFactory.getLogger(Trials.class);
    private static final int REMEMBERED = 50;
    private static final Duration REMEMBERED_FOR = Duration.ofHours(1);
    /** So many are read at once. */
    private static final int AT_ONCE = 500;
    /** From so many is learnt what the requirements look at. */
    private static final int LEARNT_FROM = 40;

    private static final int WORKERS = Math.max(2, Runtime.getRuntime().availableProcessors());

    private final CaseFiles cases;
    private final Judge judge;
    private final Cache<String, Trial> known = Caffeine.newBuilder()
            .maximumSize(REMEMBERED)
            .expireAfterWrite(REMEMBERED_FOR)
            .build();
    private final ExecutorService workers = Executors.newFixedThreadPool(WORKERS, work -> new Thread(work, "trial"));

    Trials(CaseFiles cases, Judge.FailureListener failures) {
        this.cases = cases;
        this.judge = Walk.judge().containing(failures);
    }

    /** One trial with what it needs. */
    private final class Run {
        private final Trial trial;
        private final RuleBook draft;
        private final List<String> ids;
        private final Set<String> drawn = cases.drawn();
        /** What can be touched, by the version an installation is judged by. */
        private final Map<RuleBook, Judge> judges = new ConcurrentHashMap<>();
        /** The points looked at; empty where everything is. */
        private volatile Optional<Set<String>> points = Optional.empty();

        private final AtomicInteger next = new AtomicInteger();
        private final AtomicInteger working = new AtomicInteger(WORKERS);

        Run(Trial trial, RuleBook draft) {
            this.trial = trial;
            this.draft = draft;
            this.ids = cases.judgedBy(draft.id());
        }

        private Judge judge(RuleBook by) {
            return judges.computeIfAbsent(
                    by,
                    book -> judge.only(
                            RuleChange.between(book, draft, Walk.vocabulary()).touched(judge.abouts())));
        }

        void run() {
            trial.begins(ids.size());
            int first = Math.min(LEARNT_FROM, ids.size());
            learn(ids.subList(0, first));
            next.set(first);
            for (int worker = 0; worker < WORKERS; worker++) {
                workers.execute(this::work);
            }
        }

        private void learn(List<String> some) {
            Set<String> looked = new HashSet<>();
            boolean everything = false;
            for (CaseFile file : cases.some(some, Optional.empty(), drawn)) {
                Judge own = judge(file.rules());
                for (RuleBook book : List.of(file.rules(), draft)) {
                    Judged judged = own.judged(file.facts(), file.evidence(), book, Optional.empty());
                    everything |= judged.points().isEmpty();
                    judged.points().ifPresent(looked::addAll);
                }
                take(file);
            }
            points = everything ? Optional.empty() : Optional.of(looked);
        }

        private void work() {
            try {
                for (int from = next.getAndAdd(AT_ONCE);
                        from < ids.size() && trial.wanted();
                        from = next.getAndAdd(AT_ONCE)) {
                    cases.some(ids.subList(from, Math.min(ids.size(), from + AT_ONCE)), points, drawn)
                            .forEach(this::takeWhileWanted);
                }
            } catch (RuntimeException e) {
                LOG.warn("A trial ended early", e);
                trial.end(Trial.State.FAILED, "The trial ended early; the server's log says why. Nothing was changed.");
            } finally {
                if (working.decrementAndGet() == 0) {
                    trial.end(Trial.State.DONE, null);
                }
            }
        }

        private void takeWhileWanted(CaseFile file) {
            if (trial.wanted()) {
                try {
                    take(file);
                } catch (Evidence.UnknownException further) {
                    cases.some(List.of(file.header().id()), Optional.empty(), drawn)
                            .forEach(this::take);
                }
            }
        }

        private void take(CaseFile file) {
            Judge own = judge(file.rules());
            List<Judgement> was = own.judge(file.facts(), file.evidence(), file.rules());
            trial.take(file, was, own.judge(file.facts(), file.evidence(), draft));
        }
    }

    /** Begins to try a book; a trial that this person has running ends. */
    Trial.ArchiveTrial begin(RuleBook draft, RuleBook newest, String person) {
        known.asMap().values().stream()
                .filter(trial -> trial.isOf(person))
                .forEach(trial -> trial.end(Trial.State.CANCELLED, null));
        List<About> all = judge.abouts();
        Set<String> touched =
                RuleChange.between(newest, draft, Walk.vocabulary()).touched(all);
        String id = UUID.randomUUID().toString();
        Trial trial = new Trial(
                id,
                person,
                all.stream()
                        .filter(about -> touched.contains(about.id()))
                        .map(About::title)
                        .toList());
        known.put(id, trial);
        workers.execute(() -> {
            try {
                new Run(trial, draft).run();
            } catch (RuntimeException e) {
                LOG.warn("A trial could not begin", e);
                trial.end(Trial.State.FAILED, "The trial ended early; the server's log says why. Nothing was changed.");
            }
        });
        return trial.view();
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    Trial of(String id, String person) {
        Trial trial = known.getIfPresent(id);
        if (trial == null || !trial.isOf(person)) {
            throw new NotFoundException("This trial is no longer known. Begin it again.");
        }
        return trial;
    }

    @PreDestroy
    void stop() {
        known.asMap().values().forEach(trial -> trial.end(Trial.State.CANCELLED, null));
        workers.shutdown();
    }
}
