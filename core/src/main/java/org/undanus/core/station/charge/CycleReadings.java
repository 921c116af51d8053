package org.undanus.core.station.charge;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Compression;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.charge.Diagnosis.Departure;
import org.undanus.core.station.charge.Diagnosis.Sign;

/**
 * What was read of the running cycle, each as it departs from what a sound machine shows in this air. What was not read, or what a
 * rule book says nothing of, is left out.
 */
final class CycleReadings {
    private CycleReadings() {}

    private static Departure departure(Uncertain read, double expected, double band) {
        return new Departure((read.value() - expected) / band, read.standardUncertainty() / band);
    }

    static Map<Sign, Departure> of(Examination x, RefrigerantState state, boolean orifice) {
        Map<Sign, Departure> read = new EnumMap<>(Sign.class);
        Uncertain superheat = orifice
                ? SuperheatTrim.target(x)
                        .orElse(new Uncertain(
                                x.rules().number(CycleSettings.USUAL_SUPERHEAT),
                                x.rules().number(SuperheatTrim.BAND)))
                : Uncertain.exact(x.rules().number(CycleSettings.USUAL_SUPERHEAT));
        Uncertain shown = state.superheat();
        read.put(
                Sign.SUPERHEAT,
                departure(
                        new Uncertain(
                                shown.value(),
                                Math.hypot(shown.standardUncertainty(), superheat.standardUncertainty())),
                        superheat.value(),
                        x.rules().number(SuperheatTrim.BAND)));
        read.put(
                Sign.SUBCOOLING,
                departure(
                        state.subcooling(),
                        SubcoolingTrim.target(x).orElseGet(() -> x.rules().number(CycleSettings.USUAL_SUBCOOLING)),
                        x.rules().number(SubcoolingTrim.BAND)));
        double outdoor = x.number(AirPoints.OUTDOOR).orElseThrow();
        read.put(
                Sign.CONDENSING,
                departure(
                        state.condensing(),
                        outdoor + x.rules().number(CycleSettings.CONDENSING),
                        x.rules().number(CycleSettings.CONDENSING_BAND)));
        evaporating(x, state).ifPresent(departure -> read.put(Sign.EVAPORATING, departure));
        split(x).ifPresent(departure -> read.put(Sign.SPLIT, departure));
        x.measured(ChargePoints.DRIER_DROP)
                .ifPresent(drop -> read.put(
                        Sign.DRIER, departure(drop.uncertain(), 0, x.rules().number(CycleSettings.DRIER))));
        if (x.missing(ChargePoints.REST_PRESSURE, ChargePoints.REST_TEMPERATURE).isEmpty()) {
            rest(x, state).ifPresent(departure -> read.put(Sign.REST, departure));
        }
        x.measured(AirPoints.OUTDOOR_LEAVING)
                .filter(any -> decided(x, CycleSettings.OUTDOOR_RISE, CycleSettings.OUTDOOR_RISE_BAND))
                .ifPresent(leaving -> read.put(
                        Sign.LEAVING,
                        departure(
                                leaving.uncertain(),
                                outdoor + x.rules().number(CycleSettings.OUTDOOR_RISE),
                                x.rules().number(CycleSettings.OUTDOOR_RISE_BAND))));
        discharge(x, state).ifPresent(departure -> read.put(Sign.DISCHARGE, departure));
        current(x).ifPresent(departure -> read.put(Sign.CURRENT, departure));
        return read;
    }

    /** Whether the rule book, perhaps an older one, says these. */
    private static boolean decided(Examination x, Setting... settings) {
        return Stream.of(settings).allMatch(x.rules()::decides);
    }

    /** Of the discharge line against what these pressures and this superheat give a sound compressor. */
    private static Optional<Departure> discharge(Examination x, RefrigerantState state) {
        return x.measured(ChargePoints.DISCHARGE_TEMPERATURE)
                .filter(any -> decided(x, CycleSettings.EFFICIENCY, CycleSettings.DISCHARGE_BAND))
                .flatMap(read -> {
                    try {
                        Uncertain over = Propagation.through(
                                in -> in[0]
                                        - Compression.discharge(
                                                state.refrigerant(),
                                                in[1],
                                                in[2],
                                                in[3],
                                                x.rules().number(CycleSettings.EFFICIENCY)),
                                read.uncertain(),
                                state.evaporating(),
                                state.condensing(),
                                state.superheat());
                        return Optional.of(departure(over, 0, x.rules().number(CycleSettings.DISCHARGE_BAND)));
                    } catch (IllegalArgumentException outsideItsTable) {
                        return Optional.empty();
                    }
                });
    }

    private static Optional<Departure> current(Examination x) {
        return x.measured(UnitPoints.RUNNING_CURRENT)
                .filter(any -> decided(x, CycleSettings.CURRENT, CycleSettings.CURRENT_BAND))
                .flatMap(read -> x.number(PlatePoints.COMPRESSOR_CURRENT)
                        .filter(plate -> plate > 0)
                        .map(plate -> departure(
                                new Uncertain(read.quantity().si() / plate, read.standardUncertainty() / plate),
                                x.rules().number(CycleSettings.CURRENT),
                                x.rules().number(CycleSettings.CURRENT_BAND))));
    }

    /** Where the coil boils against where this air has it boil: as far under its surface as at the rating point. */
    private static Optional<Departure> evaporating(Examination x, RefrigerantState state) {
        return coilAir(x, AirPoints.RETURN_DRY_BULB, AirPoints.RETURN_WET_BULB)
                .filter(any -> decided(x, CycleSettings.EVAPORATING, CycleSettings.EVAPORATING_BAND))
                .flatMap(air -> {
                    try {
                        return ExpectedSplit.of(air.at())
                                .filter(ExpectedSplit::describesAirflow)
                                .map(model -> {
                                    double expected = x.rules().number(CycleSettings.EVAPORATING)
                                            + model.surfaceOverRated(
                                                    air.read().get(0).quantity().si(),
                                                    air.read().get(1).quantity().si(),
                                                    x.number(AirPoints.OUTDOOR).orElseThrow());
                                    return departure(
                                            state.evaporating(),
                                            expected,
                                            x.rules().number(CycleSettings.EVAPORATING_BAND));
                                });
                    } catch (IllegalArgumentException airCannotBeUsed) {
                        return Optional.empty();
                    }
                });
    }

    /** @param at the only indoor unit */
    private record CoilAir(Examination at, List<Value.Measured> read) {}

    /** Of one indoor unit; several share one cycle, and their air says little of it. Empty where not all was read. */
    private static Optional<CoilAir> coilAir(Examination x, Point... points) {
        var units = x.facts().subjects(Scope.COIL_UNIT);
        if (units.size() != 1) {
            return Optional.empty();
        }
        Examination in = x.at(units.get(0));
        List<Value.Measured> air =
                Stream.of(points).flatMap(point -> in.measured(point).stream()).toList();
        return air.size() < points.length ? Optional.empty() : Optional.of(new CoilAir(in, air));
    }

    private static Optional<Departure> rest(Examination x, RefrigerantState state) {
        try {
            return Optional.of(departure(state.restExcess(), 0, x.rules().number(CycleSettings.REST)));
        } catch (IllegalArgumentException outsideItsTable) {
            return Optional.empty();
        }
    }

    private static Optional<Departure> split(Examination x) {
        return coilAir(x, AirPoints.RETURN_DRY_BULB, AirPoints.RETURN_WET_BULB, AirPoints.SUPPLY_DRY_BULB)
                .flatMap(coil -> split(x, coil.at(), coil.read()));
    }

    private static Optional<Departure> split(Examination x, Examination in, List<Value.Measured> air) {
        try {
            return ExpectedSplit.of(in).filter(ExpectedSplit::describesAirflow).map(model -> {
                double back = air.get(0).quantity().si();
                double wet = air.get(1).quantity().si();
                double outdoor = x.number(AirPoints.OUTDOOR).orElseThrow();
                double middle = model.split(back, wet, outdoor, 1);
                double band = (model.split(back, wet, outdoor, 1 - model.tolerance())
                                - model.split(back, wet, outdoor, 1 + model.tolerance()))
                        / 2;
                Uncertain read = new Uncertain(
                        back - air.get(2).quantity().si(),
                        Math.hypot(air.get(0).standardUncertainty(), air.get(2).standardUncertainty()));
                return departure(read, middle, band);
            });
        } catch (IllegalArgumentException airCannotBeUsed) {
            return Optional.empty();
        }
    }
}
