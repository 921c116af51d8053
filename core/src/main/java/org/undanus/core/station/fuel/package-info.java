/** Station 8: the fire, its fuel, its air and its vent. */
package org.undanus.core.station.fuel;
