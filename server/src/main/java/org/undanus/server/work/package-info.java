/** Work that takes much memory or time, let through a few at once so that the rest of the application goes on. */
package org.undanus.server.work;
