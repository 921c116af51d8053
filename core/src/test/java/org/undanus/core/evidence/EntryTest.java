package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;

class EntryTest {
    private static final Point LENGTH =
            Point.quantity("x.length", Scope.SYSTEM, Dimension.LENGTH, "Length", "Tape it.", 0, 30);
    private static final Point MONTH = Point.month("x.made", Scope.SYSTEM, "Made", "On the plate.");
    private static final Point CHOICE =
            Point.choice("x.metal", Scope.SYSTEM, "Metal", "", List.of("copper", "aluminium"));
    private static final Point YES_NO = Point.yesNo("x.there", Scope.SYSTEM, "There", "");
    private static final Point TEXT = Point.text("x.model", Scope.SYSTEM, "Model", "");

    private static Value value(Point point, String typed) {
        return Entry.understand(point, typed, Accuracy.EXACT).value();
    }

    @Test
    void quantityCarriesTheInstrumentsUncertainty() {
        var read = Entry.understand(LENGTH, "24 in", Accuracy.ofConstant(0.003));
        Value.Measured measured = (Value.Measured) read.value();
        assertThat(measured.standardUncertainty()).isCloseTo(0.003 / Math.sqrt(3), within(1e-12));
        assertThat(read.unit()).isEqualTo("in");
        assertThat(read.plausible()).isTrue();
    }

    @Test
    void absurdValueIsTakenButMarked() {
        assertThat(Entry.understand(LENGTH, "400 m", Accuracy.EXACT).plausible())
                .isFalse();
        assertThat(Entry.understand(LENGTH, "-1 m", Accuracy.EXACT).plausible()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "2025-03, 2025-03-01, 2025-03-31",
        "03/2025, 2025-03-01, 2025-03-31",
        "2025-W14, 2025-03-31, 2025-04-06",
        "2025w1, 2024-12-30, 2025-01-05",
    })
    void monthsAndWeeksAreSpans(String typed, LocalDate first, LocalDate last) {
        assertThat(value(MONTH, typed)).isEqualTo(new Value.Within(first, last));
    }

    @ParameterizedTest
    @ValueSource(strings = {"2025-13", "2025-W60", "last spring", "", "25-3", "2025-00"})
    void otherDatesAreRefused(String typed) {
        assertThatThrownBy(() -> value(MONTH, typed)).hasMessageContaining("2025-03");
    }

    @Test
    void choicesAndAnswersFoldCase() {
        assertThat(value(CHOICE, " Copper ")).isEqualTo(new Value.Chosen("copper"));
        assertThat(value(YES_NO, "Y")).isEqualTo(new Value.Affirmed(true));
        assertThat(value(YES_NO, "no")).isEqualTo(new Value.Affirmed(false));
        assertThatThrownBy(() -> value(CHOICE, "gold")).hasMessageContaining("copper, aluminium");
        assertThatThrownBy(() -> value(YES_NO, "perhaps")).hasMessageContaining("yes or no");
        assertThatThrownBy(() -> value(YES_NO, null)).hasMessageContaining("yes or no");
    }

    @Test
    void textIsKeptAsWrittenButBounded() {
        assertThat(value(TEXT, " DX-42 <b> ")).isEqualTo(new Value.Written("DX-42 <b>"));
        assertThatThrownBy(() -> value(TEXT, "x".repeat(201))).hasMessageContaining("200");
        assertThatThrownBy(() -> value(TEXT, "a\u0000b")).hasMessageContaining("Control");
        assertThatThrownBy(() -> value(TEXT, " ")).hasMessageContaining("Nothing");
    }
}
