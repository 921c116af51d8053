package org.undanus.core.visit;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.judgement.Severity;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;

/** By when something is to be put right: so many days after it was raised, by what is at stake, as a programme's rule book says. */
public final class DueDates {
    private static final Map<Severity, Setting> TIMES = Severity.each(severity -> Setting.usefulOfPlace(
            "handover.time-to-correct-" + severity.key(),
            Dimension.DURATION,
            "Time to put right what is a matter of " + severity.title()));

    private DueDates() {}

    /** What a rule book may say of this; each is longer than nothing. */
    public static List<Setting> settings() {
        return List.copyOf(TIMES.values());
    }

    /** Empty where the book leaves it open. Part of a day counts as a whole one. */
    public static Optional<LocalDate> due(Severity severity, LocalDate raised, RuleBook rules) {
        Setting time = TIMES.get(severity);
        return rules.decides(time)
                ? Optional.of(raised.plusDays(
                        (long) Math.ceil(rules.number(time) / Duration.ofDays(1).toSeconds())))
                : Optional.empty();
    }
}
