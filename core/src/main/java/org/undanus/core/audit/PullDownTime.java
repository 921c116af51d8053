package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.HOSE_BORE;
import static org.undanus.core.audit.RecordLines.HOSE_LENGTH;
import static org.undanus.core.audit.RecordLines.PULL_TIME;
import static org.undanus.core.audit.RecordLines.PUMP_SPEED;
import static org.undanus.core.audit.RecordLines.REACHED;

import java.util.List;
import java.util.Optional;
import org.undanus.core.curve.PullDown;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Volume;
import org.undanus.core.words.Text;

/** Whether this pump could have drawn this volume down in the time that is claimed, even dry and tight. */
final class PullDownTime implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.pull-down",
                    "Pull-down against pump and hose",
                    "The time the pump ran against the least it needs for this volume, dry and tight")
            .shows(
                    "That pump, hose, time and vacuum reached are not of one evacuation",
                    "A vacuum that was never drawn, where the time claimed is long enough")
            .innocently(
                    "Another pump or a wider hose was used than the record names",
                    "The time was counted from another moment",
                    "The gauge stood at the pump and showed the pump's own vacuum")
            .asks("Which pump and hose were used, where did the gauge stand, and from when to when did the pump run?")
            .sources("dp/dt = −S·p/V through the hose's conductance; see the vacuum station")
            .needs(PUMP_SPEED, PULL_TIME, REACHED)
            .settings(AuditSettings.CLOCK, AuditSettings.VOLUME);
    /** A hose so wide and short that the pump alone counts, m. */
    private static final double WIDE = 0.03;

    private static final double SHORT = 0.1;

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.LINE_SET, ABOUT, PullDownTime::check);
    }

    private static Found check(AuditedRecord paper, Subject line) {
        Optional<TestVolume> volume = TestVolume.of(paper.at(line));
        if (volume.isEmpty()) {
            return Found.cannotTell(
                    ABOUT, line.id(), Text.of("Neither run nor tubes are known, so the volume is not."));
        }
        double reached = paper.value(REACHED, line).orElseThrow();
        double claimed = paper.value(PULL_TIME, line).orElseThrow();
        PullDown dry = new PullDown(
                volume.get().cubicMetres(),
                paper.value(PUMP_SPEED, line).orElseThrow(),
                0,
                paper.value(HOSE_BORE, line).orElse(WIDE),
                paper.value(HOSE_LENGTH, line).orElse(SHORT));
        double least = dry.time(paper.air().si(), reached);
        // a length of time is as exact as it is written: who writes one minute has not rounded to ten
        double u = Math.hypot(
                Math.min(paper.number(AuditSettings.CLOCK).orElseThrow(), Rounding.ofTime(claimed) / Math.sqrt(12)),
                least * paper.number(AuditSettings.VOLUME).orElseThrow());
        return Found.weighed(
                        ABOUT,
                        line.id(),
                        Doubt.beyond((least - claimed) / u),
                        Text.of(
                                "Dry and tight, {cubicMetres} down to {absolutePressure} takes this pump {least} at least; the record says {claimed}.",
                                Volume.ofCubicMetres(volume.get().cubicMetres()),
                                Dimension.ABSOLUTE_PRESSURE.of(reached),
                                Duration.ofSeconds(least),
                                Duration.ofSeconds(claimed)),
                        AuditedRecord.keys(line, PUMP_SPEED, HOSE_BORE, HOSE_LENGTH, PULL_TIME, REACHED))
                .drawn(new Found.Band(
                        Dimension.DURATION, Math.max(0, least - 2 * u), Double.POSITIVE_INFINITY, claimed));
    }
}
