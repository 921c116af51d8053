/**
 * A visit that is done, frozen: its case with everything it was judged by and from, a hash of each part, and a signature over all
 * of them, in a file that anybody can check anywhere.
 */
package org.undanus.server.seal;
