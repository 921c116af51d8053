/** Station 2: where units stand and hang: distances, supports, sound, flammable refrigerant, and the smallest cure. */
package org.undanus.core.station.siting;
