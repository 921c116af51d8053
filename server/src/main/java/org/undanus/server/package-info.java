/**
 * The server: keeps cases and readings, asks the core to judge them, and speaks HTTP. One package a feature; each is
 * package-private but for what others need. No rule and no computation of the job lives here.
 */
package org.undanus.server;
