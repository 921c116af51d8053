package org.undanus.core.rules;

import org.undanus.core.quantity.Dimension;

/** A number a computation needs that a rule book decides. */
public record Setting(String id, Dimension dimension, String title) {}
