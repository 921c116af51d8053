/** Lists that several stations read, and how a person writes them: lengths, marks of work, curves by hand, terminals, gas trains. */
package org.undanus.core.derived.notation;
