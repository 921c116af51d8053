package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_MATERIAL;
import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_SIZE;
import static org.undanus.core.station.electrical.WiringPoints.RUN_LENGTH;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.ConductorArea;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * Little voltage is lost on the way: b·(ρ·L/S·cos φ + λ·L·sin φ)·I, b = 2 for one phase and √3 between lines of three
 * (IEC 60364-5-52, annex G), ρ at the temperature the conductors reach at that current.
 */
public final class VoltageDrop implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.voltage-drop", Dimension.RATIO, "Voltage lost on the way");
    private static final Setting POWER_FACTOR =
            new Setting("electrical.power-factor", Dimension.RATIO, "Power factor of the machine");
    /** Ω·m at 20 °C and per kelvin. Sources: IEC 60028 for copper, IEC 60889 for aluminium. */
    private static final double COPPER = 1.7241e-8;

    private static final double COPPER_RISE = 0.00393;
    private static final double ALUMINIUM = 2.8264e-8;
    private static final double ALUMINIUM_RISE = 0.00403;
    /** Reactance of conductors, Ω/m: IEC 60364-5-52, annex G. */
    private static final double REACTANCE = 0.08e-3;

    private static final double BASE_CELSIUS = 20;

    static final About ABOUT = About.of(
                    "electrical.voltage-drop",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Voltage drop over the run",
                    Severity.PERFORMANCE)
            .sources("IEC 60364-5-52, annex G", "IEC 60028 and 60889, resistivity")
            .needs(RUN_LENGTH, CONDUCTOR_SIZE, CONDUCTOR_MATERIAL, PlatePoints.RATED_VOLTAGE, PlatePoints.PHASES)
            .limits(LIMIT)
            .settings(POWER_FACTOR, CircuitCurrents.LARGEST_MOTOR_FACTOR, CircuitCurrents.HEATER_FACTOR);

    @Override
    public About about() {
        return ABOUT;
    }

    /**
     * Voltage lost, V.
     *
     * @param length one way, m
     * @param area m²
     * @param celsius of the conductors
     */
    public static double drop(
            boolean copper,
            boolean threePhase,
            double length,
            double area,
            double current,
            double celsius,
            double cos) {
        double resistivity = copper
                ? COPPER * (1 + COPPER_RISE * (celsius - BASE_CELSIUS))
                : ALUMINIUM * (1 + ALUMINIUM_RISE * (celsius - BASE_CELSIUS));
        double sin = Math.sqrt(Math.max(0, 1 - cos * cos));
        double times = threePhase ? Math.sqrt(3) : 2;
        return times * length * current * (resistivity / area * cos + REACTANCE * sin);
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<CircuitCurrents.Known> design = CircuitCurrents.designCurrent(x);
        if (design.isEmpty()) {
            return x.notShown(CircuitCurrents.missing(x, PlatePoints.MINIMUM_CIRCUIT_AMPACITY));
        }
        double current = design.get().ampere();
        double voltage = x.need(PlatePoints.RATED_VOLTAGE).quantity().si();
        boolean copper = x.chosen(CONDUCTOR_MATERIAL).orElseThrow().equals(CircuitPoints.COPPER);
        boolean three = x.chosen(PlatePoints.PHASES).orElseThrow().equals(PlatePoints.THREE_PHASES);
        double cos = x.rules().number(POWER_FACTOR);
        double celsius = temperature(x, current);
        double area = x.need(CONDUCTOR_SIZE).quantity().si();
        Uncertain share = Propagation.through(
                in -> drop(copper, three, in[0], area, current, celsius, cos) / voltage,
                x.need(RUN_LENGTH).uncertain());
        Finding finding = x.finding()
                .step(
                        design.get().step().name(),
                        design.get().step().how(),
                        design.get().step().value(),
                        design.get().step().source())
                .step(
                        "Conductors at that current",
                        "ambient + (rating − ambient)·(I/Iz)²",
                        Temperature.ofCelsius(celsius),
                        "IEC 60287, heat balance")
                .step(
                        "Voltage lost",
                        "b·(ρ·L/S·cos φ + λ·L·sin φ)·I",
                        Voltage.ofVolts(share.value() * voltage),
                        ABOUT.sources().get(0));
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        Optional<Comparison> held = finding.hold(LIMIT, share, 0, limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        double most = held.get().binding().limit().value().si();
        double length = x.need(RUN_LENGTH).quantity().si();
        double reactive = drop(copper, three, length, 1, current, celsius, cos) / voltage;
        double needed = most > reactive ? area * (share.value() - reactive) / (most - reactive) : Double.NaN;
        return finding.conclude(
                held.get().verdict(),
                finding.room(),
                Double.isNaN(needed)
                        ? Text.of("A licensed electrician brings the supply nearer.")
                        : Text.of(
                                "Conductors of at least {needed} over this length, or a shorter way.",
                                new Amount(ConductorArea.ofSquareMetres(needed), 0.1e-6, 0)));
    }

    /** What conductors reach, °C: their rating at the ampacity, ambient without current. */
    private static double temperature(Examination x, double current) {
        List<Point> missing = InstalledConductor.missing(x);
        Optional<InstalledConductor> installed = missing.isEmpty() ? InstalledConductor.of(x) : Optional.empty();
        double rating = x.chosen(CircuitPoints.INSULATION)
                .map(marked -> Double.parseDouble(marked.id()))
                .orElse(75.0);
        double ambient = x.number(CircuitPoints.AMBIENT)
                .map(kelvin -> kelvin - Temperature.ZERO_CELSIUS)
                .orElse(30.0);
        double load = installed
                .map(conductor -> conductor.ampacity().value())
                .filter(ampacity -> ampacity > 0)
                .map(ampacity -> Math.min(1, current / ampacity))
                .orElse(1.0);
        return Math.min(rating, ambient + (rating - ambient) * load * load);
    }
}
