/** The makers' data sheets as kept here, in the open form that files carry them in. */
package org.undanus.server.datasheet;
