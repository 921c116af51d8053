/** What keeping things needs and no database gives: digests, and readings remembered until they change. */
package org.undanus.server.store;
