/** The walk over HTTP: stations with their lines, judgements and figures, holds and what instruments send while somebody looks. */
package org.undanus.server.walk;
