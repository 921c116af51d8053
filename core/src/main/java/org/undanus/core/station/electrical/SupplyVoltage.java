package org.undanus.core.station.electrical;

import static org.undanus.core.installation.PlatePoints.RATED_VOLTAGE;
import static org.undanus.core.installation.PlatePoints.UPPER_RATED_VOLTAGE;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Voltage;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The voltage at the terminals, standing or running, lies inside what plate and sheet accept. Source: data sheet; rule
 * book tolerance about the rated voltage, or about both rated voltages where the plate gives a range.
 */
final class SupplyVoltage implements Requirement {
    /** The tolerance about the rated voltage, each authority its own. */
    private static final LimitKey TOLERANCE =
            new LimitKey("electrical.voltage-tolerance", Dimension.RATIO, "Deviation from the rated voltage");

    static final SupplyVoltage STANDING =
            new SupplyVoltage("standing-voltage", "Supply voltage, standing", CircuitPoints.STANDING_VOLTAGE);
    static final SupplyVoltage RUNNING =
            new SupplyVoltage("running-voltage", "Supply voltage, running", CircuitPoints.RUNNING_VOLTAGE);

    private final Point point;
    private final LimitKey voltage;
    private final About about;

    private SupplyVoltage(String name, String title, Point point) {
        this.point = point;
        // by the tolerance's own name: who gives way to whom is said of that
        voltage = new LimitKey(TOLERANCE.id(), Dimension.VOLTAGE, title);
        about = About.of("electrical." + name, Station.ELECTRICAL, Scope.POWERED_UNIT, title, Severity.DAMAGE)
                .sources("Data sheet, supply", "Nameplate, rated voltage")
                .needs(point, RATED_VOLTAGE)
                .limits(TOLERANCE)
                .cautions(point.caution());
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        double lower = x.need(RATED_VOLTAGE).quantity().si();
        double upper = x.number(UPPER_RATED_VOLTAGE).orElse(lower);
        List<Limit> limits = new ArrayList<>();
        for (Limit tolerance : x.rules().limits(TOLERANCE)) {
            double share = tolerance.value().si();
            limits.add(side(tolerance, Bound.AT_LEAST, lower * (1 - share)));
            limits.add(side(tolerance, Bound.AT_MOST, upper * (1 + share)));
        }
        x.sheet().ifPresent(sheet -> sheet.supply().ifPresent(range -> {
            limits.add(new Limit(x.rules().maker(), Bound.AT_LEAST, range.lowest(), sheet.document()));
            limits.add(new Limit(x.rules().maker(), Bound.AT_MOST, range.highest(), sheet.document()));
        }));
        Value.Measured reading = x.need(point);
        return x.finding()
                .step("Rated voltage", Voltage.ofVolts(lower))
                .compare(
                        voltage,
                        reading.uncertain(),
                        reading.resolution(),
                        limits,
                        Text.of(
                                "Measure at the panel too: a difference means the run or a joint; none means the supply."));
    }

    private static Limit side(Limit tolerance, Bound bound, double volts) {
        return new Limit(tolerance.authority(), bound, Voltage.ofVolts(volts), tolerance.source());
    }
}
