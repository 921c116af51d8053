package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.AIRFLOW;
import static org.undanus.core.audit.RecordLines.OUTDOOR_AIR;
import static org.undanus.core.audit.RecordLines.RETURN_DRY;
import static org.undanus.core.audit.RecordLines.RETURN_WET;
import static org.undanus.core.audit.RecordLines.SUPPLY_DRY;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Whether the split is what the rated coil makes of the airflow that is claimed, in the air that is claimed. */
final class SplitAgainstAirflow implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.split-airflow",
                    "Split against airflow",
                    "The temperature split against what a coil of the rated capacity makes of this airflow and this air")
            .shows("That airflow and temperatures are not of one machine at one moment", "Which of them is wrong")
            .innocently(
                    "The airflow is the rated one and was not measured",
                    "The machine ran at a lower stage, or had not settled",
                    "It is not well: too little charge, a fouled coil, a weak compressor")
            .asks("How was the airflow found, and were the temperatures read at the same moment, at full stage?")
            .sources("Coil by apparatus dew point and bypass factor, fixed at the rated point; see the running station")
            .needs(AIRFLOW, RETURN_DRY, RETURN_WET, SUPPLY_DRY)
            .settings(Stream.concat(Stream.of(AuditSettings.COIL), Stream.of(ExpectedSplit.settings()))
                    .toArray(Setting[]::new));

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.COIL_UNIT, ABOUT, SplitAgainstAirflow::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        Optional<Double> outdoor = paper.record()
                .claim(new PointKey(OUTDOOR_AIR.id(), PointKey.SYSTEM))
                .flatMap(Claim::measured)
                .map(m -> m.quantity().si());
        boolean cooling = paper.at(unit)
                .chosen(OperationPoints.MODE)
                .filter(OperationPoints.COOLING::equals)
                .isPresent();
        if (outdoor.isEmpty() || !cooling) {
            return Found.cannotTell(
                    ABOUT, unit.id(), Text.of("It was not read in cooling, or the outdoor air is not written down."));
        }
        try {
            return ExpectedSplit.of(paper.at(unit))
                    .filter(ExpectedSplit::describesAirflow)
                    .map(model -> weighed(paper, unit, model, outdoor.get()))
                    .orElseGet(() -> Found.cannotTell(
                            ABOUT,
                            unit.id(),
                            Text.of("No rated capacity is known, or this airflow is far from the rated.")));
        } catch (IllegalArgumentException noSuchAir) {
            return Found.cannotTell(
                    ABOUT, unit.id(), Text.of("There is no such air: {noSuchAir}.", noSuchAir.getMessage()));
        }
    }

    private static Found weighed(AuditedRecord paper, Subject unit, ExpectedSplit model, double outdoor) {
        Value.Measured back = paper.measured(RETURN_DRY, unit).orElseThrow();
        Value.Measured supply = paper.measured(SUPPLY_DRY, unit).orElseThrow();
        double claimed = back.quantity().si() - supply.quantity().si();
        double expected =
                model.split(back.quantity().si(), paper.value(RETURN_WET, unit).orElseThrow(), outdoor, 1);
        double u = Math.hypot(
                paper.number(AuditSettings.COIL).orElseThrow() * expected,
                Math.hypot(back.standardUncertainty(), supply.standardUncertainty()));
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.twoSided((claimed - expected) / u),
                        Text.of(
                                "At this airflow the rated coil makes a split of {expected}; the record says {claimed}.",
                                TemperatureDifference.ofKelvin(expected),
                                TemperatureDifference.ofKelvin(claimed)),
                        AuditedRecord.keys(unit, AIRFLOW, RETURN_DRY, RETURN_WET, SUPPLY_DRY))
                .drawn(Dimension.TEMPERATURE_DIFFERENCE, new Uncertain(expected, u), claimed);
    }
}
