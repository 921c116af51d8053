/** The core's computations by themselves, over HTTP. */
package org.undanus.server.calculator;
