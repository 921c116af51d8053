package org.undanus.core.calculator;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.judgement.Step;

/**
 * One computation by itself.
 *
 * @param station number of the station it belongs to
 * @param source where its formula comes from
 * @param figure draws what it computes, where that can be drawn
 */
public record Computation(
        String id,
        int station,
        String title,
        String source,
        List<Input> inputs,
        Function<Typed, List<Step>> steps,
        Optional<Function<Typed, Drawing>> figure) {

    public Computation {
        inputs = List.copyOf(inputs);
    }

    Computation(
            String id,
            int station,
            String title,
            String source,
            List<Input> inputs,
            Function<Typed, List<Step>> steps) {
        this(id, station, title, source, inputs, steps, Optional.empty());
    }

    /** This computation, drawing what it computes. */
    Computation drawnBy(Function<Typed, Drawing> drawing) {
        return new Computation(id, station, title, source, inputs, steps, Optional.of(drawing));
    }

    /**
     * What is computed, to scale, where it can be drawn.
     *
     * @param typed as for the answer, which is known to be one
     */
    public Optional<Drawing> drawing(Map<String, String> typed) {
        return figure.map(drawn -> drawn.apply(Typed.understand(inputs, typed)));
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
