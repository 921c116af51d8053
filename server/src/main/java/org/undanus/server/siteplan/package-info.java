/**
 * Drawings of sites: kept as GeoJSON in local metres, shown, tried, and taken out as GeoJSON or SVG. See
 * docs/formats/site-plan.md.
 */
package org.undanus.server.siteplan;
