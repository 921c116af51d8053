/** Commissioning records: brought in, laid beside what was read, held against physics and each other, asked about. */
package org.undanus.server.commissioning;
