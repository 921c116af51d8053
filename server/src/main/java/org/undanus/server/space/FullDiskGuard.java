package org.undanus.server.space;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.undanus.server.problem.DiskFullException;

/** Refuses what would be written when the disk is full; signing in, asking and reading go on. */
@Component
class FullDiskGuard implements HandlerInterceptor, WebMvcConfigurer {
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final RoomOnDisk room;

    FullDiskGuard(RoomOnDisk room) {
        this.room = room;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean keeps = !READING.contains(request.getMethod())
                && handler instanceof HandlerMethod method
                && !method.hasMethodAnnotation(KeepsNothing.class);
        if (keeps && room.full()) {
            throw new DiskFullException();
        }
        return true;
    }
}
