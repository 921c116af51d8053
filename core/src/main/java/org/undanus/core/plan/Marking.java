package org.undanus.core.plan;

import java.util.List;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.Point;

/**
 * What can be marked by a tap, or by an instrument, while a station's curves are taken.
 *
 * @param line the marks are read on
 * @param curves they count from: the first that has samples
 * @param acts that can be marked, in the order they are done
 */
public record Marking(Point line, List<Point> curves, List<Marks.Act> acts) {
    public Marking {
        curves = List.copyOf(curves);
        acts = List.copyOf(acts);
    }
}
