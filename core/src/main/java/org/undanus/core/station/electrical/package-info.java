/** Station 7: circuit, overcurrent device, disconnect, voltage and current against the plate. */
package org.undanus.core.station.electrical;
