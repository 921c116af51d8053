package org.undanus.core.judgement;

import org.undanus.core.installation.SheetFigure;
import org.undanus.core.rules.Bound;

/** A figure of a unit's data sheet taken as a limit. */
public record SheetLimit(SheetFigure figure, Bound bound) {

    public static SheetLimit atLeast(SheetFigure figure) {
        return new SheetLimit(figure, Bound.AT_LEAST);
    }

    public static SheetLimit atMost(SheetFigure figure) {
        return new SheetLimit(figure, Bound.AT_MOST);
    }
}
