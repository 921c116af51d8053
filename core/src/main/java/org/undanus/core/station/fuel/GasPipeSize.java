package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.HEATING_VALUE;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_LOAD;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_LONGEST;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_MATERIAL;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_SIZE;
import static org.undanus.core.station.fuel.FuelPoints.SUPPLIED;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The gas pipe carries the load that hangs on it, by the longest-length method: every part is sized for the length from the meter
 * to the farthest appliance. Source: NFPA 54 / IFGC, low-pressure gas equation, steel pipe of schedule 40.
 */
public final class GasPipeSize implements Requirement {
    private static final String EQUATION =
            "NFPA 54 / IFGC, low-pressure gas equation, longest-length method; check the adopted edition";
    private static final LimitKey LIMIT = new LimitKey("fuel.pipe-load", Dimension.POWER, "Gas load");
    private static final Setting DROP = new Setting(
            "fuel.pipe-drop", Dimension.PRESSURE_DIFFERENCE, "Pressure that the gas pipe may lose over its length");
    /** Inside diameters, smallest first. */
    private static final Map<Option, Setting> BORES = bores();

    private static final About ABOUT = About.of(
                    "fuel.pipe-load", Station.FUEL, Scope.FUEL_UNIT, "Gas pipe carries its load", Severity.SAFETY)
            .sources(EQUATION)
            .needs(PIPE_SIZE, PIPE_MATERIAL, PIPE_LONGEST, PIPE_LOAD, SUPPLIED, HEATING_VALUE)
            .limits(LIMIT)
            .settings(Stream.concat(Stream.of(DROP), BORES.values().stream()).toArray(Setting[]::new));

    private static final double HOUR = 3600;

    private static Map<Option, Setting> bores() {
        Map<Option, Setting> bores = new LinkedHashMap<>();
        PIPE_SIZE.options().stream()
                .filter(size -> !size.equals(FuelPoints.LARGER))
                .forEach(size -> bores.put(
                        size,
                        new Setting(
                                "fuel.bore-" + size.id(),
                                Dimension.LENGTH,
                                "Inside diameter of steel gas pipe, schedule 40, " + size.words())));
        return Collections.unmodifiableMap(bores);
    }

    @Override
    public About about() {
        return ABOUT;
    }

    /**
     * Gas that a pipe lets through: D = Q^0.381 / (19.17·(ΔH/(Cr·L))^0.206), turned about; D in inches, Q in cubic feet an hour, ΔH
     * in inches of water, L in feet.
     *
     * @param bore inside diameter, m
     * @param drop Pa
     * @param length m, over 0
     * @param propane else natural gas
     * @return m³/s at 60 °F and 30 inHg
     */
    public static double flow(double bore, double drop, double length, boolean propane) {
        double factor = propane ? 1.2462 : 0.6094;
        double slope = drop / FieldUnit.INH2O / (factor * length / FieldUnit.FOOT);
        double hourly = Math.pow(19.17 * bore / FieldUnit.INCH * Math.pow(slope, 0.206), 1 / 0.381);
        return hourly * Math.pow(FieldUnit.FOOT, 3) / HOUR;
    }

    @Override
    public Judgement judge(Examination x) {
        Option material = x.chosen(PIPE_MATERIAL).orElseThrow();
        Option size = x.chosen(PIPE_SIZE).orElseThrow();
        Option fuel = x.chosen(SUPPLIED).orElseThrow();
        if (!material.equals(FuelPoints.STEEL) || fuel.equals(FuelPoints.OTHER_FUEL)) {
            return x.finding()
                    .step(PIPE_MATERIAL.title(), material)
                    .step(SUPPLIED.title(), fuel)
                    .conclude(
                            Verdict.REFER,
                            Text.of("Only steel pipe of natural gas or propane is sized here."),
                            "A licensed fitter sizes it by its maker's tables, for the longest length and this load.");
        }
        if (!BORES.containsKey(size)) {
            return x.finding()
                    .step(PIPE_SIZE.title(), size)
                    .conclude(
                            Verdict.REFER,
                            Text.of("Pipe larger than 2 in is not sized here."),
                            "A licensed fitter sizes it by the tables of the fuel gas code.");
        }
        if (x.need(PIPE_LONGEST).quantity().si() <= 0) {
            return x.notShown(List.of(PIPE_LONGEST));
        }
        Finding finding = x.finding()
                .step(PIPE_LONGEST.title(), x.need(PIPE_LONGEST).quantity())
                .step(
                        "Inside diameter",
                        "",
                        x.rules().setting(BORES.get(size)).value(),
                        x.rules().setting(BORES.get(size)).source())
                .step(
                        "Pressure it may lose",
                        "",
                        x.rules().setting(DROP).value(),
                        x.rules().setting(DROP).source());
        Uncertain carried = Propagation.through(
                length -> carried(x, BORES.get(size), length[0]),
                x.need(PIPE_LONGEST).uncertain());
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(new Limit(x.rules().code(), Bound.AT_MOST, Power.ofWatts(carried.value()), EQUATION)
                .within(carried.standardUncertainty()));
        return finding.compare(
                LIMIT,
                x.need(PIPE_LOAD).uncertain(),
                x.need(PIPE_LOAD).resolution(),
                limits,
                larger(x)
                        .map(enough -> Text.of(
                                "A licensed fitter replaces it with {size} pipe or larger, or takes load off it.",
                                enough))
                        .orElse(
                                Text.of(
                                        "A licensed fitter sizes the pipe anew, by another pressure or with less load on it.")));
    }

    /** Heat that the gas through a pipe of this bore and length brings, W. */
    private static double carried(Examination x, Setting bore, double length) {
        boolean propane = x.chosen(SUPPLIED).filter(FuelPoints.PROPANE::equals).isPresent();
        return length > 0
                ? flow(x.rules().number(bore), x.rules().number(DROP), length, propane)
                        * x.need(HEATING_VALUE).quantity().si()
                : Double.NaN;
    }

    /** The smallest size that carries the load. */
    private static Optional<Option> larger(Examination x) {
        double load = x.need(PIPE_LOAD).quantity().si();
        double length = x.need(PIPE_LONGEST).quantity().si();
        return BORES.entrySet().stream()
                .filter(each -> carried(x, each.getValue(), length) >= load)
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
