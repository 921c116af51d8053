/** The key of this office: it signs the journal's ends and sealed visits; what it signed stays verifiable after it is changed. */
package org.undanus.server.signing;
