package org.undanus.core.station.papers;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** Tools and gauges were in calibration, within range, and rated for this refrigerant and its pressure. */
final class InstrumentsFit implements Requirement {
    private static final About ABOUT = About.of(
                    "papers.instruments",
                    Station.PAPERS,
                    Scope.SYSTEM,
                    "Instruments in calibration and rated",
                    Severity.RECORD)
            .sources("Calibration certificates", "Ratings of tools for refrigerant, pressure and flammability")
            .cautions("A gauge or hose not rated for this pressure can burst; one not rated for it can light it.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Map<Instrument, Optional<Text>> used = x.instrumentsUsed();
        Finding finding = x.finding();
        List<Text> unfit = new ArrayList<>();
        used.forEach((instrument, why) -> {
            finding.step(
                    instrument.title(),
                    instrument
                            .calibration()
                            .map(c -> Text.of("calibration valid until {until}", c.until()))
                            .orElse(Text.of("no calibration on record")),
                    why.orElse(Text.of("fit for what it read")),
                    "Toolcase");
            why.ifPresent(unfit::add);
        });
        if (used.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("No reading names an instrument of the toolcase."),
                    "Choose the instrument when you save a reading.");
        }
        if (unfit.isEmpty()) {
            return finding.conclude(
                    Verdict.MEETS,
                    Text.counted(
                            used.size(),
                            "The one instrument used was fit for what it read.",
                            "All {used} instruments used were fit for what they read.",
                            used.size()),
                    "");
        }
        return finding.conclude(
                Verdict.FAILS,
                unfit.get(0),
                "Read again with an instrument that is fit; have this one calibrated or put away.");
    }
}
