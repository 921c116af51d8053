package org.undanus.core.station.charge;

import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** What was let in is what the plate says. */
final class SameRefrigerantCharged implements Requirement {
    private static final About ABOUT = About.of(
                    "charge.refrigerant",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Refrigerant is the plate's",
                    Severity.SAFETY)
            .sources("Nameplate")
            .needs(ChargePoints.REFRIGERANT, PlatePoints.REFRIGERANT);

    /** What stands before any change of the charge: another refrigerant in it than the plate's. Empty where that is not shown. */
    static Optional<Text> another(Examination x) {
        return x.chosen(ChargePoints.REFRIGERANT)
                .filter(cylinder -> x.chosen(PlatePoints.REFRIGERANT)
                        .filter(plate -> !plate.equals(cylinder))
                        .isPresent())
                .map(cylinder -> Text.of(
                        "{cylinder} was charged, which is not the plate's: have all of it recovered first. Nothing is added to it.",
                        cylinder));
    }

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Option cylinder = x.chosen(ChargePoints.REFRIGERANT).orElseThrow();
        Option plate = x.chosen(PlatePoints.REFRIGERANT).orElseThrow();
        Finding finding =
                x.finding().step(ChargePoints.REFRIGERANT.title(), cylinder).step("On the plate", plate);
        return cylinder.equals(plate)
                ? finding.conclude(Verdict.MEETS, Text.of("Both say {plate}.", plate), "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of("The cylinder says {cylinder}, the plate {plate}.", cylinder, plate),
                        "Stop it. Have all of it recovered as a mixture, evacuate, and weigh in what the plate says.");
    }
}
