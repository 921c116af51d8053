package org.undanus.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.SpokenRun;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;

/** What was heard of a run of readings: where each would go, and what stays to be said otherwise. */
public record SpokenView(List<PlacedView> placed, List<LeftView> left) {

    /**
     * What was said, and what it was said with.
     *
     * @param component the unit or part in hand; empty where none is
     * @param held symbols of units said before, by the key of the kind of instrument
     * @param instruments the one in use, by the key of its kind
     */
    public record Said(
            String text, String component, Map<String, List<String>> held, Map<String, String> instruments) {}

    /** Understands a reading as if it were kept. */
    @FunctionalInterface
    public interface Trial {

        /**
         * @param id what the reading is called while it is tried
         * @return the installation as it would be
         * @throws RefusedException where it cannot be taken
         */
        CaseFile after(CaseFile file, UUID id, PointKey key, String typed, Optional<String> instrument);
    }

    private record Taken(PointKey key, String typed, Optional<String> instrument) {}

    /**
     * A reading where it would go.
     *
     * @param before what stands on the line now
     * @param basedOn the reading that stands there
     * @param judgement what the line would be judged to, in this and the readings before it
     */
    public record PlacedView(
            String point,
            String component,
            String subject,
            String title,
            String typed,
            Optional<String> instrument,
            StationView.ReadingView reading,
            Optional<String> before,
            Optional<String> basedOn,
            Optional<JudgementView> judgement) {}

    public record LeftView(String words, String why) {}

    /** @param wording of whoever spoke, and is answered */
    public static SpokenView of(CaseFile file, Station station, Said said, Trial trial, Wording wording) {
        SpokenRun.Heard heard = SpokenRun.hear(
                said.text(),
                file.lines(station).stream()
                        .map(line -> new SpokenRun.Line(
                                line.point(),
                                line.key().component(),
                                wording.say(line.subject().title())))
                        .toList(),
                said.component(),
                byKind(said.held()));
        List<LeftView> left = new ArrayList<>(heard.left().stream()
                .map(one -> new LeftView(one.words(), one.why().in(wording)))
                .toList());
        List<Taken> all = new ArrayList<>();
        CaseFile after = file;
        for (SpokenRun.Placed placed : heard.placed()) {
            Taken taken = taken(placed, said);
            try {
                after = trial.after(after, UUID.randomUUID(), taken.key(), taken.typed(), taken.instrument());
                all.add(taken);
            } catch (RefusedException e) {
                left.add(new LeftView(
                        Text.of("{line} {typed}", placed.line().point().title(), placed.typed())
                                .in(wording),
                        e.said().in(wording)));
            }
        }
        CaseFile last = after;
        return new SpokenView(
                all.stream().map(taken -> placed(taken, file, last, wording)).toList(), left);
    }

    private static Map<InstrumentKind, List<String>> byKind(Map<String, List<String>> held) {
        return Arrays.stream(InstrumentKind.values())
                .filter(kind -> held.containsKey(kind.key()))
                .collect(Collectors.toMap(Function.identity(), kind -> held.get(kind.key())));
    }

    private static Taken taken(SpokenRun.Placed placed, Said said) {
        Point point = placed.line().point();
        return new Taken(
                new PointKey(point.id(), placed.line().component()),
                placed.typed(),
                Optional.ofNullable(said.instruments().get(point.instrument().key())));
    }

    private static PlacedView placed(Taken taken, CaseFile before, CaseFile after, Wording wording) {
        CaseFile.Line line = after.line(taken.key()).orElseThrow();
        List<Reading> readings = after.evidence().history(taken.key());
        Optional<Reading> standing = before.evidence().answer(taken.key());
        return new PlacedView(
                taken.key().point(),
                taken.key().component(),
                wording.say(line.subject().title()),
                wording.say(line.point().title()),
                taken.typed(),
                taken.instrument(),
                StationView.reading(readings.get(readings.size() - 1), wording),
                standing.map(now -> now.said().in(wording)),
                standing.map(now -> now.id().toString()),
                pressing(taken.key(), after).map(j -> JudgementView.of(j, after.evidence(), wording)));
    }

    /** What a line is judged to: of those about it first of all, else of all that look at it, the one that presses most. */
    private static Optional<Judgement> pressing(PointKey key, CaseFile file) {
        return file.judgements().all().stream()
                .filter(judgement -> judgement.evidence().contains(key))
                .min(Comparator.comparing((Judgement judgement) -> !judgement
                                .line(file.evidence())
                                .filter(key::equals)
                                .isPresent())
                        .thenComparing(Judgement::verdict));
    }
}
