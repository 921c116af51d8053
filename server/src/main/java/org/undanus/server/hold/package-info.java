/** What is left alone for a while during a visit, kept by the server. */
package org.undanus.server.hold;
