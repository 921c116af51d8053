/**
 * How evidence becomes judgement: requirements, verdicts, the comparison of a measured value with the limits of several
 * authorities, the derivation that explains it, and the judge that runs all requirements over a case. Pure: the same
 * case, evidence and rule book always give the same judgements. Stations build on this package.
 */
package org.undanus.core.judgement;
