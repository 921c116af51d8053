package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;

/** Holds a taped distance against the rule book's limits and the figure of the unit's data sheet. */
final class Clearance {
    private Clearance() {}

    static Judgement judge(Examination x, Point point, LimitKey key, Optional<Length> asked, String whatToMove) {
        Value.Measured taped = x.need(point);
        List<Limit> limits = new ArrayList<>(x.rules().limits(key));
        asked.ifPresent(least -> limits.add(new Limit(
                x.rules().maker(),
                Bound.AT_LEAST,
                least,
                x.sheet().map(DataSheet::document).orElse(""))));
        Finding finding = x.finding();
        Optional<Comparison> held = finding.hold(key, taped.uncertain(), taped.resolution(), limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        Length lacking = Length.ofMetres(Math.abs(held.get().margin()));
        boolean tooMuch = held.get().binding().limit().bound() == Bound.AT_MOST;
        return finding.conclude(
                held.get().verdict(),
                finding.room(),
                Text.of(
                        tooMuch ? "{} by at least {} to come down to the limit." : "{} by at least {} more.",
                        whatToMove,
                        lacking));
    }
}
