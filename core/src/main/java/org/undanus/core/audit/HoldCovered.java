package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.HOLD_TIME;
import static org.undanus.core.audit.RecordLines.PRESSURE_READINGS;

import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether the readings of a hold reach over the time that is claimed for it. */
final class HoldCovered implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.hold-covered",
                    "Length of the pressure hold",
                    "The time claimed for the hold against the first and the last reading written down")
            .shows("That the readings are not of all of the hold", "Whether it was watched where nothing was written")
            .innocently(
                    "The hold began before the first reading or went on after the last",
                    "The minimum of the form was written instead of the time that passed",
                    "Readings of another day were left out")
            .asks("From when to when did the hold last, and which readings are of it?")
            .sources("Difference of two times")
            .needs(HOLD_TIME, PRESSURE_READINGS)
            .settings(AuditSettings.CLOCK);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.LINE_SET, ABOUT, HoldCovered::check);
    }

    private static Found check(AuditedRecord paper, Subject line) {
        double claimed = paper.value(HOLD_TIME, line).orElseThrow();
        double covered = ReadingScatter.course(paper, PRESSURE_READINGS, line)
                .orElseThrow()
                .outline()
                .lasting();
        double u = paper.clock().orElseThrow() * Math.sqrt(2);
        return Found.weighed(
                        ABOUT,
                        line.id(),
                        Doubt.beyond((claimed - covered) / u),
                        Text.of(
                                "Readings reach over {covered}; the record says that it was held for {claimed}.",
                                Duration.ofSeconds(covered),
                                Duration.ofSeconds(claimed)),
                        AuditedRecord.keys(line, HOLD_TIME, PRESSURE_READINGS))
                .drawn(Dimension.DURATION, new Uncertain(covered, u), claimed);
    }
}
