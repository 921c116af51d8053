package org.undanus.server.datasheet;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.server.problem.UnsuitableException;

/** A data sheet as files carry it: every figure in field notation, as the sheet prints it. */
public record SheetRecord(
        String maker,
        String model,
        String document,
        Optional<String> refrigerant,
        Optional<SizeRecord> size,
        Optional<Map<String, String>> clearances,
        Optional<String> lowestMounting,
        Optional<RangeRecord> supply,
        Optional<String> minimumCircuitAmpacity,
        Optional<String> maximumOvercurrentDevice,
        Optional<List<PairRecord>> pairs) {

    public record SizeRecord(String width, String depth, String height) {}

    public record RangeRecord(String lowest, String highest) {}

    public record PairRecord(
            String indoorModel, Optional<String> cooling, Optional<String> airflow, Optional<String> sensibleRatio) {}

    /** @throws UnsuitableException naming the field that cannot be read */
    DataSheet sheet() {
        if (model == null || model.isBlank() || maker == null || document == null) {
            throw new UnsuitableException("dataSheets", "A data sheet needs maker, model and document.");
        }
        Map<Face, Length> faces = new EnumMap<>(Face.class);
        clearances.ifPresent(
                all -> all.forEach((key, text) -> faces.put(face(key), length("clearances." + key, text))));
        return new DataSheet(
                maker,
                model,
                document,
                refrigerant,
                size.map(s -> new DataSheet.Size(
                        length("size.width", s.width), length("size.depth", s.depth), length("size.height", s.height))),
                faces,
                lowestMounting.map(text -> length("lowestMounting", text)),
                supply.map(range -> new DataSheet.VoltageRange(
                        voltage("supply.lowest", range.lowest), voltage("supply.highest", range.highest))),
                minimumCircuitAmpacity.map(text -> current("minimumCircuitAmpacity", text)),
                maximumOvercurrentDevice.map(text -> current("maximumOvercurrentDevice", text)),
                pairs.stream().flatMap(List::stream).map(this::pair).toList());
    }

    private DataSheet.Pair pair(PairRecord pair) {
        if (pair.indoorModel == null || pair.indoorModel.isBlank()) {
            throw new UnsuitableException("dataSheets." + model + ".pairs", "A listed pair needs an indoorModel.");
        }
        return new DataSheet.Pair(
                pair.indoorModel,
                pair.cooling.map(text -> figure("pairs.cooling", text, Dimension.POWER, Power::ofWatts)),
                pair.airflow.map(text ->
                        figure("pairs.airflow", text, Dimension.VOLUME_FLOW, VolumeFlow::ofCubicMetresPerSecond)),
                pair.sensibleRatio.map(
                        text -> figure("pairs.sensibleRatio", text, Dimension.RATIO, Ratio::ofFraction)));
    }

    private Face face(String key) {
        return Arrays.stream(Face.values())
                .filter(face -> face.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new UnsuitableException(
                        "dataSheets." + model + ".clearances", "\"" + key + "\" is no face of a unit."));
    }

    private Length length(String field, String text) {
        return figure(field, text, Dimension.LENGTH, Length::ofMetres);
    }

    private Voltage voltage(String field, String text) {
        return figure(field, text, Dimension.VOLTAGE, Voltage::ofVolts);
    }

    private Current current(String field, String text) {
        return figure(field, text, Dimension.CURRENT, Current::ofAmperes);
    }

    private <Q extends Quantity> Q figure(String field, String text, Dimension dimension, Function<Double, Q> make) {
        try {
            return make.apply(FieldNotation.parse(text, dimension).value().si());
        } catch (FieldNotationException e) {
            throw new UnsuitableException("dataSheets." + model + "." + field, e.getMessage());
        }
    }
}
