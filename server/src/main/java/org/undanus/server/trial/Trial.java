package org.undanus.server.trial;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.rulebook.TriedBooks;
import org.undanus.server.work.Underway;
import org.undanus.view.CaseFile;

/** One change being tried: how far it is and what has come of it so far. Its memory is bounded whatever the archive holds. */
final class Trial extends Underway.Work {
    private static final int MOST_NAMED = 200;

    /** A judgement that comes out otherwise. */
    record ChangedJudgement(
            String station, String title, String subject, Verdict before, Verdict now, String because) {}

    /** An installation at which something does. */
    record Moved(String id, String reference, String title, String crew, List<ChangedJudgement> judgements) {}

    /** @param changed at how many of its installations something comes out otherwise */
    record CrewTally(String crew, int installations, int changed) {}

    /** @param worse how many judgements come out worse, as {@code better} */
    record StationTally(String station, int worse, int better) {}

    /**
     * For whoever looks.
     *
     * @param installations the first of those that change; {@code changed} counts all
     * @param before how many judgements of the requirements touched came to each verdict
     */
    record ArchiveTrial(
            String id,
            Underway.State state,
            int done,
            int total,
            int changed,
            List<String> requirements,
            Map<Verdict, Integer> before,
            Map<Verdict, Integer> now,
            List<CrewTally> crews,
            List<StationTally> stations,
            List<Moved> installations,
            double seconds,
            Optional<String> problem) {}

    private final List<String> requirements;
    private final String digest;
    private final long begun = System.nanoTime();
    private long ended;
    private int done;
    private int total;
    private int changed;
    private final Map<Verdict, Integer> before = new EnumMap<>(Verdict.class);
    private final Map<Verdict, Integer> now = new EnumMap<>(Verdict.class);
    private final Map<String, int[]> crews = new TreeMap<>();
    private final Map<Station, int[]> stations = new EnumMap<>(Station.class);
    private final List<Moved> moved = new ArrayList<>();

    /** @param digest SHA-256 of the text that is tried; empty for what is no text */
    Trial(String id, String person, List<String> requirements, String digest) {
        super(id, person);
        this.digest = digest;
        this.requirements = List.copyOf(requirements);
    }

    synchronized void begins(int installations) {
        total = installations;
    }

    /** Counts installations that the change cannot touch. */
    synchronized void passOver(int untouched) {
        done += untouched;
    }

    /** Takes in what an installation comes to by both books, requirement by requirement in the same order. */
    synchronized void take(CaseFile file, List<Judgement> was, List<Judgement> is) {
        done++;
        List<ChangedJudgement> otherwise = new ArrayList<>();
        boolean changes = false;
        for (int i = 0; i < was.size(); i++) {
            Verdict one = was.get(i).verdict();
            Verdict other = is.get(i).verdict();
            before.merge(one, 1, Integer::sum);
            now.merge(other, 1, Integer::sum);
            if (one != other) {
                changes = true;
                Judgement judgement = is.get(i);
                stations.computeIfAbsent(judgement.about().station(), any -> new int[2])[
                        other.compareTo(one) < 0 ? 0 : 1]++;
                if (moved.size() < MOST_NAMED) {
                    otherwise.add(new ChangedJudgement(
                            judgement.about().station().title(),
                            judgement.about().title(),
                            judgement.subject(),
                            one,
                            other,
                            judgement.because().in(file.rules().display())));
                }
            }
        }
        int[] crew = crews.computeIfAbsent(file.header().crew(), any -> new int[2]);
        crew[0]++;
        if (changes) {
            crew[1]++;
            changed++;
            if (moved.size() < MOST_NAMED) {
                moved.add(new Moved(
                        file.header().id(),
                        file.header().reference(),
                        file.header().title(),
                        file.header().crew(),
                        otherwise));
            }
        }
    }

    @Override
    public synchronized void end(Underway.State how, String why) {
        if (running()) {
            ended = System.nanoTime();
        }
        super.end(how, why);
    }

    boolean of(String text) {
        return digest.equals(text);
    }

    synchronized TriedBooks.Tried outcome() {
        return new TriedBooks.Tried(done, changed);
    }

    synchronized ArchiveTrial view() {
        return new ArchiveTrial(
                id(),
                state(),
                done,
                total,
                changed,
                requirements,
                new EnumMap<>(before),
                new EnumMap<>(now),
                crews.entrySet().stream()
                        .map(each -> new CrewTally(each.getKey(), each.getValue()[0], each.getValue()[1]))
                        .toList(),
                stations.entrySet().stream()
                        .map(each -> new StationTally(each.getKey().title(), each.getValue()[0], each.getValue()[1]))
                        .toList(),
                List.copyOf(moved),
                ((running() ? System.nanoTime() : ended) - begun) / 1e9,
                problem());
    }
}
