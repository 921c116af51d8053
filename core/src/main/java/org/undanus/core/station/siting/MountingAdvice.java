package org.undanus.core.station.siting;

import static org.undanus.core.derived.UnitPoints.MOUNTING_PLACE;
import static org.undanus.core.derived.UnitPoints.ON_FLOOR;
import static org.undanus.core.derived.UnitPoints.UNDER_WINDOW;
import static org.undanus.core.station.siting.SitingPoints.ROOM_LED_BY;

import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** Advice, never a fault: low units suit rooms that need heat, high ones rooms that need cooling. */
final class MountingAdvice implements Requirement {
    private static final About ABOUT = About.of(
                    "siting.mounting-advice",
                    Station.SITING,
                    Scope.SPLIT_UNIT,
                    "Height suits the room",
                    Severity.PERFORMANCE)
            .sources("Common practice: warm air rises")
            .needs(MOUNTING_PLACE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Option> led = x.chosen(ROOM_LED_BY);
        Option place = x.chosen(MOUNTING_PLACE).orElseThrow();
        if (led.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("Nobody has said what the room needs most."), "");
        }
        boolean low = place.equals(ON_FLOOR) || place.equals(UNDER_WINDOW);
        boolean suits = low == led.get().equals(SitingPoints.LED_BY_HEATING);
        return x.finding()
                .step(MOUNTING_PLACE.title(), place)
                .step(ROOM_LED_BY.title(), led.get())
                .conclude(
                        Verdict.MEETS,
                        suits
                                ? Text.of("The height suits a room that needs mostly {led}.", led.get())
                                : Text.of(
                                        low
                                                ? "Advice only: a high unit would suit a room that needs mostly {led} better."
                                                : "Advice only: a low unit would suit a room that needs mostly {led} better.",
                                        led.get()),
                        "");
    }
}
