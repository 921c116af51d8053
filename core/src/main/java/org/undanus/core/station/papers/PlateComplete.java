package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.COMPRESSOR_CURRENT;
import static org.undanus.core.installation.PlatePoints.FAN_CURRENT;
import static org.undanus.core.installation.PlatePoints.LEGIBLE;
import static org.undanus.core.installation.PlatePoints.MANUFACTURED;
import static org.undanus.core.installation.PlatePoints.MAXIMUM_OVERCURRENT_DEVICE;
import static org.undanus.core.installation.PlatePoints.MINIMUM_CIRCUIT_AMPACITY;
import static org.undanus.core.installation.PlatePoints.MODEL;
import static org.undanus.core.installation.PlatePoints.PHASES;
import static org.undanus.core.installation.PlatePoints.RATED_VOLTAGE;
import static org.undanus.core.installation.PlatePoints.REFRIGERANT;
import static org.undanus.core.installation.PlatePoints.SERIAL;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/**
 * A unit's plate says enough to judge the unit by. The two circuit figures may be missing where the motor current is
 * there to compute them from.
 */
final class PlateComplete implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.plate-complete", Station.PAPERS, Scope.UNIT, "Nameplate complete", Severity.RECORD)
            .sources("Product safety standards for cooling equipment (UL/CSA/IEC 60335-2-40), marking")
            .needs(LEGIBLE)
            .cautions("Plates sit near live parts and fans: read them with covers on.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.affirmed(LEGIBLE).orElseThrow()) {
            return x.finding()
                    .step("Plate present and legible", "no")
                    .conclude(
                            Verdict.FAILS,
                            Text.of("There is no legible plate."),
                            "Ask the maker for a replacement plate; nothing can be judged against this unit until then.");
        }
        List<Point> missing = new ArrayList<>(x.missing(MODEL, SERIAL, MANUFACTURED));
        if (x.unit().within(REFRIGERANT.scope())) {
            missing.addAll(x.missing(REFRIGERANT));
        }
        if (x.unit().ownSupply()) {
            missing.addAll(x.missing(RATED_VOLTAGE, PHASES));
            if (!x.has(x.unit().within(COMPRESSOR_CURRENT.scope()) ? COMPRESSOR_CURRENT : FAN_CURRENT)) {
                missing.addAll(x.missing(MINIMUM_CIRCUIT_AMPACITY, MAXIMUM_OVERCURRENT_DEVICE));
            }
        }
        if (missing.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.MEETS,
                            Text.of("Everything needed stands on the plate, or the data sheet fills it."),
                            "");
        }
        Text names = Text.list(missing.stream().map(Point::title).toList());
        return x.finding()
                .step("Missing from the plate", names)
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("The plate reading lacks: {names}.", names),
                        "Read what is there. What the plate truly lacks must come from the maker.");
    }
}
