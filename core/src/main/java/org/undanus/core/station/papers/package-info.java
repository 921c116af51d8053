/** Station 1: are papers there, plates complete and in agreement with their sheets, units a listed pair; what stays of an old system. */
package org.undanus.core.station.papers;
