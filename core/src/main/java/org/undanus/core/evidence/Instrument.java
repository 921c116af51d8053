package org.undanus.core.evidence;

import java.util.Objects;
import org.undanus.core.quantity.Accuracy;

/** One instrument of the toolcase. */
public record Instrument(String id, String title, InstrumentKind kind, Accuracy accuracy) {
    public Instrument {
        Objects.requireNonNull(id);
        Objects.requireNonNull(title);
        Objects.requireNonNull(kind);
        Objects.requireNonNull(accuracy);
    }
}
