/** What a station is made of. */
package org.undanus.core.plan;
