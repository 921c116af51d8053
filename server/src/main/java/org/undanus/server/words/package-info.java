/** Languages: which there are, and in which one whoever asks is answered. */
package org.undanus.server.words;
