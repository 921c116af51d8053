/** Refrigerants that somebody brought in. */
package org.undanus.server.refrigerant;
