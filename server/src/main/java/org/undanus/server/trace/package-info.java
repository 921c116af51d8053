/** Logged curves: kept in compressed chunks, gone through a chunk at a time, in and out as CSV. See docs/formats/trace.md. */
package org.undanus.server.trace;
