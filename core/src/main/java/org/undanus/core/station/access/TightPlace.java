package org.undanus.core.station.access;

import java.util.List;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** Another requirement that is asked only where the equipment does not stand on an open floor. */
final class TightPlace implements Requirement {
    private final Requirement inner;
    private final boolean alsoCloset;
    private final About about;

    private TightPlace(Requirement inner, boolean alsoCloset) {
        this.inner = inner;
        this.alsoCloset = alsoCloset;
        this.about = inner.about().needs(AccessPoints.PLACE);
    }

    /** Asked in an attic or crawl space. */
    static TightPlace attic(Requirement inner) {
        return new TightPlace(inner, false);
    }

    /** Asked in a closet too. */
    static TightPlace enclosed(Requirement inner) {
        return new TightPlace(inner, true);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Option place = x.chosen(AccessPoints.PLACE).orElseThrow();
        boolean asked = !place.equals(AccessPoints.OPEN_FLOOR) && (alsoCloset || !place.equals(AccessPoints.CLOSET));
        if (!asked) {
            return x.finding()
                    .step(AccessPoints.PLACE.title(), place)
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("Location: {place}.", place), "");
        }
        List<Point> missing = x.missing(inner.about().needs().toArray(Point[]::new));
        return missing.isEmpty() ? inner.judge(x) : x.notShown(missing);
    }
}
