package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_MATERIAL;
import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_SIZE;
import static org.undanus.core.station.electrical.CircuitPoints.DEVICE_RATING;
import static org.undanus.core.station.electrical.WiringPoints.EARTH_SIZE;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.ConductorArea;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The earthing conductor is large enough: by the device's rating (NFPA 70, table 250.122), or by the line conductors
 * (IEC 60364-5-54, table 54.2).
 */
final class EarthingConductor implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.earth-size", Dimension.CONDUCTOR_AREA, "Earthing conductor");
    private static final String PLATE_SOURCE = "NFPA 70, table 250.122; check the adopted edition";
    private static final String DESIGN_SOURCE = "IEC 60364-5-54, table 54.2; check the adopted edition";
    private static final double WHOLE_UP_TO = 16e-6;
    private static final double SIXTEEN_UP_TO = 35e-6;
    private static final double SAME = 0.02;
    private static final List<Map<String, String>> TABLE = Csv.read(EarthingConductor.class, "earthing.csv");

    static final About ABOUT = About.of(
                    "electrical.earthing-conductor",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Earthing conductor large enough",
                    Severity.SAFETY)
            .sources(PLATE_SOURCE, DESIGN_SOURCE)
            .limits(LIMIT)
            .schools(Protection.TOPIC);

    @Override
    public About about() {
        return ABOUT;
    }

    /** Least size by a device's rating, m²; empty beyond the table. */
    static Optional<Double> byDevice(double ampere, String metal) {
        return TABLE.stream()
                .filter(row -> ampere <= Double.parseDouble(row.get("device_a")))
                .findFirst()
                .map(row -> FieldNotation.parse(row.get(metal), Dimension.CONDUCTOR_AREA)
                        .value()
                        .si());
    }

    /** Least size by the line conductors', m²: S up to 16 mm², 16 up to 35, half of it beyond. */
    static double byLine(double area) {
        return area <= WHOLE_UP_TO ? area : area <= SIXTEEN_UP_TO ? WHOLE_UP_TO : area / 2;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean plate = x.by(Protection.PLATE);
        List<Point> missing = plate ? x.missing(DEVICE_RATING, CONDUCTOR_MATERIAL) : x.missing(CONDUCTOR_SIZE);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Optional<Double> least = plate
                ? byDevice(
                        x.need(DEVICE_RATING).quantity().si(),
                        x.chosen(CONDUCTOR_MATERIAL).orElseThrow().id())
                : Optional.of(byLine(x.need(CONDUCTOR_SIZE).quantity().si()));
        if (least.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.REFER,
                            Text.of("The table ends before this device's rating."),
                            "A licensed electrician reads the full table.");
        }
        ConductorArea asked = ConductorArea.ofSquareMetres(least.get());
        if (!x.has(EARTH_SIZE)) {
            return x.notShown(List.of(EARTH_SIZE), Text.of("It must be {asked} at least.", asked));
        }
        // a size is a name: a millimetre table's 2.5 and a gauge's 2.08 are told apart, rounding of one size is not
        double found = x.need(EARTH_SIZE).quantity().si();
        List<Limit> limits = List.of(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                ConductorArea.ofSquareMetres(Math.abs(found / least.get() - 1) < SAME ? found : least.get()),
                plate ? PLATE_SOURCE : DESIGN_SOURCE));
        Finding finding = x.finding();
        Comparison held =
                finding.hold(LIMIT, x.need(EARTH_SIZE).uncertain(), 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of("A licensed electrician fits an earthing conductor of {asked} at least.", asked));
    }
}
