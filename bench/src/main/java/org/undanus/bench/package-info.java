/** Speed, measured. {@code bench/run} runs all of it; nothing here is a test. */
package org.undanus.bench;
