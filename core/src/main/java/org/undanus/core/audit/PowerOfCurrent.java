package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.CURRENT;
import static org.undanus.core.audit.RecordLines.POWER;
import static org.undanus.core.audit.RecordLines.VOLTAGE;

import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Subject;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether power taken is no more than voltage times current. */
final class PowerOfCurrent implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.power", "Power against current", "Power taken against voltage times current")
            .shows("That power, voltage and current were not read together", "Which of them is wrong")
            .innocently(
                    "The phases on the plate are not those it is connected to", "They were read at different stages")
            .asks("Were power, voltage and current read at the same unit and stage?")
            .sources("Power is at most apparent power: V·I, with three phases √3·V·I")
            .needs(POWER, VOLTAGE, CURRENT);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.OUTDOOR_UNIT, ABOUT, PowerOfCurrent::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        if (paper.facts().components().stream().anyMatch(other -> !other.outdoor() && other.ownSupply())) {
            return Found.cannotTell(
                    ABOUT,
                    unit.id(),
                    Text.of("The power is of all of the system, the current of one of several supplies."));
        }
        double perVoltAmpere = paper.perVoltAmpere(unit);
        Uncertain power = paper.measured(POWER, unit).orElseThrow().uncertain();
        Uncertain apparent = Propagation.through(
                in -> in[0] * in[1] * perVoltAmpere,
                paper.measured(VOLTAGE, unit).orElseThrow().uncertain(),
                paper.measured(CURRENT, unit).orElseThrow().uncertain());
        double u = Math.hypot(power.standardUncertainty(), apparent.standardUncertainty());
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.beyond((power.value() - apparent.value()) / u),
                        Text.of(
                                "Voltage times current is {apparent}; the record says that {power} were taken.",
                                Power.ofWatts(apparent.value()),
                                Power.ofWatts(power.value())),
                        AuditedRecord.keys(unit, POWER, VOLTAGE, CURRENT))
                .drawn(new Found.Band(Dimension.POWER, 0, apparent.value() + apparent.expanded(), power.value()));
    }
}
