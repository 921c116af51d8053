package org.undanus.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.quantity.AsKept;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;

/** What a rule book's page shows can be written back as it stands. */
class AsKeptTest {

    private static List<Quantity> all() {
        List<Quantity> all = new ArrayList<>();
        for (RuleBook book : List.of(CaseFixture.PLATE_BOOK, CaseFixture.DESIGN_BOOK)) {
            Walk.vocabulary().limits().values().forEach(key -> book.limits(key)
                    .forEach(limit -> all.add(limit.value())));
            Walk.vocabulary().settings().values().stream()
                    .filter(book::decides)
                    .forEach(setting -> all.add(book.setting(setting).value()));
        }
        return all;
    }

    @ParameterizedTest
    @EnumSource
    void everyNumberOfTheBooksReadsBackAsItIs(UnitSystem reader) {
        List<String> off = new ArrayList<>();
        for (Quantity kept : all()) {
            String written = AsKept.written(kept, reader);
            double back;
            try {
                back = FieldNotation.parse(written, kept.dimension()).value().si();
            } catch (IllegalArgumentException unreadable) {
                back = Double.NaN;
            }
            if (!(Math.abs(back - kept.si()) <= 1e-9 * Math.max(1e-12, Math.abs(kept.si())))) {
                off.add(kept.dimension() + " " + kept.si() + " written " + written);
            }
        }
        assertThat(off).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "COUNT, 1.75, US, 1.75",
        "COUNT, 2.25, SI, 2.25",
        "COUNT, 1.45, US, 1.45",
        "COUNT, 2, US, 2",
        "LENGTH, 0.9144, US, 3' 0\"",
        "LENGTH, 0.75, US, 750 mm"
    })
    void isWrittenInFewDigits(Dimension dimension, double si, UnitSystem reader, String written) {
        assertThat(AsKept.written(dimension.of(si), reader)).isEqualTo(written);
    }
}
