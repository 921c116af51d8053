package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_RATING;
import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_TYPE;
import static org.undanus.core.station.electrical.CircuitPoints.LOOP_IMPEDANCE;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Resistance;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * An earth fault at the unit trips the device at once: Zs ≤ Cmin · U0 / Ia (IEC 60364-4-41, 411.4), Ia the upper end of the
 * instantaneous tripping range of the device's type (IEC 60898-1). Judged in design-current practice only.
 */
final class FaultDisconnection implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.loop-impedance", Dimension.RESISTANCE, "Earth-fault loop impedance");
    private static final Setting VOLTAGE_TO_EARTH =
            new Setting("electrical.voltage-to-earth", Dimension.VOLTAGE, "Nominal voltage to earth U0");
    private static final Setting VOLTAGE_FACTOR =
            new Setting("electrical.lowest-voltage-factor", Dimension.COUNT, "Lowest voltage factor Cmin");
    private static final Map<String, Setting> TRIPPING = Map.of(
            "B",
                    new Setting(
                            "electrical.instantaneous-b",
                            Dimension.COUNT,
                            "Multiple of rating that trips type B at once"),
            "C",
                    new Setting(
                            "electrical.instantaneous-c",
                            Dimension.COUNT,
                            "Multiple of rating that trips type C at once"),
            "D",
                    new Setting(
                            "electrical.instantaneous-d",
                            Dimension.COUNT,
                            "Multiple of rating that trips type D at once"));
    private static final About ABOUT = About.of(
                    "electrical.fault-disconnection",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Earth fault trips the device",
                    Severity.SAFETY)
            .sources("IEC 60364-4-41, 411.4", "IEC 60898-1")
            .limits(LIMIT)
            .settings(VOLTAGE_TO_EARTH, VOLTAGE_FACTOR, TRIPPING.get("B"), TRIPPING.get("C"), TRIPPING.get("D"))
            .schools(Protection.TOPIC)
            .cautions(LOOP_IMPEDANCE.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.by(Protection.DESIGN)) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of(
                                    "Plate-ampacity practice sizes the earthing conductor instead of judging the loop."),
                            "");
        }
        List<Point> missing = x.missing(LOOP_IMPEDANCE, DEVICE_RATING, DEVICE_TYPE);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Setting tripping = TRIPPING.get(x.chosen(DEVICE_TYPE).orElseThrow().id());
        if (tripping == null) {
            return x.finding()
                    .conclude(
                            Verdict.REFER,
                            Text.of("This device has no tripping letter; its own time-current curve decides."),
                            "A licensed electrician reads the curve.");
        }
        double tripCurrent =
                x.rules().number(tripping) * x.need(DEVICE_RATING).quantity().si();
        double most = x.rules().number(VOLTAGE_FACTOR) * x.rules().number(VOLTAGE_TO_EARTH) / tripCurrent;
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(new Limit(x.rules().code(), Bound.AT_MOST, Resistance.ofOhms(most), "IEC 60364-4-41, 411.4"));
        Value.Measured loop = x.need(LOOP_IMPEDANCE);
        return x.finding()
                .step(
                        "Highest loop impedance",
                        "Cmin · U0 / (multiple · rating)",
                        Resistance.ofOhms(most),
                        x.rules().setting(tripping).source())
                .compare(
                        LIMIT,
                        loop.uncertain(),
                        loop.resolution(),
                        limits,
                        Text.of(
                                "A licensed electrician checks joints and earthing conductor; a residual-current device may be needed."));
    }
}
