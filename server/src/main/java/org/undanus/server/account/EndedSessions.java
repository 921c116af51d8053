package org.undanus.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whose sessions have been ended, and when: what they signed in before is good for nothing more. Sessions live no longer than the
 * application, so this need not either.
 */
@Component
class EndedSessions implements HandlerInterceptor {
    private static final String SIGNED_IN_AT = "signed in at";

    private final Clock clock;
    private final Map<String, Instant> ended = new ConcurrentHashMap<>();
    private final OpenSessions open;
    private final JsonMapper json;

    EndedSessions(Clock clock, OpenSessions open, JsonMapper json) {
        this.clock = clock;
        this.open = open;
        this.json = json;
    }

    /** Every session that this person has now. */
    void end(String name) {
        ended.put(name, clock.instant());
        open.ended(name, Optional.empty());
    }

    /** Every session that this person has now but this one. */
    void endOthers(String name, HttpSession but) {
        ended.put(name, clock.instant());
        begin(but);
        open.ended(name, Optional.of(but));
    }

    void begin(HttpSession session) {
        session.setAttribute(SIGNED_IN_AT, clock.instant());
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws Exception {
        var signedIn = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        if (session == null
                || signedIn == null
                || !(signedIn.getPrincipal() instanceof Person person)
                || !isOver(person, session)) {
            if (session != null) {
                open.used(session);
            }
            return true;
        }
        session.invalidate();
        SecurityContextHolder.clearContext();
        refuse(response, HttpStatus.UNAUTHORIZED, "Your account has been changed. You are not signed in any more.");
        return false;
    }

    private void refuse(HttpServletResponse response, HttpStatus status, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), ProblemDetail.forStatusAndDetail(status, sentence));
    }

    boolean isOver(Person person, HttpSession session) {
        Instant end = ended.get(person.name());
        return end != null && session.getAttribute(SIGNED_IN_AT) instanceof Instant since && !since.isAfter(end);
    }

    @Configuration
    static class Everywhere implements WebMvcConfigurer {
        private final EndedSessions ended;

        Everywhere(EndedSessions ended) {
            this.ended = ended;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(ended).addPathPatterns("/api/**");
        }
    }
}
