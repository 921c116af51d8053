/** How things go wrong towards the outside: problem+json with a sentence a person can act on, never a bare 500. */
package org.undanus.server.problem;
