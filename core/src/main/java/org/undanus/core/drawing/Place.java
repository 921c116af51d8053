package org.undanus.core.drawing;

/** A point of a drawing in its own measure; x to the right, y upwards. */
public record Place(double x, double y) {
    public Place {
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new IllegalArgumentException("No such place: " + x + ", " + y);
        }
    }

    public static Place of(double x, double y) {
        return new Place(x, y);
    }

    public Place plus(double dx, double dy) {
        return new Place(x + dx, y + dy);
    }
}
