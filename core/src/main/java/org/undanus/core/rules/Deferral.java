package org.undanus.core.rules;

/** On one limit, one authority gives way to another when that one has spoken. */
public record Deferral(String limit, String authority, String to, String reason) {}
