package org.undanus.core.calculator;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/** What was typed for a computation's inputs, understood. */
final class Typed {
    private final Map<String, List<Quantity>> quantities;
    private final Map<String, String> choices;

    private Typed(Map<String, List<Quantity>> quantities, Map<String, String> choices) {
        this.quantities = quantities;
        this.choices = choices;
    }

    /** @throws InputException naming the input that is missing or cannot be understood */
    static Typed understand(List<Input> inputs, Map<String, String> typed) {
        Map<String, List<Quantity>> quantities = new HashMap<>();
        Map<String, String> choices = new HashMap<>();
        for (Input input : inputs) {
            String text = typed.getOrDefault(input.id(), "").strip();
            if (text.isEmpty()) {
                throw new InputException(input.id(), Text.of("{input} is empty.", input.title()));
            }
            if (input.dimension().isPresent()) {
                quantities.put(input.id(), figures(input, text));
            } else if (input.options().contains(text)) {
                choices.put(input.id(), text);
            } else {
                throw new InputException(
                        input.id(), Text.of("\"{text}\" is not one of {options}.", text, Text.list(input.options())));
            }
        }
        return new Typed(quantities, choices);
    }

    private static List<Quantity> figures(Input input, String text) {
        List<Quantity> figures = new ArrayList<>();
        for (String part : input.several() ? text.split(";") : new String[] {text}) {
            try {
                figures.add(FieldNotation.parse(part.strip(), input.dimension().orElseThrow())
                        .value());
            } catch (FieldNotationException e) {
                throw new InputException(input.id(), e.said());
            }
        }
        return figures;
    }

    Quantity quantity(String input) {
        return quantities.get(input).get(0);
    }

    double si(String input) {
        return quantity(input).si();
    }

    /** @throws InputException when it is nothing or less */
    double positive(String input) {
        double value = si(input);
        if (!(value > 0)) {
            throw new InputException(input, "This must be more than nothing.");
        }
        return value;
    }

    List<Double> each(String input) {
        return quantities.get(input).stream().map(Quantity::si).toList();
    }

    String choice(String input) {
        return choices.get(input);
    }
}
