/** Numbers without a trade: tables read, roots found, curves through points, uncertainty carried through a function. */
package org.undanus.core.numeric;
