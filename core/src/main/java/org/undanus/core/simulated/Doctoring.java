package org.undanus.core.simulated;

import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.random.RandomGenerator;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Point;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.station.Walk;

/** Ways in which what is written is not what was read, by a mistake or on purpose. */
public enum Doctoring {
    COPIED("Readings of another job", "jobs.same-readings"),
    TO_TARGET("Superheat and subcooling as aimed at", "record.superheat-arithmetic"),
    FLAT_HOLD("Pressure stood while the night cooled", "record.pressure-hold"),
    QUICK_PULL_DOWN("Pull-down invented, two to five times too fast", "record.pull-down"),
    OTHER_SPLIT("Supply air that this airflow cannot have", "record.split-airflow"),
    WRONG_TABLE("Saturation by another refrigerant's table", "record.saturation-suction"),
    HEIGHT_FORGOTTEN("Air pressure of sea level", "record.barometer"),
    OVERLAP("Vacuum begun before the test ended", "record.order"),
    SWAPPED("Thermometers swapped", "record.heat-flow"),
    SMOOTH("Course of the vacuum drawn with a ruler", "record.vacuum-shape"),
    SCALED_COURSE("Course of another job, scaled", "jobs.copied-course"),
    TWO_PLACES("Two buildings at once", "jobs.two-places"),
    UNITS("Pounds written as kilograms", "record.charge-length"),
    OTHER_WEATHER("Written on another day", "record.weather");

    /** Long enough for volume and charge to tell. */
    private static final String LONG_RUN = "80 ft, elbow, 8 ft";

    private static final double LONG_FEET = 88;
    /** lb. */
    private static final double LONG_RUN_TAKES = 0.6 / 16 * (LONG_FEET - 15);

    private static final double PSI = 6894.757;

    private final String title;
    private final String check;

    Doctoring(String title, String check) {
        this.title = title;
        this.check = check;
    }

    public String title() {
        return title;
    }

    /** The check that claims to find it. */
    public String check() {
        return check;
    }

    /** Whether it shows only beside other records. */
    public boolean amongJobs() {
        return check.startsWith("jobs.");
    }

    /** Whether somebody honest does so too, so that the mistake has to be named. */
    public boolean mistake() {
        return this == WRONG_TABLE || this == HEIGHT_FORGOTTEN || this == UNITS;
    }

    private static Point point(String id) {
        return RecordLines.point(id).or(() -> Walk.point(id)).orElseThrow();
    }

    private static double number(String written) {
        return Double.parseDouble(written.split(" ")[0]);
    }

    private static String degrees(double fahrenheit, double step) {
        return String.format(Locale.ROOT, step < 1 ? "%.1f °F" : "%.0f °F", Math.round(fahrenheit / step) * step);
    }

    /**
     * Changes what is written.
     *
     * @param other another job, which some copy from
     */
    public void apply(RecordedJob job, RecordedJob other, RandomGenerator random) {
        double step = job.step();
        switch (this) {
            case COPIED -> copied(job, other);
            case TO_TARGET -> nearerTarget(job, step);
            case FLAT_HOLD -> flatHold(job, step);
            case QUICK_PULL_DOWN -> quickPullDown(job, random);
            case OTHER_SPLIT -> otherSplit(job, step, random);
            case WRONG_TABLE -> byAnotherTable(job, step);
            case HEIGHT_FORGOTTEN ->
                job.rewrite(
                        point("charge.barometer"),
                        String.format(Locale.ROOT, "%.2f inHg", 29.92 + random.nextGaussian() * 0.2));
            case OVERLAP ->
                job.retime(RecordLines.PUMP_ON, job.time(RecordLines.TEST_ENDED).minusMinutes(45));
            case SWAPPED -> swappedPipes(job, step);
            case SMOOTH -> smoothRise(job);
            case SCALED_COURSE -> job.rewrite(point("evacuation.readings"), scaled(other));
            case TWO_PLACES ->
                job.shift(ChronoUnit.MINUTES.between(job.time(RecordLines.STARTED), other.time(RecordLines.STARTED)));
            case UNITS -> poundsAsKilograms(job, random);
            case OTHER_WEATHER ->
                job.rewrite(
                        point("running.outdoor-dry-bulb"),
                        degrees(number(job.written(point("running.outdoor-dry-bulb"))) + 22, step));
        }
    }

    private static void copied(RecordedJob job, RecordedJob other) {
        job.lines().stream()
                .filter(line -> line.id().startsWith("charge.")
                        || line.id().startsWith("running.")
                        || line.id().startsWith("record.")
                        || line.id().startsWith("electrical."))
                .filter(line -> !line.id().equals("charge.barometer"))
                .forEach(line -> job.rewrite(line, other.written(line)));
    }

    private static void nearerTarget(RecordedJob job, double step) {
        job.rewrite(RecordLines.SUPERHEAT, degrees(number(job.written(RecordLines.SUPERHEAT)) + 5, step));
        job.rewrite(RecordLines.SUBCOOLING, degrees(number(job.written(RecordLines.SUBCOOLING)) - 5, step));
    }

    private static void flatHold(RecordedJob job, double step) {
        Point cold = point("tightness.end-temperature");
        job.rewrite(point("tightness.end-pressure"), job.written(point("tightness.start-pressure")));
        job.rewrite(cold, degrees(number(job.written(point("tightness.start-temperature"))) - 16, step));
    }

    private static void quickPullDown(RecordedJob job, RandomGenerator random) {
        job.rewrite(point("piping.run"), LONG_RUN);
        job.rewrite(point("evacuation.pump-speed"), "3 cfm");
        double least = job.quickest(LONG_FEET, 3, number(job.written(point("evacuation.reached"))));
        long minutes = Math.max(1, Math.round(least / 60 / (2 + 3 * random.nextDouble())));
        job.rewrite(point("evacuation.pull-time"), minutes + " min");
    }

    private static void otherSplit(RecordedJob job, double step, RandomGenerator random) {
        double back = number(job.written(point("running.return-dry-bulb")));
        double split =
                (back - number(job.written(point("running.supply-dry-bulb")))) * (1.4 + 0.3 * random.nextDouble());
        job.rewrite(point("running.supply-dry-bulb"), degrees(back - split, step));
        job.rewrite(point("running.supply-wet-bulb"), degrees(back - split - 1, step));
        job.rewrite(RecordLines.SPLIT, degrees(split, step));
    }

    private static void byAnotherTable(RecordedJob job, double step) {
        Saturation table = Refrigerant.shipped("R22").orElseThrow().saturation();
        double low = number(job.written(point("charge.suction-pressure"))) * PSI;
        double wrong = RecordedJob.fahrenheit(
                table.dewTemperature(GaugePressure.ofPascals(low).absolute(job.air()))
                        .si());
        job.rewrite(RecordLines.EVAPORATING, degrees(wrong, step));
        job.rewrite(
                RecordLines.SUPERHEAT, degrees(number(job.written(point("charge.suction-temperature"))) - wrong, step));
    }

    private static void swappedPipes(RecordedJob job, double step) {
        String suction = job.written(point("charge.suction-temperature"));
        String liquid = job.written(point("charge.liquid-temperature"));
        job.rewrite(point("charge.suction-temperature"), liquid);
        job.rewrite(point("charge.liquid-temperature"), suction);
        job.rewrite(
                RecordLines.SUPERHEAT, degrees(number(liquid) - number(job.written(RecordLines.EVAPORATING)), step));
        job.rewrite(
                RecordLines.SUBCOOLING, degrees(number(job.written(RecordLines.CONDENSING)) - number(suction), step));
    }

    private static void smoothRise(RecordedJob job) {
        long first = Math.round(number(job.written(point("evacuation.reached"))));
        StringBuilder course = new StringBuilder("0 min " + first + " micron");
        for (int i = 1; i < 12; i++) {
            course.append(", ").append(i).append(" min ").append(first + 10L * i);
        }
        job.rewrite(point("evacuation.readings"), course.toString());
    }

    private static void poundsAsKilograms(RecordedJob job, RandomGenerator random) {
        job.rewrite(point("piping.run"), LONG_RUN);
        double left =
                number(job.written(point("charge.cylinder-before"))) - LONG_RUN_TAKES + random.nextGaussian() * 0.1;
        job.rewrite(point("charge.cylinder-after"), String.format(Locale.ROOT, "%.2f lb", left));
        List.of("charge.cylinder-before", "charge.cylinder-after")
                .forEach(line ->
                        job.rewrite(point(line), job.written(point(line)).replace(" lb", " kg")));
    }

    /** A twentieth more at each reading. */
    private static String scaled(RecordedJob other) {
        StringBuilder course = new StringBuilder();
        for (String part : other.written(point("evacuation.readings")).split(", ")) {
            String[] words = part.split(" ");
            course.append(course.isEmpty() ? "" : ", ")
                    .append(words[0])
                    .append(" min ")
                    .append(Math.round(Double.parseDouble(words[2]) * 1.05))
                    .append(course.length() < 12 ? " micron" : "");
        }
        return course.toString();
    }
}
