package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.MANUFACTURED;

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

/** The unit was not old when it was put in. The plate tells a month or week: that span is the uncertainty. */
final class PlateAge implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("papers.plate-age", Dimension.DURATION, "Age at the visit");
    private static final About ABOUT = About.of(
                    "papers.plate-age", Station.PAPERS, Scope.UNIT, "Age of the unit", Severity.RECORD)
            .needs(MANUFACTURED)
            .limits(LIMIT);
    private static final double SECONDS_A_DAY = 86_400;

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Within made = x.within(MANUFACTURED).orElseThrow();
        LocalDate today = x.facts().on();
        Finding finding = x.finding().step("Made between", Text.of("{first} and {last}", made.first(), made.last()));
        if (made.first().isAfter(today)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("The date on the plate ({made}) is after the visit ({today}).", made.first(), today),
                    "Read the plate again. If it stands, ask the maker what the plate means.");
        }
        double youngest = Math.max(0, ChronoUnit.DAYS.between(made.last(), today)) * SECONDS_A_DAY;
        double oldest = ChronoUnit.DAYS.between(made.first(), today) * SECONDS_A_DAY;
        // any day of the span is as likely as another: rectangular
        Uncertain age = new Uncertain((oldest + youngest) / 2, (oldest - youngest) / 2 / Math.sqrt(3));
        return finding.compare(
                LIMIT,
                age,
                SECONDS_A_DAY,
                x.rules().limits(LIMIT),
                Text.of("Ask where the unit was stored and from when the warranty runs."));
    }
}
