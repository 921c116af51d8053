package org.undanus.core.drawing;

/**
 * What of the plane a drawing covers.
 *
 * @param toScale whether both directions have one scale; a chart's do not
 */
public record Frame(double left, double low, double right, double high, boolean toScale) {
    public Frame {
        if (!(left < right && low < high)) {
            throw new IllegalArgumentException("A frame has a width and a height");
        }
    }

    public static Frame toScale(double left, double low, double right, double high) {
        return new Frame(left, low, right, high, true);
    }

    public static Frame stretched(double left, double low, double right, double high) {
        return new Frame(left, low, right, high, false);
    }

    boolean holds(Place place) {
        return place.x() >= left && place.x() <= right && place.y() >= low && place.y() <= high;
    }

    double width() {
        return right - left;
    }

    double height() {
        return high - low;
    }
}
