package org.undanus.server.walk;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.hold.Hold;
import org.undanus.server.hold.Holds;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.view.CaseFile;

/** Ends holds, early or not: their time becomes a reading. */
@Component
class HoldTimes {
    private final Holds holds;
    private final ReadingIntake readings;

    HoldTimes(Holds holds, ReadingIntake readings) {
        this.holds = holds;
        this.readings = readings;
    }

    /** A time as a reading of it is written. */
    static String written(Duration lasted) {
        return QuantityFormat.SI.format(org.undanus.core.quantity.Duration.ofSeconds(Math.max(1, lasted.toSeconds())));
    }

    /** @param reading its time becomes; empty where it is left without one */
    @Transactional
    void end(CaseFile file, Hold running, Instant now, Duration lasted, Optional<UUID> reading, Person person) {
        holds.end(running, now, reading, person);
        reading.ifPresent(id -> readings.save(
                file.header().id(),
                new ReadingIntake.Typed(
                        id,
                        running.key(),
                        written(lasted),
                        Optional.empty(),
                        running.witnessed() && person.inspects() ? Grade.WITNESSED : Grade.RECORDED,
                        file.evidence().answer(running.key()).map(Reading::id),
                        true),
                person,
                Wording.english(UnitSystem.SI)));
    }
}
