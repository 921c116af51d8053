package org.undanus.core.station.charge;

import static org.undanus.core.station.charge.ChargePoints.AS_LIQUID;

import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * A blend was drawn as liquid: its vapour has another composition. Composition decides; how far its temperature glides tells how much
 * another, and so how strongly it is said.
 */
final class ChargedAsLiquid implements Requirement {
    private static final Setting GLIDE = new Setting(
            "charge.glide",
            Dimension.TEMPERATURE_DIFFERENCE,
            "Glide from which a blend's vapour is another refrigerant");
    private static final About ABOUT = About.of(
                    "charge.as-liquid",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Blend drawn as liquid",
                    Severity.PERFORMANCE)
            .sources("A blend's vapour has another composition than its liquid; ASHRAE 34, zeotropic blends")
            .needs(PlatePoints.REFRIGERANT)
            .settings(GLIDE, ChargeByLength.WARM);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Refrigerant refrigerant = x.refrigerant(PlatePoints.REFRIGERANT).orElseThrow();
        Finding finding = x.finding().step("Refrigerant", refrigerant.name());
        if (!refrigerant.blend()) {
            return finding.conclude(
                    Verdict.DOES_NOT_APPLY,
                    Text.of("{refrigerant} is one substance, no blend.", refrigerant.name()),
                    "");
        }
        double glide =
                refrigerant.saturation().glide(Temperature.ofKelvin(x.rules().number(ChargeByLength.WARM)));
        finding.step("Mixed of", "", Text.of("{parts} substances", refrigerant.parts()), "")
                .step("Its temperature glides by", TemperatureDifference.ofKelvin(Math.max(0, glide)));
        if (x.number(UnitPoints.ADDED_CHARGE).filter(added -> added == 0).isPresent()) {
            return finding.conclude(Verdict.DOES_NOT_APPLY, Text.of("Nothing was added."), "");
        }
        List<Point> missing = x.missing(AS_LIQUID);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        if (x.affirmed(AS_LIQUID).orElseThrow()) {
            return finding.conclude(Verdict.MEETS, Text.of("It was drawn as liquid."), "");
        }
        return glide >= x.rules().number(GLIDE)
                ? finding.conclude(
                        Verdict.FAILS,
                        Text.of("It was drawn as vapour: what went in is not {refrigerant}.", refrigerant.name()),
                        "Recover the charge and weigh it in again, as liquid, throttled on the suction side.")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "It was drawn as vapour: {refrigerant} is a blend of {parts}, and makers ask for liquid. Its vapour is a little another mixture, and so is what stays in the cylinder.",
                                refrigerant.name(),
                                refrigerant.parts()),
                        "Charge as liquid from now on, throttled on the suction side; ask the maker whether what is in it may stay.");
    }
}
