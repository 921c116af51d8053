package org.undanus.core.judgement;

import org.undanus.core.installation.SheetValue;
import org.undanus.core.rules.Bound;

/** A value of a unit's data sheet taken as a limit. */
public record SheetLimit(SheetValue value, Bound bound) {

    public static SheetLimit atLeast(SheetValue value) {
        return new SheetLimit(value, Bound.AT_LEAST);
    }

    public static SheetLimit atMost(SheetValue value) {
        return new SheetLimit(value, Bound.AT_MOST);
    }
}
