/** The library of data sheets over HTTP: list, compare, bring in, and see beforehand what a change would re-judge. */
package org.undanus.server.sheets;
