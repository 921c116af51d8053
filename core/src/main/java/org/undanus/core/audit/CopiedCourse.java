package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Whether the small ups and downs of one course are those of another, shifted in time or scaled. */
final class CopiedCourse implements JobCheck {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "jobs.copied-course",
                    "Courses of several jobs",
                    "What is left of each course beside its smooth shape against the same of every other")
            .shows("That one course may be another one, shifted or scaled", "Which of them was read")
            .innocently(
                    "Two systems on one gauge set, read together",
                    "A fault of the logger that comes back in the same rhythm",
                    "Chance, where there are few readings")
            .asks("Please send the logger's own files of both jobs.")
            .sources("Correlation of the residuals about a polynomial of the fourth degree, Student's t");
    private static final int FEWEST = 10;
    /** Terms of the smooth shape. */
    private static final int TERMS = 5;

    /** A course without its smooth shape, brought to length 1. */
    private record Rough(
            CommissioningRecord record, PointKey key, Dimension dimension, Outline course, double[] left) {}

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        List<Rough> all = new ArrayList<>();
        for (CommissioningRecord record : records) {
            for (Claim claim : record.claims()) {
                rough(record, claim).ifPresent(all::add);
            }
        }
        List<JobFound> found = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            int nearest = -1;
            double alike = -1;
            for (int j = 0; j < all.size(); j++) {
                if (comparable(all.get(i), all.get(j))) {
                    double each = dot(all.get(i).left(), all.get(j).left());
                    if (each > alike) {
                        alike = each;
                        nearest = j;
                    }
                }
            }
            if (nearest >= 0) {
                double chance = chance(alike, all.get(i).left().length);
                found.add(found(all.get(i), all.get(nearest), chance * Coincidence.looks(all.size())));
            }
        }
        return found;
    }

    private static boolean comparable(Rough one, Rough other) {
        return one.record() != other.record()
                && one.dimension() == other.dimension()
                && one.left().length == other.left().length;
    }

    private static JobFound found(Rough one, Rough other, double chance) {
        Text because = Text.of(
                "What {length} readings show beside their smooth course goes up and down as on {reference}.",
                one.left().length,
                other.record().reference());
        return JobFound.copied(
                Found.weighed(ABOUT, one.record().id(), new Doubt(Math.min(1, chance)), because, List.of(one.key()))
                        .drawn(new Found.Overlay(
                                one.dimension(),
                                one.course(),
                                other.course(),
                                one.record().reference(),
                                other.record().reference())),
                one.record(),
                other.record());
    }

    private static Optional<Rough> rough(CommissioningRecord record, Claim claim) {
        return claim.course()
                .filter(course -> course.size() >= FEWEST)
                .map(course -> new Rough(record, claim.key(), dimension(claim), course, left(course)))
                .filter(each -> length(each.left()) > 0);
    }

    private static Dimension dimension(Claim claim) {
        return claim.value() instanceof Value.Logged logged
                ? logged.trace().dimension()
                : ((WrittenCurve) ((Value.Listed) claim.value()).listing()).dimension();
    }

    private static double length(double[] of) {
        double sum = 0;
        for (double each : of) {
            sum += each * each;
        }
        return Math.sqrt(sum);
    }

    /** Less the polynomial of the fourth degree through it by least squares, built up from orthogonal terms. */
    private static double[] left(Outline course) {
        int size = course.size();
        double[] left = new double[size];
        double[][] terms = new double[TERMS][size];
        for (int i = 0; i < size; i++) {
            left[i] = course.mean(i);
            double t = (course.seconds(i) - course.seconds(0)) / Math.max(1, course.lasting());
            for (int term = 0; term < TERMS; term++) {
                terms[term][i] = Math.pow(t, term);
            }
        }
        for (int term = 0; term < TERMS; term++) {
            for (int before = 0; before < term; before++) {
                takeOut(terms[term], terms[before]);
            }
            takeOut(left, terms[term]);
        }
        double length = length(left);
        for (int i = 0; i < size; i++) {
            left[i] /= length > 0 ? length : 1;
        }
        return left;
    }

    private static void takeOut(double[] from, double[] direction) {
        double square = dot(direction, direction);
        if (square > 0) {
            double share = dot(from, direction) / square;
            for (int i = 0; i < from.length; i++) {
                from[i] -= share * direction[i];
            }
        }
    }

    private static double dot(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }

    /** Of residuals at least so alike, were they independent. */
    private static double chance(double alike, int size) {
        double r = Math.min(1 - 1e-12, alike);
        double freedom = size - TERMS - 1.0;
        return new TDistribution(freedom).cumulativeProbability(-r * Math.sqrt(freedom / (1 - r * r)));
    }
}
