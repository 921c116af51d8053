/**
 * The makers' data sheets: kept in versions, in the open form that files carry them in, listed, compared, brought in, and tried
 * beforehand on everything they would judge anew.
 */
package org.undanus.server.datasheet;
