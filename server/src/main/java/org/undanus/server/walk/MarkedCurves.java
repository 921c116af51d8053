package org.undanus.server.walk;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.station.Walk;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;
import org.undanus.server.hold.Hold;
import org.undanus.server.hold.Holds;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.live.Listening;
import org.undanus.server.live.LiveMark;
import org.undanus.server.live.LiveStore;
import org.undanus.view.CaseFile;

/** What is marked while lines listen: it is read beside the curve, and begins and ends holds. */
@Component
class MarkedCurves {
    private final Clock clock;
    private final LiveStore live;
    private final CaseFiles cases;
    private final Holds holds;
    private final HoldTimes times;
    private final Accounts accounts;

    MarkedCurves(Clock clock, LiveStore live, CaseFiles cases, Holds holds, HoldTimes times, Accounts accounts) {
        this.clock = clock;
        this.live = live;
        this.cases = cases;
        this.holds = holds;
        this.times = times;
        this.accounts = accounts;
    }

    /** A mark ends the hold that goes on there and begins the one that it stands for. Only what was kept reaches this. */
    @TransactionalEventListener
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void came(LiveMark.Came came) {
        Optional<Person> person = accounts.active(came.mark().markedBy());
        if (person.isEmpty() || came.mark().act() == Marks.Act.SOAPED) {
            return;
        }
        Listening listening = came.listening();
        CaseFile file = cases.openForWriting(listening.installationId(), person.get());
        for (HoldableLine holding : holdings(listening)) {
            PointKey key = new PointKey(holding.line().id(), listening.component());
            holds.running(file.header().id(), key).ifPresent(hold -> end(file, hold, holding, came, person.get()));
            if (holding.begins().filter(came.mark().act()::equals).isPresent()) {
                holds.start(file.header().id(), UUID.randomUUID(), key, clock.instant(), person.get());
            }
        }
    }

    private static List<HoldableLine> holdings(Listening listening) {
        Optional<StationPlan> plan = Walk.plans().stream()
                .filter(each -> each.marking().equals(LiveStore.marking(listening)))
                .findFirst();
        return plan.map(StationPlan::holdings).orElse(List.of());
    }

    /** Its time is that between the two marks, by the instrument's clock. */
    private void end(CaseFile file, Hold hold, HoldableLine holding, LiveMark.Came came, Person person) {
        LiveMark mark = came.mark();
        Instant now = clock.instant();
        Duration lasted = live.marks(came.listening()).stream()
                .filter(each -> holding.begins().filter(each.act()::equals).isPresent()
                        && each.at().isBefore(mark.at()))
                .reduce((earlier, later) -> later)
                .map(begun -> Duration.between(begun.at(), mark.at()))
                .orElseGet(() -> hold.lasting(now));
        boolean kept = holding.line().possible(lasted.toMillis() / 1000.0);
        times.end(file, hold, now, lasted, kept ? Optional.of(UUID.randomUUID()) : Optional.empty(), person);
    }
}
