package org.undanus.core.drawing;

/** What of the plane a drawing covers, and how it comes to the sheet. */
public record Frame(double left, double low, double right, double high, Scale scale) {
    /** Showing more than this share of a drawing is showing it all. */
    private static final double MOST_OF_IT = 0.6;

    /** How a drawing's measure becomes dots. */
    public enum Scale {
        /** Both directions alike, as large as the sheet allows. */
        TO_SCALE,
        /** Each direction as wide as the sheet: a chart. */
        STRETCHED,
        /** As wide as the sheet; upwards each unit is a line of letters, however high that comes. */
        ROWS
    }

    public Frame {
        if (!(left < right && low < high)) {
            throw new IllegalArgumentException("A frame has a width and a height");
        }
    }

    public static Frame toScale(double left, double low, double right, double high) {
        return new Frame(left, low, right, high, Scale.TO_SCALE);
    }

    public static Frame stretched(double left, double low, double right, double high) {
        return new Frame(left, low, right, high, Scale.STRETCHED);
    }

    /** A frame of lines of letters, counted from the lowest. */
    public static Frame rows(double across, double rows) {
        return new Frame(0, 0, across, rows, Scale.ROWS);
    }

    boolean holds(Place place) {
        return place.x() >= left && place.x() <= right && place.y() >= low && place.y() <= high;
    }

    /** Whether another reaches well beyond this one. */
    boolean isPartOf(Frame other) {
        return width() * height() < MOST_OF_IT * other.width() * other.height();
    }

    double width() {
        return right - left;
    }

    double height() {
        return high - low;
    }
}
