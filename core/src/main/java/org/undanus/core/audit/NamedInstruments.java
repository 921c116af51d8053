package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.words.Text;

/** Whether the instruments that a record names were there and in calibration on its day. */
final class NamedInstruments implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.instruments",
                    "Instruments named",
                    "Each instrument named against the toolcase and its calibrations on that day")
            .shows("That an instrument was out of calibration or not calibrated yet", "Whether it read wrongly")
            .innocently(
                    "Its new certificate has not been entered",
                    "The number of another instrument was written",
                    "It is the crew's own and not in this toolcase")
            .asks("Which instrument was used, and where is its certificate?")
            .sources("Calibrations as entered in the toolcase", "NUREG/CR-1278, table 20-10, for how often hands slip")
            .settings(AuditSettings.SLIP);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        Map<Instrument, List<PointKey>> named = new LinkedHashMap<>();
        for (Claim claim : paper.record().claims()) {
            claim.instrument()
                    .flatMap(paper.facts().toolcase()::find)
                    .filter(instrument -> !instrument.calibrations().isEmpty())
                    .ifPresent(instrument -> named.computeIfAbsent(instrument, any -> new ArrayList<>())
                            .add(claim.key()));
        }
        Optional<Double> slip = paper.number(AuditSettings.SLIP);
        if (named.isEmpty() || slip.isEmpty()) {
            return List.of(Found.cannotTell(
                    ABOUT, PointKey.SYSTEM, Text.of("No instrument is named that is calibrated in the toolcase.")));
        }
        List<Instrument> out = named.keySet().stream()
                .filter(instrument -> instrument.calibrations().stream()
                        .noneMatch(calibration -> !paper.record().on().isBefore(calibration.on())
                                && !paper.record().on().isAfter(calibration.until())))
                .toList();
        return List.of(Found.weighed(
                ABOUT,
                PointKey.SYSTEM,
                new Doubt(Math.pow(slip.get(), out.size())),
                out.isEmpty()
                        ? Text.of("{count} named, each in calibration on that day.", named.size())
                        : Text.of(
                                "{out} was not in calibration on {on}.",
                                out.get(0).title(),
                                paper.record().on()),
                (out.isEmpty() ? named.keySet().stream().toList() : out)
                        .stream().flatMap(each -> named.get(each).stream()).toList()));
    }
}
