package org.undanus.core.audit;

import static org.undanus.core.audit.RecordLines.PRESSURE_READINGS;
import static org.undanus.core.audit.RecordLines.VACUUM_READINGS;

import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Amount;
import org.undanus.core.words.Text;

/** Whether readings written down one after another scatter as much as their own digits make them. */
final class ReadingScatter implements Check {
    private static final int FEWEST = 5;
    /** By so many digits it has to change before rounding shows. */
    private static final double STEPS = 4;

    private final AboutCheck about;
    private final Point readings;

    private ReadingScatter(String id, String title, Point readings) {
        this.readings = readings;
        this.about = AboutCheck.of(
                        id, title, "How closely the readings lie on one line, against what rounding alone does")
                .shows(
                        "That the readings are smoother than anything read and rounded to these digits",
                        "Whether the first and the last are right")
                .innocently(
                        "An instrument that smooths what it shows",
                        "Readings between the first and the last were drawn in, to fill the form",
                        "Chance: few readings sometimes lie on a line")
                .asks("Were all of these read off, and from which instrument?")
                .sources("χ² of the residuals about a straight line, rounding taken as step/√12 (JCGM 100, 4.3.7)")
                .needs(readings);
    }

    static ReadingScatter ofPressure() {
        return new ReadingScatter("record.pressure-shape", "Course of the pressure hold", PRESSURE_READINGS);
    }

    static ReadingScatter ofVacuum() {
        return new ReadingScatter("record.vacuum-shape", "Course of the vacuum hold", VACUUM_READINGS);
    }

    @Override
    public AboutCheck about() {
        return about;
    }

    @Override
    public List<Found> check(AuditedRecord paper) {
        return paper.each(Scope.LINE_SET, about, this::check);
    }

    /** What was written, where it is a course. */
    static Optional<WrittenCurve> course(AuditedRecord paper, Point point, Subject line) {
        return paper.claim(point, line)
                .map(Claim::value)
                .filter(Value.Listed.class::isInstance)
                .map(value -> (WrittenCurve) ((Value.Listed) value).listing());
    }

    private Found check(AuditedRecord paper, Subject line) {
        WrittenCurve written = course(paper, readings, line).orElseThrow();
        Outline course = written.outline();
        int size = course.size();
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < size; i++) {
            least = Math.min(least, course.mean(i));
            most = Math.max(most, course.mean(i));
        }
        double step = written.resolution();
        if (size < FEWEST || most - least < STEPS * step) {
            return Found.cannotTell(
                    about,
                    line.id(),
                    Text.of(
                            size < FEWEST
                                    ? "Fewer than 5 readings: no course shows in them."
                                    : "It changed by less than four of its last digits: rounding hides its course."));
        }
        double squares = squares(course) / (step * step / 12);
        Doubt doubt = new Doubt(new ChiSquaredDistribution(size - 2.0).cumulativeProbability(squares));
        return Found.weighed(
                about,
                line.id(),
                doubt,
                Text.of(
                        "{count} readings lie within {off} of one line, on the mean; rounded to {step} they would by about {usual}.",
                        size,
                        new Amount(written.dimension().of(root(squares, size) * step), step / 100, 0),
                        new Amount(written.dimension().of(step), step, 0),
                        new Amount(written.dimension().of(step / Math.sqrt(12)), step / 100, 0)),
                AuditedRecord.keys(line, readings));
    }

    /** Sum of the squared residuals about the line of least squares. */
    private static double squares(Outline course) {
        int size = course.size();
        double time = 0;
        double value = 0;
        for (int i = 0; i < size; i++) {
            time += course.seconds(i) / size;
            value += course.mean(i) / size;
        }
        double tt = 0;
        double tv = 0;
        double vv = 0;
        for (int i = 0; i < size; i++) {
            double t = course.seconds(i) - time;
            double v = course.mean(i) - value;
            tt += t * t;
            tv += t * v;
            vv += v * v;
        }
        return Math.max(0, vv - tv * tv / tt);
    }

    /** Root of the mean square, of a step. */
    private static double root(double squares, int size) {
        return Math.sqrt(squares / 12 / size);
    }
}
