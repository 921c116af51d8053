package org.undanus.server.toolcase;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.server.problem.UnsuitableException;

/**
 * An instrument as files carry it: accuracy as its maker states it, in field notation.
 *
 * @param dimension of constant and resolution, for example {@code length}
 * @param ofReading share of the reading, for example {@code 1 %}
 */
public record InstrumentRecord(
        String id,
        String title,
        String kind,
        String dimension,
        Optional<String> ofReading,
        Optional<String> constant,
        Optional<String> resolution) {

    /** @throws UnsuitableException naming the field that cannot be read */
    Instrument instrument() {
        if (id == null || !id.matches("[a-z0-9][a-z0-9-]{0,59}") || title == null || title.isBlank()) {
            throw new UnsuitableException("instruments", "An instrument needs a lower-case id and a title.");
        }
        InstrumentKind known = Arrays.stream(InstrumentKind.values())
                .filter(k -> k.key().equals(kind))
                .findFirst()
                .orElseThrow(() -> unsuitable("kind", "\"" + kind + "\" is no kind of instrument."));
        Dimension stated = Arrays.stream(Dimension.values())
                .filter(d -> d.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(dimension))
                .findFirst()
                .orElseThrow(() -> unsuitable("dimension", "\"" + dimension + "\" is no dimension."));
        return new Instrument(
                id,
                title,
                known,
                new Accuracy(
                        figure("ofReading", ofReading, Dimension.RATIO),
                        0,
                        0,
                        figure("constant", constant, stated),
                        figure("resolution", resolution, stated)));
    }

    private double figure(String field, Optional<String> text, Dimension stated) {
        try {
            double figure =
                    text.map(t -> FieldNotation.parse(t, stated).value().si()).orElse(0.0);
            if (figure < 0) {
                throw unsuitable(field, "Accuracy figures are never negative.");
            }
            return figure;
        } catch (FieldNotationException e) {
            throw unsuitable(field, e.getMessage());
        }
    }

    private UnsuitableException unsuitable(String field, String sentence) {
        return new UnsuitableException("instruments." + id + "." + field, sentence);
    }
}
