package org.undanus.core.evidence;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;

/** The instruments at hand. */
public record Toolcase(List<Instrument> instruments) {
    public static final Toolcase EMPTY = new Toolcase(List.of());

    public Toolcase {
        instruments = List.copyOf(instruments);
    }

    public Optional<Instrument> find(String id) {
        return instruments.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /**
     * The instruments of a kind that are fit for the use and whose expanded uncertainty is at most what is needed, the
     * best first.
     *
     * @param read dimension of the reading
     * @param value the size its accuracy is of, SI: about what would be read
     * @param needed expanded uncertainty (k = 2) that would settle the matter, SI
     */
    public List<Instrument> goodEnough(
            InstrumentKind kind, Dimension read, double value, double needed, Instrument.Use use) {
        return instruments.stream()
                .filter(i -> i.kind() == kind && i.unfit(use).isEmpty())
                .filter(i -> expanded(i, read, value) <= needed)
                .sorted(Comparator.comparingDouble(i -> expanded(i, read, value)))
                .toList();
    }

    /** Expanded uncertainty (k = 2) of a value read to the instrument's own last digit, SI; infinite where it shows no such thing. */
    private static double expanded(Instrument instrument, Dimension read, double value) {
        return instrument
                .channel(read)
                .map(channel -> new Uncertain(0, channel.accuracy().standardUncertainty(value, 0)).expanded())
                .orElse(Double.POSITIVE_INFINITY);
    }
}
