/**
 * Plane geometry of sites and bundles: clear distances from a drawing, the smallest move that cures everything, circles
 * packed into the smallest hole. Metres throughout; JTS does the polygons.
 */
package org.undanus.core.geometry;
