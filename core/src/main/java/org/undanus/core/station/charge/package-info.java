/** Station 12: what was let in, how it was weighed, and what the running cycle says of it. */
package org.undanus.core.station.charge;
