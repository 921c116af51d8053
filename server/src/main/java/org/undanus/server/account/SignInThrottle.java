package org.undanus.server.account;

import io.github.bucket4j.Bucket;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.undanus.server.problem.TooManyTriesException;

/** Slows down guessing: a few wrong passwords at once for a name, then one every twelve seconds. */
@Component
class SignInThrottle {
    private static final int AT_ONCE = 5;
    private static final int REMEMBERED = 10_000;

    private final Map<String, Bucket> buckets = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > REMEMBERED;
        }
    };

    /** Tries are counted by name and by where they come from. */
    static String key(String name, HttpServletRequest request) {
        return name.strip().toLowerCase(Locale.ROOT) + " " + request.getRemoteAddr();
    }

    private static Bucket fresh(String key) {
        return Bucket.builder()
                .addLimit(limit -> limit.capacity(AT_ONCE).refillGreedy(AT_ONCE, Duration.ofMinutes(1)))
                .build();
    }

    /**
     * Counts a try before the password is looked at, so that many at once are counted too.
     *
     * @throws TooManyTriesException when this name has used up its tries
     */
    synchronized void admit(String key) {
        var probe = buckets.computeIfAbsent(key, SignInThrottle::fresh).tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new TooManyTriesException(
                    Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1);
        }
    }

    /** The right password gives all tries back. */
    synchronized void right(String key) {
        buckets.remove(key);
    }
}
