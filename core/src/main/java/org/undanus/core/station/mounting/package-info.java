/** Station 4: is the unit fixed level and fast, does the bundle fit the hole, does the hole drain, is it sealed. */
package org.undanus.core.station.mounting;
