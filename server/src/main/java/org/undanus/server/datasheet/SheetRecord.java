package org.undanus.server.datasheet;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Option;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
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
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/**
 * A data sheet as files carry it: every figure in field notation, as the sheet prints it. See docs/formats/data-sheet.md.
 *
 * @param figures single figures, each a member of the sheet's own object, named as {@link SheetValue#key()} says
 */
public record SheetRecord(
        String maker,
        String model,
        String document,
        Optional<String> refrigerant,
        Optional<SizeRecord> size,
        Optional<Map<String, String>> clearances,
        Optional<Map<String, Map<String, String>>> mountingClearances,
        Optional<Map<String, String>> neighbours,
        Optional<VoltageRangeRecord> supply,
        Optional<String> meteringDevice,
        Optional<Boolean> saltAir,
        Optional<List<PairRecord>> pairs,
        Optional<List<FanRecord>> fan,
        Optional<List<TorqueRecord>> torques,
        @JsonAnySetter @JsonAnyGetter Map<String, String> figures) {

    public record SizeRecord(String width, String depth, String height) {}

    public record VoltageRangeRecord(String lowest, String highest) {}

    public record FanRecord(String staticPressure, String airflow) {}

    /** @param torque one figure or a range: {@code 16 N·m}, {@code 10–13 ft·lb} */
    public record TorqueRecord(String tube, String torque) {}

    private static final Pattern RANGE =
            Pattern.compile("\\s*(?<least>[\\d.,]+)(?<unit>\\D*?)\\s*(?:–|—|-|\\bto\\b|…|\\.\\.)\\s*(?<most>\\d.*)");

    /**
     * @param indoor entering wet bulb when cooling, dry bulb when heating
     * @param input electric power that the system takes then
     */
    public record CapacityRecord(
            String mode,
            String outdoor,
            String indoor,
            String total,
            Optional<String> sensible,
            Optional<String> input) {}

    public record FlowRecord(String airflow, String capacity) {}

    public record PairRecord(
            String indoorModel,
            Optional<String> cooling,
            Optional<String> airflow,
            Optional<String> sensibleRatio,
            Optional<String> heating,
            Optional<String> meteringSize,
            Optional<List<CapacityRecord>> capacities,
            Optional<List<FlowRecord>> flowFactors) {}

    public SheetRecord {
        figures = figures == null ? Map.of() : new TreeMap<>(figures);
        meteringDevice = meteringDevice == null ? Optional.empty() : meteringDevice.map(SheetRecord::kept);
    }

    /** What is kept of a metering device: the option's id, whatever words a file or an earlier version has for it. */
    private static String kept(String device) {
        try {
            return Entry.option(PlatePoints.METERING_DEVICE, device).id();
        } catch (IllegalArgumentException unknown) {
            return device;
        }
    }

    private Option device(String named) {
        return PlatePoints.METERING_DEVICE
                .option(named)
                .orElseThrow(() -> new UnsuitableException(
                        where("meteringDevice"),
                        "\"" + named + "\" is not one of "
                                + PlatePoints.METERING_DEVICE.options().stream()
                                        .map(Option::words)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }

    /** @throws UnsuitableException where it names a refrigerant that is not among these */
    void require(Refrigerants known) {
        refrigerant
                .filter(name -> known.named(name).isEmpty())
                .ifPresent(name -> refuse("refrigerant", "No refrigerant is called {name}.", name));
    }

    /** @throws UnsuitableException naming the field that cannot be read or contradicts another */
    public DataSheet sheet() {
        if (model == null || model.isBlank() || maker == null || document == null) {
            throw new UnsuitableException("dataSheets", "A data sheet needs maker, model and document.");
        }
        try {
            return new DataSheet(
                    maker,
                    model,
                    document,
                    refrigerant,
                    size.map(s -> new DataSheet.Size(
                            length("size.width", s.width),
                            length("size.depth", s.depth),
                            length("size.height", s.height))),
                    clearances.map(all -> faces("clearances", all)).orElse(Map.of()),
                    mountings(),
                    neighbours.map(all -> faces("neighbours", all)).orElse(Map.of()),
                    singles(),
                    supply.map(range -> new DataSheet.VoltageRange(
                            voltage("supply.lowest", range.lowest), voltage("supply.highest", range.highest))),
                    meteringDevice.map(this::device),
                    saltAir,
                    pairs.stream().flatMap(List::stream).map(this::pair).toList(),
                    fan.stream()
                            .flatMap(List::stream)
                            .map(point -> new DataSheet.FanPoint(
                                    figure(
                                            "fan.staticPressure",
                                            point.staticPressure,
                                            Dimension.PRESSURE_DIFFERENCE,
                                            PressureDifference::ofPascals),
                                    airflow("fan.airflow", point.airflow)))
                            .toList(),
                    torques.stream().flatMap(List::stream).map(this::torque).toList());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("dataSheets." + model, RefusedException.said(e));
        }
    }

    private Map<Mounting, Map<Face, Length>> mountings() {
        Map<Mounting, Map<Face, Length>> mountings = new EnumMap<>(Mounting.class);
        mountingClearances.ifPresent(all -> all.forEach((key, faces) -> mountings.put(
                Mounting.named(key)
                        .orElseThrow(() -> new UnsuitableException(
                                where("mountingClearances"), Text.of("\"{key}\" is no way of mounting.", key))),
                faces("mountingClearances." + key, faces))));
        return mountings;
    }

    private Map<Face, Length> faces(String field, Map<String, String> all) {
        Map<Face, Length> faces = new EnumMap<>(Face.class);
        all.forEach((key, text) -> faces.put(
                Arrays.stream(Face.values())
                        .filter(face -> face.key().equals(key))
                        .findFirst()
                        .orElseThrow(() ->
                                new UnsuitableException(where(field), Text.of("\"{key}\" is no face of a unit.", key))),
                length(field + "." + key, text)));
        return faces;
    }

    private Map<SheetValue, Quantity> singles() {
        Map<SheetValue, Quantity> read = new EnumMap<>(SheetValue.class);
        figures.forEach((key, text) -> {
            SheetValue figure = SheetValue.of(key)
                    .orElseThrow(() ->
                            new UnsuitableException(where(key), Text.of("A data sheet has no field {key}.", key)));
            read.put(figure, figure(key, text, figure.dimension(), figure.dimension()::of));
        });
        return read;
    }

    /** One figure, or a range whose first may leave its unit to the second: {@code 10–13 ft·lb}. */
    private DataSheet.FlareTorque torque(TorqueRecord each) {
        Matcher range = RANGE.matcher(each.torque == null ? "" : each.torque);
        boolean two = range.matches();
        String most = two ? range.group("most") : each.torque;
        String least = !two
                ? each.torque
                : range.group("unit").isBlank()
                        ? range.group("least") + " " + most.replaceFirst("^[\\d.,]+", "")
                        : range.group("least") + " " + range.group("unit");
        return new DataSheet.FlareTorque(
                length("torques.tube", each.tube),
                figure("torques.torque", least, Dimension.TORQUE, Torque::ofNewtonMetres),
                figure("torques.torque", most, Dimension.TORQUE, Torque::ofNewtonMetres));
    }

    private DataSheet.Pair pair(PairRecord pair) {
        if (pair.indoorModel == null || pair.indoorModel.isBlank()) {
            throw new UnsuitableException(where("pairs"), "A listed pair needs an indoorModel.");
        }
        return new DataSheet.Pair(
                pair.indoorModel,
                pair.cooling.map(text -> power("pairs.cooling", text)),
                pair.airflow.map(text -> airflow("pairs.airflow", text)),
                pair.sensibleRatio.map(text -> ratio("pairs.sensibleRatio", text)),
                pair.heating.map(text -> power("pairs.heating", text)),
                pair.meteringSize.map(text -> length("pairs.meteringSize", text)),
                pair.capacities.stream()
                        .flatMap(List::stream)
                        .map(this::capacity)
                        .toList(),
                pair.flowFactors.stream()
                        .flatMap(List::stream)
                        .map(each -> new DataSheet.FlowFactor(
                                airflow("flowFactors.airflow", each.airflow),
                                ratio("flowFactors.capacity", each.capacity)))
                        .toList());
    }

    private DataSheet.Capacity capacity(CapacityRecord entry) {
        DataSheet.Mode mode = Arrays.stream(DataSheet.Mode.values())
                .filter(m -> m.name().equalsIgnoreCase(entry.mode))
                .findFirst()
                .orElseThrow(() -> new UnsuitableException(where("capacities.mode"), "Mode is cooling or heating."));
        return new DataSheet.Capacity(
                mode,
                temperature("capacities.outdoor", entry.outdoor),
                temperature("capacities.indoor", entry.indoor),
                power("capacities.total", entry.total),
                entry.sensible.map(text -> power("capacities.sensible", text)),
                entry.input.map(text -> power("capacities.input", text)));
    }

    private Length length(String field, String text) {
        return figure(field, text, Dimension.LENGTH, Length::ofMetres);
    }

    private Voltage voltage(String field, String text) {
        return figure(field, text, Dimension.VOLTAGE, Voltage::ofVolts);
    }

    private Power power(String field, String text) {
        return figure(field, text, Dimension.POWER, Power::ofWatts);
    }

    private VolumeFlow airflow(String field, String text) {
        return figure(field, text, Dimension.VOLUME_FLOW, VolumeFlow::ofCubicMetresPerSecond);
    }

    private Ratio ratio(String field, String text) {
        return figure(field, text, Dimension.RATIO, Ratio::ofFraction);
    }

    private Temperature temperature(String field, String text) {
        return figure(field, text, Dimension.TEMPERATURE, Temperature::ofKelvin);
    }

    private <Q extends Quantity> Q figure(String field, String text, Dimension dimension, Function<Double, Q> make) {
        if (text == null) {
            throw new UnsuitableException(where(field), "There is no figure.");
        }
        Q read;
        try {
            read = make.apply(FieldNotation.parse(text, dimension).value().si());
        } catch (FieldNotationException e) {
            throw new UnsuitableException(where(field), RefusedException.said(e));
        }
        if (read.si() < 0 && dimension != Dimension.TEMPERATURE) {
            throw new UnsuitableException(where(field), Text.of("A data sheet has no negative figures: {text}.", text));
        }
        return read;
    }

    private void refuse(String field, String template, Object... arguments) {
        refuse(field, Text.of(template, arguments));
    }

    private void refuse(String field, Text sentence) {
        throw new UnsuitableException(where(field), sentence);
    }

    private String where(String field) {
        return "dataSheets." + model + "." + field;
    }
}
