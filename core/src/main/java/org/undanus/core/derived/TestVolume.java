package org.undanus.core.derived;

import java.util.Optional;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Volume;

/**
 * The gas space that is tested and emptied with a line set while the outdoor unit's valves are shut: what was read; else the lines as
 * listed and the coil as its sheet gives it.
 *
 * @param cubicMetres m³
 * @param how it was found
 * @param whole whether the coil is in it
 */
public record TestVolume(double cubicMetres, String how, boolean whole) {

    public static final Point READ = Point.quantity(
                    "tightness.volume",
                    Scope.LINE_SET,
                    Dimension.VOLUME,
                    "Volume under test",
                    "Lines and indoor coil together, where a record gives it. Else it follows from the run, the tubes and the"
                            + " coil's sheet.",
                    1e-4,
                    0.5)
            .with(InstrumentKind.READ_OFF)
            .asOptional();

    /** Empty where the lines are not known. */
    public static Optional<TestVolume> of(Examination x) {
        Optional<Double> read = x.number(READ);
        if (read.isPresent()) {
            return read.map(v -> new TestVolume(v, "as read", true));
        }
        Optional<TubeRun> run = x.listed(LinePoints.RUN, TubeRun.class);
        Optional<Tube> liquid = x.number(LinePoints.LIQUID).flatMap(Tube::of);
        Optional<Tube> suction = x.number(LinePoints.SUCTION).flatMap(Tube::of);
        if (run.isEmpty() || liquid.isEmpty() || suction.isEmpty()) {
            return Optional.empty();
        }
        double lines = LineContents.volume(run.get().length(), liquid.get(), suction.get());
        Optional<Double> coil = x.indoor()
                .flatMap(unit -> x.at(unit).sheet())
                .flatMap(sheet -> sheet.value(SheetValue.INTERNAL_VOLUME))
                .map(Quantity::si);
        return Optional.of(new TestVolume(
                lines + coil.orElse(0.0),
                coil.isPresent()
                        ? "Σ π·d²/4·L of the lines, and the coil by its sheet"
                        : "Σ π·d²/4·L of the lines alone: no sheet gives the coil",
                coil.isPresent()));
    }

    /**
     * The smallest leak that two readings on one gauge tell from the steps of its display (expanded, k = 2).
     *
     * @param step of the display, Pa
     * @param seconds between them
     * @return Pa·m³/s
     */
    public double leakShown(double step, double seconds) {
        return cubicMetres * 2 * Math.sqrt(2) * step / Math.sqrt(12) / seconds;
    }

    /** Notes it among the steps. */
    public Finding explain(Finding finding) {
        return finding.step("Volume under test", how, Volume.ofCubicMetres(cubicMetres), Tube.SIZES_SOURCE);
    }
}
