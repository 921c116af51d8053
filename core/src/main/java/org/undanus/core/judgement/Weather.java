package org.undanus.core.judgement;

import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;

/**
 * The outdoor air that a reading waits for.
 *
 * @param outdoors a temperature that it has to be at least or at most
 */
public record Weather(Bound bound, Quantity outdoors) {}
