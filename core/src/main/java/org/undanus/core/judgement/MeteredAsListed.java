package org.undanus.core.judgement;

import java.util.Optional;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** The orifice that a listed pair asks for, and whether another is at the coil. Source: data sheets. */
public final class MeteredAsListed {
    private static final double ROUNDING = 1e-9;
    /** Orifices are told apart by hundredths of a millimetre. */
    private static final double FINE = 1e-5;

    private MeteredAsListed() {}

    /** The orifice for the pair of the subject, an indoor unit, with the outdoor one; empty where none is listed. */
    public static Optional<Length> asked(Examination x) {
        return outdoorSheet(x)
                .flatMap(sheet -> x.written(PlatePoints.MODEL).flatMap(sheet::pairWith))
                .flatMap(DataSheet.Pair::meteringSize);
    }

    /** The data sheet that lists the pairs. */
    public static Optional<DataSheet> outdoorSheet(Examination x) {
        return x.facts().outdoorUnit().flatMap(unit -> x.at(unit).sheet());
    }

    /** Whether a stamped size is another: sizes come in steps, so that a figure is the same size when it rounds to it. */
    public static boolean another(Value.Measured stamped, Length asked) {
        return Math.abs(stamped.quantity().si() - asked.si()) > stamped.resolution() / 2 + ROUNDING;
    }

    /** A size, written as finely as orifices are told apart. */
    public static Text said(Length size) {
        return Text.of("{size}", new Amount(size, FINE, 0));
    }

    /** Why a cycle says nothing of the charge: the orifice at one of the coils is not the one that its pair asks for. */
    static Optional<Text> wrong(Examination x, Component indoor) {
        Examination there = x.at(indoor);
        return asked(there).flatMap(wanted -> there.measured(PlatePoints.METERING_SIZE)
                .filter(stamped -> another(stamped, wanted))
                .map(stamped -> Text.of(
                        "The orifice at {indoor} is {stamped}, its pair asks for {wanted}: until it is changed the cycle says nothing of the charge.",
                        indoor.title(),
                        said((Length) stamped.quantity()),
                        said(wanted))));
    }

    /** What is wrong with the metering of the first indoor unit that is not metered as its pair is listed; empty where all are. */
    public static Optional<Text> wrong(Examination x) {
        return x.facts().components().stream()
                .filter(Component::split)
                .flatMap(unit -> wrong(x, unit).stream())
                .findFirst();
    }
}
