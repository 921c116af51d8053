package org.undanus.server.walk;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.SpokenRun;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;
import org.undanus.view.JudgementView;
import org.undanus.view.StationView;

/** What was heard of a run of readings: where each would go, and what stays to be said otherwise. */
record SpokenView(List<PlacedView> placed, List<LeftView> left) {

    /**
     * @param component the unit or part in hand
     * @param held symbols of wording said before, by kind of instrument
     * @param instruments the one in use, by its kind
     */
    record Said(
            @NotNull(message = "is missing") @Size(max = SpokenRun.LONGEST, message = "is longer than can be read over")
                    String text,
            Optional<@Size(max = 60, message = "is no unit or part") String> component,
            Optional<Map<String, List<String>>> held,
            Optional<Map<String, String>> instruments,
            @NotNull(message = "is missing") Grade grade) {}

    /**
     * A reading where it would go.
     *
     * @param before what stands on the line now
     * @param basedOn the reading that stands there
     * @param judgement what the line would be judged to, in this and the readings before it
     */
    record PlacedView(
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

    record LeftView(String words, String why) {}

    static SpokenView of(CaseFile file, Station station, Said said, Readings readings, Person person, Wording wording) {
        SpokenRun.Heard heard = SpokenRun.hear(
                said.text(),
                file.lines(station).stream()
                        .map(line -> new SpokenRun.Line(
                                line.point(),
                                line.key().component(),
                                wording.say(line.subject().title())))
                        .toList(),
                said.component().orElse(""),
                byKind(said.held().orElse(Map.of())));
        List<LeftView> left = new ArrayList<>(heard.left().stream()
                .map(one -> new LeftView(one.words(), one.why().in(wording)))
                .toList());
        List<Readings.Typed> taken = new ArrayList<>();
        CaseFile after = file;
        for (SpokenRun.Placed placed : heard.placed()) {
            Readings.Typed typed = typed(placed, said);
            try {
                after = readings.tried(after, typed, person);
                taken.add(typed);
            } catch (UnsuitableException e) {
                left.add(new LeftView(
                        Text.of("{line} {typed}", placed.line().point().title(), placed.typed())
                                .in(wording),
                        e.said().in(wording)));
            }
        }
        CaseFile last = after;
        return new SpokenView(
                taken.stream().map(typed -> placed(typed, file, last, wording)).toList(), left);
    }

    private static Map<InstrumentKind, List<String>> byKind(Map<String, List<String>> held) {
        return Arrays.stream(InstrumentKind.values())
                .filter(kind -> held.containsKey(kind.key()))
                .collect(Collectors.toMap(Function.identity(), kind -> held.get(kind.key())));
    }

    private static Readings.Typed typed(SpokenRun.Placed placed, Said said) {
        String kind = placed.line().point().instrument().key();
        return new Readings.Typed(
                UUID.randomUUID(),
                new PointKey(placed.line().point().id(), placed.line().component()),
                placed.typed(),
                said.instruments().flatMap(used -> Optional.ofNullable(used.get(kind))),
                said.grade(),
                Optional.empty(),
                false);
    }

    private static PlacedView placed(Readings.Typed typed, CaseFile before, CaseFile after, Wording wording) {
        CaseFile.Line line = Readings.line(after, typed.key());
        var reading = after.evidence().history(typed.key());
        var standing = before.evidence().answer(typed.key());
        return new PlacedView(
                typed.key().point(),
                typed.key().component(),
                wording.say(line.subject().title()),
                wording.say(line.point().title()),
                typed.typed(),
                typed.instrument(),
                StationView.reading(reading.get(reading.size() - 1), wording),
                standing.map(now -> now.said().in(wording)),
                standing.map(now -> now.id().toString()),
                pressing(typed.key(), after).map(j -> JudgementView.of(j, after.evidence(), wording)));
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
