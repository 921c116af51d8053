/** Station 6: where the water goes. */
package org.undanus.core.station.condensate;
