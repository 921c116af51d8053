/**
 * What was read: the points that can be read on a system, the readings taken of them, their grade and the instruments
 * they were taken with. Readings are never changed; a later one supersedes an earlier one. Nothing here judges.
 */
package org.undanus.core.evidence;
