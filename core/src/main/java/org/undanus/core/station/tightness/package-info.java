/** Station 10: was the pressure test able to show that it is tight, and did it. */
package org.undanus.core.station.tightness;
