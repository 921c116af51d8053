/** Finds by name whatever there is to go to: lines, judgements, limits, sheets and calculators. */
package org.undanus.server.find;
