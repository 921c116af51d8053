package org.undanus.core.station.siting;

import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** A length as taped; where nobody taped it, as drawn. Where both are there, the difference is shown. */
record TapedOrDrawn(Uncertain length, double resolution) {

    static final String IN_THE_DRAWING = "In the drawing";

    private static final double HALF_MILLIMETRE = 0.0005;

    static Optional<TapedOrDrawn> of(Examination x, Finding finding, Point point, Optional<Drawn.Distance> drawn) {
        Optional<Value.Measured> taped = x.measured(point);
        if (taped.isPresent()) {
            Value.Measured value = taped.get();
            drawn.ifPresent(
                    d -> beside(finding, d.metres().value(), value.quantity().si()));
            return Optional.of(new TapedOrDrawn(value.uncertain(), value.resolution()));
        }
        drawn.ifPresent(d -> finding.step(
                "From the drawing",
                d.to().isEmpty() ? Text.empty() : Text.of("to {to}", d.to()),
                Length.ofMetres(d.metres().value()),
                "Site drawing"));
        return drawn.map(d -> new TapedOrDrawn(d.metres(), 0));
    }

    private static void beside(Finding finding, double drawn, double taped) {
        if (Math.abs(drawn - taped) < HALF_MILLIMETRE) {
            finding.step("Drawn as taped", "", Length.ofMetres(drawn), "Site drawing");
        } else {
            finding.step(
                    IN_THE_DRAWING,
                    "the tape goes before it",
                    Text.of(
                            drawn < taped
                                    ? "{drawn}, which is {difference} less than taped"
                                    : "{drawn}, which is {difference} more than taped",
                            Length.ofMetres(drawn),
                            Length.ofMetres(Math.abs(drawn - taped))),
                    "Site drawing");
        }
    }
}
