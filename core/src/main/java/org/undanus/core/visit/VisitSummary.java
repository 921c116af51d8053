package org.undanus.core.visit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Weather;

/**
 * What binds an installation: the failures that decide its outcome, what could still change it, and what waits for other weather.
 *
 * @param decisive failures of the highest severity that fails
 * @param lesser how many others fail
 * @param couldChange what is not settled or not shown and weighs as much as the decisive, most at stake first
 * @param revisits by the weather they need
 */
public record VisitSummary(
        List<Judgement> decisive, int lesser, List<Judgement> couldChange, Map<Weather, List<Judgement>> revisits) {

    public VisitSummary {
        decisive = List.copyOf(decisive);
        couldChange = List.copyOf(couldChange);
    }

    public static VisitSummary of(List<Judgement> judgements) {
        Outcome outcome = Outcome.of(judgements);
        Optional<Severity> worst = outcome.failing().stream()
                .map(judgement -> judgement.about().severity())
                .findFirst();
        List<Judgement> decisive = outcome.failing().stream()
                .filter(judgement -> judgement.about().severity() == worst.orElseThrow())
                .toList();
        Map<Weather, List<Judgement>> revisits = new LinkedHashMap<>();
        outcome.notShown().forEach(judgement -> judgement.weather().ifPresent(weather -> revisits.computeIfAbsent(
                        weather, any -> new ArrayList<>())
                .add(judgement)));
        return new VisitSummary(
                decisive,
                outcome.failing().size() - decisive.size(),
                Stream.concat(outcome.unsettled().stream(), outcome.notShown().stream())
                        .filter(judgement -> judgement.weather().isEmpty())
                        .filter(judgement -> worst.filter(
                                        severity -> judgement.about().severity().compareTo(severity) > 0)
                                .isEmpty())
                        .toList(),
                revisits);
    }
}
