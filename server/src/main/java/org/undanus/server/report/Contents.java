package org.undanus.server.report;

/**
 * What a report holds besides its findings.
 *
 * @param stations every station with its drawings and judgements
 * @param readings every reading with its uncertainty
 * @param derivations how each judgement follows
 * @param photos as a contact sheet
 */
record Contents(boolean stations, boolean readings, boolean derivations, boolean photos) {}
