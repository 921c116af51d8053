package org.undanus.server.photo;

/**
 * An arrow or a circle over a photo, which itself stays as it is. Places are shares of the picture's width and height, from 0 to 1.
 *
 * @param x where an arrow begins, or the middle of a circle
 * @param toX where an arrow points, or a place on the circle
 */
public record PhotoMark(Kind kind, double x, double y, double toX, double toY) {

    public enum Kind {
        ARROW,
        CIRCLE
    }

    boolean within() {
        return kind != null && inside(x) && inside(y) && inside(toX) && inside(toY);
    }

    private static boolean inside(double share) {
        return share >= 0 && share <= 1;
    }
}
