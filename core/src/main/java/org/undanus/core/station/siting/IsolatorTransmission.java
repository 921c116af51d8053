package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.ISOLATOR_COUNT;
import static org.undanus.core.station.siting.SitingPoints.ISOLATOR_DEFLECTION;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Frequency;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;

/** How much of the fan's vibration the isolators let into the building. Source: {@link Isolator}. */
final class IsolatorTransmission implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("siting.isolator-transmission", Dimension.RATIO, "Transmissibility");
    private static final About ABOUT = About.of(
                    "siting.isolator-transmission",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Isolators, transmissibility",
                    Severity.PERFORMANCE)
            .sources("Undamped spring, transmissibility 1/|1 − (f/f₀)²|")
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.read(ISOLATOR_COUNT)) {
            return IsolatorLoad.none(x);
        }
        Optional<Quantity> speed = x.sheet().flatMap(s -> s.value(SheetValue.FAN_SPEED));
        if (!x.read(ISOLATOR_DEFLECTION)) {
            return x.notShown(List.of(ISOLATOR_DEFLECTION));
        }
        if (speed.isEmpty()) {
            return x.noSheetTells("the speed of the fan", "Add the maker's sheet with the fan's speed.");
        }
        Value.Measured deflection = x.need(ISOLATOR_DEFLECTION);
        Uncertain through =
                Propagation.through(v -> Isolator.transmissibility(speed.get().si(), v[0]), deflection.uncertain());
        return WithinLimits.judge(
                x.finding()
                        .step(
                                "Speed of the fan",
                                "",
                                speed.get(),
                                x.sheet().orElseThrow().document())
                        .step(
                                "Natural frequency",
                                "√(g/δ)/2π",
                                Frequency.ofHertz(Isolator.naturalFrequency(
                                        deflection.quantity().si())),
                                ""),
                LIMIT,
                through,
                0,
                x.rules().limits(LIMIT),
                "Fit softer isolators; they let through");
    }
}
