package org.undanus.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.stream.Stream;
import org.undanus.core.words.UnitSystem;

/**
 * A quantity as it is kept, for whoever edits it: never rounded, so that what is written back unchanged says the same. In the reader's
 * units where those say it as they are read, else in whichever unit says it in few digits.
 */
public final class AsKept {
    private static final double SAME = 1e-9;
    private static final MathContext FEW = new MathContext(7);
    private static final MathContext ALL = new MathContext(16);

    private AsKept() {}

    public static String written(Quantity quantity, UnitSystem reader) {
        UnitSystem other = reader == UnitSystem.US ? UnitSystem.SI : UnitSystem.US;
        Stream<String> asRead =
                Stream.of(reader, other).map(system -> QuantityFormat.of(system).format(quantity));
        return Stream.of(asRead, inAnyUnit(quantity, FEW), inAnyUnit(quantity, ALL))
                .flatMap(texts -> texts)
                .filter(text -> saysTheSame(text, quantity))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("Nothing writes " + quantity + " as it is"));
    }

    private static Stream<String> inAnyUnit(Quantity quantity, MathContext digits) {
        return FieldUnit.all(quantity.dimension()).map(unit -> {
            String number = new BigDecimal(unit.fromSi(quantity.si()))
                    .round(digits)
                    .stripTrailingZeros()
                    .toPlainString();
            return (number + " " + unit.symbol()).strip();
        });
    }

    private static boolean saysTheSame(String text, Quantity quantity) {
        try {
            double si = FieldNotation.parse(text, quantity.dimension()).value().si();
            return Math.abs(si - quantity.si()) <= SAME * Math.max(1e-12, Math.abs(quantity.si()));
        } catch (IllegalArgumentException unreadable) {
            return false;
        }
    }
}
