package org.undanus.core.station.piping;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;

/** A line set's run with what every requirement asks of it. */
record Run(Examination x, TubeRun tubes) {

    /** The run that is known to have been read. */
    static Run of(Examination x) {
        return find(x).orElseThrow();
    }

    static Optional<Run> find(Examination x) {
        return x.listed(LinePoints.RUN, TubeRun.class).map(run -> new Run(x, run));
    }

    /** Of so many lengths measured by tape, m. */
    Uncertain measured(double metres) {
        return taped(x, metres, tubes.measured());
    }

    /** A height told from lengths measured by tape, m. */
    Uncertain lift() {
        return taped(x, tubes.lift(), tubes.measured());
    }

    static Uncertain taped(Examination x, double metres, int lengths) {
        double each =
                x.rules().accuracy(InstrumentKind.TAPE).standardUncertainty(Math.abs(metres) / Math.max(1, lengths), 0);
        return new Uncertain(metres, each * Math.sqrt(lengths));
    }

    /** The size of the larger line: as fitted, else as the plate says. */
    Optional<Tube> suction() {
        return size(x, LinePoints.SUCTION, PlatePoints.SUCTION_LINE);
    }

    Optional<Tube> liquid() {
        return size(x, LinePoints.LIQUID, PlatePoints.LIQUID_LINE);
    }

    private static Optional<Tube> size(Examination x, Point fitted, Point plate) {
        return x.number(fitted)
                .or(() -> x.outdoor().flatMap(unit -> x.at(unit).number(plate)))
                .flatMap(Tube::of);
    }

    /** What the outdoor unit's plate or sheet says of its lines; nothing where it is silent. */
    static List<Limit> byMaker(Examination x, Bound bound, Point plate) {
        return x
                .outdoor()
                .flatMap(unit -> x.at(unit).measured(plate).map(value -> limit(x.at(unit), bound, value.quantity())))
                .stream()
                .toList();
    }

    private static Limit limit(Examination at, Bound bound, Quantity value) {
        String document = at.sheet().map(sheet -> sheet.document()).orElse("Nameplate");
        return new Limit(at.rules().maker(), bound, value, document);
    }

    /** A length in metres, for sentences. */
    static Length metres(double value) {
        return Length.ofMetres(value);
    }
}
