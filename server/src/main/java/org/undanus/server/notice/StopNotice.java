package org.undanus.server.notice;

import java.time.Instant;

/**
 * Everybody leaves.
 *
 * @param judgement by which it was raised, its key
 * @param finding why, as it was judged
 * @param orders what to do now
 * @param reason why it was taken down, by whom and when; null while it stands
 */
public record StopNotice(
        String id,
        String installationId,
        String judgement,
        String title,
        String finding,
        String orders,
        String raisedBy,
        Instant raisedAt,
        String downBy,
        Instant downAt,
        String reason) {

    /** Whether it is still over the visit. */
    boolean stands() {
        return downAt == null;
    }
}
