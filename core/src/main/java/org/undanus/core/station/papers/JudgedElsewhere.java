package org.undanus.core.station.papers;

import static org.undanus.core.station.papers.PaperPoints.JUDGED_ELSEWHERE;

import java.util.Optional;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/**
 * A unit that no requirement here speaks of, as a boiler, has been judged by somebody who may: it is referred until who did is on
 * record, and never meets anything here. Source: boiler, plumbing and fuel gas codes, which leave it to licensed persons.
 */
final class JudgedElsewhere implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.judged-elsewhere",
                    Station.PAPERS,
                    JUDGED_ELSEWHERE.scope(),
                    "Not judged here",
                    Severity.SAFETY)
            .sources("Boiler, plumbing and fuel gas codes; check the adopted editions")
            .cautions("Hot water under pressure scalds and bursts; carbon monoxide kills without a smell.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<String> by = x.written(JUDGED_ELSEWHERE);
        return by.map(who -> x.finding()
                        .step(JUDGED_ELSEWHERE.title(), who)
                        .conclude(
                                Verdict.DOES_NOT_APPLY,
                                Text.of(
                                        "Not judged here. On record as judged by: {who}. That has not been verified.",
                                        who),
                                ""))
                .orElseGet(
                        () -> x.finding()
                                .conclude(
                                        Verdict.REFER,
                                        Text.of(
                                                "Boilers and hydronic heat are not judged here: nothing of this unit has been checked."),
                                        "Have a person licensed for boilers check it by its own code and manual: relief valve, low-water cutoff, expansion tank, combustion and vent. Enter who did."));
    }
}
