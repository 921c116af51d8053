package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_RATING;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The overcurrent device is neither below what the circuit needs nor above the plate's maximum. By plate ampacity: from
 * the circuit minimum to the plate maximum (NFPA 70, 440 part III and 110.3(B); a motor-compressor circuit may carry a
 * device above the small-conductor limits of 240.4). By design current: Ib ≤ In ≤ Iz, and never above the plate maximum
 * (IEC 60364-4-43; for devices whose conventional tripping current is 1.45 In the 1.45 rule then holds too).
 */
final class OvercurrentDevice implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.overcurrent-device", Dimension.CURRENT, "Overcurrent protective device");
    static final About ABOUT = About.of(
                    "electrical.overcurrent-device",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Overcurrent protective device fits the plate",
                    Severity.SAFETY)
            .sources("Nameplate", "NFPA 70, 110.3(B) and article 440", "IEC 60364-4-43")
            .needs(DEVICE_RATING)
            .limits(LIMIT)
            .settings(
                    CircuitCurrents.DEVICE_FACTOR,
                    CircuitCurrents.FIRST_DEVICE_FACTOR,
                    CircuitCurrents.LARGEST_MOTOR_FACTOR,
                    CircuitCurrents.HEATER_FACTOR)
            .schools(Protection.TOPIC)
            .cautions("Only a qualified person changes a device, with the supply locked off and proven dead.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean design = x.by(Protection.DESIGN);
        Optional<CircuitCurrents.Known> floor =
                design ? CircuitCurrents.designCurrent(x) : CircuitCurrents.minimumAmpacity(x);
        Optional<CircuitCurrents.Known> ceiling = CircuitCurrents.maximumDevice(x);
        if (floor.isEmpty() || ceiling.isEmpty()) {
            return x.notShown(CircuitCurrents.missing(
                    x,
                    floor.isEmpty() ? PlatePoints.MINIMUM_CIRCUIT_AMPACITY : PlatePoints.MAXIMUM_OVERCURRENT_DEVICE));
        }
        Finding finding = x.finding();
        for (CircuitCurrents.Known known : List.of(floor.get(), ceiling.get())) {
            finding.step(
                    known.step().name(),
                    known.step().how(),
                    known.step().value(),
                    known.step().source());
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(floor.get().as(Bound.AT_LEAST, x));
        limits.add(ceiling.get().as(Bound.AT_MOST, x));
        if (design) {
            List<Point> missing = InstalledConductor.missing(x);
            if (!missing.isEmpty()) {
                return x.notShown(missing);
            }
            Optional<InstalledConductor> conductor = InstalledConductor.of(x);
            if (conductor.isEmpty()) {
                return finding.conclude(
                        Verdict.REFER,
                        Text.of("What the conductors carry is in no table of the rule book."),
                        "A licensed person decides what these conductors may carry.");
            }
            limits.add(new Limit(
                    x.rules().code(),
                    Bound.AT_MOST,
                    Current.ofAmperes(conductor.get().ampacity().value()),
                    Text.of("IEC 60364-4-43: In ≤ Iz, what the conductors carry"),
                    conductor.get().ampacity().standardUncertainty()));
        }
        Value.Measured rating = x.need(DEVICE_RATING);
        Comparison held = finding.hold(LIMIT, rating.uncertain(), rating.resolution(), limits)
                .orElseThrow();
        Optional<Text> aboveConductors = design ? Optional.empty() : aboveConductors(x, rating);
        Text because = aboveConductors
                .filter(note -> held.verdict() == Verdict.MEETS)
                .map(note -> finding.room().then(note))
                .orElse(finding.room());
        return finding.conclude(held.verdict(), because, remedy(x, held));
    }

    /** What looks like a fault and is none: a compressor's own overload protection guards its conductors. */
    private static Optional<Text> aboveConductors(Examination x, Value.Measured rating) {
        if (!x.unit().outdoor() || !InstalledConductor.missing(x).isEmpty()) {
            return Optional.empty();
        }
        return InstalledConductor.of(x)
                .map(conductor -> Current.ofAmperes(conductor.ampacity().value()))
                .filter(carried -> rating.quantity().si() > carried.si())
                .map(carried -> Text.of(
                        "It is above what the conductors carry, {carried}: a motor-compressor circuit may have it so (NFPA 70, 240.4(G)"
                                + " and article 440 part III; check the adopted edition).",
                        carried));
    }

    /** Names every standard size between the binding floor and ceiling, the smallest that carries first. */
    private static Text remedy(Examination x, Comparison held) {
        double least = binding(held, Bound.AT_LEAST);
        double most = binding(held, Bound.AT_MOST);
        List<Quantity> fitting = CircuitCurrents.deviceSizes(x, least, most);
        if (fitting.isEmpty()) {
            return Text.of(
                    "No standard size lies between {least} and {most}: conductors or circuit must change. The authority decides.",
                    Current.ofAmperes(least),
                    Current.ofAmperes(most));
        }
        return Text.of(
                "A licensed electrician replaces the breaker or fuse with {sizes}. An old one left in place is a common cause.",
                Text.any(fitting));
    }

    private static double binding(Comparison held, Bound bound) {
        return held.limits().stream()
                .filter(h -> h.binds() && h.limit().bound() == bound)
                .mapToDouble(h -> h.limit().value().si())
                .findFirst()
                .orElseThrow();
    }
}
