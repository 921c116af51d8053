package org.undanus.core.station.papers;

import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** The installer's licence is on record. Whether it holds is for the licensing authority. */
final class LicenceRecorded implements Requirement {
    private final Point point;
    private final About about;

    LicenceRecorded(Point point) {
        this.point = point;
        this.about = About.of(point.id(), Station.PAPERS, point.scope(), point.title(), Severity.RECORD)
                .sources("Licensing rules of the place")
                .needs(point);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        String licence = x.written(point).orElseThrow();
        return x.finding()
                .step(point.title(), licence)
                .conclude(Verdict.MEETS, Text.of("On record: {licence}. It has not been verified here.", licence), "");
    }
}
