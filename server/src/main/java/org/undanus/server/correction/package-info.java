/** Corrections: what is to be put right, raised from judgements, each with its limit and source as they then stood. */
package org.undanus.server.correction;
