/** Texts as QR codes. */
package org.undanus.server.qr;
