package org.undanus.server.commissioning;

/** A record that is in by now. */
record BroughtRecord(String id) {}
