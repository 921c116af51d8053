/**
 * The stations of the walk, one package each. A station holds its points and its requirements, one class a requirement;
 * no station knows another. {@link org.undanus.core.station.Walk} puts them in working order.
 */
package org.undanus.core.station;
