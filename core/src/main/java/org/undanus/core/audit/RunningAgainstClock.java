package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.RUN_TIME;
import static org.undanus.core.audit.RecordLines.STARTED;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.words.Text;

/** Whether the machine can have run as long as is claimed before its readings were taken. */
final class RunningAgainstClock implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.running-clock",
                    "Running time against the clock",
                    "Minutes without a break before the readings against the times of start and readings")
            .shows("That the machine had not run so long by the record's own times", "Whether it was steady")
            .innocently(
                    "It had been started before, and the last start was written",
                    "The least time that the form asks for was written instead of the one that passed",
                    "A clock was not set")
            .asks("When was the machine started for the last time, and when were its readings taken?")
            .sources("Difference of two times")
            .settings(AuditSettings.CLOCK);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Optional<Claim> run = paper.record().claim(new PointKey(RUN_TIME.id(), PointKey.SYSTEM));
        Optional<LocalDateTime> started = paper.facts().subjects(Scope.LINE_SET).stream()
                .flatMap(line -> paper.at(STARTED, line).stream())
                .min(LocalDateTime::compareTo);
        Optional<LocalDateTime> read = Stream.of(RecordLines.SUCTION_PRESSURE, RecordLines.LIQUID_PRESSURE)
                .flatMap(point ->
                        paper.facts().subjects(point.scope()).stream().flatMap(unit -> paper.at(point, unit).stream()))
                .max(LocalDateTime::compareTo);
        Optional<Double> clock = paper.clock();
        Optional<Double> claimed =
                run.flatMap(Claim::measured).map(m -> m.quantity().si());
        if (claimed.isEmpty() || started.isEmpty() || read.isEmpty() || clock.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT,
                    PointKey.SYSTEM,
                    Text.of("The record lacks the running time, or when it was started and read.")));
        }
        double passed = ChronoUnit.SECONDS.between(started.get(), read.get());
        double u = clock.get() * Math.sqrt(2);
        return List.of(Found.weighed(
                        ABOUT,
                        PointKey.SYSTEM,
                        Doubt.beyond((claimed.get() - passed) / u),
                        Text.of(
                                passed < 0
                                        ? "It was read {passed} before it was started; the record says that it had run for {claimed}."
                                        : "From start to reading {passed} passed; the record says that it had run for {claimed}.",
                                Duration.ofSeconds(Math.abs(passed)),
                                Duration.ofSeconds(claimed.get())),
                        Stream.concat(
                                        Stream.of(run.get().key()),
                                        paper.facts().subjects(Scope.LINE_SET).stream()
                                                .map(Subject::id)
                                                .map(id -> RecordLines.key(STARTED, id)))
                                .toList())
                .drawn(new Found.Band(Dimension.DURATION, Double.NEGATIVE_INFINITY, passed + 2 * u, claimed.get())));
    }
}
