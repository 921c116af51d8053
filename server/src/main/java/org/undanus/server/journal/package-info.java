/** The journal of every change: append-only, each entry's hash covering the one before it, so that tampering shows. */
package org.undanus.server.journal;
