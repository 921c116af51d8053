package org.undanus.core.simulated;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.random.RandomGenerator;
import org.undanus.core.audit.Claim;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.curve.PullDown;
import org.undanus.core.derived.CoolingCoil;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.Tube;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Traces;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Site;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;

/**
 * A job that was done and written down honestly: a virtual machine, read with instruments that err, written with the digits and the
 * habits of whoever wrote it. Where something is to be wrong with it, {@link Doctoring} changes what is written.
 */
public final class RecordedJob {
    private static final double PSI = 6894.757;
    private static final double INCH_OF_MERCURY = 3386.389;
    private static final double FOOT = FieldUnit.FOOT;
    private static final double POUND = 0.45359237;
    private static final double MICRON = 0.13332237;
    private static final double CUBIC_FOOT_A_MINUTE = 4.719474e-4;
    private static final double DENSITY = 1.1;
    private static final double HEAT_OF_AIR = 1010;
    private static final double VOLTS = 230;
    private static final double POWER_FACTOR = 0.95;
    private static final CoolingCoil COIL = new CoolingCoil(
            new CoolingCoil.Rating(3 * 3516.853, 1200 * CUBIC_FOOT_A_MINUTE, 0.75),
            new CoolingCoil.Slopes(0.031, -0.009, 0.8));
    private static final double PUMP_CFM = 6;
    private static final double HOSE_BORE = 0.00635;
    private static final double HOSE = 1.5;

    /** How somebody writes. */
    public enum Writer {
        /** Tenths of a degree, times to five minutes. */
        TENTHS(0.1, 5),
        /** Whole degrees, times to five minutes. */
        DEGREES(1, 5),
        /** Whole degrees, times to the hour. */
        HOURS(1, 60);

        private final double fahrenheit;
        private final int minutes;

        Writer(double fahrenheit, int minutes) {
            this.fahrenheit = fahrenheit;
            this.minutes = minutes;
        }
    }

    private static final double PSI_STEP = 1;

    private final RandomGenerator random;
    private final RuleBook rules;
    private final String reference;
    private final String building;
    private final String crew;
    private final String person;
    private final LocalDate day;
    private final Writer writer;
    private final Map<PointKey, String> typed = new LinkedHashMap<>();
    private final Map<PointKey, LocalDateTime> times = new LinkedHashMap<>();
    private final Case facts;
    private final Refrigerant refrigerant;
    private final AbsolutePressure air;
    private CommissioningRecord.DayWeather weather;
    private LocalDateTime now;
    /** Of the lines, m. */
    private double length;
    /** Inside them, m³. */
    private double volume;
    /** Air that leaves the indoor coil, K. */
    private double supply;

    /**
     * @param reference of the installation
     * @param begins when the day's work begins there
     * @param writer who writes it
     */
    public RecordedJob(
            RandomGenerator random,
            RuleBook rules,
            String reference,
            String building,
            String crew,
            String person,
            LocalDateTime begins,
            String refrigerant,
            Length elevation,
            Writer writer) {
        this.random = random;
        this.rules = rules;
        this.reference = reference;
        this.building = building;
        this.crew = crew;
        this.person = person;
        this.day = begins.toLocalDate();
        this.now = begins;
        this.writer = writer;
        this.facts = new Case(
                new Site(building, elevation),
                List.of(
                        new Component("outdoor-1", Component.Kind.OUTDOOR, "Outdoor unit", true),
                        new Component("indoor-1", Component.Kind.INDOOR_DUCTED, "Air handler", true)),
                DataSheets.NONE,
                day);
        this.refrigerant = Refrigerant.shipped(refrigerant).orElseThrow();
        this.air = new Site(building, elevation).atmosphere();
        work();
    }

    private double noise(double deviation) {
        return random.nextGaussian() * deviation;
    }

    private double between(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    private void write(Point point, String subject, String text) {
        typed.put(new PointKey(point.id(), point.scope().ofSystem() ? PointKey.SYSTEM : subject), text);
        times.put(new PointKey(point.id(), point.scope().ofSystem() ? PointKey.SYSTEM : subject), clock(now));
    }

    private LocalDateTime clock(LocalDateTime at) {
        return at.withMinute(at.getMinute() / writer.minutes * writer.minutes)
                .withSecond(0)
                .withNano(0);
    }

    /** A length of time as it is chosen by whoever counts in such steps, minutes. */
    private double lasting(double low, double high, double step) {
        double each = Math.max(step, writer.minutes / 2.0);
        return Math.max(each, Math.round(between(low, high) / each) * each);
    }

    private void later(double minutes) {
        now = now.plusSeconds(Math.round(minutes * 60));
    }

    private static double rounded(double value, double step) {
        return Math.round(value / step) * step;
    }

    private static String number(double value, double step) {
        return String.format(Locale.ROOT, step < 0.05 ? "%.2f" : step < 1 ? "%.1f" : "%.0f", rounded(value, step));
    }

    static double fahrenheit(double kelvin) {
        return (kelvin - Temperature.ZERO_CELSIUS) * 9 / 5 + 32;
    }

    private static double kelvin(double fahrenheit) {
        return (fahrenheit - 32) * 5 / 9 + Temperature.ZERO_CELSIUS;
    }

    private String degrees(double kelvin) {
        return number(fahrenheit(kelvin), writer.fahrenheit) + " °F";
    }

    private void work() {
        plates();
        test();
        evacuation();
        charge();
        running();
        write(RecordLines.STANDARDS, PointKey.SYSTEM, "EN 378:2016");
    }

    private void plates() {
        write(point("plate.model"), "outdoor-1", "DX-42");
        write(point("plate.refrigerant"), "outdoor-1", refrigerant.name());
        write(point("plate.refrigerant"), "indoor-1", refrigerant.name());
        write(point("plate.cooling-capacity"), "outdoor-1", "3 t");
        write(point("plate.charge"), "outdoor-1", "5.2 lb");
        write(point("plate.precharged-length"), "outdoor-1", "15 ft");
        write(point("plate.extra-charge"), "outdoor-1", "0.6 oz/ft");
        double feet = Math.round(between(25, 70));
        length = feet * FOOT;
        Tube liquid = Tube.of(0.009525).orElseThrow();
        Tube suction = Tube.of(0.019050).orElseThrow();
        volume = LineContents.volume(length, liquid, suction);
        write(point("piping.run"), "line-set-indoor-1", number(feet - 8, 1) + " ft, elbow, 8 ft");
        write(point("piping.liquid-line"), "line-set-indoor-1", "3/8 in");
        write(point("piping.suction-line"), "line-set-indoor-1", "3/4 in");
    }

    private static Point point(String id) {
        return RecordLines.point(id).or(() -> Walk.point(id)).orElseThrow();
    }

    private void at(Point point) {
        write(point, "line-set-indoor-1", "yes");
    }

    private void test() {
        String line = "line-set-indoor-1";
        later(between(20, 60));
        at(RecordLines.TEST_BEGUN);
        double gauge = rounded(between(290, 450), 10) * PSI;
        double before = kelvin(between(62, 82));
        double minutes = lasting(60, 150, 10);
        double after = before + noise(2.5);
        write(point("tightness.start-pressure"), line, number(gauge / PSI, PSI_STEP) + " psig");
        write(point("tightness.start-temperature"), line, degrees(before));
        int readings = 6;
        StringBuilder course = new StringBuilder();
        double last = gauge;
        for (int i = 0; i < readings; i++) {
            LocalDateTime each = now.plusSeconds(Math.round(minutes * 60 * i / (readings - 1)));
            double warm = before + (after - before) * i / (readings - 1) + noise(0.3);
            last = Nitrogen.warmed(
                                    GaugePressure.ofPascals(gauge).absolute(air),
                                    Temperature.ofKelvin(before),
                                    Temperature.ofKelvin(warm))
                            .si()
                    - air.si();
            course.append(i == 0 ? "" : ", ")
                    .append(String.format(Locale.ROOT, "%02d:%02d ", each.getHour(), each.getMinute()))
                    .append(number(i == 0 ? gauge / PSI : last / PSI + noise(0.3), PSI_STEP))
                    .append(i == 0 ? " psig" : "");
        }
        write(point("tightness.pressure-readings"), line, course.toString());
        write(point("tightness.hold-time"), line, number(minutes, 1) + " min");
        later(minutes);
        write(point("tightness.end-pressure"), line, number(last / PSI, PSI_STEP) + " psig");
        write(point("tightness.end-temperature"), line, degrees(after + noise(0.4)));
        later(between(2, 15));
        at(RecordLines.TEST_ENDED);
    }

    private void evacuation() {
        String line = "line-set-indoor-1";
        later(between(5, 25));
        at(RecordLines.PUMP_ON);
        double reached = Math.round(between(180, 420));
        double speed = PUMP_CFM * CUBIC_FOOT_A_MINUTE;
        double dry = new PullDown(volume, speed, 0, HOSE_BORE, HOSE).time(air.si(), reached * MICRON);
        double able = Math.max(10, dry / 60 * between(1.3, 3));
        double pulled = writer == Writer.HOURS ? Math.ceil(able / 30) * 30 : able;
        write(point("evacuation.pump-speed"), line, number(PUMP_CFM, 1) + " cfm");
        write(point("evacuation.hose-bore"), line, "1/4 in");
        write(point("evacuation.hose-length"), line, number(HOSE / FOOT, 0.1) + " ft");
        later(pulled);
        write(point("evacuation.pull-time"), line, number(Math.ceil(pulled), 1) + " min");
        write(point("evacuation.reached"), line, number(reached, 1) + " micron");
        double hold = lasting(10, 25, 1);
        double rise = between(40, 160);
        int readings = 12;
        StringBuilder course = new StringBuilder();
        double last = reached;
        for (int i = 0; i < readings; i++) {
            double t = (double) i / (readings - 1);
            last = reached + rise * (1 - Math.exp(-2 * t)) + noise(3);
            course.append(i == 0 ? "" : ", ")
                    .append(String.format(Locale.ROOT, "%.1f min ", hold * t))
                    .append(number(last, 1))
                    .append(i == 0 ? " micron" : "");
        }
        write(point("evacuation.readings"), line, course.toString());
        later(hold);
        write(point("evacuation.hold-time"), line, number(hold, 1) + " min");
        write(point("evacuation.after"), line, number(last, 1) + " micron");
        later(between(1, 6));
        at(RecordLines.VACUUM_ENDED);
    }

    private void charge() {
        double asked = 0.6 / 16 * POUND / FOOT * (length - 15 * FOOT);
        double before = between(16, 24) * POUND;
        double added = asked + noise(0.03 * 5.2 * POUND);
        write(point("charge.cylinder-before"), "outdoor-1", number(before / POUND, 0.01) + " lb");
        write(point("charge.cylinder-after"), "outdoor-1", number((before - added) / POUND, 0.01) + " lb");
        later(between(5, 15));
        at(RecordLines.OPENED);
        later(between(5, 20));
        at(RecordLines.STARTED);
    }

    private void running() {
        double outdoor = between(299, 309);
        double indoor = between(296, 301);
        weather = new CommissioningRecord.DayWeather(
                Temperature.ofKelvin(rounded(outdoor - between(6, 11), 0.1)),
                Temperature.ofKelvin(rounded(outdoor + between(0, 2), 0.1)));
        double run = lasting(15, 40, 1);
        later(run + between(1, 5));
        VirtualMachine machine = new VirtualMachine(
                refrigerant,
                10_500,
                true,
                new VirtualMachine.Fault(between(0.96, 1.04), between(0.9, 1.1), 1, false, 0, between(0.95, 1.05), 0));
        VirtualMachine.Running is = machine.running(indoor, outdoor);
        write(point("operation.mode"), PointKey.SYSTEM, "cooling");
        write(point("operation.run-time"), PointKey.SYSTEM, number(run, 1) + " min");
        write(point("running.outdoor-dry-bulb"), PointKey.SYSTEM, degrees(outdoor + noise(0.3)));
        write(
                point("charge.barometer"),
                PointKey.SYSTEM,
                number((air.si() + noise(700)) / INCH_OF_MERCURY, 0.01) + " inHg");
        cycle(is);
        air(indoor, outdoor);
        electricity(indoor, outdoor);
    }

    private void cycle(VirtualMachine.Running is) {
        Saturation table = refrigerant.saturation();
        String unit = "outdoor-1";
        double low = rounded(
                table.dew(Temperature.ofKelvin(is.evaporating())).si() / PSI - air.si() / PSI + noise(0.7), PSI_STEP);
        double high = rounded(
                table.bubble(Temperature.ofKelvin(is.condensing())).si() / PSI - air.si() / PSI + noise(1.2), PSI_STEP);
        double boiling = table.dewTemperature(GaugePressure.ofPascals(low * PSI).absolute(air))
                        .si()
                + noise(0.15);
        double condensing =
                table.bubbleTemperature(GaugePressure.ofPascals(high * PSI).absolute(air))
                                .si()
                        + noise(0.15);
        double suction = is.evaporating() + is.superheat() + noise(0.4);
        double liquid = is.condensing() - is.subcooling() + noise(0.4);
        double step = writer.fahrenheit;
        double te = rounded(fahrenheit(boiling), step);
        double tc = rounded(fahrenheit(condensing), step);
        double ts = rounded(fahrenheit(suction), step);
        double tl = rounded(fahrenheit(liquid), step);
        write(point("charge.suction-pressure"), unit, number(low, PSI_STEP) + " psig");
        write(RecordLines.EVAPORATING, unit, number(te, step) + " °F");
        write(point("charge.suction-temperature"), unit, number(ts, step) + " °F");
        write(RecordLines.SUPERHEAT, unit, number(ts - te, step) + " °F");
        write(point("charge.liquid-pressure"), unit, number(high, PSI_STEP) + " psig");
        write(RecordLines.CONDENSING, unit, number(tc, step) + " °F");
        write(point("charge.liquid-temperature"), unit, number(tl, step) + " °F");
        write(RecordLines.SUBCOOLING, unit, number(tc - tl, step) + " °F");
    }

    private void air(double indoor, double outdoor) {
        String unit = "indoor-1";
        double step = writer.fahrenheit;
        MoistAir entering = MoistAir.ofRelativeHumidity(Temperature.ofKelvin(indoor), between(0.45, 0.58), air);
        double flow = between(1150, 1300);
        // a coil as it is rated, and a machine within a few percent of that
        double rated = COIL.leaving(entering, outdoor - Temperature.ZERO_CELSIUS, flow * CUBIC_FOOT_A_MINUTE);
        supply = indoor - (indoor - Temperature.ZERO_CELSIUS - rated) * (1 + noise(0.05));
        MoistAir leaving = MoistAir.ofRelativeHumidity(Temperature.ofKelvin(supply), 0.9, air);
        double dry = rounded(fahrenheit(indoor + noise(0.3)), step);
        double cold = rounded(fahrenheit(supply + noise(0.3)), step);
        write(point("running.return-dry-bulb"), unit, number(dry, step) + " °F");
        write(point("running.return-wet-bulb"), unit, degrees(entering.wetBulb().si() + noise(0.3)));
        write(point("running.supply-dry-bulb"), unit, number(cold, step) + " °F");
        write(
                point("running.supply-wet-bulb"),
                unit,
                degrees(Math.min(kelvin(cold), leaving.wetBulb().si() + noise(0.3))));
        write(RecordLines.SPLIT, unit, number(dry - cold, step) + " °F");
        write(point("running.airflow"), unit, number(flow * (1 + noise(0.02)), 10) + " cfm");
        double water = flow
                * CUBIC_FOOT_A_MINUTE
                / entering.specificVolume()
                * Math.max(0, entering.humidityRatio() - leaving.humidityRatio())
                / 1000;
        write(RecordLines.CONDENSATE, unit, number(water * 3.6e6 * (1 + noise(0.04)), 0.1) + " L/h");
    }

    private void electricity(double indoor, double outdoor) {
        double volts = VOLTS + noise(4);
        double watts = 1200
                * CUBIC_FOOT_A_MINUTE
                * DENSITY
                * HEAT_OF_AIR
                * (indoor - supply)
                / between(2.6, 3.4)
                * (1 + (outdoor - 305) / 200);
        write(point("electrical.running-voltage"), "outdoor-1", number(volts, 1) + " V");
        write(point("electrical.running-current"), "outdoor-1", number(watts / volts / POWER_FACTOR, 0.1) + " A");
        write(point("running.power"), "outdoor-1", number(watts / 1000 * (1 + noise(0.01)), 0.01) + " kW");
    }

    /** What is written on a line. */
    public String written(Point point) {
        return typed.entrySet().stream()
                .filter(each -> each.getKey().point().equals(point.id()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
    }

    void rewrite(Point point, String text) {
        typed.replaceAll((key, before) -> key.point().equals(point.id()) ? text : before);
    }

    LocalDateTime time(Point point) {
        return times.entrySet().stream()
                .filter(each -> each.getKey().point().equals(point.id()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
    }

    void retime(Point point, LocalDateTime at) {
        times.replaceAll((key, before) -> key.point().equals(point.id()) ? at : before);
    }

    void shift(long minutes) {
        times.replaceAll((key, before) -> before.plusMinutes(minutes));
    }

    /** The least that its pump needs, dry and tight, for lines of so many feet, s. */
    double quickest(double feet, double cfm, double reached) {
        double held = LineContents.volume(
                feet * FOOT, Tube.of(0.009525).orElseThrow(), Tube.of(0.019050).orElseThrow());
        return new PullDown(held, cfm * CUBIC_FOOT_A_MINUTE, 0, HOSE_BORE, HOSE).time(air.si(), reached * MICRON);
    }

    AbsolutePressure air() {
        return air;
    }

    double step() {
        return writer.fahrenheit;
    }

    /** Lines that are written, by their point. */
    List<Point> lines() {
        return typed.keySet().stream().map(key -> point(key.point())).toList();
    }

    /** The installation it is of. */
    public Case facts() {
        return facts;
    }

    /** What an inspector read there: the plates and the lines. */
    public Evidence own() {
        List<Reading> own = new ArrayList<>();
        typed.forEach((key, text) -> {
            if (key.point().startsWith("plate.") || key.point().startsWith("piping.")) {
                Entry.Understood understood = Entry.understand(facts.asked(point(key.point())), text, Accuracy.EXACT);
                own.add(new Reading(
                        UUID.nameUUIDFromBytes((reference + key).getBytes(StandardCharsets.UTF_8)),
                        key,
                        text,
                        understood.value(),
                        understood.unit(),
                        Optional.empty(),
                        Grade.WITNESSED,
                        "inspector",
                        day.atStartOfDay().toInstant(ZoneOffset.UTC),
                        Stage.FINAL,
                        false));
            }
        });
        return Evidence.of(own);
    }

    /** The record as it was handed in; only what belongs into one. */
    public CommissioningRecord record() {
        List<Claim> claims = new ArrayList<>();
        typed.forEach((key, text) -> RecordLines.point(key.point()).ifPresent(point -> {
            Accuracy accuracy = rules.accuracy(point.instrument());
            claims.add(Claim.of(
                    UUID.nameUUIDFromBytes((reference + key).getBytes(StandardCharsets.UTF_8)),
                    key,
                    text,
                    Entry.understand(facts.asked(point), text, accuracy, Traces.NONE),
                    Optional.of(times.get(key)),
                    Optional.empty(),
                    Traces.NONE));
        }));
        return new CommissioningRecord(reference, reference, building, crew, person, day, Optional.of(weather), claims);
    }
}
