/** Room on the disk: writing is refused before the database runs out of it, so that reading goes on. */
package org.undanus.server.space;
