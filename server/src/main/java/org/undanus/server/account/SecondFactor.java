package org.undanus.server.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Codes of six digits that change every thirty seconds (RFC 6238), from an app that shares a secret with the account. A code
 * is good once, and half a minute before and after its time, for clocks differ.
 */
@Component
class SecondFactor {
    private static final int SECRET = 20;
    private static final String ISSUER = "Undanus";

    private final Clock clock;
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
    private final SecureRandom random = new SecureRandom();
    private final Map<String, Long> used = new ConcurrentHashMap<>();
    private final Set<Role> needed;

    /** @param needed the roles that must have one */
    SecondFactor(Clock clock, @Value("${undanus.second-factor-for}") Set<Role> needed) {
        this.clock = clock;
        this.needed = Set.copyOf(needed);
    }

    boolean neededFor(Person person) {
        return needed.contains(person.role());
    }

    /** A new secret, base32 as apps take it. */
    String secret() {
        byte[] secret = new byte[SECRET];
        random.nextBytes(secret);
        return new Base32().encodeAsString(secret);
    }

    /** What an app reads as a QR code. */
    static String address(String name, String secret) {
        String account =
                URLEncoder.encode(ISSUER + ":" + name, StandardCharsets.UTF_8).replace("+", "%20");
        return "otpauth://totp/" + account + "?secret=" + secret + "&issuer=" + ISSUER;
    }

    /** Whether it is the code of now; the same code is not taken twice. */
    boolean right(String secret, String code) {
        long step = codes.getTimeStep().toSeconds();
        long now = clock.instant().getEpochSecond() / step;
        for (long at = now - 1; at <= now + 1; at++) {
            if (code(secret, at * step).equals(code.strip())) {
                return firstUse(secret, at);
            }
        }
        return false;
    }

    /** What is refused changes nothing: an older code tried again must not make a newer one good anew. */
    private boolean firstUse(String secret, long at) {
        AtomicBoolean first = new AtomicBoolean();
        used.compute(secret, (same, before) -> {
            first.set(before == null || before < at);
            return first.get() ? Long.valueOf(at) : before;
        });
        return first.get();
    }

    /** @param at seconds since 1970 */
    String code(String secret, long at) {
        try {
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()), Instant.ofEpochSecond(at));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }
}
