package org.undanus.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.audit.Doubt;
import org.undanus.core.audit.Found;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.Wording;

/**
 * What a check found, as a page shows it.
 *
 * @param strength in words; empty where it cannot tell
 * @param times how many times likelier if it did not come about as written, at most; empty where it cannot tell
 * @param mistake the honest mistake that would explain it
 * @param on the lines it rests on
 */
public record FoundView(
        String check,
        String subject,
        String subjectTitle,
        String title,
        Found.Consistency outcome,
        String outcomeTitle,
        Optional<String> strength,
        Optional<Double> times,
        String because,
        Optional<String> mistake,
        String tests,
        String shows,
        String cannot,
        List<String> innocent,
        String asks,
        List<String> sources,
        List<PointKey> on,
        Optional<BandView> band,
        Optional<OverlayView> overlay) {

    /**
     * What was expected and what is claimed, on one scale.
     *
     * @param from where the band begins on the scale, from 0 to 1; {@code to} where it ends, {@code at} the claim
     * @param low in words; empty where there is no least, as {@code high}
     */
    public record BandView(
            double from, double to, double at, Optional<String> low, Optional<String> high, String claimed) {}

    /** A place on a drawing, from 0 to 1. */
    public record Place(double x, double y) {}

    /** Two courses over each other, each over its own height and time. */
    public record OverlayView(String firstOf, String secondOf, List<Place> first, List<Place> second) {}

    private static final double ROOM = 0.15;

    public static FoundView of(Found found, String subjectTitle, Wording wording) {
        return new FoundView(
                found.about().id(),
                found.subject(),
                subjectTitle,
                wording.say(found.about().title()),
                found.outcome(),
                wording.say(found.outcome().title()),
                found.doubt().map(Doubt::words).map(wording::say),
                found.doubt().map(Doubt::likelihoodRatio),
                found.because().in(wording),
                found.mistake().map(text -> text.in(wording)),
                wording.say(found.about().tests()),
                wording.say(found.about().shows()),
                wording.say(found.about().cannot()),
                found.about().innocent().stream().map(wording::say).toList(),
                wording.say(found.about().asks()),
                found.about().sources().stream().map(wording::say).toList(),
                found.on(),
                found.band().map(band -> band(band, wording)),
                found.overlay().map(FoundView::overlay));
    }

    private static BandView band(Found.Band band, Wording wording) {
        boolean low = Double.isFinite(band.low());
        boolean high = Double.isFinite(band.high());
        double least = Math.min(band.claimed(), low ? band.low() : band.high());
        double most = Math.max(band.claimed(), high ? band.high() : band.low());
        double width = most > least ? most - least : 1;
        double start = least - ROOM * width;
        double whole = width * (1 + 2 * ROOM);
        return new BandView(
                low ? (band.low() - start) / whole : 0,
                high ? (band.high() - start) / whole : 1,
                (band.claimed() - start) / whole,
                low ? Optional.of(said(band, band.low(), wording)) : Optional.empty(),
                high ? Optional.of(said(band, band.high(), wording)) : Optional.empty(),
                said(band, band.claimed(), wording));
    }

    private static String said(Found.Band band, double si, Wording wording) {
        return QuantityFormat.of(wording.units()).format(band.dimension().of(si));
    }

    private static OverlayView overlay(Found.Overlay overlay) {
        return new OverlayView(
                overlay.firstOf(), overlay.secondOf(), places(overlay.first()), places(overlay.second()));
    }

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
            places.add(
                    new Place((course.seconds(i) - course.seconds(0)) / width, 1 - (course.mean(i) - least) / height));
        }
        return places;
    }
}
