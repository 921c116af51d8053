package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Outline;
import org.undanus.core.words.Text;

/** What a check found, drawn: the claim on the scale of what was to be expected, or two courses over each other. */
public final class FoundFigure {
    /** Of what is drawn, left free on each side. */
    private static final double ROOM = 0.15;
    /** The claim stands out over the band. */
    private static final double OVER = 1.25;

    private static final Frame SHEET = Frame.stretched(-0.02, -0.08, 1.02, OVER + 0.05);

    private FoundFigure() {}

    /** Empty where there is nothing to draw. */
    public static Optional<Drawing> of(Found found) {
        return found.band()
                .map(FoundFigure::band)
                .or(() -> found.overlay().filter(FoundFigure::areCourses).map(FoundFigure::courses));
    }

    private static Drawing band(Found.Band band) {
        boolean low = Double.isFinite(band.low());
        boolean high = Double.isFinite(band.high());
        double least = Math.min(band.claimed(), low ? band.low() : band.high());
        double most = Math.max(band.claimed(), high ? band.high() : band.low());
        double width = most > least ? most - least : 1;
        double start = least - ROOM * width;
        double whole = width * (1 + 2 * ROOM);
        double at = (band.claimed() - start) / whole;
        Text expected = expected(band, low, high);
        Text claimed = Text.of("Claimed: {claimed}", band.dimension().of(band.claimed()));
        return Drawing.of(Text.empty(), SHEET)
                .box(
                        Role.PERMITTED,
                        low ? (band.low() - start) / whole : 0,
                        0,
                        high ? (band.high() - start) / whole : 1,
                        1)
                .line(Role.OUTLINE, Place.of(0, 0), Place.of(1, 0))
                .line(Role.READ, Place.of(at, 0), Place.of(at, OVER))
                .caption(expected)
                .caption(claimed)
                .spoken(Text.of("{expected}. {claimed}", expected, claimed));
    }

    private static Text expected(Found.Band band, boolean low, boolean high) {
        if (low && high) {
            return Text.of(
                    "Expected: {low} to {high}",
                    band.dimension().of(band.low()),
                    band.dimension().of(band.high()));
        }
        return low
                ? Text.of("Expected: {low} or more", band.dimension().of(band.low()))
                : Text.of("Expected: {high} or less", band.dimension().of(band.high()));
    }

    private static boolean areCourses(Found.Overlay overlay) {
        return overlay.first().size() > 1 && overlay.second().size() > 1;
    }

    private static Drawing courses(Found.Overlay overlay) {
        return Drawing.of(Text.empty(), SHEET)
                .line(Role.OUTLINE, Place.of(0, 0), Place.of(1, 0))
                .line(Role.ASKED, places(overlay.second()))
                .line(Role.CURVE, places(overlay.first()))
                .caption(Text.of("{course}, drawn through", overlay.firstOf()))
                .caption(Text.of("{course}, dashed", overlay.secondOf()))
                .spoken(Text.of("{first} over {second}", overlay.firstOf(), overlay.secondOf()));
    }

    /** Each over its own height and time. */
    private static List<Place> places(Outline course) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < course.size(); i++) {
            least = Math.min(least, course.mean(i));
            most = Math.max(most, course.mean(i));
        }
        double height = most > least ? most - least : 1;
        double width = Math.max(1e-9, course.lasting());
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < course.size(); i++) {
            places.add(Place.of((course.seconds(i) - course.seconds(0)) / width, (course.mean(i) - least) / height));
        }
        return places;
    }
}
