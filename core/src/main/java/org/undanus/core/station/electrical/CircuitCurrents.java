package org.undanus.core.station.electrical;

import static org.undanus.core.installation.PlatePoints.COMPRESSOR_CURRENT;
import static org.undanus.core.installation.PlatePoints.FAN_CURRENT;
import static org.undanus.core.installation.PlatePoints.HEATER_CURRENT;
import static org.undanus.core.installation.PlatePoints.MAXIMUM_OVERCURRENT_DEVICE;
import static org.undanus.core.installation.PlatePoints.MINIMUM_CIRCUIT_AMPACITY;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Step;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The two currents a circuit is judged by, minimum ampacity and maximum overcurrent device: from the plate, else from the
 * data sheet, else computed from the plate's currents after the practice of NFPA 70, article 440 (parts III and IV).
 */
final class CircuitCurrents {
    static final Setting LARGEST_MOTOR_FACTOR = new Setting(
            "electrical.largest-motor-factor", Dimension.COUNT, "Factor on the largest motor for minimum ampacity");
    static final Setting DEVICE_FACTOR =
            new Setting("electrical.device-factor", Dimension.COUNT, "Factor on the compressor for the largest device");
    static final Setting FIRST_DEVICE_FACTOR = new Setting(
            "electrical.first-device-factor", Dimension.COUNT, "Factor on the compressor for the device to try first");
    static final Setting HEATER_FACTOR =
            new Setting("electrical.heater-factor", Dimension.COUNT, "Factor on heaters that run with the compressor");
    static final String DEVICE_SIZES = "electrical.device-sizes";

    /**
     * A current that is known, with the step that explains it.
     *
     * @param computed from motor currents, rather than given by plate or sheet
     */
    record Known(double ampere, boolean computed, Step step) {
        Limit as(Bound bound, Examination x) {
            return new Limit(
                    computed ? x.rules().computed() : x.rules().maker(),
                    bound,
                    Current.ofAmperes(ampere),
                    step.source().isEmpty() ? step.how() : step.source(),
                    0);
        }
    }

    private CircuitCurrents() {}

    /** Standard sizes of overcurrent protective devices from one to another current, A, smallest first. */
    static List<Quantity> deviceSizes(Examination x, double least, double most) {
        return x.rules().sizes(DEVICE_SIZES).stream()
                .filter(size -> size.si() >= least && size.si() <= most)
                .sorted(Comparator.comparingDouble(Quantity::si))
                .toList();
    }

    /** Currents on the plate, A. A unit without a compressor has its fan as the largest motor. */
    private record Loads(double compressor, double fans, double heaters) {

        /** What is still to be read: a current nobody has read is not nought. */
        static List<Point> missing(Examination x) {
            List<Point> missing = new ArrayList<>();
            if (x.unit().outdoor()) {
                missing.addAll(x.missing(COMPRESSOR_CURRENT));
            }
            missing.addAll(x.missing(FAN_CURRENT, HEATER_CURRENT));
            return missing;
        }

        /** Empty where a current of the plate has not been read. */
        static Optional<Loads> of(Examination x) {
            return missing(x).isEmpty()
                    ? Optional.of(new Loads(
                            x.unit().outdoor() ? current(x, COMPRESSOR_CURRENT) : 0,
                            current(x, FAN_CURRENT),
                            current(x, HEATER_CURRENT)))
                    : Optional.empty();
        }

        private static double current(Examination x, Point point) {
            return x.need(point).quantity().si();
        }

        double largestMotor() {
            return Math.max(compressor, fans);
        }

        double total() {
            return compressor + fans + heaters;
        }
    }

    /** The lines of which either the first or all the others would give the known. */
    static List<Point> missing(Examination x, Point onPlate) {
        List<Point> missing = new ArrayList<>(List.of(onPlate));
        missing.addAll(Loads.missing(x));
        return missing;
    }

    /** Compressor, fans and heaters together, A; empty where one of them has not been read. */
    static Optional<Double> loadCurrent(Examination x) {
        return Loads.of(x).map(Loads::total);
    }

    /** Empty where neither plate, sheet nor currents give it. */
    static Optional<Known> minimumAmpacity(Examination x) {
        String name = "Minimum circuit ampacity (MCA)";
        return plate(x, MINIMUM_CIRCUIT_AMPACITY)
                .map(ampere -> known(name, ampere, "read", "Nameplate"))
                .or(() -> fromSheet(x, name, SheetValue.MINIMUM_CIRCUIT_AMPACITY))
                .or(() -> Loads.of(x).map(loads -> {
                    double motor = x.rules().number(LARGEST_MOTOR_FACTOR);
                    double heater = x.rules().number(HEATER_FACTOR);
                    double otherMotors = loads.compressor + loads.fans - loads.largestMotor();
                    return computed(
                            "Minimum circuit ampacity, computed",
                            motor * loads.largestMotor() + otherMotors + heater * loads.heaters,
                            Text.of(
                                    "{motor} × largest motor + other motors + {heater} × heaters",
                                    plain(motor),
                                    plain(heater)),
                            x.rules().setting(LARGEST_MOTOR_FACTOR).source());
                }));
    }

    /** Empty where neither plate, sheet nor currents give it. */
    static Optional<Known> maximumDevice(Examination x) {
        String name = "Maximum overcurrent protection (MOCP)";
        return plate(x, MAXIMUM_OVERCURRENT_DEVICE)
                .map(ampere -> known(name, ampere, "read", "Nameplate"))
                .or(() -> fromSheet(x, name, SheetValue.MAXIMUM_OVERCURRENT_DEVICE))
                .or(() -> Loads.of(x).map(loads -> computedDevice(x, name, loads)));
    }

    private static Known computedDevice(Examination x, String name, Loads loads) {
        // heaters once: their factor for continuous load belongs to ampacity alone
        double others = loads.total() - loads.largestMotor();
        double factor = x.rules().number(DEVICE_FACTOR);
        double ceiling = factor * loads.largestMotor() + others;
        double least = minimumAmpacity(x).orElseThrow().ampere();
        List<Double> sizes =
                x.rules().sizes(DEVICE_SIZES).stream().map(Quantity::si).toList();
        // never below the minimum ampacity: a device that trips at start protects nothing
        double size = sizes.stream()
                .filter(s -> s <= ceiling && s >= least)
                .max(Comparator.naturalOrder())
                .or(() -> sizes.stream().filter(s -> s >= least).findFirst())
                .orElse(ceiling);
        double first = x.rules().number(FIRST_DEVICE_FACTOR) * loads.largestMotor() + others;
        return computed(
                "Maximum overcurrent device, computed",
                size,
                Text.of(
                        "{factor} × largest motor + others = {ceiling} A, next lower standard size; try {first} A or the size below it first",
                        plain(factor),
                        String.format(Locale.ROOT, "%.1f", ceiling),
                        String.format(Locale.ROOT, "%.1f", first)),
                x.rules().setting(DEVICE_FACTOR).source());
    }

    /** The current the circuit is made for, A: the plate's currents, else the minimum ampacity on the safe side. */
    static Optional<Known> designCurrent(Examination x) {
        return loadCurrent(x)
                .map(load -> computed("Design current Ib", load, "compressor + fans + heaters", "IEC 60364-4-43"))
                .or(() -> minimumAmpacity(x)
                        .map(f -> computed(
                                "Design current Ib",
                                f.ampere(),
                                "minimum circuit ampacity, as not every current of the plate has been read",
                                "IEC 60364-4-43")));
    }

    private static Optional<Double> plate(Examination x, Point point) {
        return x.read(point) ? x.number(point) : Optional.empty();
    }

    private static Optional<Known> fromSheet(Examination x, String name, SheetValue field) {
        return x.sheet().flatMap(sheet -> sheet.value(field)
                .map(current ->
                        known(name, current.si(), "the plate lacks it; from the data sheet", sheet.document())));
    }

    private static Known known(String name, double ampere, String how, String source) {
        return new Known(ampere, false, Step.of(name, how, Current.ofAmperes(ampere), source));
    }

    private static Known computed(String name, double ampere, String how, String source) {
        return computed(name, ampere, Text.of(how), source);
    }

    private static Known computed(String name, double ampere, Text how, String source) {
        return new Known(ampere, true, new Step(Text.of(name), how, Current.ofAmperes(ampere), Text.plain(source)));
    }

    private static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }
}
