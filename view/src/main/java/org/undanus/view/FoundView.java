package org.undanus.view;

import java.util.List;
import java.util.Optional;
import org.undanus.core.audit.Doubt;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.FoundFigure;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.words.Wording;

/**
 * What a check found, as a page shows it.
 *
 * @param strength in words; empty where it cannot tell
 * @param times how many times likelier if it did not come about as written, at most; empty where it cannot tell
 * @param mistake the honest mistake that would explain it
 * @param on the lines it rests on
 * @param figure the claim against what was expected, or two courses over each other
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
        Optional<FigureView> figure) {

    /** Dots. */
    private static final int WIDTH = 520;

    private static final int HEIGHT = 90;

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
                FoundFigure.of(found).map(drawn -> FigureView.of(drawn, wording, WIDTH, HEIGHT)));
    }
}
