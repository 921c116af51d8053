package org.undanus.core.judgement;

import java.util.LinkedHashMap;
import java.util.Map;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.words.Text;

/** A requirement that one choice settles: each answer has its verdict and sentence. */
public final class Answered implements Requirement {
    private record Ruling(Verdict verdict, String because, String remedy) {}

    private final About about;
    private final Point point;
    private final Map<Option, Ruling> outcomes;

    private Answered(About about, Point point, Map<Option, Ruling> outcomes) {
        this.about = about;
        this.point = point;
        this.outcomes = outcomes;
    }

    public static Answered of(Station station, Point point, Severity severity, String source) {
        return new Answered(
                About.of(point.id(), station, point.scope(), point.title(), severity)
                        .sources(source)
                        .needs(point)
                        .cautions(point.caution().isEmpty() ? new String[0] : new String[] {point.caution()}),
                point,
                Map.of());
    }

    /**
     * This requirement with one more answer and the verdict it comes to.
     *
     * @param answer the id of one of the point's options
     * @throws IllegalArgumentException if the point has no such answer
     */
    public Answered when(String answer, Verdict verdict, String because, String remedy) {
        Option option = point.option(answer)
                .orElseThrow(() -> new IllegalArgumentException(point.id() + " has no answer " + answer));
        Map<Option, Ruling> more = new LinkedHashMap<>(outcomes);
        more.put(option, new Ruling(verdict, because, remedy));
        return new Answered(about, point, more);
    }

    /** This requirement with one more answer and the verdict it comes to. */
    public Answered when(Option answer, Verdict verdict, String because, String remedy) {
        return when(answer.id(), verdict, because, remedy);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Option answer = x.chosen(point).orElseThrow();
        Ruling outcome = outcomes.get(answer);
        return x.finding()
                .step(point.title(), answer)
                .conclude(outcome.verdict, Text.of("{because}", outcome.because), outcome.remedy);
    }
}
