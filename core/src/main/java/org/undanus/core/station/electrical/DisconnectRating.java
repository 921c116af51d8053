package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;
import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_RATING;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** The disconnect is rated for 115 % of the load current. Source: NFPA 70, 440.12. */
final class DisconnectRating implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.disconnect-rating", Dimension.CURRENT, "Disconnect rating");
    private static final Setting FACTOR = new Setting(
            "electrical.disconnect-factor", Dimension.COUNT, "Factor on the load current for the disconnect's rating");
    static final About ABOUT = About.of(
                    "electrical.disconnect-rating",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Disconnect rated for the load",
                    Severity.SAFETY)
            .sources("NFPA 70, 440.12")
            .needs(DISCONNECT_PRESENT)
            .limits(LIMIT)
            .settings(FACTOR, CircuitCurrents.LARGEST_MOTOR_FACTOR, CircuitCurrents.HEATER_FACTOR);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> none = NoDisconnect.judgement(x);
        if (none.isPresent()) {
            return none.get();
        }
        if (!x.has(DISCONNECT_RATING)) {
            return x.notShown(List.of(DISCONNECT_RATING));
        }
        Optional<Double> load = CircuitCurrents.loadCurrent(x);
        // without the motor currents the minimum ampacity stands in: it is never less than 115 % of one motor's load
        Optional<Double> least = load.map(current -> x.rules().number(FACTOR) * current)
                .or(() -> CircuitCurrents.minimumAmpacity(x).map(CircuitCurrents.Known::ampere));
        if (least.isEmpty()) {
            return x.notShown(CircuitCurrents.missing(x, PlatePoints.MINIMUM_CIRCUIT_AMPACITY));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                Current.ofAmperes(least.get()),
                x.rules().setting(FACTOR).source()));
        Value.Measured rating = x.need(DISCONNECT_RATING);
        return x.finding()
                .step(
                        "Needed",
                        load.isPresent()
                                ? "factor × (compressor + fans + heaters)"
                                : "minimum circuit ampacity, as not every current of the plate has been read",
                        Current.ofAmperes(least.get()),
                        x.rules().setting(FACTOR).source())
                .compare(
                        LIMIT,
                        rating.uncertain(),
                        rating.resolution(),
                        limits,
                        Text.of("A licensed electrician replaces it with a larger disconnect."));
    }
}
