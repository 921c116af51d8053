package org.undanus.core.installation;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.VolumeFlow;

/**
 * What a maker says of one model. Anything the sheet leaves out is empty.
 *
 * @param document the sheet's own number and edition, printed as the source of its limits
 * @param clearances least clear distance by face
 * @param lowestMounting least height of the unit's underside over the floor
 * @param supply voltage range at the terminals the maker accepts
 * @param pairs indoor models this outdoor model is listed with, with the pair's rating
 */
public record DataSheet(
        String maker,
        String model,
        String document,
        Optional<String> refrigerant,
        Optional<Size> size,
        Map<Face, Length> clearances,
        Optional<Length> lowestMounting,
        Optional<VoltageRange> supply,
        Optional<Current> minimumCircuitAmpacity,
        Optional<Current> maximumOvercurrentDevice,
        List<Pair> pairs) {

    /** Outer sizes of the cabinet. */
    public record Size(Length width, Length depth, Length height) {}

    /** Voltages the maker accepts at the terminals. */
    public record VoltageRange(Voltage lowest, Voltage highest) {}

    /**
     * A listed pair at the cooling rating point, 26.7/19.4 °C entering and 35 °C outdoors.
     *
     * @param cooling total net capacity
     * @param airflow indoor airflow, empty where the sheet does not say
     * @param sensibleRatio sensible share of capacity, empty where the sheet does not say
     */
    public record Pair(
            String indoorModel, Optional<Power> cooling, Optional<VolumeFlow> airflow, Optional<Ratio> sensibleRatio) {}

    public DataSheet {
        Objects.requireNonNull(maker);
        Objects.requireNonNull(document);
        if (model == null || model.isBlank()) {
            throw new IllegalArgumentException("A data sheet needs a model");
        }
        clearances = Map.copyOf(clearances);
        pairs = List.copyOf(pairs);
    }

    /** The listing of an indoor model with this outdoor one. */
    public Optional<Pair> pairWith(String indoorModel) {
        return pairs.stream()
                .filter(pair -> ModelName.same(pair.indoorModel, indoorModel))
                .findFirst();
    }
}
