package org.undanus.core.judgement;

import org.undanus.core.words.Text;

/**
 * One step of a derivation.
 *
 * @param name what is found, for example "Conductor ampacity here"
 * @param how the formula or look-up in words and signs, empty for a plain reading
 * @param value the outcome
 * @param source where formula or number come from, empty for a reading
 */
public record Step(String name, String how, Text value, String source) {}
