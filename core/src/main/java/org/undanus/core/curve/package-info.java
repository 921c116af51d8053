/** Reads curves: which course a pressure took, with its uncertainty, and what the time was long enough to show. */
package org.undanus.core.curve;
