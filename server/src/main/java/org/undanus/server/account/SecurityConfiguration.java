package org.undanus.server.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.catalina.session.StandardManager;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import tools.jackson.databind.json.JsonMapper;

/** Everything under /api needs a session but signing in; every change needs the CSRF token. */
@Configuration
class SecurityConfiguration {
    private static final String CONTENT_POLICY = "default-src 'self'; script-src 'self'; style-src 'self';"
            + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final int MOST_SESSIONS = 2000;

    @Bean
    @ConditionalOnWebApplication
    SecurityFilterChain security(HttpSecurity http, JsonMapper json) {
        http.authorizeHttpRequests(rules -> rules
                        // what goes on was let in when it began, and may end after its session
                        .dispatcherTypeMatchers(DispatcherType.ERROR, DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(
                                "/api/session",
                                "/api/senml",
                                "/api/words",
                                "/api/language",
                                "/api/openapi/**",
                                "/actuator/health")
                        .permitAll()
                        .requestMatchers("/api/**", "/actuator/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                // an instrument has a token of its own and no cookie
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/api/senml"))
                // no stranger's request is kept for later: there is no page of ours to send anyone back to
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(
                        handling -> handling.authenticationEntryPoint((request, response, e) -> problem(
                                        json,
                                        response,
                                        HttpStatus.UNAUTHORIZED,
                                        "You are not signed in, or the session has ended."))
                                .accessDeniedHandler(
                                        (request, response, e) -> problem(
                                                json,
                                                response,
                                                HttpStatus.FORBIDDEN,
                                                "This change was refused because the page is out of date. Load it again; nothing was changed.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
                        .referrerPolicy(
                                policy -> policy.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)));
        return http.build();
    }

    private static void problem(JsonMapper json, HttpServletResponse response, HttpStatus status, String sentence)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), ProblemDetail.forStatusAndDetail(status, sentence));
    }

    /** What no address holds is refused before anything is looked at: with a sentence, as everything else. */
    @Bean
    RequestRejectedHandler rejected(JsonMapper json) {
        return (request, response, e) -> problem(
                json,
                response,
                HttpStatus.BAD_REQUEST,
                "The address holds signs that none of ours has. Nothing was changed.");
    }

    /** Sessions are bounded, so that a flood of sign-ins cannot fill the memory. */
    @Bean
    @ConditionalOnWebApplication
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> boundedSessions() {
        return factory -> factory.addContextCustomizers(context -> {
            StandardManager manager = new StandardManager();
            manager.setPathname(null);
            manager.setMaxActiveSessions(MOST_SESSIONS);
            context.setManager(manager);
        });
    }

    @Bean
    SecurityContextRepository sessions() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwords() {
        return new BCryptPasswordEncoder();
    }

    /** Sign-in goes through {@link SessionController}; this keeps the framework from inventing an account of its own. */
    @Bean
    AuthenticationManager noOtherSignIn() {
        return authentication -> {
            throw new BadCredentialsException("Sign in at /api/session");
        };
    }
}
