package org.undanus.server.photo;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A photo that is kept.
 *
 * @param point the line it hangs on, with {@code component}
 * @param component the unit it hangs on, or the line's; empty for a correction
 * @param correction the correction it hangs on
 * @param sha256 of the file as it came in
 * @param positioned whether the camera wrote where it was taken
 * @param marks arrows and circles drawn over it
 * @param marksVersion how often they were drawn, so that nobody draws over another unseen
 */
public record Photo(
        String id,
        Optional<String> point,
        Optional<String> component,
        Optional<String> correction,
        String sha256,
        String mediaType,
        int width,
        int height,
        Optional<Instant> takenAt,
        boolean positioned,
        String addedBy,
        Instant addedAt,
        List<PhotoMark> marks,
        int marksVersion) {}
