/** Station 3: can people and the largest piece get there, work there, see there; is live gear clear of everything. */
package org.undanus.core.station.access;
