/** Instruments that send what they show while it happens, and the lines that listen to them. */
package org.undanus.server.live;
