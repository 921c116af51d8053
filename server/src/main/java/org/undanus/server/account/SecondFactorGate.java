package org.undanus.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.undanus.server.problem.NotAllowedException;

/** Where a role needs a second factor nothing else is answered before it is set up. */
@Component
class SecondFactorGate implements HandlerInterceptor {
    private final SecondFactor factor;
    private final Accounts accounts;

    SecondFactorGate(SecondFactor factor, Accounts accounts) {
        this.factor = factor;
        this.accounts = accounts;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        var signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (signedIn != null
                && signedIn.getPrincipal() instanceof Person person
                && factor.neededFor(person)
                && accounts.secondFactor(person.name()).isEmpty()) {
            throw new NotAllowedException("Your role needs a second factor. Set it up first.");
        }
        return true;
    }

    @Configuration
    static class Everywhere implements WebMvcConfigurer {
        private final SecondFactorGate gate;

        Everywhere(SecondFactorGate gate) {
            this.gate = gate;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(gate)
                    .addPathPatterns("/api/**")
                    .excludePathPatterns(
                            "/api/session", "/api/session/**", "/api/words", "/api/language", "/api/openapi/**");
        }
    }
}
