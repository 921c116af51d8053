/** Station 14: what the owner was told and given. */
package org.undanus.core.station.handover;
