package org.undanus.server.space;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses what would be written when the disk is full; signing in, asking and reading go on. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class FullDiskFilter extends OncePerRequestFilter {
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final RoomOnDisk room;
    private final JsonMapper json;

    FullDiskFilter(RoomOnDisk room, JsonMapper json) {
        this.room = room;
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return READING.contains(request.getMethod())
                || path.equals("/api/session")
                || path.startsWith("/api/reckoner/")
                || path.endsWith("/understand")
                || path.endsWith("/preview")
                || path.endsWith("/trial");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (room.full()) {
            ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "The disk is full: nothing was saved, reading still works. Make room, then save again.");
            problem.setTitle("Disk full");
            response.setStatus(HttpStatus.INSUFFICIENT_STORAGE.value());
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            json.writeValue(response.getOutputStream(), problem);
            return;
        }
        chain.doFilter(request, response);
    }
}
