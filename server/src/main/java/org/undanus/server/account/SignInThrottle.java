package org.undanus.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.undanus.server.problem.TooManyTriesException;

/**
 * Slows down guessing: a few wrong passwords or codes at once for a name from an address, then one every twelve seconds; and for
 * the name from all addresses together, a score at once, then two a minute. Addresses from which this name was right before are
 * not counted with the strangers', so that these cannot keep its owner out.
 */
@Component
class SignInThrottle {
    private static final int AT_ONCE = 5;
    private static final int STRANGERS_AT_ONCE = 20;
    private static final int STRANGERS_A_MINUTE = 2;
    private static final int REMEMBERED = 10_000;

    private final Cache<String, Bucket> addresses = remembered();
    private final Cache<String, Bucket> accounts = remembered();
    private final Cache<String, Boolean> familiar = remembered();

    private static <T> Cache<String, T> remembered() {
        return Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    }

    static String account(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private static String address(String name, HttpServletRequest request) {
        return account(name) + " " + request.getRemoteAddr();
    }

    private static Bucket bucket(int atOnce, int aMinute) {
        return Bucket.builder()
                .addLimit(limit -> limit.capacity(atOnce).refillGreedy(aMinute, Duration.ofMinutes(1)))
                .build();
    }

    /**
     * Counts a try before the password or the code is looked at, so that many at once are counted too.
     *
     * @throws TooManyTriesException when this name has used up its tries
     */
    void admit(String name, HttpServletRequest request) {
        String address = address(name, request);
        take(addresses.get(address, key -> bucket(AT_ONCE, AT_ONCE)));
        if (familiar.getIfPresent(address) == null) {
            take(accounts.get(account(name), key -> bucket(STRANGERS_AT_ONCE, STRANGERS_A_MINUTE)));
        }
    }

    private static void take(Bucket bucket) {
        var probe = bucket.tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new TooManyTriesException(
                    Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1);
        }
    }

    /** The right password and code give all tries of this address back. */
    void right(String name, HttpServletRequest request) {
        String address = address(name, request);
        addresses.invalidate(address);
        if (familiar.asMap().putIfAbsent(address, true) == null) {
            accounts.get(account(name), key -> bucket(STRANGERS_AT_ONCE, STRANGERS_A_MINUTE))
                    .addTokens(1);
        }
    }
}
