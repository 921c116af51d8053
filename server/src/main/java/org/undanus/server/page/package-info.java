/** Serves the interface: every address of it is the same page, and the description of the API is made complete. */
package org.undanus.server.page;
