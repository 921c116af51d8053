package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.SALT_AIR;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** A unit in salt air is made for it. Source: data sheet, place of installation. */
final class SaltAir implements Requirement {
    private static final About ABOUT = About.of(
                    "siting.salt-air",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Made for the air it stands in",
                    Severity.DAMAGE)
            .sources("Data sheet, place of installation")
            .needs(SALT_AIR);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean salt = x.affirmed(SALT_AIR).orElseThrow();
        Finding finding = x.finding().step(SALT_AIR.title(), salt ? "yes" : "no");
        if (!salt) {
            return finding.conclude(Verdict.MEETS, Text.of("It does not stand in salt air."), "");
        }
        Optional<Boolean> made = x.sheet().flatMap(DataSheet::saltAir);
        if (made.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("No data sheet tells whether it is made for salt air."),
                    "Ask the maker in writing.");
        }
        finding.step(
                "Made for salt air",
                "",
                Text.of(made.get() ? "yes" : "no"),
                x.sheet().get().document());
        return made.get()
                ? finding.conclude(Verdict.MEETS, Text.of("Its maker allows salt air."), "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of("Its maker does not allow salt air."),
                        "Move it out of the salt air or put in a model that is made for it.");
    }
}
