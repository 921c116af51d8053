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
 * @param due the first stage at which it has to be read
 * @param hidden whether it is out of sight once walls and covers are closed
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
        boolean optional,
        Stage due,
        boolean hidden) {

    /** How many times wider than plausible the range of possible values is. */
    private static final double WIDER = 100;

    /** What sort of answer a point takes. */
    public enum Kind {
        QUANTITY,
        CHOICE,
        YES_NO,
        TEXT,
        MONTH
    }

    private static Point plain(String id, Kind kind, Scope scope, String title, String how) {
        return made(id, kind, scope, title, how, Optional.empty(), List.of(), 0, 0);
    }

    private static Point made(
            String id,
            Kind kind,
            Scope scope,
            String title,
            String how,
            Optional<Dimension> dimension,
            List<String> options,
            double least,
            double most) {
        return new Point(
                id,
                kind,
                scope,
                title,
                how,
                "",
                dimension,
                List.copyOf(options),
                InstrumentKind.READ_OFF,
                least,
                most,
                false,
                Stage.FINAL,
                false);
    }

    /** @param least smallest plausible value in SI */
    public static Point quantity(
            String id, Scope scope, Dimension dimension, String title, String how, double least, double most) {
        return made(id, Kind.QUANTITY, scope, title, how, Optional.of(dimension), List.of(), least, most);
    }

    public static Point choice(String id, Scope scope, String title, String how, List<String> options) {
        return made(id, Kind.CHOICE, scope, title, how, Optional.empty(), options, 0, 0);
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
        return changed(caution, usual, optional, due, hidden);
    }

    public Point withCaution(String words) {
        return changed(words, instrument, optional, due, hidden);
    }

    public Point asOptional() {
        return changed(caution, instrument, true, due, hidden);
    }

    /** The same, to be read from this stage on. */
    public Point dueAt(Stage first) {
        return changed(caution, instrument, optional, first, hidden);
    }

    /** The same, to be read before walls and covers are closed. */
    public Point hiddenLater() {
        return changed(caution, instrument, optional, Stage.BEFORE_COVER, true);
    }

    private Point changed(
            String newCaution, InstrumentKind usual, boolean newOptional, Stage first, boolean newHidden) {
        return new Point(
                id,
                kind,
                scope,
                title,
                how,
                newCaution,
                dimension,
                options,
                usual,
                least,
                most,
                newOptional,
                first,
                newHidden);
    }

    /** Whether a value is within what is usual; outside, the screen asks once. */
    public boolean plausible(double si) {
        return kind != Kind.QUANTITY || (si >= least && si <= most);
    }

    /**
     * Whether a value can be a reading of this at all. Much wider than plausible, and a size that is never nought or
     * negative stays so. What is not possible is refused, and cannot be confirmed.
     */
    public boolean possible(double si) {
        return kind != Kind.QUANTITY
                || (si >= lowestPossible() && si <= highestPossible() && (!counted() || whole(si)));
    }

    /** In SI. */
    public double lowestPossible() {
        if (shifted()) {
            return least - WIDER;
        }
        return counted() || least == 0 ? least : least > 0 ? least / WIDER : least * WIDER;
    }

    /** In SI. */
    public double highestPossible() {
        return shifted() ? most + WIDER : Math.max(most, 0) * WIDER;
    }

    /** Things, which come whole. */
    public boolean counted() {
        return dimension.filter(Dimension.COUNT::equals).isPresent();
    }

    private static boolean whole(double si) {
        return si == Math.rint(si);
    }

    /** A scale whose zero means nothing: there, wider is so many kelvin or decibels more, not so many times more. */
    private boolean shifted() {
        return dimension
                .filter(d -> d == Dimension.TEMPERATURE || d == Dimension.SOUND_LEVEL)
                .isPresent();
    }
}
