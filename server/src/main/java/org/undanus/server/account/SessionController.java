package org.undanus.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.journal.HeadSigner;
import org.undanus.server.problem.CodeNeededException;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.TooManyTriesException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.space.KeepsNothing;

/** Signing in and out, and who is there. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    record Credentials(
            @NotBlank(message = "is empty") @Size(max = 60, message = "is longer than 60 characters") String name,
            @NotBlank(message = "is empty") @Size(max = 300, message = "is longer than 300 characters") String password,
            Optional<@Size(max = 12, message = "is no code") String> code) {}

    record OwnPassword(
            @NotBlank(message = "is empty") @Size(max = 72, message = "is longer than 72 characters") String old,
            @NotNull(message = "is missing")
                    @Size(min = PeopleController.SHORTEST, max = 72, message = PeopleController.PASSWORD)
                    String fresh) {}

    /**
     * @param person empty when nobody is signed in
     * @param demoAccounts in demo mode, accounts to try
     * @param secondFactor whether this person has one
     * @param secondFactorDue whether this person's role needs one that is not set up: nothing else is answered before
     */
    record Session(
            Optional<Person> person,
            List<DemoAccounts.Account> demoAccounts,
            boolean secondFactor,
            boolean secondFactorDue) {}

    private final Accounts accounts;
    private final SignInThrottle throttle;
    private final SecurityContextRepository sessions;
    private final OpenSessions open;
    private final EndedSessions ended;
    private final SecondFactor factor;
    private final Refusals refusals;
    private final HeadSigner heads;
    private final ObjectProvider<DemoAccounts> demo;

    SessionController(
            Accounts accounts,
            SignInThrottle throttle,
            SecurityContextRepository sessions,
            OpenSessions open,
            EndedSessions ended,
            SecondFactor factor,
            Refusals refusals,
            HeadSigner heads,
            ObjectProvider<DemoAccounts> demo) {
        this.factor = factor;
        this.refusals = refusals;
        this.heads = heads;
        this.open = open;
        this.ended = ended;
        this.accounts = accounts;
        this.throttle = throttle;
        this.sessions = sessions;
        this.demo = demo;
    }

    /** Also hands out the CSRF cookie. */
    @GetMapping
    Session session(@AuthenticationPrincipal Person person, CsrfToken token) {
        token.getToken();
        return session(Optional.ofNullable(person));
    }

    @PostMapping
    @KeepsNothing
    @MayAlsoAnswer(HttpStatus.TOO_MANY_REQUESTS)
    Session signIn(
            @Valid @RequestBody Credentials credentials, HttpServletRequest request, HttpServletResponse response) {
        try {
            throttle.admit(credentials.name(), request);
        } catch (TooManyTriesException e) {
            refusals.note("session.throttled", credentials.name(), request.getRemoteAddr());
            throw e;
        }
        Optional<Person> person = accounts.check(credentials.name(), credentials.password());
        if (person.isEmpty()) {
            refusals.note("session.refused", credentials.name(), request.getRemoteAddr());
            throw new BadCredentialsException("Name or password is wrong. Nothing was changed.");
        }
        accounts.secondFactor(person.get().name())
                .ifPresent(secret -> requireCode(person.get(), secret, credentials, request));
        throttle.right(credentials.name(), request);
        if (request.getSession(false) != null) {
            open.over(request.getSession(false).getId());
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                person.get(),
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + person.get().role()))));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
        ended.begin(request.getSession());
        open.begin(request, person.get());
        accounts.note(person.get(), "session.begun");
        if (person.get().leads()) {
            heads.sign("sign-in of " + person.get().name());
        }
        return session(person);
    }

    /** Where one is signed in, the last used first. */
    @GetMapping("/list")
    List<OpenSessions.SignedIn> list(@AuthenticationPrincipal Person person) {
        return open.of(person.name());
    }

    /** Ends one's sessions everywhere else. */
    @DeleteMapping("/others")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endOthers(@AuthenticationPrincipal Person person, HttpServletRequest request) {
        ended.endOthers(person.name(), request.getSession());
        accounts.note(person, "session.others-ended");
    }

    private void requireCode(Person person, String secret, Credentials credentials, HttpServletRequest request) {
        String code = credentials.code().map(String::strip).orElse("");
        if (code.isEmpty()) {
            throw new CodeNeededException("Type the code that your app shows now.");
        }
        if (!factor.right(secret, code)) {
            refusals.note("session.code-refused", person.name(), request.getRemoteAddr());
            throw new CodeNeededException("The code is not right, or was used already. Wait for the next one.");
        }
    }

    /** One's own password, by the old one. What else is signed in under this name ends; this session goes on. */
    @PutMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @MayAlsoAnswer({HttpStatus.TOO_MANY_REQUESTS, HttpStatus.UNPROCESSABLE_CONTENT})
    void password(
            @Valid @RequestBody OwnPassword asked, @AuthenticationPrincipal Person person, HttpServletRequest request) {
        throttle.admit(person.name(), request);
        if (accounts.check(person.name(), asked.old()).isEmpty()) {
            throw new UnsuitableException("old", "The old password is not right. Nothing was changed.");
        }
        throttle.right(person.name(), request);
        accounts.password(person.name(), asked.fresh());
        request.changeSessionId();
        ended.begin(request.getSession());
        open.begin(request, person);
    }

    @DeleteMapping
    @KeepsNothing
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(@AuthenticationPrincipal Person person, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            if (person != null) {
                accounts.note(person, "session.ended");
            }
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    private Session session(Optional<Person> person) {
        boolean has =
                person.flatMap(someone -> accounts.secondFactor(someone.name())).isPresent();
        return new Session(
                person,
                demo.stream().flatMap(d -> d.accounts().stream()).toList(),
                has,
                !has && person.filter(factor::neededFor).isPresent());
    }
}
