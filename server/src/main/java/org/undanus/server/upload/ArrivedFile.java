package org.undanus.server.upload;

import java.time.Instant;

/**
 * A file to be kept.
 *
 * @param addedBy who had it kept first, here or in the system it comes from
 */
public record ArrivedFile(String name, byte[] content, String addedBy, Instant addedAt) {}
