package org.undanus.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Hundreds of ways people write readings, each with its value or its refusal. */
class NotationCorpusTest {
    private static final String REFUSED = "! ";

    static Stream<Arguments> notations() throws IOException {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                NotationCorpusTest.class.getResourceAsStream("notations.txt"), StandardCharsets.UTF_8))) {
            List<Arguments> rows = lines.lines()
                    .filter(line -> !line.startsWith("# What"))
                    .map(line -> line.split("\\|"))
                    .map(cells -> Arguments.of(cells[0], Dimension.valueOf(cells[1]), cells[2]))
                    .toList();
            return rows.stream();
        }
    }

    @ParameterizedTest(name = "{0} as {1}: {2}")
    @MethodSource("notations")
    void isTakenAsMeantOrRefused(String typed, Dimension dimension, String expected) {
        if (expected.startsWith(REFUSED)) {
            assertThatThrownBy(() -> FieldNotation.parse(typed, dimension))
                    .isInstanceOf(FieldNotationException.class)
                    .hasMessageContaining(expected.substring(REFUSED.length()));
        } else {
            double si = Double.parseDouble(expected);
            assertThat(FieldNotation.parse(typed, dimension).value().si())
                    .isCloseTo(si, within(Math.max(1e-12, Math.abs(si) * 1e-6)));
        }
    }

    @Test
    void holdsAtLeastFourHundred() throws IOException {
        assertThat(notations()).hasSizeGreaterThan(400);
    }

    /** What is offered instead must itself be readable. */
    @ParameterizedTest(name = "{0} as {1}")
    @MethodSource("notations")
    void everyChoiceOfferedCanBeTaken(String typed, Dimension dimension, String expected) {
        try {
            FieldNotation.parse(typed, dimension);
        } catch (FieldNotationException refusal) {
            assertThat(refusal.choices()).allSatisfy(choice -> FieldNotation.parse(choice, dimension));
            assertThat(refusal.position()).isBetween(0, typed.length());
        }
    }
}
