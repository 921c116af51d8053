package org.undanus.core.station.running;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.Weather;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** A mode was run and seen. Where the weather did not allow it, the next day that does is told from the forecast that was entered. */
final class ModeSeen implements Requirement {

    /** The outdoor air it needs, as the book sets it. */
    record Needed(Bound bound, Setting limit) {}

    private final Point mode;
    private final Optional<Needed> weather;
    private final String otherwise;
    private final Optional<Predicate<Case>> there;
    private final About about;

    private ModeSeen(Point mode, Optional<Needed> weather, String otherwise, Optional<Predicate<Case>> there) {
        this.mode = mode;
        this.weather = weather;
        this.otherwise = otherwise;
        this.there = there;
        this.about = About.of(mode.id(), Station.RUNNING, mode.scope(), mode.title(), Severity.PERFORMANCE)
                .sources("Every mode is run in turn before handover")
                // where there may be nothing to run, that is looked at before the answer is asked for
                .needs(there.isPresent() ? new Point[0] : new Point[] {mode})
                .settings(weather.stream().map(Needed::limit).toArray(Setting[]::new));
    }

    /** @param otherwise what to do where it could not be run today */
    static ModeSeen of(Point mode, String otherwise) {
        return new ModeSeen(mode, Optional.empty(), otherwise, Optional.empty());
    }

    static ModeSeen of(Point mode, Needed weather) {
        return new ModeSeen(mode, Optional.of(weather), "", Optional.empty());
    }

    /** This requirement, of those systems alone that have something to run so. */
    ModeSeen where(Predicate<Case> there) {
        return new ModeSeen(mode, weather, otherwise, Optional.of(there));
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        if (there.filter(has -> !has.test(x.facts())).isPresent()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("This system has none."), "");
        }
        if (x.chosen(mode).isEmpty()) {
            return x.notShown(List.of(mode));
        }
        Option answer = x.chosen(mode).orElseThrow();
        Finding finding = x.finding().step(mode.title(), answer);
        if (answer.equals(RunningPoints.RUNS)) {
            return finding.conclude(Verdict.MEETS, Text.of("It was run and seen."), "");
        }
        if (answer.equals(RunningPoints.FAULT)) {
            return finding.conclude(
                    Verdict.FAILS, Text.of("It does not run."), "Find and correct the cause, then run it again.");
        }
        if (answer.equals(RunningPoints.NOT_FITTED)) {
            return finding.conclude(Verdict.DOES_NOT_APPLY, Text.of("It has none."), "");
        }
        return finding.conclude(
                Verdict.NOT_SHOWN, Text.of("Weather or load did not allow it today."), waiting(x, finding));
    }

    private Text waiting(Examination x, Finding finding) {
        if (weather.isEmpty()) {
            return Text.of("{otherwise}", otherwise);
        }
        Needed needed = weather.get();
        var limit = x.rules().setting(needed.limit());
        finding.step("Weather needed", needed.bound().words(), limit.value(), limit.source());
        Weather awaited = new Weather(needed.bound(), limit.value());
        finding.waitsFor(awaited);
        return NextDay.of(x, awaited);
    }
}
