/** The instruments readings are taken with, and how good each is. */
package org.undanus.server.instrument;
