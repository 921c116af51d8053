package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_SIZE;
import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_RATING;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
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
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The conductors carry what the machine asks for. By plate ampacity: at least the circuit minimum (NFPA 70, 440 part IV).
 * By design current: at least the design current and the device's rating, Ib ≤ In ≤ Iz (IEC 60364-4-43).
 */
final class ConductorAmpacity implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.conductor-ampacity", Dimension.CURRENT, "Conductors carry");
    static final About ABOUT = About.of(
                    "electrical.conductor-ampacity",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Conductors carry the minimum",
                    Severity.SAFETY)
            .sources("NFPA 70, article 440", "IEC 60364-4-43 and 5-52")
            .needs(InstalledConductor.NEEDS)
            .limits(LIMIT)
            .settings(
                    CircuitCurrents.LARGEST_MOTOR_FACTOR,
                    CircuitCurrents.HEATER_FACTOR,
                    InstalledConductor.TERMINAL_RATING)
            .schools(Protection.TOPIC)
            .cautions("Live parts: absence of voltage is proven by a qualified person before any cover comes off.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        List<Point> missing = InstalledConductor.missing(x);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<InstalledConductor> conductor = InstalledConductor.of(x);
        if (conductor.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.REFER,
                            Text.of(
                                    "The rule book's table ({source}) has no {need} conductor of this metal and rating.",
                                    InstalledConductor.table(x.rules()).source(),
                                    x.need(CONDUCTOR_SIZE).quantity()),
                            "The authority decides which table applies.");
        }
        Finding finding = x.finding();
        conductor.get().steps().forEach(s -> finding.step(s.name(), s.how(), s.value(), s.source()));
        boolean design = x.by(Protection.DESIGN);
        Optional<CircuitCurrents.Known> asked =
                design ? CircuitCurrents.designCurrent(x) : CircuitCurrents.minimumAmpacity(x);
        if (asked.isEmpty()) {
            return x.notShown(CircuitCurrents.missing(x, PlatePoints.MINIMUM_CIRCUIT_AMPACITY));
        }
        finding.step(
                asked.get().step().name(),
                asked.get().step().how(),
                asked.get().step().value(),
                asked.get().step().source());
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(asked.get().as(Bound.AT_LEAST, x));
        if (design) {
            x.measured(DEVICE_RATING)
                    .ifPresent(device -> limits.add(
                            new Limit(x.rules().code(), Bound.AT_LEAST, device.quantity(), "IEC 60364-4-43: In ≤ Iz")));
        }
        return finding.compare(
                LIMIT,
                conductor.get().ampacity(),
                0.1,
                limits,
                Text.of("Larger conductors, or the same ones out of the heat and apart from others."));
    }
}
