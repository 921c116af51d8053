/** What a visit makes of its judgements: what to do next, what an hour allows, what changed, what is due and what to bring again. */
package org.undanus.core.visit;
