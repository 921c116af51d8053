package org.undanus.core.station.handover;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.hipparchus.distribution.continuous.TDistribution;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/**
 * Meter readings by month, each with the degree days of its weather: {@code 840 kWh 410 Kd, 610 kWh 250 Kd}. Compared before and
 * after by a straight line of energy over degree days (ASHRAE Guideline 14, whole-facility regression).
 *
 * @param periods in the order written
 */
record EnergyUse(List<Period> periods) implements Notation.Listing {

    /**
     * From one reading of the meter to the next.
     *
     * @param joules used
     * @param degreeDays of heating or cooling, K·d
     */
    record Period(double joules, double degreeDays) {}

    static final int FEWEST = 4;
    /** A line is fitted by its height and slope. */
    private static final int FITTED = 2;
    /** Half of what lies outside 95 % lies above. */
    private static final double COVERED = 0.975;

    static final Notation NOTATION = new Written();

    EnergyUse {
        periods = List.copyOf(periods);
    }

    /** Energy of a period, J, over its degree days. */
    private record Line(double mean, double middle, double slope, double scatter, double spread, int count) {
        private double at(double degreeDays) {
            return mean + slope * (degreeDays - middle);
        }
    }

    private Line line() {
        int n = periods.size();
        double middle =
                periods.stream().mapToDouble(Period::degreeDays).average().orElseThrow();
        double mean = periods.stream().mapToDouble(Period::joules).average().orElseThrow();
        double spread = 0;
        double together = 0;
        for (Period period : periods) {
            spread += Math.pow(period.degreeDays - middle, 2);
            together += (period.degreeDays - middle) * (period.joules - mean);
        }
        double slope = spread > 0 ? together / spread : 0;
        double off = 0;
        for (Period period : periods) {
            off += Math.pow(period.joules - mean - slope * (period.degreeDays - middle), 2);
        }
        return new Line(mean, middle, slope, Math.sqrt(off / Math.max(1, n - 2)), spread, n);
    }

    /**
     * What is used now as a share of what would have been used before in the same weather. Of few months the scatter itself is hardly
     * known: the standard uncertainty is given so that twice it spans 95 % by Student's t (JCGM 100, G.3 and G.4). Empty with fewer than {@link #FEWEST}
     * periods on either side, or where the weather of before did not vary.
     */
    static Optional<Uncertain> share(EnergyUse before, EnergyUse after) {
        if (before.periods.size() < FEWEST || after.periods.size() < FEWEST) {
            return Optional.empty();
        }
        Line then = before.line();
        Line now = after.line();
        double expected = then.at(now.middle);
        if (then.spread == 0 || !(expected > 0)) {
            return Optional.empty();
        }
        double byLine =
                then.scatter * Math.sqrt(1.0 / then.count + Math.pow(now.middle - then.middle, 2) / then.spread);
        double byMonths = now.scatter / Math.sqrt(now.count);
        double share = now.mean / expected;
        return Optional.of(new Uncertain(
                share,
                Math.hypot(
                        widened(byMonths / expected, now.count - FITTED),
                        widened(share * byLine / expected, then.count - FITTED))));
    }

    /** A standard uncertainty known from a few degrees of freedom, as one that is well known and spans as much. */
    private static double widened(double standard, int freedom) {
        return standard
                * new TDistribution(freedom).inverseCumulativeProbability(COVERED)
                / new Uncertain(0, 1).expanded();
    }

    @Override
    public Text summary() {
        return Text.of("{periods} months", periods.size());
    }

    private static final class Written extends ListNotation<Period, EnergyUse> {
        private static final Map<String, Double> JOULES = Map.of("kWh", 3.6e6, "MJ", 1e6, "therm", 1.054804e8);
        private static final double KELVIN_OF_FAHRENHEIT = 1.8;
        private static final double MOST = 1e13;
        private static final Pattern PERIOD =
                Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(kWh|MJ|therm)s?\\s+(\\d+(?:[.,]\\d+)?)\\s*(Kd|°Fd)");

        private Written() {
            super("840 kWh 410 Kd, 610 kWh 250 Kd, 450 kWh 120 Kd, 720 kWh 330 Kd", "No month is written.");
        }

        @Override
        protected Period part(Place place, List<Period> before) {
            Matcher period =
                    place.matching(PERIOD, "write energy and degree days: 840 kWh 410 Kd, or 28 therm 740 °Fd");
            double joules = number(period.group(1)) * JOULES.get(period.group(2));
            if (joules > MOST) {
                throw place.wrong("that is more than a month's energy");
            }
            return new Period(
                    joules, number(period.group(3)) / (period.group(4).equals("Kd") ? 1 : KELVIN_OF_FAHRENHEIT));
        }

        private static double number(String written) {
            return Double.parseDouble(written.replace(',', '.'));
        }

        @Override
        protected EnergyUse of(List<Period> periods) {
            return new EnergyUse(periods);
        }
    }
}
