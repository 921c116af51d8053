package org.undanus.server.report;

/**
 * What a report holds besides its findings.
 *
 * @param readings every reading with its uncertainty
 * @param derivations how each judgement follows
 * @param photos as a contact sheet
 */
record Contents(boolean readings, boolean derivations, boolean photos) {}
