/** What a visit comes to, and what is left to do before it is closed. */
package org.undanus.server.summary;
