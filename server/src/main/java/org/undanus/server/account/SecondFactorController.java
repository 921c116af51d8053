package org.undanus.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.qr.QrCode;
import org.undanus.server.space.KeepsNothing;

/** Everybody's own second factor: begun by the password, kept once a code shows that the app has it, changed and taken away by both. */
@RestController
@RequestMapping("/api/session/second-factor")
class SecondFactorController {
    /** Of the QR code, dots. */
    private static final int SIDE = 200;

    private static final String PENDING = "second factor not kept yet";

    record OwnAgain(
            @NotBlank(message = "is empty") @Size(max = 72, message = "is longer than 72 characters") String password,
            Optional<@Size(max = 12, message = "is no code") String> code) {}

    record Code(@NotBlank(message = "is empty") @Size(max = 12, message = "is no code") String code) {}

    /**
     * To be put into an app.
     *
     * @param secret base32
     * @param address as apps read it from a QR code
     * @param picture that code, SVG
     */
    record Secret(String secret, String address, String picture) {}

    private final Accounts accounts;
    private final SecondFactor factor;
    private final SignInThrottle throttle;

    SecondFactorController(Accounts accounts, SecondFactor factor, SignInThrottle throttle) {
        this.accounts = accounts;
        this.factor = factor;
        this.throttle = throttle;
    }

    /** A secret for the app; nothing is kept before a code of it is given. */
    @PostMapping
    @KeepsNothing
    @MayAlsoAnswer({HttpStatus.TOO_MANY_REQUESTS, HttpStatus.UNPROCESSABLE_CONTENT})
    Secret begin(
            @Valid @RequestBody OwnAgain again, @AuthenticationPrincipal Person person, HttpServletRequest request) {
        requireWhoItIs(again, person, request);
        String secret = factor.secret();
        request.getSession().setAttribute(PENDING, secret);
        String address = SecondFactor.address(person.name(), secret);
        return new Secret(secret, address, QrCode.svg(address, SIDE));
    }

    /** Keeps it: from now on a code is asked for at every sign-in. */
    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @MayAlsoAnswer({HttpStatus.TOO_MANY_REQUESTS, HttpStatus.UNPROCESSABLE_CONTENT})
    void keep(@Valid @RequestBody Code given, @AuthenticationPrincipal Person person, HttpServletRequest request) {
        if (!(request.getSession().getAttribute(PENDING) instanceof String secret)) {
            throw new UnsuitableException("code", "Begin again: no secret waits for its first code.");
        }
        throttle.admit(person.name(), request);
        if (!factor.right(secret, given.code())) {
            throw new UnsuitableException(
                    "code", "The code is not right. Is the clock of the phone? Nothing was changed.");
        }
        throttle.right(person.name(), request);
        request.getSession().removeAttribute(PENDING);
        accounts.secondFactor(person.name(), secret, person.name());
    }

    /** Takes it away. */
    @PostMapping("/removal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @MayAlsoAnswer({HttpStatus.TOO_MANY_REQUESTS, HttpStatus.UNPROCESSABLE_CONTENT})
    void remove(
            @Valid @RequestBody OwnAgain again, @AuthenticationPrincipal Person person, HttpServletRequest request) {
        requireWhoItIs(again, person, request);
        if (factor.neededFor(person)) {
            throw new UnsuitableException("password", "Your role needs a second factor. Set up another in its place.");
        }
        accounts.secondFactor(person.name(), null, person.name());
    }

    /** The password, and where there is a second factor already a code of it: whoever has the one alone does not change the other. */
    private void requireWhoItIs(OwnAgain again, Person person, HttpServletRequest request) {
        throttle.admit(person.name(), request);
        if (accounts.check(person.name(), again.password()).isEmpty()) {
            throw new UnsuitableException("password", "The password is not right. Nothing was changed.");
        }
        Optional<String> secret = accounts.secondFactor(person.name());
        if (secret.isPresent() && !factor.right(secret.get(), again.code().orElse(""))) {
            throw new UnsuitableException(
                    "code",
                    "Type the code that your app shows now beside the password; each is good once. Nothing was changed.");
        }
        throttle.right(person.name(), request);
    }
}
