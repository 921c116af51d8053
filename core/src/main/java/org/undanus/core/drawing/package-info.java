/** Figures as drawings: what stands where, in the thing's own measure, and how it is laid out on a sheet of a given size. */
package org.undanus.core.drawing;
