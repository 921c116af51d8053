package org.undanus.server.live;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.undanus.server.account.Person;
import org.undanus.server.account.SessionOver;
import org.undanus.server.problem.BusyException;

/** Tells the screens that look at an installation that something came in. */
@Component
public class LiveFeed {
    private static final long LASTS_MS = 30 * 60 * 1000L;
    private static final int MOST = 400;
    /** Of one person; with one more the first of them ends. */
    private static final int MOST_OF_ONE = 12;

    private static final Duration SOON = Duration.ofSeconds(30);

    private record Screen(String installation, String person, String session, SseEmitter emitter) {}

    /** In the order they came. */
    private final Map<Long, Screen> screens = new ConcurrentSkipListMap<>();

    private final AtomicLong next = new AtomicLong();

    /**
     * A screen from now on; it is closed after half an hour, and asks again by itself. It ends with its session, and once the same
     * person has opened too many after it: a browser that went away is not noticed before something is told to it.
     *
     * @param session its id
     * @throws BusyException where too many of others look
     */
    public SseEmitter follow(String installation, Person person, String session) {
        makeRoom(person);
        Screen screen = new Screen(installation, person.name(), session, new SseEmitter(LASTS_MS));
        long place = next.getAndIncrement();
        screens.put(place, screen);
        screen.emitter.onCompletion(() -> screens.remove(place));
        screen.emitter.onTimeout(screen.emitter::complete);
        screen.emitter.onError(e -> screens.remove(place));
        tell(place, screen, "following");
        return screen.emitter;
    }

    private synchronized void makeRoom(Person person) {
        long own = screens.values().stream()
                .filter(screen -> screen.person.equals(person.name()))
                .count();
        for (Map.Entry<Long, Screen> each : screens.entrySet()) {
            if (own >= MOST_OF_ONE && each.getValue().person.equals(person.name())) {
                end(each.getKey(), each.getValue());
                own--;
            }
        }
        if (screens.size() >= MOST) {
            throw new BusyException(SOON);
        }
    }

    /** Something came in at an installation. */
    void tell(String installation, String what) {
        screens.forEach((place, screen) -> {
            if (screen.installation.equals(installation)) {
                tell(place, screen, what);
            }
        });
    }

    @EventListener
    void over(SessionOver session) {
        screens.forEach((place, screen) -> {
            if (screen.session.equals(session.id())) {
                end(place, screen);
            }
        });
    }

    private void end(long place, Screen screen) {
        screens.remove(place);
        screen.emitter.complete();
    }

    private void tell(long place, Screen screen, String what) {
        try {
            screen.emitter.send(SseEmitter.event().name(what).data(what));
        } catch (IOException | IllegalStateException gone) {
            screens.remove(place);
        }
    }
}
