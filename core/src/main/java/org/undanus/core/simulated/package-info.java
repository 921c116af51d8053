/** A small made-up line set with a pump and gauges, for trying without any: it obeys the same physics as a real one. */
package org.undanus.core.simulated;
