package org.undanus.core.audit;

import java.util.List;
import java.util.Locale;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether a difference of temperatures is that of the two written beside it: superheat, subcooling, temperature split. */
final class DifferenceArithmetic implements Check {
    private final AboutCheck about;
    private final Scope scope;
    private final Point difference;
    private final Point warm;
    private final Point cold;

    private DifferenceArithmetic(String id, Scope scope, Point difference, Point warm, Point cold) {
        this.scope = scope;
        this.difference = difference;
        this.warm = warm;
        this.cold = cold;
        String called = difference.title().toLowerCase(Locale.ROOT);
        this.about = AboutCheck.of(
                        id,
                        difference.title(),
                        "The " + called + " against the two temperatures it is the difference of")
                .shows(
                        "That the " + called + " was not reckoned from what is written beside it",
                        "Whether the temperatures are right")
                .innocently(
                        "It was reckoned from readings of another moment",
                        "It was read off an instrument that took other readings",
                        "A slip in reckoning")
                .asks("From which readings was the " + called + " reckoned?")
                .sources("Subtraction, with the digits written")
                .needs(difference, warm, cold);
    }

    static DifferenceArithmetic superheat() {
        return new DifferenceArithmetic(
                "record.superheat-arithmetic",
                Scope.OUTDOOR_UNIT,
                RecordLines.SUPERHEAT,
                RecordLines.SUCTION_TEMPERATURE,
                RecordLines.EVAPORATING);
    }

    static DifferenceArithmetic subcooling() {
        return new DifferenceArithmetic(
                "record.subcooling-arithmetic",
                Scope.OUTDOOR_UNIT,
                RecordLines.SUBCOOLING,
                RecordLines.CONDENSING,
                RecordLines.LIQUID_TEMPERATURE);
    }

    static DifferenceArithmetic split() {
        return new DifferenceArithmetic(
                "record.split-arithmetic",
                Scope.COIL_UNIT,
                RecordLines.SPLIT,
                RecordLines.RETURN_DRY,
                RecordLines.SUPPLY_DRY);
    }

    @Override
    public AboutCheck about() {
        return about;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(scope, about, this::check);
    }

    private Found check(AuditedRecord paper, Subject unit) {
        Value.Measured claimed = paper.measured(difference, unit).orElseThrow();
        Value.Measured high = paper.measured(warm, unit).orElseThrow();
        Value.Measured low = paper.measured(cold, unit).orElseThrow();
        double expected = high.quantity().si() - low.quantity().si();
        // a split is written without its sign, in heating too
        if (difference == RecordLines.SPLIT && claimed.quantity().si() > 0) {
            expected = Math.abs(expected);
        }
        // each was rounded to its digits, and the difference may have been reckoned before or after
        double u =
                Math.sqrt(Math.pow(claimed.rounding(), 2) + Math.pow(high.rounding(), 2) + Math.pow(low.rounding(), 2));
        return Found.weighed(
                        about,
                        unit.id(),
                        Doubt.twoSided((claimed.quantity().si() - expected) / u),
                        Text.of(
                                "{high} less {low} is {temperatureDifference}; the record says {claimed}.",
                                high.quantity(),
                                low.quantity(),
                                Dimension.TEMPERATURE_DIFFERENCE.of(expected),
                                claimed.quantity()),
                        AuditedRecord.keys(unit, difference, warm, cold))
                .drawn(
                        Dimension.TEMPERATURE_DIFFERENCE,
                        new Uncertain(expected, u),
                        claimed.quantity().si());
    }
}
