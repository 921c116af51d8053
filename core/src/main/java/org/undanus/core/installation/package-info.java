/**
 * The facts of a case: the site, the system's units, what their plates and data sheets say. A plate is evidence (someone
 * read it); a data sheet is the maker's word. Nothing here judges.
 */
package org.undanus.core.installation;
