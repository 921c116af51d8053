package org.undanus.core.station.electrical;

import static org.undanus.core.derived.UnitPoints.RUNNING_CURRENT;
import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_RATING;
import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_TYPE;
import static org.undanus.core.station.electrical.WiringPoints.FUSE_RATING;
import static org.undanus.core.station.electrical.WiringPoints.STAGE_CALLED;
import static org.undanus.core.station.electrical.WiringPoints.VOLTAGE_12;
import static org.undanus.core.station.electrical.WiringPoints.VOLTAGE_23;
import static org.undanus.core.station.electrical.WiringPoints.VOLTAGE_31;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Phases, fuses and stages: what only some circuits have. */
public final class SupplyQuality {
    private SupplyQuality() {}

    private static final LimitKey IMBALANCE_LIMIT =
            new LimitKey("electrical.phase-imbalance", Dimension.RATIO, "Imbalance of the phases");
    private static final LimitKey FUSE_LIMIT =
            new LimitKey("electrical.disconnect-fuse", Dimension.CURRENT, "Fuse in the disconnect");
    private static final LimitKey OVERLOAD_LIMIT =
            new LimitKey("electrical.overload", Dimension.CURRENT, "Current that trips the device for certain");
    private static final Setting BREAKER_TRIPS = new Setting(
            "electrical.trips-breaker", Dimension.COUNT, "Multiple of rating that trips a breaker for certain");
    private static final Setting FUSE_TRIPS =
            new Setting("electrical.trips-fuse", Dimension.COUNT, "Multiple of rating that melts a fuse for certain");
    private static final Setting OVERLOAD = new Setting(
            "electrical.overload-factor", Dimension.COUNT, "Multiple of ampacity that conductors bear for a while");

    static final Requirement IMBALANCE = Requirement.of(
            About.of(
                            "electrical.phase-imbalance",
                            Station.ELECTRICAL,
                            Scope.POWERED_UNIT,
                            "Phases balanced",
                            Severity.DAMAGE)
                    .sources("NEMA MG 1, voltage unbalance: largest deviation over mean")
                    .needs(PlatePoints.PHASES, VOLTAGE_12, VOLTAGE_23, VOLTAGE_31)
                    .limits(IMBALANCE_LIMIT)
                    .cautions(VOLTAGE_12.caution()),
            SupplyQuality::imbalance);

    static final Requirement FUSE = Requirement.of(
            About.of(
                            "electrical.disconnect-fuse",
                            Station.ELECTRICAL,
                            Scope.POWERED_UNIT,
                            "Fuses of the disconnect",
                            Severity.SAFETY)
                    .sources("Nameplate, maximum overcurrent device")
                    .needs(FUSE_RATING)
                    .limits(FUSE_LIMIT)
                    .settings(
                            CircuitCurrents.LARGEST_MOTOR_FACTOR,
                            CircuitCurrents.DEVICE_FACTOR,
                            CircuitCurrents.FIRST_DEVICE_FACTOR,
                            CircuitCurrents.HEATER_FACTOR),
            SupplyQuality::fuse);

    static final Requirement OVERLOAD_RULE = Requirement.of(
            About.of(
                            "electrical.overload",
                            Station.ELECTRICAL,
                            Scope.POWERED_UNIT,
                            "Device trips before conductors overheat",
                            Severity.SAFETY)
                    .sources("IEC 60364-4-43, 433.1: I2 ≤ 1.45 Iz", "IEC 60898-1 and 60269-1, conventional currents")
                    .limits(OVERLOAD_LIMIT)
                    .settings(BREAKER_TRIPS, FUSE_TRIPS, OVERLOAD, InstalledConductor.TERMINAL_RATING)
                    .schools(Protection.TOPIC),
            SupplyQuality::overload);

    static final Requirement STAGE = Requirement.of(
            About.of(
                            "electrical.stage",
                            Station.ELECTRICAL,
                            Scope.OUTDOOR_UNIT,
                            "Stage by its current",
                            Severity.PERFORMANCE)
                    .sources("Data sheet, current of each stage")
                    .needs(STAGE_CALLED),
            SupplyQuality::stage);

    /** Largest deviation from the mean as a ratio of the mean. */
    public static double imbalance(double... voltages) {
        double mean = DoubleStream.of(voltages).average().orElseThrow();
        return DoubleStream.of(voltages).map(v -> Math.abs(v - mean)).max().orElseThrow() / mean;
    }

    private static Judgement imbalance(Examination x) {
        Uncertain[] read = {
            x.need(VOLTAGE_12).uncertain(),
            x.need(VOLTAGE_23).uncertain(),
            x.need(VOLTAGE_31).uncertain()
        };
        // one meter reads all three: what it errs by as a whole cancels, its last digit does not
        Uncertain share = Propagation.through(
                in -> imbalance(in[0], in[1], in[2]),
                digits(x, read[0], VOLTAGE_12),
                digits(x, read[1], VOLTAGE_23),
                digits(x, read[2], VOLTAGE_31));
        double mean = (read[0].value() + read[1].value() + read[2].value()) / 3;
        List<Limit> limits = x.rules().limits(IMBALANCE_LIMIT);
        Finding finding = x.finding().step("Mean", Voltage.ofVolts(mean));
        Optional<Comparison> held = finding.hold(IMBALANCE_LIMIT, share, 0, limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        double most = held.get().binding().limit().value().si();
        return finding.conclude(
                held.get().verdict(),
                finding.room(),
                Text.of(
                        "A licensed electrician looks for the loose or loaded phase: every line within {least} to {most}.",
                        Voltage.ofVolts(mean * (1 - most)),
                        Voltage.ofVolts(mean * (1 + most))));
    }

    private static Uncertain digits(Examination x, Uncertain read, Point point) {
        return new Uncertain(read.value(), x.step(point) / Math.sqrt(12));
    }

    private static Judgement fuse(Examination x) {
        Optional<CircuitCurrents.Known> most = CircuitCurrents.maximumDevice(x);
        if (most.isEmpty()) {
            return x.notShown(CircuitCurrents.missing(x, PlatePoints.MAXIMUM_OVERCURRENT_DEVICE));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(FUSE_LIMIT));
        limits.add(most.get().as(Bound.AT_MOST, x));
        CircuitCurrents.minimumAmpacity(x).ifPresent(least -> limits.add(least.as(Bound.AT_LEAST, x)));
        Finding finding = x.finding();
        Comparison held = finding.hold(FUSE_LIMIT, x.need(FUSE_RATING).uncertain(), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "A qualified person changes both fuses for the plate's: {ampere} at most.",
                        Current.ofAmperes(most.get().ampere())));
    }

    private static Judgement overload(Examination x) {
        if (!x.by(Protection.DESIGN)) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("Plate-ampacity practice leaves overload to the machine's own protector."),
                            "");
        }
        List<Point> missing = new ArrayList<>(x.missing(DEVICE_RATING, DEVICE_TYPE));
        missing.addAll(InstalledConductor.missing(x));
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<InstalledConductor> conductor = InstalledConductor.of(x);
        if (conductor.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.REFER,
                            Text.of("The rule book's table has no such conductor."),
                            "The authority decides which table applies.");
        }
        boolean fuse = x.chosen(DEVICE_TYPE).orElseThrow().equals(CircuitPoints.OTHER_DEVICE);
        double trips = x.rules().number(fuse ? FUSE_TRIPS : BREAKER_TRIPS);
        double rating = x.need(DEVICE_RATING).quantity().si();
        double factor = x.rules().number(OVERLOAD);
        Uncertain ampacity = conductor.get().ampacity();
        Finding finding = x.finding()
                .step("Conductors carry Iz", Current.ofAmperes(ampacity.value()))
                .step(
                        "Trips for certain I2",
                        fuse ? "fuse, multiple × rating" : "breaker, multiple × rating",
                        Current.ofAmperes(trips * rating),
                        x.rules().setting(fuse ? FUSE_TRIPS : BREAKER_TRIPS).source());
        List<Limit> limits = new ArrayList<>(x.rules().limits(OVERLOAD_LIMIT));
        limits.add(new Limit(
                        x.rules().code(),
                        Bound.AT_MOST,
                        Current.ofAmperes(factor * ampacity.value()),
                        "IEC 60364-4-43, 433.1")
                .within(factor * ampacity.standardUncertainty()));
        Comparison held = finding.hold(OVERLOAD_LIMIT, Uncertain.exact(trips * rating), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                heavier(CircuitCurrents.deviceSizes(x, 0, factor * ampacity.value() / trips)));
    }

    private static Text heavier(List<Quantity> fitting) {
        return fitting.isEmpty()
                ? Text.of("A licensed electrician pulls larger conductors: no standard device is small enough.")
                : Text.of(
                        "A licensed electrician fits a device of {size} at most, or larger conductors.",
                        fitting.get(fitting.size() - 1));
    }

    /** Which stage the machine runs in, by the sheet's current it lies nearer to. */
    private static Judgement stage(Examination x) {
        Option called = x.chosen(STAGE_CALLED).orElseThrow();
        if (called.equals(WiringPoints.SINGLE_STAGE)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("It has one stage."), "");
        }
        Optional<DataSheet> sheet = x.sheet();
        Optional<Quantity> low = sheet.flatMap(s -> s.value(SheetValue.LOW_STAGE_CURRENT));
        Optional<Quantity> high = sheet.flatMap(s -> s.value(SheetValue.HIGH_STAGE_CURRENT));
        if (low.isEmpty() || high.isEmpty()) {
            return x.noSheetTells("the current of each stage", "Add the outdoor unit's sheet with both currents.");
        }
        Quantity asked = called.equals(WiringPoints.LOW_STAGE) ? low.get() : high.get();
        if (!x.has(RUNNING_CURRENT)) {
            return x.notShown(
                    List.of(RUNNING_CURRENT), Text.of("On its {called} stage it draws about {asked}.", called, asked));
        }
        Uncertain read = x.need(RUNNING_CURRENT).uncertain();
        double middle = (low.get().si() + high.get().si()) / 2;
        Finding finding = x.finding()
                .step("Current read", x.need(RUNNING_CURRENT).quantity())
                .step("Low stage", low.get())
                .step("High stage", high.get());
        if (Math.abs(read.value() - middle) <= read.expanded()) {
            return finding.conclude(
                    Verdict.TOO_CLOSE,
                    Text.of(
                            "{need} lies between both stages: no telling which it is.",
                            x.need(RUNNING_CURRENT).quantity()),
                    "Read it again after ten minutes of steady running.");
        }
        String running = read.value() < middle ? "low" : "high";
        boolean same = running.equals(called.id());
        return finding.conclude(
                same ? Verdict.MEETS : Verdict.FAILS,
                Text.of(
                        same ? "Its current is that of the {running} stage." : "It runs on its {running} stage.",
                        running),
                Text.of(
                        "It was called for {called}, about {asked}: have the stage's wire and its terminal looked at.",
                        called,
                        asked));
    }
}
