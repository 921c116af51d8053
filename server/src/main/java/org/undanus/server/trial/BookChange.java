package org.undanus.server.trial;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judged;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;

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
    /** The points looked at; empty where everything is. */
    private final Optional<Set<String>> points;

    BookChange(CaseFiles cases, Judge judge, RuleBook draft) {
        this.cases = cases;
        this.judge = judge;
        this.draft = draft;
        this.ids = cases.judgedBy(draft.id());
        this.drawn = cases.drawn();
        this.points = looked(ids.subList(0, Math.min(LEARNT_FROM, ids.size())));
    }

    private Optional<Set<String>> looked(List<String> some) {
        Set<String> looked = new HashSet<>();
        for (CaseFile file : cases.some(some, Optional.empty(), drawn)) {
            for (RuleBook book : List.of(file.rules(), draft)) {
                Judged judged = own(file.rules()).judged(file.facts(), file.evidence(), book, Optional.empty());
                if (judged.points().isEmpty()) {
                    return Optional.empty();
                }
                looked.addAll(judged.points().get());
            }
        }
        return Optional.of(looked);
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
        for (CaseFile file : cases.some(some, points, drawn)) {
            if (!trial.wanted()) {
                return;
            }
            try {
                compare(file, trial);
            } catch (Evidence.UnknownException further) {
                cases.some(List.of(file.header().id()), Optional.empty(), drawn)
                        .forEach(whole -> compare(whole, trial));
            }
        }
    }

    private void compare(CaseFile file, Trial trial) {
        Judge judging = own(file.rules());
        List<Judgement> was = judging.judge(file.facts(), file.evidence(), file.rules());
        trial.take(file, was, judging.judge(file.facts(), file.evidence(), draft));
    }
}
