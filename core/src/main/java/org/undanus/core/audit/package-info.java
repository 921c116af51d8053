/**
 * Commissioning records held against physics, against themselves, against what an inspector read and against other jobs. A doubt
 * is a number with its reason and its innocent explanations; it accuses nobody.
 */
package org.undanus.core.audit;
