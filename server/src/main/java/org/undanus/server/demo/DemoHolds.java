package org.undanus.server.demo;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.undanus.core.evidence.PointKey;
import org.undanus.server.account.DemoAccounts;
import org.undanus.server.hold.Holds;
import org.undanus.server.installation.CaseFiles;

/** One installation of the demo opens in the middle of a visit, with two holds that began a while before the start. */
@Component
@ConditionalOnProperty("undanus.demo")
class DemoHolds implements ApplicationRunner {
    /** Where the database is only made, for copying. */
    private static final String START_ONCE = "start-once";

    private static final String REFERENCE = "LH-12";

    private record Begun(String point, String component, int minutesAgo) {}

    private static final List<Begun> BEGUN = List.of(
            new Begun("tightness.hold-time", "line-set-indoor-3", 41),
            new Begun("evacuation.hold-time", "line-set-indoor-1", 4));

    private final Clock clock;
    private final Holds holds;
    private final CaseFiles cases;

    DemoHolds(Clock clock, Holds holds, CaseFiles cases) {
        this.clock = clock;
        this.holds = holds;
        this.cases = cases;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (arguments.getNonOptionArgs().contains(START_ONCE) || holds.any()) {
            return;
        }
        cases.named(DemoAccounts.INSPECTOR).stream()
                .filter(named -> named.reference().equals(REFERENCE))
                .forEach(named -> BEGUN.forEach(begun -> holds.start(
                        named.id(),
                        UUID.randomUUID(),
                        new PointKey(begun.point(), begun.component()),
                        clock.instant().minusSeconds(60L * begun.minutesAgo()),
                        DemoAccounts.INSPECTOR)));
    }
}
