package org.undanus.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Refuses parameters that say nothing: taken as left out they would be answered as if something else had been asked. A tab, which is
 * blank too, is what parts the fields of some loggers' files.
 */
@Component
class EmptyParameters implements HandlerInterceptor, WebMvcConfigurer {

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        request.getParameterMap().forEach((name, values) -> {
            for (String value : values) {
                if (value.replace(" ", "").isEmpty()) {
                    throw new EmptyParameterException(name);
                }
            }
        });
        return true;
    }
}
