/**
 * Properties of the fluids of the trade: moist air and the identity of refrigerants. Each class cites its source, states its range and
 * refuses anything outside it. Nothing here knows of installations or rules.
 */
package org.undanus.core.fluid;
