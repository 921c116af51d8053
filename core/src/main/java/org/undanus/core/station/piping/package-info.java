/** Station 5: the lines between outdoor and indoor unit, and their joints. */
package org.undanus.core.station.piping;
