package org.undanus.server.toolcase;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.server.problem.UnsuitableException;

/**
 * An instrument as files carry it: figures as its maker states them, in field notation. See docs/formats/case.md.
 *
 * @param dimension of constant, full scale, range and resolution, for example {@code length}; empty for that of its kind
 * @param ofReading share of the reading, for example {@code 1 %}
 * @param ofFullScale share of the full scale
 * @param refrigerants those it is rated for, empty where it touches none
 * @param mostPressure the highest pressure it may be put to
 */
public record InstrumentRecord(
        String id,
        String title,
        String kind,
        Optional<String> dimension,
        Optional<String> ofReading,
        Optional<String> ofFullScale,
        Optional<String> fullScale,
        Optional<String> constant,
        Optional<String> resolution,
        Optional<RangeRecord> range,
        Optional<List<String>> refrigerants,
        Optional<Boolean> flammable,
        Optional<String> mostPressure,
        Optional<List<CalibrationRecord>> calibrations) {

    public record RangeRecord(String lowest, String highest) {}

    /**
     * @param months for how long it holds
     * @param certificate its number, empty where it has none
     * @param file SHA-256 of the certificate's file, where one is kept
     */
    public record CalibrationRecord(LocalDate on, int months, Optional<String> certificate, Optional<String> file) {}

    /** @throws UnsuitableException naming the field that cannot be read */
    Instrument instrument() {
        if (id == null || !id.matches("[a-z0-9][a-z0-9-]{0,59}") || title == null || title.isBlank()) {
            throw new UnsuitableException("instruments", "An instrument needs a lower-case id and a title.");
        }
        InstrumentKind known = Arrays.stream(InstrumentKind.values())
                .filter(k -> k.key().equals(kind))
                .findFirst()
                .orElseThrow(() -> unsuitable("kind", "\"" + kind + "\" is no kind of instrument."));
        Dimension stated = dimension
                .map(name -> dimensionNamed(name)
                        .orElseThrow(() -> unsuitable("dimension", "\"" + name + "\" is no dimension.")))
                .or(known::dimension)
                .orElseThrow(() -> unsuitable("kind", "What is read off is read without an instrument."));
        double share = accuracy("ofFullScale", ofFullScale, Dimension.RATIO);
        double scale = accuracy("fullScale", fullScale, stated);
        if (share > 0 && scale == 0) {
            throw unsuitable("fullScale", "A share of the full scale needs the full scale.");
        }
        try {
            return new Instrument(
                    id,
                    title,
                    known,
                    new Accuracy(
                            accuracy("ofReading", ofReading, Dimension.RATIO),
                            share,
                            scale,
                            accuracy("constant", constant, stated),
                            accuracy("resolution", resolution, stated)),
                    range.map(r -> new Instrument.Range(
                            absolute(stated),
                            figure("range.lowest", r.lowest, absolute(stated)),
                            figure("range.highest", r.highest, absolute(stated)))),
                    refrigerants.orElse(List.of()).stream()
                            .map(this::refrigerant)
                            .toList(),
                    flammable.orElse(false),
                    mostPressure.map(
                            text -> GaugePressure.ofPascals(figure("mostPressure", text, Dimension.GAUGE_PRESSURE))),
                    calibrations.orElse(List.of()).stream()
                            .map(this::calibration)
                            .toList());
        } catch (IllegalArgumentException e) {
            throw unsuitable("range", e.getMessage());
        }
    }

    /** A thermometer's accuracy is a difference; what it shows is a temperature. */
    private static Dimension absolute(Dimension stated) {
        return stated == Dimension.TEMPERATURE_DIFFERENCE ? Dimension.TEMPERATURE : stated;
    }

    private Instrument.Calibration calibration(CalibrationRecord record) {
        if (record.on == null) {
            throw unsuitable("calibrations", "A calibration needs its day.");
        }
        try {
            return new Instrument.Calibration(record.on, record.months, record.certificate.orElse(""));
        } catch (IllegalArgumentException e) {
            throw unsuitable("calibrations", e.getMessage());
        }
    }

    private String refrigerant(String name) {
        if (!PlatePoints.REFRIGERANT.options().contains(name)) {
            throw unsuitable("refrigerants", "No refrigerant is called " + name + ".");
        }
        return name;
    }

    static Optional<Dimension> dimensionNamed(String name) {
        return Arrays.stream(Dimension.values())
                .filter(d -> d.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(name))
                .findFirst();
    }

    private double accuracy(String field, Optional<String> text, Dimension stated) {
        double figure = text.filter(t -> !t.isBlank())
                .map(t -> figure(field, t, stated))
                .orElse(0.0);
        if (figure < 0) {
            throw unsuitable(field, "Accuracy figures are never negative.");
        }
        return figure;
    }

    private double figure(String field, String text, Dimension stated) {
        try {
            return FieldNotation.parse(text, stated).value().si();
        } catch (FieldNotationException e) {
            throw unsuitable(field, e.getMessage());
        }
    }

    private UnsuitableException unsuitable(String field, String sentence) {
        return new UnsuitableException("instruments." + id + "." + field, sentence);
    }
}
