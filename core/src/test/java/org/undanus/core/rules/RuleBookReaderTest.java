package org.undanus.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.Walk;

class RuleBookReaderTest {
    private static final String BOOK = ShippedRuleBooks.yaml().get(0);

    private static RuleBookException refused(String yaml) {
        return catchThrowableOfType(RuleBookException.class, () -> RuleBookReader.read(yaml, Walk.vocabulary()));
    }

    private static int lineOf(String part) {
        return (int) BOOK.substring(0, BOOK.indexOf(part)).lines().count() + (BOOK.startsWith(part) ? 1 : 0);
    }

    @Test
    void bothShippedBooksRead() {
        assertThat(ShippedRuleBooks.yaml())
                .extracting(yaml -> RuleBookReader.read(yaml, Walk.vocabulary()).display())
                .containsExactly(UnitSystem.US, UnitSystem.SI);
    }

    @Test
    void instrumentAccuracyIsReadInItsOwnDimension() {
        RuleBook book = RuleBookReader.read(BOOK, Walk.vocabulary());
        assertThat(book.accuracy(InstrumentKind.TAPE).constant()).isEqualTo(0.003);
        assertThat(book.accuracy(InstrumentKind.VOLTMETER).ofReading()).isEqualTo(0.01);
        assertThat(book.accuracy(InstrumentKind.READ_OFF).standardUncertainty(10, 1))
                .isZero();
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "at-most: 3 years|at-most: 3 psig|limits.papers.plate-age[0].at-most|a unit of a gauge pressure",
                "by: programme, at-most: 3 years|by: nobody, at-most: 3 years|limits.papers.plate-age[0].by|No authority is called",
                "papers.plate-age:|papers.plate-colour:|limits.papers.plate-colour|No limit is called",
                "running.split: psychrometric|running.split: astrological|schools.running.split|is not one of psychrometric",
                "decision-rule: guarded|decision-rule: lenient|decision-rule|is not one of guarded",
                "version: 3|version: one|version|whole number",
                "title: Sallowmere|tittle: Sallowmere|tittle|Unknown key",
                "[15 A, 20 A|[20 A, 15 A|sizes.electrical.device-sizes[1]|rise from first",
                "electrical: recorded|electrical: rumoured|minimum-grades.electrical|is not one of witnessed",
                "constant: 3 mm|constant: 3 V|instruments.tape.constant|a unit of a voltage",
                "kind: maker|kind: wizard|authorities.maker.kind|is not one of code",
                "conductors: plate-practice|conductors: guesswork|tables.electrical.conductors|is not one of",
            })
    void namesLineAndKey(String from, String to, String key, String words) {
        assertThat(BOOK).contains(from);
        RuleBookException refused = refused(BOOK.replace(from, to));
        assertThat(refused.problems()).anySatisfy(problem -> {
            assertThat(problem.key()).isEqualTo(key);
            assertThat(problem.message()).contains(words);
            assertThat(problem.line()).isBetween(lineOf(from), lineOf(from) + 2);
        });
    }

    @Test
    void findsEveryProblemInOneReading() {
        RuleBookException refused =
                refused(BOOK.replace("version: 3", "version: x").replace("3 years", "3 psig"));
        assertThat(refused.problems()).hasSize(2);
    }

    @Test
    void lackingSettingIsNamed() {
        assertThat(refused(BOOK.replaceAll("(?m)^  electrical.heater-factor:.*\n", "")))
                .hasMessageContaining("electrical.heater-factor");
    }

    @Test
    void malformedEmptyHugeAndRecursiveTextIsRefused() {
        assertThat(refused("a: [1, 2")).hasMessageContaining("well-formed");
        assertThat(refused("")).hasMessageContaining("empty");
        assertThat(refused("a: 1\na: 2")).isNotNull();
        assertThat(refused("x: " + "y".repeat(YamlTree.LONGEST_DOCUMENT + 1))).isNotNull();
        assertThat(refused("just words")).hasMessageContaining("mapping");
        assertThat(refused("a: &a [1]\nb: [*a, *a, *a]")).isNotNull();
        assertThatThrownBy(() -> RuleBookReader.read("- 1", Walk.vocabulary())).isInstanceOf(RuleBookException.class);
    }
}
