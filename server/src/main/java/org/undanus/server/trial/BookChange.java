package org.undanus.server.trial;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.server.installation.CaseFiles;
import org.undanus.view.CaseFile;

/**
 * A rule book that is not published yet. Only requirements that it can touch are judged, and only what those look at is read; where
 * one looks further the installation is read whole.
 */
final class BookChange implements Change {
    /** From so many is learnt what the requirements look at. */
    private static final int LEARNT_FROM = 40;

    private final CaseFiles cases;
    private final Judge judge;
    private final RuleBook draft;
    private final List<String> ids;
    private final Set<String> drawn;
    /** What can be touched, by the version an installation is judged by. */
    private final Map<Integer, Judge> judges = new ConcurrentHashMap<>();
    /** The points looked at, as far as is known; empty where everything is. */
    private volatile Optional<Set<String>> points = Optional.of(Set.of());

    BookChange(CaseFiles cases, Judge judge, RuleBook draft) {
        this.cases = cases;
        this.judge = judge;
        this.draft = draft;
        this.ids = cases.judgedBy(draft.id());
        this.drawn = cases.drawn();
        // spread over all of them: those beside each other may be alike
        int stride = Math.max(1, ids.size() / LEARNT_FROM);
        for (int i = 0; i < ids.size(); i += stride) {
            whole(ids.get(i)).forEach(this::learn);
        }
    }

    private List<CaseFile> whole(String id) {
        return cases.openMany(List.of(id), Optional.empty(), drawn);
    }

    /** Remembers what is looked at here, so that it is read of others at once. */
    private synchronized void learn(CaseFile file) {
        for (RuleBook book : List.of(file.rules(), draft)) {
            Optional<Set<String>> looked = own(file.rules())
                    .judged(file.facts(), file.evidence(), book, Optional.empty())
                    .points();
            points = points.flatMap(known -> looked.map(more -> {
                Set<String> both = new HashSet<>(known);
                both.addAll(more);
                return both;
            }));
        }
    }

    private Judge own(RuleBook by) {
        return judges.computeIfAbsent(
                by.version(),
                version -> judge.only(
                        RuleChange.between(by, draft, Walk.vocabulary()).touched(judge.abouts())));
    }

    @Override
    public List<String> installations() {
        return ids;
    }

    @Override
    public void compare(List<String> some, Trial trial) {
        for (CaseFile file : cases.openMany(some, points, drawn)) {
            if (!trial.running()) {
                return;
            }
            try {
                compare(file, trial);
            } catch (Evidence.UnknownException further) {
                whole(file.header().id()).forEach(all -> {
                    learn(all);
                    compare(all, trial);
                });
            }
        }
    }

    private void compare(CaseFile file, Trial trial) {
        Judge judging = own(file.rules());
        List<Judgement> was = judging.judge(file.facts(), file.evidence(), file.rules());
        trial.take(file, was, judging.judge(file.facts(), file.evidence(), draft));
    }
}
