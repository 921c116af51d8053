/** A site's drawing over HTTP: shown, tried, kept, and taken out as GeoJSON or SVG. */
package org.undanus.server.siting;
