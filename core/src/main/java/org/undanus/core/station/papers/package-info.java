/** Station 1: are plates complete, units a listed pair, refrigerants the same, ages sound. */
package org.undanus.core.station.papers;
