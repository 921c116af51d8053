package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.AIRFLOW;
import static org.undanus.core.audit.RecordLines.CONDENSATE;
import static org.undanus.core.audit.RecordLines.RETURN_DRY;
import static org.undanus.core.audit.RecordLines.RETURN_WET;
import static org.undanus.core.audit.RecordLines.SUPPLY_DRY;
import static org.undanus.core.audit.RecordLines.SUPPLY_WET;

import java.util.List;
import org.undanus.core.derived.CondensateRate;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether the water caught is what the air lost on its way through the coil. */
final class CondensateAgainstAir implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.condensate-air",
                    "Condensate against the air",
                    "Water caught against what the air lost between return and supply")
            .shows("That water, airflow and air states are not of one time", "Which of them is wrong")
            .innocently(
                    "Water was caught before the coil was wet all over",
                    "A wet-bulb wick was dry, or not in the air stream",
                    "Water stood back in the pan or the trap")
            .asks("For how long and after how much running was the condensate caught?")
            .sources("ρ·V̇·(W in − W out); psychrometrics after ASHRAE Fundamentals")
            .needs(CONDENSATE, AIRFLOW, RETURN_DRY, RETURN_WET, SUPPLY_DRY, SUPPLY_WET)
            .settings(AuditSettings.AIR);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.COIL_UNIT, ABOUT, CondensateAgainstAir::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        AbsolutePressure air = paper.air();
        double one = paper.number(AuditSettings.AIR).orElseThrow();
        Uncertain expected;
        try {
            expected = Propagation.through(
                    in -> water(in, air),
                    paper.measured(AIRFLOW, unit).orElseThrow().uncertain(),
                    wide(paper.measured(RETURN_DRY, unit).orElseThrow(), one),
                    wide(paper.measured(RETURN_WET, unit).orElseThrow(), one),
                    wide(paper.measured(SUPPLY_DRY, unit).orElseThrow(), one),
                    wide(paper.measured(SUPPLY_WET, unit).orElseThrow(), one));
        } catch (IllegalArgumentException notDescribed) {
            return Found.cannotTell(ABOUT, unit.id(), Text.of("Air is not described by these temperatures."));
        }
        Value.Measured caught = paper.measured(CONDENSATE, unit).orElseThrow();
        double u = Math.hypot(expected.standardUncertainty(), caught.standardUncertainty());
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.twoSided((caught.quantity().si() - expected.value()) / u),
                        Text.of(
                                "The air lost {expected}; the record says that {caught} were caught.",
                                LiquidFlow.ofCubicMetresPerSecond(Math.max(0, expected.value())),
                                caught.quantity()),
                        AuditedRecord.keys(unit, CONDENSATE, AIRFLOW, RETURN_DRY, RETURN_WET, SUPPLY_DRY, SUPPLY_WET))
                .drawn(
                        Dimension.LIQUID_FLOW,
                        new Uncertain(expected.value(), u),
                        caught.quantity().si());
    }

    /** m³/s; below zero where the air took water up. */
    private static double water(double[] in, AbsolutePressure air) {
        MoistAir entering =
                MoistAir.ofWetBulb(Temperature.ofKelvin(in[1]), Temperature.ofKelvin(Math.min(in[1], in[2])), air);
        MoistAir leaving =
                MoistAir.ofWetBulb(Temperature.ofKelvin(in[3]), Temperature.ofKelvin(Math.min(in[3], in[4])), air);
        return in[0]
                / leaving.specificVolume()
                * (entering.humidityRatio() - leaving.humidityRatio())
                / CondensateRate.WATER;
    }

    private static Uncertain wide(Value.Measured temperature, double air) {
        return new Uncertain(temperature.quantity().si(), Math.hypot(temperature.standardUncertainty(), air));
    }
}
