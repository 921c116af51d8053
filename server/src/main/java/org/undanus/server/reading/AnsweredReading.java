package org.undanus.server.reading;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.PointKey;

/** A reading that comes with an answer: to a correction, or to a question about a record. */
public record AnsweredReading(
        @NotBlank(message = "is empty") @Size(max = 80, message = "is no line") String point,
        @NotNull(message = "is missing") @Size(max = 40, message = "is no unit") String component,
        @NotBlank(message = "is empty") @Size(max = 400, message = "is longer than 400 characters") String typed,
        @NotNull(message = "is missing") Grade grade) {

    public PointKey key() {
        return new PointKey(point, component);
    }
}
