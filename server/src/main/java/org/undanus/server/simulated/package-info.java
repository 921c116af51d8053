/** Instruments that are not there: a program of its own that sends to the same door as real ones. */
package org.undanus.server.simulated;
