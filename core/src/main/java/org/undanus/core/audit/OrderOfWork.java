package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.OPENED;
import static org.undanus.core.audit.RecordLines.PUMP_ON;
import static org.undanus.core.audit.RecordLines.STARTED;
import static org.undanus.core.audit.RecordLines.TEST_BEGUN;
import static org.undanus.core.audit.RecordLines.TEST_ENDED;
import static org.undanus.core.audit.RecordLines.VACUUM_ENDED;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.words.Text;

/** Whether the steps of the work follow each other as they have to. */
final class OrderOfWork implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.order",
                    "Order of the work",
                    "The times of pressure test, evacuation, opening of the valves and start against each other")
            .shows("That one of the times is wrong, or a step was left out", "Which of the times it is")
            .innocently(
                    "A time was written of another day, or with the hour before or after noon",
                    "The times were written down from memory",
                    "A step was done twice, and the record mixes both")
            .asks("On which day and at which time did each of these steps begin and end?")
            .sources("One line set is tested, emptied, opened and started in this order")
            .settings(AuditSettings.CLOCK);
    private static final List<Point> STEPS = List.of(TEST_BEGUN, TEST_ENDED, PUMP_ON, VACUUM_ENDED, OPENED, STARTED);
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** A step with its time. */
    private record Timed(Point point, LocalDateTime at) {}

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.LINE_SET, ABOUT, OrderOfWork::check);
    }

    private static Found check(AuditedRecord paper, Subject line) {
        List<Timed> timed = new ArrayList<>();
        STEPS.forEach(point -> paper.at(point, line).ifPresent(at -> timed.add(new Timed(point, at))));
        if (timed.size() < 2) {
            return Found.cannotTell(ABOUT, line.id(), Text.of("Fewer than two steps have a time."));
        }
        double worst = Double.NEGATIVE_INFINITY;
        Optional<Timed> early = Optional.empty();
        Optional<Timed> late = Optional.empty();
        for (int i = 1; i < timed.size(); i++) {
            double back = ChronoUnit.SECONDS.between(
                    timed.get(i).at(), timed.get(i - 1).at());
            if (back > worst) {
                worst = back;
                early = Optional.of(timed.get(i));
                late = Optional.of(timed.get(i - 1));
            }
        }
        double u = paper.clock().orElseThrow() * Math.sqrt(2);
        // the worst of several
        Doubt doubt = new Doubt(Math.min(1, Doubt.beyond(worst / u).chance() * (timed.size() - 1)));
        return Found.weighed(
                ABOUT,
                line.id(),
                doubt,
                Text.of(
                        worst > 0
                                ? "{late}: {lateAt}. {early}: {earlyAt}. The first has to come before the second."
                                : "{late}: {lateAt}. {early}: {earlyAt}. They follow each other as they have to.",
                        late.orElseThrow().point().title(),
                        MINUTE.format(late.get().at()),
                        early.orElseThrow().point().title(),
                        MINUTE.format(early.get().at())),
                AuditedRecord.keys(line, late.get().point(), early.get().point()));
    }
}
