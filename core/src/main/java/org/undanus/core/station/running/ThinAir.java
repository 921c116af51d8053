package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.words.Text;

/** A site too high up for the moist-air formulas. */
final class ThinAir {
    private ThinAir() {}

    /** Why nothing of air is computed there; empty where it can be. */
    static Optional<Judgement> at(Examination x) {
        AbsolutePressure atmosphere = x.facts().site().atmosphere();
        return MoistAir.describes(atmosphere)
                ? Optional.empty()
                : Optional.of(x.finding()
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of(
                                        "The air pressure at this height is {atmosphere}: too thin for the moist-air formulas used here.",
                                        atmosphere),
                                "Compare with the maker's table for this altitude."));
    }
}
