/** Station 2: clear distance around outdoor and indoor units. */
package org.undanus.core.station.siting;
