package org.undanus.core.station.papers;

import static org.undanus.core.installation.PlatePoints.REFRIGERANT;

import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** Indoor and outdoor plate name the same refrigerant. Source: the plates; ASHRAE 15 / ISO 5149, one refrigerant a circuit. */
final class SameRefrigerant implements Requirement {
    static final About ABOUT = About.of(
                    "papers.same-refrigerant", Station.PAPERS, Scope.SPLIT_UNIT, "Same refrigerant", Severity.SAFETY)
            .sources("Both nameplates", "ASHRAE 15 / ISO 5149")
            .needs(REFRIGERANT)
            .cautions("A flammable refrigerant in a machine not made for it can burn. Do not start it.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Component> outdoor = x.facts().outdoorUnit();
        if (outdoor.isEmpty()) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The system has no outdoor unit."), "");
        }
        Optional<Option> outside = x.at(outdoor.get()).chosen(REFRIGERANT);
        if (outside.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The outdoor unit's refrigerant has not been read."),
                            "Read it on the outdoor unit's plate.");
        }
        Option inside = x.chosen(REFRIGERANT).orElseThrow();
        boolean same = inside.equals(outside.get());
        return x.finding()
                .step("Indoor plate", inside)
                .step("Outdoor plate", outside.get())
                .conclude(
                        same ? Verdict.MEETS : Verdict.FAILS,
                        same
                                ? Text.of("Both plates say {inside}.", inside)
                                : Text.of(
                                        "The indoor plate says {inside}, the outdoor plate {outside}.",
                                        inside,
                                        outside.get()),
                        "Do not charge or start it. One of the units must be changed.");
    }
}
