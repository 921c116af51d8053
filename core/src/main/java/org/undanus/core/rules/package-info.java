/**
 * The rule book: versioned limits by authority, settings, schools and precedence, read from YAML with errors by line and
 * key. Two books are shipped. A book holds numbers and choices; how they are applied is written in the stations.
 */
package org.undanus.core.rules;
