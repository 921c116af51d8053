package org.undanus.server.instrument;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/**
 * An instrument as files carry it: figures as its maker states them, in field notation. See docs/formats/case.md.
 *
 * <p>One that shows one thing says so itself; one that shows several lists them as channels instead.
 *
 * @param dimension of constant, full scale, range and resolution, for example {@code length}; empty for that of its kind
 * @param ofReading share of the reading, for example {@code 1 %}
 * @param ofFullScale share of the full scale
 * @param channels what it shows, where that is more than one thing
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
        Optional<List<ChannelRecord>> channels,
        Optional<List<String>> refrigerants,
        Optional<Boolean> flammable,
        Optional<String> mostPressure,
        Optional<List<CalibrationRecord>> calibrations) {

    public record RangeRecord(String lowest, String highest) {}

    /** @param name for example {@code low side} */
    public record ChannelRecord(
            Optional<String> name,
            Optional<String> dimension,
            Optional<String> ofReading,
            Optional<String> ofFullScale,
            Optional<String> fullScale,
            Optional<String> constant,
            Optional<String> resolution,
            Optional<RangeRecord> range) {

        /** As its maker states it: "1 % of reading + 0.3 V". */
        Text accuracy() {
            List<Text> parts = Stream.of(
                            ofReading.map(share -> Text.of("{share} of reading", share)),
                            ofFullScale.map(
                                    share -> Text.of("{share} of {scale}", share, fullScale.orElse("full scale"))),
                            constant.map(Text::plain))
                    .flatMap(Optional::stream)
                    .toList();
            return parts.stream()
                    .reduce((first, other) -> Text.of("{first} + {other}", first, other))
                    .orElse(Text.empty());
        }
    }

    private static final int MOST_CHANNELS = 16;

    /** What it shows, as it is written. */
    List<ChannelRecord> shown() {
        ChannelRecord own = new ChannelRecord(
                Optional.empty(), dimension, ofReading, ofFullScale, fullScale, constant, resolution, range);
        return channels.filter(all -> !all.isEmpty()).orElse(List.of(own));
    }

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
                .orElseThrow(() -> unsuitable("kind", "\"{kind}\" is no kind of instrument.", kind));
        if (channels.isPresent()
                && Stream.of(dimension, ofReading, ofFullScale, fullScale, constant, resolution, range)
                        .anyMatch(Optional::isPresent)) {
            throw unsuitable("channels", "Either the instrument states its accuracy or its channels do.");
        }
        if (shown().size() > MOST_CHANNELS || shown().stream().anyMatch(Objects::isNull)) {
            throw unsuitable("channels", "An instrument shows {mostChannels} things at most.", MOST_CHANNELS);
        }
        try {
            return new Instrument(
                    id,
                    title,
                    known,
                    shown().stream().map(channel -> channel(channel, known)).toList(),
                    refrigerants.orElse(List.of()),
                    flammable.orElse(false),
                    mostPressure.map(
                            text -> GaugePressure.ofPascals(figure("mostPressure", text, Dimension.GAUGE_PRESSURE))),
                    calibrations.orElse(List.of()).stream()
                            .map(this::calibration)
                            .toList());
        } catch (IllegalArgumentException e) {
            throw unsuitable("range", RefusedException.said(e));
        }
    }

    private Channel channel(ChannelRecord record, InstrumentKind known) {
        Dimension stated = record.dimension
                .map(name -> dimensionNamed(name)
                        .orElseThrow(() -> unsuitable("dimension", "\"{name}\" is no dimension.", name)))
                .or(known::dimension)
                .orElseThrow(() -> unsuitable("kind", "What is read off is read without an instrument."));
        double share = accuracy("ofFullScale", record.ofFullScale, Dimension.RATIO);
        double scale = accuracy("fullScale", record.fullScale, stated);
        if (share > 0 && scale == 0) {
            throw unsuitable("fullScale", "A share of the full scale needs the full scale.");
        }
        return new Channel(
                record.name.orElse("").strip(),
                stated,
                new Accuracy(
                        accuracy("ofReading", record.ofReading, Dimension.RATIO),
                        share,
                        scale,
                        accuracy("constant", record.constant, stated),
                        accuracy("resolution", record.resolution, stated)),
                record.range.map(r -> new Channel.Range(
                        Channel.shown(stated),
                        figure("range.lowest", r.lowest, Channel.shown(stated)),
                        figure("range.highest", r.highest, Channel.shown(stated)))));
    }

    private Instrument.Calibration calibration(CalibrationRecord record) {
        if (record.on == null) {
            throw unsuitable("calibrations", "A calibration needs its day.");
        }
        try {
            return new Instrument.Calibration(record.on, record.months, record.certificate.orElse(""));
        } catch (IllegalArgumentException e) {
            throw unsuitable("calibrations", RefusedException.said(e));
        }
    }

    /** @throws UnsuitableException where it names a refrigerant that is not among these */
    void require(Refrigerants known) {
        refrigerants.stream()
                .flatMap(List::stream)
                .filter(name -> known.named(name).isEmpty())
                .findFirst()
                .ifPresent(name -> {
                    throw unsuitable("refrigerants", "No refrigerant is called {name}.", name);
                });
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
            throw unsuitable(field, "Numbers of an accuracy are never negative.");
        }
        return figure;
    }

    private double figure(String field, String text, Dimension stated) {
        try {
            return FieldNotation.parse(text, stated).value().si();
        } catch (FieldNotationException e) {
            throw unsuitable(field, RefusedException.said(e));
        }
    }

    private UnsuitableException unsuitable(String field, String template, Object... arguments) {
        return unsuitable(field, Text.of(template, arguments));
    }

    private UnsuitableException unsuitable(String field, Text sentence) {
        return new UnsuitableException("instruments." + id + "." + field, sentence);
    }
}
