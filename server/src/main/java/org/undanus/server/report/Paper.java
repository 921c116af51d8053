package org.undanus.server.report;

/** The paper a report is laid out for. */
enum Paper {
    A4,
    LETTER
}
