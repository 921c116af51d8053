package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.words.Text;

/** Whether a value has more digits than the instrument it names shows. */
final class FinerThanInstrument implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.resolution",
                    "Digits against the instrument",
                    "The last digit written against the display step of the instrument that is named")
            .shows("That the value was not read off that instrument as it stands", "Whether the value is right")
            .innocently(
                    "Another instrument was used than the one named",
                    "The value was converted from another unit and written with all its digits",
                    "A mean of several readings")
            .asks("Which instrument showed these digits?")
            .sources(
                    "Accuracy of the instrument, by the toolcase",
                    "NUREG/CR-1278, table 20-10, for how often hands slip")
            .settings(AuditSettings.SLIP);
    /** A step converted between units is not a round one. */
    private static final double CLEARLY = 0.6;

    /** Whether it lies between two steps of the display: what is on one may have been read, however it is written. */
    private static boolean between(Value.Measured value, double step) {
        double steps = value.quantity().si() / step;
        return Math.abs(steps - Math.rint(steps)) * step > value.resolution() / 2;
    }

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        List<PointKey> finer = new ArrayList<>();
        List<PointKey> looked = new ArrayList<>();
        Optional<Text> first = Optional.empty();
        for (Claim claim : paper.record().claims()) {
            Optional<Instrument> instrument =
                    claim.instrument().flatMap(paper.facts().toolcase()::find);
            Optional<Value.Measured> value = claim.measured();
            if (instrument.isEmpty() || value.isEmpty()) {
                continue;
            }
            Optional<Double> step = instrument
                    .get()
                    .channel(value.get().quantity().dimension())
                    .map(Channel::accuracy)
                    .map(accuracy -> accuracy.resolution())
                    .filter(shown -> shown > 0);
            if (step.isEmpty()) {
                continue;
            }
            looked.add(claim.key());
            if (value.get().resolution() < step.get() * CLEARLY && between(value.get(), step.get())) {
                finer.add(claim.key());
                first = first.or(() -> Optional.of(Text.of(
                        "{typed} was written; {instrument} does not show such digits.",
                        claim.typed(),
                        instrument.get().title())));
            }
        }
        Optional<Double> slip = paper.number(AuditSettings.SLIP);
        if (looked.isEmpty() || slip.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT, PointKey.SYSTEM, Text.of("No value names an instrument whose display step is known.")));
        }
        return List.of(Found.weighed(
                ABOUT,
                PointKey.SYSTEM,
                new Doubt(Math.pow(slip.get(), finer.size())),
                first.orElseGet(
                        () -> Text.of("{looked} values are as coarse as their instruments show.", looked.size())),
                finer.isEmpty() ? looked : finer));
    }
}
