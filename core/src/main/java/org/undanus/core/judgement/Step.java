package org.undanus.core.judgement;

import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/**
 * One step of a derivation.
 *
 * @param name what is found, for example "Conductor ampacity here"
 * @param how the formula or look-up in words and signs, empty for a plain reading
 * @param value the outcome
 * @param source where formula or number come from, empty for a reading
 */
public record Step(Text name, Text how, Worded value, Text source) {
    /** One whose words are phrases or somebody's own. */
    public static Step of(String name, String how, Worded value, String source) {
        return new Step(Text.plain(name), Text.plain(how), value, Text.plain(source));
    }
}
