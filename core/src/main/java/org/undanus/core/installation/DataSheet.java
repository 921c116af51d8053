package org.undanus.core.installation;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.evidence.Option;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Torque;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.words.RefusedException;

/**
 * What a maker says of one model. Anything the sheet leaves out is empty.
 *
 * @param document the sheet's own number and edition, printed as the source of its limits
 * @param clearances least clear distance by face
 * @param mountingClearances the same where a way of mounting asks for another
 * @param neighbours least distance to other units by face, where it differs
 * @param values single values
 * @param supply voltage range at the terminals the maker accepts
 * @param meteringDevice the kind the unit is built with
 * @param saltAir whether it is made to stand in salt air; empty where the sheet is silent
 * @param pairs indoor models this outdoor model is listed with, with the pair's rating
 * @param fan airflow by external static pressure, of an indoor unit
 * @param torques flare nut torque by tube size
 */
public record DataSheet(
        String maker,
        String model,
        String document,
        Optional<String> refrigerant,
        Optional<Size> size,
        Map<Face, Length> clearances,
        Map<Mounting, Map<Face, Length>> mountingClearances,
        Map<Face, Length> neighbours,
        Map<SheetValue, Quantity> values,
        Optional<VoltageRange> supply,
        Optional<Option> meteringDevice,
        Optional<Boolean> saltAir,
        List<Pair> pairs,
        List<FanPoint> fan,
        List<FlareTorque> torques) {

    /** Outer sizes of the cabinet. */
    public record Size(Length width, Length depth, Length height) {
        public Size {
            if (!(width.si() > 0 && depth.si() > 0 && height.si() > 0)) {
                throw new IllegalArgumentException("A cabinet's sizes must be more than nothing.");
            }
        }
    }

    /** Voltages the maker accepts at the terminals. */
    public record VoltageRange(Voltage lowest, Voltage highest) {
        public VoltageRange {
            if (lowest.si() > highest.si()) {
                throw new IllegalArgumentException("The lowest supply voltage lies above the highest.");
            }
        }
    }

    /** Airflow of an indoor unit against an external static pressure. */
    public record FanPoint(PressureDifference staticPressure, VolumeFlow airflow) {}

    /**
     * Torque of a flare nut on a tube of this outer diameter.
     *
     * @param least where the maker gives one figure, that
     * @param most likewise
     */
    public record FlareTorque(Length tube, Torque least, Torque most) {
        public FlareTorque {
            if (least.si() > most.si()) {
                throw new RefusedException(
                        "A torque runs from the lower figure to the higher: {least} to {most}.", least, most);
            }
        }

        public boolean oneFigure() {
            return least.equals(most);
        }
    }

    /** Whether a capacity is for cooling or heating. */
    public enum Mode {
        COOLING,
        HEATING
    }

    /**
     * One entry of a capacity table.
     *
     * @param indoor entering wet bulb when cooling, dry bulb when heating
     * @param input electric power that it takes then, all of the system
     */
    public record Capacity(
            Mode mode,
            Temperature outdoor,
            Temperature indoor,
            Power total,
            Optional<Power> sensible,
            Optional<Power> input) {}

    /** Capacity at another airflow, as a share of the rated. */
    public record FlowFactor(VolumeFlow airflow, Ratio capacity) {}

    /**
     * A listed pair at the cooling rating point, 26.7/19.4 °C entering and 35 °C outdoors.
     *
     * @param cooling total net capacity
     * @param airflow indoor airflow, empty where the sheet does not say
     * @param sensibleRatio sensible share of capacity, empty where the sheet does not say
     * @param heating total capacity at the heating rating point, 8.3 °C outdoors
     * @param meteringSize orifice the pair asks for
     * @param capacities capacity away from the rating point
     * @param flowFactors capacity at other airflows
     */
    public record Pair(
            String indoorModel,
            Optional<Power> cooling,
            Optional<VolumeFlow> airflow,
            Optional<Ratio> sensibleRatio,
            Optional<Power> heating,
            Optional<Length> meteringSize,
            List<Capacity> capacities,
            List<FlowFactor> flowFactors) {
        /** Of temperatures written in two units, K. */
        private static final double SAME = 1e-6;

        /** Whether anything listed of it is of heating. */
        public boolean heats() {
            return heating.isPresent() || capacities.stream().anyMatch(each -> each.mode() == Mode.HEATING);
        }

        public Pair {
            capacities = List.copyOf(capacities);
            flowFactors = List.copyOf(flowFactors);
        }

        /** A pair of which only the rating is known. */
        public static Pair rated(
                String indoorModel,
                Optional<Power> cooling,
                Optional<VolumeFlow> airflow,
                Optional<Ratio> sensibleRatio) {
            return new Pair(
                    indoorModel,
                    cooling,
                    airflow,
                    sensibleRatio,
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of());
        }

        /**
         * Total capacity at an outdoor temperature, between the table's entries for the indoor state nearest the one asked for;
         * empty outside the table.
         */
        public Optional<Power> capacity(Mode mode, Temperature outdoor, Temperature indoor) {
            return between(mode, outdoor, indoor, entry -> Optional.of(entry.total));
        }

        /** Electric power at an outdoor temperature, read from the table in the same way. */
        public Optional<Power> input(Mode mode, Temperature outdoor, Temperature indoor) {
            return between(mode, outdoor, indoor, Capacity::input);
        }

        private Optional<Power> between(
                Mode mode, Temperature outdoor, Temperature indoor, Function<Capacity, Optional<Power>> what) {
            List<Capacity> known = capacities.stream()
                    .filter(c -> c.mode == mode && what.apply(c).isPresent())
                    .toList();
            Optional<Temperature> nearest = known.stream()
                    .map(Capacity::indoor)
                    .min(Comparator.comparingDouble(t -> Math.abs(t.si() - indoor.si())));
            List<Capacity> row = known.stream()
                    .filter(c -> c.indoor.equals(nearest.orElseThrow()))
                    .sorted(Comparator.comparingDouble(c -> c.outdoor.si()))
                    .toList();
            for (int i = 1; i < row.size(); i++) {
                Capacity low = row.get(i - 1);
                Capacity high = row.get(i);
                if (outdoor.si() >= low.outdoor.si() - SAME && outdoor.si() <= high.outdoor.si() + SAME) {
                    double share = (outdoor.si() - low.outdoor.si()) / (high.outdoor.si() - low.outdoor.si());
                    double there = what.apply(low).orElseThrow().si();
                    return Optional.of(Power.ofWatts(
                            there + share * (what.apply(high).orElseThrow().si() - there)));
                }
            }
            return Optional.empty();
        }
    }

    public DataSheet {
        Objects.requireNonNull(maker);
        Objects.requireNonNull(document);
        if (model == null || model.isBlank()) {
            throw new IllegalArgumentException("A data sheet needs a model");
        }
        clearances = Map.copyOf(clearances);
        mountingClearances = Map.copyOf(mountingClearances);
        neighbours = Map.copyOf(neighbours);
        values = Map.copyOf(values);
        pairs = List.copyOf(pairs);
        fan = List.copyOf(fan);
        torques = List.copyOf(torques);
        requireRising(values, SheetValue.MINIMUM_LINE_LENGTH, SheetValue.MAXIMUM_LINE_LENGTH);
        requireRising(values, SheetValue.LEAST_INLET_PRESSURE, SheetValue.MOST_INLET_PRESSURE);
        requireRising(values, SheetValue.LEAST_MANIFOLD_PRESSURE, SheetValue.MOST_MANIFOLD_PRESSURE);
        requireRising(values, SheetValue.LOW_STAGE_CURRENT, SheetValue.HIGH_STAGE_CURRENT);
        requireRising(values, SheetValue.MAXIMUM_LINE_LENGTH, SheetValue.MAXIMUM_EQUIVALENT_LENGTH);
        requireRising(values, SheetValue.LOWEST_MOUNTING, SheetValue.HIGHEST_MOUNTING);
        requireRising(values, SheetValue.LEAST_CABINET_TILT, SheetValue.MOST_CABINET_TILT);
        requireRising(values, SheetValue.LOWEST_TEMPERATURE_RISE, SheetValue.HIGHEST_TEMPERATURE_RISE);
        requireRising(values, SheetValue.MINIMUM_CIRCUIT_AMPACITY, SheetValue.MAXIMUM_OVERCURRENT_DEVICE);
        requireRising(values, SheetValue.LIQUID_LINE, SheetValue.SUCTION_LINE);
        requireFalling(fan);
        values.forEach((what, value) -> {
            if (value.dimension() != what.dimension()) {
                throw new RefusedException(
                        "{what} must be {quantity}.",
                        what.title(),
                        what.dimension().named());
            }
            if (!what.possible(value.si())) {
                throw new RefusedException("{what} cannot be {value}.", what.title(), value);
            }
        });
    }

    /** A fan moves less air against more pressure; of two figures for one pressure nobody can tell which is meant. */
    private static void requireFalling(List<FanPoint> fan) {
        List<FanPoint> byPressure = fan.stream()
                .sorted(Comparator.comparingDouble(point -> point.staticPressure.si()))
                .toList();
        for (int i = 1; i < byPressure.size(); i++) {
            FanPoint before = byPressure.get(i - 1);
            FanPoint point = byPressure.get(i);
            if (point.staticPressure.equals(before.staticPressure)) {
                throw new RefusedException("The fan table gives {staticPressure} twice.", point.staticPressure);
            }
            if (point.airflow.si() > before.airflow.si()) {
                throw new RefusedException(
                        "The fan table turns back: {airflow} at {pressure} is more than {before} at {pressureBefore}.",
                        point.airflow,
                        point.staticPressure,
                        before.airflow,
                        before.staticPressure);
            }
        }
    }

    private static void requireRising(Map<SheetValue, Quantity> values, SheetValue low, SheetValue high) {
        if (values.containsKey(low)
                && values.containsKey(high)
                && values.get(low).si() > values.get(high).si()) {
            throw new RefusedException(
                    "The sheet contradicts itself: \"{low}\" ({lowValue}) lies above \"{high}\" ({highValue}).",
                    low.title(),
                    values.get(low),
                    high.title(),
                    values.get(high));
        }
    }

    /** A sheet that says nothing yet. */
    public static DataSheet of(String maker, String model, String document) {
        return new DataSheet(
                maker,
                model,
                document,
                Optional.empty(),
                Optional.empty(),
                Map.of(),
                Map.of(),
                Map.of(),
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of());
    }

    /** This sheet with one more value. */
    public DataSheet with(SheetValue what, Quantity value) {
        Map<SheetValue, Quantity> more = new EnumMap<>(SheetValue.class);
        more.putAll(values);
        more.put(what, value);
        return new DataSheet(
                maker,
                model,
                document,
                refrigerant,
                size,
                clearances,
                mountingClearances,
                neighbours,
                more,
                supply,
                meteringDevice,
                saltAir,
                pairs,
                fan,
                torques);
    }

    public Optional<Quantity> value(SheetValue what) {
        return Optional.ofNullable(values.get(what));
    }

    /** A length the sheet gives. */
    public Optional<Length> length(SheetValue value) {
        return value(value).map(Length.class::cast);
    }

    /** The clear distance asked for on a face, by the way the unit is mounted where that matters. */
    public Optional<Length> clearance(Face face, Optional<Mounting> mounting) {
        return mounting.map(m -> mountingClearances.getOrDefault(m, Map.of()).get(face))
                .or(() -> Optional.ofNullable(clearances.get(face)));
    }

    /** The distance asked for to another unit: its own value, else as to a wall. */
    public Optional<Length> neighbour(Face face, Optional<Mounting> mounting) {
        return Optional.ofNullable(neighbours.get(face)).or(() -> clearance(face, mounting));
    }

    /** The listing of an indoor model with this outdoor one. */
    public Optional<Pair> pairWith(String indoorModel) {
        return pairs.stream()
                .filter(pair -> ModelName.same(pair.indoorModel, indoorModel))
                .findFirst();
    }

    /**
     * The kind of unit it is of, by what it says: who lists pairs or has a compressor is an outdoor unit, with the room's airflow
     * besides a packaged one; what burns is a furnace, without a coil where it names no refrigerant; what is hung on a wall says how.
     */
    public Component.Kind kind() {
        boolean burns = value(SheetValue.FUEL_INPUT).isPresent();
        boolean compressor = value(SheetValue.COMPRESSOR_CURRENT).isPresent();
        if (pairs.isEmpty() && compressor && value(SheetValue.AIRFLOW).isPresent()) {
            return burns ? Component.Kind.PACKAGED_FUEL : Component.Kind.PACKAGED;
        }
        if (!pairs.isEmpty() || compressor) {
            return Component.Kind.OUTDOOR;
        }
        if (burns) {
            return refrigerant.isPresent() ? Component.Kind.FURNACE_COIL : Component.Kind.FURNACE;
        }
        return value(SheetValue.LOWEST_MOUNTING).isPresent()
                        || value(SheetValue.LEAST_CABINET_TILT).isPresent()
                ? Component.Kind.INDOOR_WALL
                : Component.Kind.INDOOR_DUCTED;
    }

    /** Whether a circuit of its own feeds it: what stands outdoors always, another where its plate says for what circuit. */
    public boolean ownSupply() {
        return kind().outdoor() || value(SheetValue.MINIMUM_CIRCUIT_AMPACITY).isPresent();
    }
}
