package org.undanus.core.station.access;

import static org.undanus.core.station.access.AccessPoints.OPENING_HEIGHT;
import static org.undanus.core.station.access.AccessPoints.OPENING_WIDTH;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The largest piece of the equipment goes through the opening it would have to be taken out by. Source: mechanical code,
 * access to equipment; the geometry is that of {@link PassageFit}.
 */
final class LargestPiece implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("access.largest-piece", Dimension.LENGTH, "Room to spare at the opening");
    static final About ABOUT = About.of(
                    "access.largest-piece",
                    Station.ACCESS,
                    Scope.INDOOR_UNIT,
                    "Unit goes through the opening",
                    Severity.PERFORMANCE)
            .sources("Adopted mechanical code, access to equipment", "Rectangles in rectangles, Math. Mag. 73 (2000)")
            .needs(OPENING_WIDTH, OPENING_HEIGHT)
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<DataSheet.Size> size = x.sheet().flatMap(DataSheet::size);
        if (size.isEmpty()) {
            return x.noSheetTells("how large this unit is", "Add the maker's sheet with the cabinet's sizes.");
        }
        DataSheet.Size s = size.get();
        double[] piece = {s.width().si(), s.depth().si(), s.height().si()};
        Uncertain spare = Propagation.through(
                v -> PassageFit.spare(piece, v[0], v[1]),
                x.need(OPENING_WIDTH).uncertain(),
                x.need(OPENING_HEIGHT).uncertain());
        List<Limit> limits = x.limits(LIMIT);
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                Length.ofMetres(0),
                "Mechanical code, opening large enough for the largest piece; check the adopted edition"));
        return WithinLimits.judge(
                x.finding()
                        .step(
                                "Unit",
                                "",
                                Text.of("{width} × {depth} × {height}", s.width(), s.depth(), s.height()),
                                x.sheet().map(DataSheet::document).orElse(""))
                        .step(
                                "Opening",
                                "",
                                Text.of(
                                        "{need} × {need2}",
                                        x.need(OPENING_WIDTH).quantity(),
                                        x.need(OPENING_HEIGHT).quantity()),
                                ""),
                LIMIT,
                spare,
                0,
                limits,
                "Widen the opening, or show that the unit comes apart; room beside it");
    }
}
