package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.RETURN_DRY_BULB;
import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * A grille read by infrared goes with the probe in the air, within what emissivity leaves open: the surface sends ε·σ·T⁴ and
 * reflects (1 − ε)·σ·T_room⁴. Alone it never judges the machine: the probe does.
 */
final class GrilleInfrared implements Requirement {
    private static final Setting EMISSIVITY =
            new Setting("running.emissivity", Dimension.RATIO, "Emissivity that the instrument is set to");
    private static final Setting DOUBT =
            new Setting("running.emissivity-doubt", Dimension.RATIO, "How far a surface's emissivity may be from it");
    private static final Setting SURFACE = new Setting(
            "running.grille-surface",
            Dimension.TEMPERATURE_DIFFERENCE,
            "How far a grille's surface may be from its air");
    private static final About ABOUT = About.of(
                    "running.grille-infrared",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Infrared goes with the probe",
                    Severity.RECORD)
            .sources("Stefan–Boltzmann: ∂T/∂ε = (T⁴ − T_room⁴)/(4·ε·T³)")
            .settings(EMISSIVITY, DOUBT, SURFACE);

    @Override
    public About about() {
        return ABOUT;
    }

    /** What emissivity leaves open of a temperature, K: taken as even within its doubt. */
    static double byEmissivity(double kelvin, double room, double emissivity, double doubt) {
        return Math.abs(Math.pow(kelvin, 4) - Math.pow(room, 4))
                / (4 * emissivity * Math.pow(kelvin, 3))
                * doubt
                / Math.sqrt(3);
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.has(RunningPoints.GRILLE)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("No grille was read by infrared."), "");
        }
        List<Point> missing = x.missing(RunningPoints.GRILLE, RunningPoints.SPOT, RETURN_DRY_BULB);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        if (!x.chosen(RunningPoints.SPOT).orElseThrow().equals(RunningPoints.SPOT_WITHIN)) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The spot took in more than the grille: it read the ceiling too."),
                            "Go nearer, until the spot lies within the grille.");
        }
        Value.Measured read = x.need(RunningPoints.GRILLE);
        double kelvin = read.quantity().si();
        double emitted = byEmissivity(
                kelvin,
                x.need(RETURN_DRY_BULB).quantity().si(),
                x.rules().number(EMISSIVITY),
                x.rules().number(DOUBT));
        double surface = x.rules().number(SURFACE) / Math.sqrt(3);
        Uncertain grille = new Uncertain(kelvin, Math.hypot(read.standardUncertainty(), Math.hypot(emitted, surface)));
        Finding finding = x.finding()
                .step(RunningPoints.GRILLE.title(), read.quantity())
                .step(
                        "Left open by emissivity",
                        "(T⁴ − T_room⁴)/(4·ε·T³)·u(ε)",
                        TemperatureDifference.ofKelvin(emitted),
                        ABOUT.sources().get(0))
                .step("Left open by the surface", TemperatureDifference.ofKelvin(surface));
        if (x.measured(SUPPLY_DRY_BULB).isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "Alone it tells the supply air to ±{expanded} only.",
                            TemperatureDifference.ofKelvin(grille.expanded())),
                    "Put a probe in the supply air.");
        }
        Uncertain off = Propagation.through(
                v -> v[0] - v[1], grille, x.need(SUPPLY_DRY_BULB).uncertain());
        boolean together = Math.abs(off.value()) <= off.expanded();
        finding.step(SUPPLY_DRY_BULB.title(), x.need(SUPPLY_DRY_BULB).quantity())
                .step("They differ by", TemperatureDifference.ofKelvin(off.value()));
        return together
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "They differ by {off}, and may by {expanded}. The probe is judged by.",
                                TemperatureDifference.ofKelvin(off.value()),
                                TemperatureDifference.ofKelvin(off.expanded())),
                        "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "They differ by {off}; emissivity and surface explain {expanded}.",
                                TemperatureDifference.ofKelvin(off.value()),
                                TemperatureDifference.ofKelvin(off.expanded())),
                        "One of the two read something else: put the probe in the stream of that grille, out of sight of the coil.");
    }
}
