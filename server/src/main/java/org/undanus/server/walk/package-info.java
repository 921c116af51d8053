/**
 * The walk: stations with their lines and judgements, the saving of readings, and the printed forms of judgements and
 * figures that screen and report share.
 */
package org.undanus.server.walk;
