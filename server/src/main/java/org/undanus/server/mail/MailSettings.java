package org.undanus.server.mail;

import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How letters leave, as the operator sets it.
 *
 * @param from whose address they come from; empty where none leave
 * @param link where this is reached; empty for letters without a link
 * @param sendEvery how often what is due is looked for
 * @param tryAgainAfter how long to wait after each try, the last of them again and again
 * @param giveUpAfter how long after it was written a letter is tried
 */
@ConfigurationProperties("undanus.mail")
record MailSettings(String from, String link, Duration sendEvery, List<Duration> tryAgainAfter, Duration giveUpAfter) {

    /** @param tries how many there were before this one */
    Duration pause(int tries) {
        return tryAgainAfter.get(Math.min(tries, tryAgainAfter.size() - 1));
    }
}
