/**
 * Quantities as people read and write them: value types that keep gauge from absolute pressure and temperature from
 * temperature difference, field notation in and out, and uncertainty. Everything inside is SI. This package knows
 * nothing of installations or rules.
 */
package org.undanus.core.quantity;
