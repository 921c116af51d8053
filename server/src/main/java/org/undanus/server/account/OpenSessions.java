package org.undanus.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Where people are signed in now. Sessions live no longer than the application, so this need not either. */
@Component
class OpenSessions implements HttpSessionListener {
    private static final int LONGEST_AGENT = 120;

    /**
     * @param device what the browser says of itself
     * @param from the address it came from
     */
    record SignedIn(String name, Instant since, Instant last, String device, String from) {}

    private final Clock clock;
    private final Map<String, SignedIn> open = new ConcurrentHashMap<>();
    private final ApplicationEventPublisher events;

    OpenSessions(Clock clock, ApplicationEventPublisher events) {
        this.clock = clock;
        this.events = events;
    }

    void begin(HttpServletRequest request, Person person) {
        String agent = Optional.ofNullable(request.getHeader("User-Agent"))
                .map(said -> said.substring(0, Math.min(LONGEST_AGENT, said.length())))
                .orElse("");
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        open.put(request.getSession().getId(), new SignedIn(person.name(), now, now, agent, request.getRemoteAddr()));
    }

    void used(HttpSession session) {
        open.computeIfPresent(
                session.getId(),
                (id, was) -> new SignedIn(
                        was.name, was.since, clock.instant().truncatedTo(ChronoUnit.SECONDS), was.device, was.from));
    }

    /** Those of one person, the last used first. */
    List<SignedIn> of(String name) {
        return open.values().stream()
                .filter(each -> each.name.equals(name))
                .sorted(Comparator.comparing(SignedIn::last).reversed())
                .toList();
    }

    /** All of a person but this one are good for nothing more. */
    void ended(String name, Optional<HttpSession> but) {
        String kept = but.map(HttpSession::getId).orElse("");
        open.forEach((id, session) -> {
            if (session.name.equals(name) && !id.equals(kept)) {
                over(id);
            }
        });
    }

    /** This one is good for nothing more, or goes on under another id. */
    void over(String id) {
        open.remove(id);
        events.publishEvent(new SessionOver(id));
    }

    @Override
    public void sessionDestroyed(HttpSessionEvent event) {
        over(event.getSession().getId());
    }
}
