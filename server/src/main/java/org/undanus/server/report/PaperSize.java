package org.undanus.server.report;

/** What a report is laid out for. */
enum PaperSize {
    A4,
    LETTER,
    /** A screen, a telephone's too. */
    SCREEN
}
