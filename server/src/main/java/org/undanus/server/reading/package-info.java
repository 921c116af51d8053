/** The taking of readings, whoever they come from: understood, asked about where they are unusual, kept, and what they change. */
package org.undanus.server.reading;
