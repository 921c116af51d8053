package org.undanus.core.station.handover;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The next service is arranged, and not too far off. The month is all that is known of its day. */
final class NextService implements Requirement {
    private static final double DAY = 86_400;
    private static final LimitKey LIMIT =
            new LimitKey("handover.next-service", Dimension.DURATION, "Time until the next service");
    private static final About ABOUT = About.of(
                    "handover.next-service", Station.HANDOVER, Scope.SYSTEM, "Next service arranged", Severity.RECORD)
            .sources("The maker's service interval")
            .needs(HandoverPoints.SERVICE)
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Within month = x.within(HandoverPoints.SERVICE).orElseThrow();
        LocalDate today = x.facts().on();
        Finding finding = x.finding().step("Between", Text.of("{first} and {last}", month.first(), month.last()));
        if (month.last().isBefore(today)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("{month} is before the visit.", month.first()),
                    "Arrange a month ahead and write it down.");
        }
        double soonest = Math.max(0, ChronoUnit.DAYS.between(today, month.first())) * DAY;
        double latest = ChronoUnit.DAYS.between(today, month.last()) * DAY;
        Uncertain until = new Uncertain((soonest + latest) / 2, (latest - soonest) / 2 / Math.sqrt(3));
        return finding.compare(
                LIMIT,
                until,
                DAY,
                x.rules().limits(LIMIT),
                Text.of("Arrange an earlier month, as the maker's interval asks."));
    }
}
