package org.undanus.core.station.charge;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * The refrigerant on its way round, as it was read at the outdoor unit's ports. A boiling liquid has the bubble pressure,
 * which subcooling counts from; a condensing vapour the dew pressure, which superheat counts from.
 *
 * @param air pressure of the air, which the gauges count from
 */
record RefrigerantState(Examination x, Refrigerant refrigerant, Saturation table, AbsolutePressure air) {
    static final String SOURCE = "Saturation by published reference equations of state, interpolated";
    static final Setting BARE_SENSOR = new Setting(
            "charge.bare-sensor",
            Dimension.TEMPERATURE_DIFFERENCE,
            "By how much a pipe thermometer that is not wrapped may be wrong, as a standard uncertainty");

    /** What subcooling is told from. */
    static final List<Point> HIGH = List.of(ChargePoints.LIQUID_PRESSURE, ChargePoints.LIQUID_TEMPERATURE);
    /** What superheat is told from. */
    static final List<Point> LOW = List.of(ChargePoints.SUCTION_PRESSURE, ChargePoints.SUCTION_TEMPERATURE);

    /** @param x at the outdoor unit; empty where its refrigerant is not known */
    static Optional<RefrigerantState> of(Examination x) {
        return x.refrigerant(PlatePoints.REFRIGERANT)
                .map(refrigerant -> new RefrigerantState(
                        x,
                        refrigerant,
                        refrigerant.saturation(),
                        x.number(ChargePoints.BAROMETER)
                                .map(AbsolutePressure::ofPascals)
                                .orElse(x.facts().site().atmosphere())));
    }

    private AbsolutePressure absolute(double gauge) {
        return GaugePressure.ofPascals(gauge).absolute(air);
    }

    /** K; what an uncertainty reaches beyond the table is taken at its end. */
    private double boils(double gauge) {
        return table.bubbleTemperature(table.nearest(absolute(gauge))).si();
    }

    private double condenses(double gauge) {
        return table.dewTemperature(table.nearest(absolute(gauge))).si();
    }

    private Uncertain pipe(Point point) {
        Uncertain read = x.need(point).uncertain();
        boolean bare =
                x.chosen(ChargePoints.SENSOR).filter(ChargePoints.BARE::equals).isPresent();
        return bare
                ? new Uncertain(
                        read.value(),
                        Math.hypot(read.standardUncertainty(), x.rules().number(BARE_SENSOR)))
                : read;
    }

    /** By how much the liquid is colder than it boils at, K; under zero where vapour is in it. */
    Uncertain subcooling() {
        return Propagation.through(
                in -> boils(in[0]) - in[1],
                x.need(ChargePoints.LIQUID_PRESSURE).uncertain(),
                pipe(ChargePoints.LIQUID_TEMPERATURE));
    }

    /** By how much the vapour is warmer than it condenses at, K; under zero where liquid is in it. */
    Uncertain superheat() {
        return Propagation.through(
                in -> in[1] - condenses(in[0]),
                x.need(ChargePoints.SUCTION_PRESSURE).uncertain(),
                pipe(ChargePoints.SUCTION_TEMPERATURE));
    }

    /** Where it condenses, K: at the dew pressure. */
    Uncertain condensing() {
        return Propagation.through(
                in -> condenses(in[0]), x.need(ChargePoints.LIQUID_PRESSURE).uncertain());
    }

    /** Where it boils, K: at the dew pressure. */
    Uncertain evaporating() {
        return Propagation.through(
                in -> condenses(in[0]), x.need(ChargePoints.SUCTION_PRESSURE).uncertain());
    }

    /** By how much the pressure at rest is over that of the refrigerant at its temperature, Pa. */
    Uncertain restExcess() {
        return Propagation.through(
                in -> in[0]
                        + air.si()
                        - table.bubble(Temperature.ofKelvin(
                                        Math.min(in[1], table.warmest().si())))
                                .si(),
                x.need(ChargePoints.REST_PRESSURE).uncertain(),
                x.need(ChargePoints.REST_TEMPERATURE).uncertain());
    }

    /** Why what was read cannot be judged by; empty where it can. */
    Optional<Judgement> unusable() {
        for (Point point : List.of(ChargePoints.LIQUID_PRESSURE, ChargePoints.SUCTION_PRESSURE)) {
            Optional<Value.Measured> read = x.measured(point);
            if (read.isPresent()) {
                try {
                    table.dewTemperature(absolute(read.get().quantity().si()));
                    table.bubbleTemperature(absolute(read.get().quantity().si()));
                } catch (IllegalArgumentException e) {
                    return Optional.of(
                            x.finding()
                                    .step(point.title(), read.get().quantity())
                                    .conclude(
                                            Verdict.NOT_SHOWN,
                                            Text.of("{point}: {message}.", point.title(), RefusedException.said(e)),
                                            "Read the gauge and the plate's refrigerant again; a gauge counts from the air's pressure."));
                }
            }
        }
        return swapped();
    }

    private Optional<Judgement> swapped() {
        Optional<Value.Measured> high = x.measured(ChargePoints.LIQUID_PRESSURE);
        Optional<Value.Measured> low = x.measured(ChargePoints.SUCTION_PRESSURE);
        if (high.isPresent()
                && low.isPresent()
                && high.get().quantity().si() < low.get().quantity().si()) {
            return Optional.of(x.finding()
                    .step(ChargePoints.LIQUID_PRESSURE.title(), high.get().quantity())
                    .step(ChargePoints.SUCTION_PRESSURE.title(), low.get().quantity())
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The liquid line's pressure is under the suction line's: they may be swapped."),
                            "Look which hose is on which port, and read both again while it runs."));
        }
        Optional<Double> outdoor = x.number(AirPoints.OUTDOOR);
        if (high.isPresent() && outdoor.isPresent()) {
            Uncertain condensing = condensing();
            if (condensing.value() + condensing.expanded() < outdoor.get()) {
                return Optional.of(x.finding()
                        .step("Condensing at", Temperature.ofKelvin(condensing.value()))
                        .step(AirPoints.OUTDOOR.title(), Temperature.ofKelvin(outdoor.get()))
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of(
                                        "It cannot condense at {condensing} in air of {outdoor}.",
                                        Temperature.ofKelvin(condensing.value()),
                                        Temperature.ofKelvin(outdoor.get())),
                                "Look whether it runs, whether the refrigerant is that of the plate, and read again."));
            }
        }
        return Optional.empty();
    }

    /**
     * The judgement with what superheat or subcooling comes to, wherever it was read and nothing was held against a target: whoever stands
     * at the gauges wants to know it before all else is known.
     */
    static Judgement shown(
            Examination x,
            Judgement judged,
            String name,
            List<Point> read,
            Function<RefrigerantState, Uncertain> computed) {
        if (judged.comparison().isPresent()
                || !x.missing(read.toArray(Point[]::new)).isEmpty()) {
            return judged;
        }
        return of(x).filter(state -> state.unusable().isEmpty())
                .map(state -> judged.saying(Text.of(
                        "{name} is {computed}.",
                        name,
                        Amount.of(Dimension.TEMPERATURE_DIFFERENCE, computed.apply(state), 0))))
                .orElse(judged);
    }

    /** Notes how subcooling came about. */
    Finding explainHigh(Finding finding) {
        return finding.step("Air pressure", air)
                .step(
                        ChargePoints.LIQUID_PRESSURE.title(),
                        x.need(ChargePoints.LIQUID_PRESSURE).quantity())
                .step(
                        "Boils there at",
                        "bubble line",
                        table.bubbleTemperature(absolute(
                                x.need(ChargePoints.LIQUID_PRESSURE).quantity().si())),
                        SOURCE)
                .step(
                        ChargePoints.LIQUID_TEMPERATURE.title(),
                        x.need(ChargePoints.LIQUID_TEMPERATURE).quantity());
    }

    /** Notes how superheat came about. */
    Finding explainLow(Finding finding) {
        return finding.step("Air pressure", air)
                .step(
                        ChargePoints.SUCTION_PRESSURE.title(),
                        x.need(ChargePoints.SUCTION_PRESSURE).quantity())
                .step(
                        "Condenses there at",
                        "dew line",
                        Temperature.ofKelvin(evaporating().value()),
                        SOURCE)
                .step(
                        ChargePoints.SUCTION_TEMPERATURE.title(),
                        x.need(ChargePoints.SUCTION_TEMPERATURE).quantity());
    }
}
