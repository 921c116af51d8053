/** Rule books as kept here: every version ever used stays, since cases point at the version they are judged by. */
package org.undanus.server.rulebook;
