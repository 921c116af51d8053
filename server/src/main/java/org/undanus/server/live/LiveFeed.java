package org.undanus.server.live;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.undanus.server.problem.BusyException;

/** Tells the screens that look at an installation that something came in. */
@Component
public class LiveFeed {
    private static final long LASTS_MS = 30 * 60 * 1000L;
    private static final int MOST = 400;
    private static final Duration SOON = Duration.ofSeconds(30);

    private final Map<String, List<SseEmitter>> screens = new ConcurrentHashMap<>();

    /** A screen from now on; it is closed after half an hour, and asks again by itself. */
    public SseEmitter follow(String installation) {
        if (screens.values().stream().mapToInt(List::size).sum() >= MOST) {
            throw new BusyException(SOON);
        }
        SseEmitter screen = new SseEmitter(LASTS_MS);
        List<SseEmitter> there = screens.computeIfAbsent(installation, id -> new CopyOnWriteArrayList<>());
        there.add(screen);
        Runnable leave = () -> there.remove(screen);
        screen.onCompletion(leave);
        screen.onTimeout(screen::complete);
        screen.onError(e -> leave.run());
        tell(screen, there, "following");
        return screen;
    }

    /** Something came in at an installation. */
    void tell(String installation, String what) {
        List<SseEmitter> there = screens.getOrDefault(installation, List.of());
        there.forEach(screen -> tell(screen, there, what));
    }

    private static void tell(SseEmitter screen, List<SseEmitter> there, String what) {
        try {
            screen.send(SseEmitter.event().name(what).data(what));
        } catch (IOException | IllegalStateException gone) {
            there.remove(screen);
        }
    }
}
