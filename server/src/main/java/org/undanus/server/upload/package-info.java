/** What may come in as a file: told by its content, never by its name, and bounded. */
package org.undanus.server.upload;
