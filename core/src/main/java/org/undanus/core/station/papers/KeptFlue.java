package org.undanus.core.station.papers;

import static org.undanus.core.station.papers.PaperPoints.KEPT_FLUE;

import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** An old flue that stays is for the authority: whether it is lined, sound and listed for the new machine is not seen outside. */
final class KeptFlue implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.kept-flue",
                    Station.PAPERS,
                    Scope.REPLACEMENT,
                    "Old flue suits the new machine",
                    Severity.SAFETY)
            .sources("Adopted fuel gas code, venting of replaced appliances")
            .needs(KEPT_FLUE)
            .cautions("Carbon monoxide: do not fire the machine until its flue has been accepted.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        return x.affirmed(KEPT_FLUE).orElseThrow()
                ? x.finding()
                        .step(KEPT_FLUE.title(), "yes")
                        .conclude(
                                Verdict.REFER,
                                Text.of("An old flue stays in use with a new machine."),
                                "Get written acceptance of the vent for this appliance from the authority or a licensed contractor.")
                : KeptPart.renewed(x, KEPT_FLUE);
    }
}
