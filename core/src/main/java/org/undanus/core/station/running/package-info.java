/** Station 13: steady running, and the temperature split against what this coil should do in this air. */
package org.undanus.core.station.running;
