package org.undanus.core.reckoner;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.undanus.core.judgement.Step;

/**
 * One computation by itself.
 *
 * @param station number of the station it belongs to
 * @param source where its formula comes from
 */
public record Computation(
        String id, int station, String title, String source, List<Input> inputs, Function<Typed, List<Step>> steps) {

    public Computation {
        inputs = List.copyOf(inputs);
    }

    /**
     * The steps from what was typed to the answer, the answer last.
     *
     * @param typed by input id, in field notation
     * @throws InputException naming the input that cannot be taken
     */
    public List<Step> answer(Map<String, String> typed) {
        return steps.apply(Typed.understand(inputs, typed));
    }
}
