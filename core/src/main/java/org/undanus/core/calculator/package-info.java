/** The stations' computations by themselves, without a case: typed figures in, steps with formula and source out. */
package org.undanus.core.calculator;
