package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.AIRFLOW;
import static org.undanus.core.audit.RecordLines.CURRENT;
import static org.undanus.core.audit.RecordLines.RETURN_DRY;
import static org.undanus.core.audit.RecordLines.SUPPLY_DRY;
import static org.undanus.core.audit.RecordLines.VOLTAGE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Subject;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Whether the electricity taken could have moved the heat that airflow and split claim, even in the best machine there can be. */
final class EnergyBalance implements Check {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "record.energy",
                    "Capacity against current",
                    "Heat taken from the air, by airflow and split, against voltage times current")
            .shows(
                    "That airflow, split, voltage and current are not of one machine at one time",
                    "How good the machine is: only what none can do is doubted")
            .innocently(
                    "The current is of one conductor of a machine with three phases",
                    "The current was read at part load, the air at full load",
                    "The airflow is the rated one and was not measured")
            .asks("When, and at which stage, were airflow, split, voltage and current read?")
            .sources("Carnot: heat moved per work is at most T/(T outdoors − T indoors)")
            .needs(AIRFLOW, RETURN_DRY, SUPPLY_DRY);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.COIL_UNIT, ABOUT, EnergyBalance::check);
    }

    private static Found check(AuditedRecord paper, Subject unit) {
        Optional<Subject> outdoor = paper.outdoor(unit);
        Optional<Value.Measured> volts = outdoor.flatMap(o -> paper.measured(VOLTAGE, o));
        Optional<Value.Measured> amperes = outdoor.flatMap(o -> paper.measured(CURRENT, o));
        Optional<Value.Measured> outside = paper.facts().subjects(RecordLines.OUTDOOR_AIR.scope()).stream()
                .flatMap(each -> paper.measured(RecordLines.OUTDOOR_AIR, each).stream())
                .findFirst();
        boolean alone = paper.facts().subjects(Scope.COIL_UNIT).size() == 1;
        if (volts.isEmpty() || amperes.isEmpty() || outside.isEmpty() || !alone) {
            return Found.cannotTell(
                    ABOUT,
                    unit.id(),
                    Text.of(
                            alone
                                    ? "The record lacks voltage, current or the air outdoors."
                                    : "Several indoor units share the current."));
        }
        Uncertain flow = paper.measured(AIRFLOW, unit).orElseThrow().uncertain();
        Uncertain warm = paper.measured(RETURN_DRY, unit).orElseThrow().uncertain();
        Uncertain cold = paper.measured(SUPPLY_DRY, unit).orElseThrow().uncertain();
        double apparent = paper.perVoltAmpere(outdoor.get());
        MoistAir dry;
        try {
            dry = MoistAir.ofRelativeHumidity(Temperature.ofKelvin(cold.value()), 0, paper.air());
        } catch (IllegalArgumentException notDescribed) {
            return Found.cannotTell(ABOUT, unit.id(), Text.of("Air is not described at such a temperature or height."));
        }
        Uncertain heat = Propagation.through(
                in -> in[0] / dry.specificVolume() * dry.heatCapacity() * (in[1] - in[2]), flow, warm, cold);
        Uncertain most = Propagation.through(
                in -> apparent * in[0] * in[1] * best(in[2], in[3]),
                volts.get().uncertain(),
                amperes.get().uncertain(),
                cold,
                outside.get().uncertain());
        double u = Math.hypot(heat.standardUncertainty(), most.standardUncertainty());
        return Found.weighed(
                        ABOUT,
                        unit.id(),
                        Doubt.beyond((heat.value() - most.value()) / u),
                        Text.of(
                                "Airflow and split make {heat}; with {volts} and {amperes} the best machine there can be moves {most}.",
                                Power.ofWatts(heat.value()),
                                volts.get().quantity(),
                                amperes.get().quantity(),
                                Power.ofWatts(most.value())),
                        List.of(
                                RecordLines.key(AIRFLOW, unit.id()),
                                RecordLines.key(RETURN_DRY, unit.id()),
                                RecordLines.key(SUPPLY_DRY, unit.id()),
                                RecordLines.key(VOLTAGE, outdoor.get().id()),
                                RecordLines.key(CURRENT, outdoor.get().id())))
                .drawn(new Found.Band(
                        Dimension.POWER, Double.NEGATIVE_INFINITY, most.value() + most.expanded(), heat.value()));
    }

    /** Heat that can be moved per work between supply air and outdoors, each in K; with hardly a lift as with one kelvin. */
    private static double best(double supply, double outdoors) {
        return supply / Math.max(1, outdoors - supply);
    }
}
