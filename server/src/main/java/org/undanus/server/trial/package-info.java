/** A changed rule book or data sheet tried on the whole archive before it binds, and installations moved to it on purpose. */
package org.undanus.server.trial;
