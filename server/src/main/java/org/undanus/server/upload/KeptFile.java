package org.undanus.server.upload;

import java.time.Instant;

/**
 * What is known of a file that is kept.
 *
 * @param sha256 of its content, as hexadecimal digits
 */
public record KeptFile(
        String id, String name, String mediaType, String sha256, int bytes, String addedBy, Instant addedAt) {}
