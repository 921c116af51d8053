package org.undanus.core.station.piping;

import static org.undanus.core.station.piping.PipingPoints.METERING_SIZE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MeteredAsListed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** A metering piece changed at the outdoor valve has the size that the pair's listing gives. */
final class MeteringPiece implements Requirement {
    /** Sizes are stamped in steps of a tenth of a millimetre or two thousandths of an inch at least. */
    private static final double SAME = 0.03e-3;

    static final About ABOUT = About.of(
                    "piping.metering-size",
                    Station.PIPING,
                    Scope.LINE_SET,
                    "Changed metering piece, size",
                    Severity.PERFORMANCE)
            .sources("Data sheet, listed pair")
            .needs(METERING_SIZE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Examination indoor = x.at(x.indoor().orElseThrow());
        if (indoor.written(PlatePoints.MODEL).isEmpty()) {
            return indoor.notShown(List.of(PlatePoints.MODEL));
        }
        Optional<Length> asked = MeteredAsListed.asked(indoor);
        if (asked.isEmpty()) {
            return x.noSheetTells(
                    "which metering piece this pair asks for", "Add the outdoor unit's sheet with its listed pairs.");
        }
        Value.Measured found = x.need(METERING_SIZE);
        boolean same = Math.abs(found.quantity().si() - asked.get().si()) <= SAME;
        Text wanted = MeteredAsListed.said(asked.get());
        return x.finding()
                .step(METERING_SIZE.title(), "", MeteredAsListed.said((Length) found.quantity()), "")
                .step("Pair asks for", "", wanted, "Data sheet")
                .conclude(
                        same ? Verdict.MEETS : Verdict.FAILS,
                        same
                                ? Text.of("It is the size that the pair's listing gives.")
                                : Text.of("The pair's listing gives {wanted}.", wanted),
                        Text.of("Recover the charge, then replace it with {wanted}.", wanted));
    }
}
