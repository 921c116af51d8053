package org.undanus.core.judgement;

import org.undanus.core.evidence.Point;
import org.undanus.core.words.Text;

/**
 * A requirement that looking settles: one yes or no. Its sentences come with it, so that a station lists what it looks at
 * in one place.
 */
public final class Observed implements Requirement {
    private final About about;
    private final Point point;
    private final boolean wanted;
    private final Verdict otherwise;
    private final String good;
    private final String bad;
    private final String remedy;

    private Observed(
            About about, Point point, boolean wanted, Verdict otherwise, String good, String bad, String remedy) {
        this.about = about;
        this.point = point;
        this.wanted = wanted;
        this.otherwise = otherwise;
        this.good = good;
        this.bad = bad;
        this.remedy = remedy;
    }

    /**
     * @param point answered yes where all is well
     * @param good the sentence for yes
     * @param bad the sentence for no
     */
    public static Observed that(
            Station station, Point point, Severity severity, String source, String good, String bad, String remedy) {
        About about = About.of(point.id(), station, point.scope(), point.title(), severity)
                .sources(source)
                .needs(point)
                .cautions(point.caution().isEmpty() ? new String[0] : new String[] {point.caution()});
        return new Observed(about, point, true, Verdict.FAILS, good, bad, remedy);
    }

    /** This requirement with <em>Refer</em> for no: the authority or a licensed person decides. */
    public Observed elseRefer() {
        return new Observed(about, point, wanted, Verdict.REFER, good, bad, remedy);
    }

    /** This requirement with no as the good answer; the sentences change places with it. */
    public Observed not() {
        return new Observed(about, point, false, otherwise, good, bad, remedy);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean yes = x.affirmed(point).orElseThrow();
        Finding finding = x.finding().step(point.title(), yes ? "yes" : "no");
        return yes == wanted
                ? finding.conclude(Verdict.MEETS, Text.plain(good), "")
                : finding.conclude(otherwise, Text.plain(bad), remedy);
    }
}
