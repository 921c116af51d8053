/** Drawings of sites as kept here: GeoJSON in local metres. See docs/formats/site-plan.md. */
package org.undanus.server.siteplan;
