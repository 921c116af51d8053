package org.undanus.core.rules;

import org.undanus.core.quantity.Dimension;

/** The name under which a rule book gives limits for something measurable. */
public record LimitKey(String id, Dimension dimension, String title) {}
