package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.BASIS;
import static org.undanus.core.station.fuel.FuelPoints.DIAL;
import static org.undanus.core.station.fuel.FuelPoints.HEATING_VALUE;
import static org.undanus.core.station.fuel.FuelPoints.INPUT;
import static org.undanus.core.station.fuel.FuelPoints.METER_PRESSURE;
import static org.undanus.core.station.fuel.FuelPoints.METER_TEMPERATURE;
import static org.undanus.core.station.fuel.FuelPoints.REVOLUTIONS;
import static org.undanus.core.station.fuel.FuelPoints.TIME;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The burner takes what its plate says, less what the height of the site asks: volume × revolutions / time × heating value, brought
 * from standard conditions to those at the meter.
 */
public final class BurnerInput implements Requirement {
    /** Conditions that a standard heating value holds for, K and Pa. Source: ISO 13443, 15 °C and 101.325 kPa. */
    private static final double STANDARD_KELVIN = 288.15;

    private static final double STANDARD_PASCAL = 101_325;
    private static final LimitKey LIMIT = new LimitKey("fuel.input", Dimension.POWER, "Input");
    private static final Setting RATE =
            new Setting("fuel.derate-rate", Dimension.RATIO, "Input taken off for each step of height");
    private static final Setting STEP = new Setting("fuel.derate-step", Dimension.LENGTH, "Step of height");
    private static final Setting FROM =
            new Setting("fuel.derate-from", Dimension.LENGTH, "Height from which input is taken off");
    private static final Setting TOLERANCE =
            new Setting("fuel.input-tolerance", Dimension.RATIO, "How far input may lie from the plate's");
    static final About ABOUT = About.of("fuel.input", Station.FUEL, Scope.FUEL_UNIT, "Burner input", Severity.SAFETY)
            .sources(
                    "Nameplate, input; fuel gas code, high altitude; check the adopted edition",
                    "ISO 13443, standard conditions")
            .needs(DIAL, REVOLUTIONS, HEATING_VALUE, BASIS)
            .limits(LIMIT)
            .settings(RATE, STEP, FROM, TOLERANCE);

    @Override
    public About about() {
        return ABOUT;
    }

    /**
     * Heat that a meter's revolutions bring, W.
     *
     * @param dial m³ a revolution
     * @param heatingValue J/m³
     * @param correction from standard conditions to the meter's; 1 where the value holds for the meter
     */
    public static double input(
            double dial, double revolutions, double seconds, double heatingValue, double correction) {
        return dial * revolutions / seconds * heatingValue * correction;
    }

    /** The ratio p/p0 · T0/T, of an absolute pressure in Pa and a temperature in K. */
    public static double correction(double absolutePressure, double kelvin) {
        return absolutePressure / STANDARD_PASCAL * STANDARD_KELVIN / kelvin;
    }

    /** Share of the plate's input that is left at a height: off the whole height once it is over the first step. */
    public static double derating(double height, double from, double step, double rate) {
        return height > from ? Math.max(0, 1 - rate * height / step) : 1;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Quantity> plate = x.measured(INPUT)
                .map(Value.Measured::quantity)
                .or(() -> x.sheet().flatMap(sheet -> sheet.value(SheetValue.FUEL_INPUT)));
        if (plate.isEmpty()) {
            return x.notShown(List.of(INPUT));
        }
        double revolutions = x.need(REVOLUTIONS).quantity().si();
        if (revolutions <= 0) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("No revolution was timed."),
                            "Time at least one whole revolution at high fire.");
        }
        boolean standard = !x.chosen(BASIS).orElseThrow().equals(FuelPoints.AS_METERED);
        List<Point> missing = standard ? x.missing(METER_PRESSURE, METER_TEMPERATURE) : List.of();
        double left = derating(
                x.facts().site().elevation().si(),
                x.rules().number(FROM),
                x.rules().number(STEP),
                x.rules().number(RATE));
        double asked = plate.get().si() * left;
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Uncertain correction = standard ? corrected(x) : Uncertain.exact(1);
        double dial = x.need(DIAL).quantity().si();
        double heatingValue = x.need(HEATING_VALUE).quantity().si();
        Duration takes =
                Duration.ofSeconds(Math.rint(input(dial, revolutions, 1, heatingValue, correction.value()) / asked));
        if (!x.has(TIME)) {
            return x.notShown(
                    List.of(TIME), Text.of("Expect about {seconds} for {revolutions}.", takes, counted(revolutions)));
        }
        Uncertain input = Propagation.through(
                in -> in[0] > 0 ? input(dial, revolutions, in[0], heatingValue, in[1]) : Double.NaN,
                x.need(TIME).uncertain(),
                correction);
        Finding finding = steps(x, plate.get(), asked, standard ? Optional.of(correction) : Optional.empty());
        double tolerance = x.rules().number(TOLERANCE);
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(side(x, Bound.AT_LEAST, asked * (1 - tolerance)));
        limits.add(side(x, Bound.AT_MOST, asked * (1 + tolerance)));
        Comparison held = finding.hold(LIMIT, input, 0, limits).orElseThrow();
        boolean over = held.binding().limit().bound() == Bound.AT_MOST;
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        over
                                ? "Overfired: a licensed technician sets manifold pressure or orifices to {seconds} for {revolutions}."
                                : "Underfired: a licensed technician checks inlet and manifold pressure; target {seconds} for {revolutions}.",
                        takes,
                        counted(revolutions)));
    }

    /** @param correction to the meter; empty where it is taken as metered */
    private static Finding steps(Examination x, Quantity plate, double asked, Optional<Uncertain> correction) {
        Finding finding = x.finding()
                .step("Input on the plate", plate)
                .step(
                        "Height of the site",
                        Length.ofMetres(x.facts().site().elevation().si()))
                .step(
                        "Input asked here",
                        "plate × (1 − rate × height / step)",
                        Power.ofWatts(asked),
                        x.rules().setting(RATE).source());
        correction.ifPresent(by -> finding.step(
                "Correction to the meter",
                "p/p0 · T0/T",
                Text.of("{correction}", String.format(Locale.ROOT, "%.3f", by.value())),
                ABOUT.sources().get(1)));
        return finding;
    }

    private static Uncertain corrected(Examination x) {
        double air = x.facts().site().atmosphere().si();
        return Propagation.through(
                in -> correction(air + in[0], in[1]),
                x.need(METER_PRESSURE).uncertain(),
                x.need(METER_TEMPERATURE).uncertain());
    }

    private static Text counted(double revolutions) {
        long count = Math.round(revolutions);
        return Text.counted(count, "{count} revolution", "{count} revolutions", count);
    }

    private static Limit side(Examination x, Bound bound, double watts) {
        return new Limit(
                x.rules().maker(),
                bound,
                Power.ofWatts(watts),
                Text.of("Nameplate, {source}", x.rules().setting(TOLERANCE).source()));
    }
}
