package org.undanus.core.evidence;

import java.util.List;
import java.util.Optional;
import org.undanus.core.quantity.Dimension;

/**
 * Something that can be read on a system: a line of the walk.
 *
 * @param id stable name, {@code station.point}
 * @param title what the line is called
 * @param how how to read it
 * @param caution what could hurt, empty where nothing does
 * @param dimension for quantities
 * @param options for choices, in the order shown
 * @param least smallest plausible value in SI; outside, the screen asks once
 * @param most largest plausible value in SI
 * @param optional whether the station can be complete without it
 */
public record Point(
        String id,
        Kind kind,
        Scope scope,
        String title,
        String how,
        String caution,
        Optional<Dimension> dimension,
        List<String> options,
        InstrumentKind instrument,
        double least,
        double most,
        boolean optional) {

    /** What sort of answer a point takes. */
    public enum Kind {
        QUANTITY,
        CHOICE,
        YES_NO,
        TEXT,
        MONTH
    }

    private static Point plain(String id, Kind kind, Scope scope, String title, String how) {
        return new Point(
                id, kind, scope, title, how, "", Optional.empty(), List.of(), InstrumentKind.READ_OFF, 0, 0, false);
    }

    /** @param least smallest plausible value in SI */
    public static Point quantity(
            String id, Scope scope, Dimension dimension, String title, String how, double least, double most) {
        return new Point(
                id,
                Kind.QUANTITY,
                scope,
                title,
                how,
                "",
                Optional.of(dimension),
                List.of(),
                InstrumentKind.READ_OFF,
                least,
                most,
                false);
    }

    public static Point choice(String id, Scope scope, String title, String how, List<String> options) {
        Point p = plain(id, Kind.CHOICE, scope, title, how);
        return new Point(
                id, p.kind, scope, title, how, "", p.dimension, List.copyOf(options), p.instrument, 0, 0, false);
    }

    public static Point yesNo(String id, Scope scope, String title, String how) {
        return plain(id, Kind.YES_NO, scope, title, how);
    }

    public static Point text(String id, Scope scope, String title, String how) {
        return plain(id, Kind.TEXT, scope, title, how);
    }

    /** A month or week, as stamped on plates. */
    public static Point month(String id, Scope scope, String title, String how) {
        return plain(id, Kind.MONTH, scope, title, how);
    }

    public Point with(InstrumentKind usual) {
        return new Point(id, kind, scope, title, how, caution, dimension, options, usual, least, most, optional);
    }

    public Point withCaution(String words) {
        return new Point(id, kind, scope, title, how, words, dimension, options, instrument, least, most, optional);
    }

    public Point asOptional() {
        return new Point(id, kind, scope, title, how, caution, dimension, options, instrument, least, most, true);
    }

    public boolean plausible(double si) {
        return kind != Kind.QUANTITY || (si >= least && si <= most);
    }
}
