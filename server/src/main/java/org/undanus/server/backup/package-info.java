/** A copy of everything that is kept, taken while Undanus runs, and put back into an empty folder. */
package org.undanus.server.backup;
