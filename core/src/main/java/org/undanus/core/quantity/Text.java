package org.undanus.core.quantity;

import java.util.List;
import java.util.Objects;

/**
 * A sentence whose quantities are printed only when the reader's unit system is known. {@code {}} marks the place of
 * the next argument: a {@link Quantity}, an {@link Amount}, {@link HalfWidth}, {@link AtLeast} or {@link OfGas}, another {@link Text} or anything with a plain string.
 */
public record Text(String pattern, List<Object> arguments) {

    /** A quantity to print with given digits, optionally with its ± expanded uncertainty. */
    public record Amount(Quantity quantity, double resolution, double expandedUncertainty) {
        private static final double FINE_LENGTH = 1.5e-4;

        /**
         * A measured value. Its digits follow its uncertainty (JCGM 100, 7.2.6), or the reading's own last digit where
         * there is none.
         */
        public static Amount of(Dimension dimension, Uncertain value, double resolution) {
            double expanded = value.expanded();
            double digits = expanded > 0 ? Math.max(expanded / 10, resolution) : resolution;
            return new Amount(dimension.of(value.value()), digits, expanded);
        }

        String in(UnitSystem system) {
            QuantityFormat format = QuantityFormat.of(system);
            String value = format.format(quantity, usableResolution());
            return expandedUncertainty == 0
                    ? value
                    : value + " ± " + format.formatUncertainty(quantity.dimension(), expandedUncertainty, resolution);
        }

        private double usableResolution() {
            // a tape's digits say less than its eighths and millimetres; a gauge's hundredths say more
            return quantity.dimension() == Dimension.LENGTH && resolution >= FINE_LENGTH ? 0 : resolution;
        }
    }

    /** The ± an instrument may have at most: one digit, never rounded up. */
    public record HalfWidth(Dimension dimension, double si) {
        String in(UnitSystem system) {
            return QuantityFormat.of(system).formatAtMost(dimension, si);
        }
    }

    /** A change of a gas's pressure, as its gauges show it: in psi or kPa, never as the pressure of air in ducts. */
    public record OfGas(double pascals) {
        String in(UnitSystem system) {
            return QuantityFormat.of(system).formatOfGas(pascals);
        }
    }

    /** An amount of which at least this much is needed: never rounded down. */
    public record AtLeast(Quantity quantity) {
        String in(UnitSystem system) {
            return QuantityFormat.of(system).formatUp(quantity);
        }
    }

    /** @throws IllegalStateException if there are more arguments than places */
    public Text {
        Objects.requireNonNull(pattern);
        arguments = List.copyOf(arguments);
        // said where it is made, not where a reader meets it
        if (places(pattern) < arguments.size()) {
            throw new IllegalStateException("More arguments than places in: " + pattern);
        }
    }

    private static int places(String pattern) {
        int places = 0;
        for (int at = pattern.indexOf("{}"); at >= 0; at = pattern.indexOf("{}", at + 2)) {
            places++;
        }
        return places;
    }

    /** A word or phrase as it begins a sentence. */
    public static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    public static Text of(String pattern, Object... arguments) {
        return new Text(pattern, List.of(arguments));
    }

    /** The sentence in a reader's units. */
    public String in(UnitSystem system) {
        StringBuilder sentence = new StringBuilder();
        int from = 0;
        for (Object argument : arguments) {
            int mark = pattern.indexOf("{}", from);
            sentence.append(pattern, from, mark).append(print(argument, system));
            from = mark + 2;
        }
        return sentence.append(pattern.substring(from)).toString();
    }

    private static String print(Object argument, UnitSystem system) {
        if (argument instanceof Quantity quantity) {
            return QuantityFormat.of(system).format(quantity);
        }
        if (argument instanceof Amount amount) {
            return amount.in(system);
        }
        if (argument instanceof HalfWidth half) {
            return half.in(system);
        }
        if (argument instanceof AtLeast least) {
            return least.in(system);
        }
        if (argument instanceof OfGas change) {
            return change.in(system);
        }
        return argument instanceof Text text ? text.in(system) : argument.toString();
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
