package org.undanus.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;

class RuleBookReaderTest {
    private static final String BOOK = ShippedRuleBooks.general().get(0);
    /** The line of the shipped book's version: a test must not name what the next change of a book raises. */
    private static final String VERSION =
            "version: " + RuleBookReader.read(BOOK, Walk.vocabulary()).version();

    private static final String BOROUGH = ShippedRuleBooks.demo().get(0);

    private static RuleBookException refused(String yaml) {
        return catchThrowableOfType(RuleBookException.class, () -> RuleBookReader.read(yaml, Walk.vocabulary()));
    }

    private static int lineOf(String part) {
        return (int) BOOK.substring(0, BOOK.indexOf(part)).lines().count() + (BOOK.startsWith(part) ? 1 : 0);
    }

    @Test
    void theShippedBooksRead() {
        assertThat(Stream.concat(ShippedRuleBooks.general().stream(), ShippedRuleBooks.demo().stream()))
                .extracting(yaml -> RuleBookReader.read(yaml, Walk.vocabulary()).display())
                .containsExactly(UnitSystem.US, UnitSystem.SI, UnitSystem.US, UnitSystem.SI);
    }

    @Test
    void generalBooksHoldNoProgrammeAndLeaveOpenWhatBelongsToAPlace() {
        assertThat(ShippedRuleBooks.general()).allSatisfy(yaml -> {
            RuleBook book = RuleBookReader.read(yaml, Walk.vocabulary());
            assertThat(book.authorities().values())
                    .extracting(Authority::kind)
                    .doesNotContain(Authority.Kind.PROGRAMME);
            assertThat(Walk.vocabulary().settings().values())
                    .allSatisfy(setting -> assertThat(book.decides(setting)).isEqualTo(!setting.local()));
            assertThat(yaml.substring(yaml.indexOf("authorities:")))
                    .doesNotContain("borough")
                    .doesNotContain("Lake Halls");
        });
    }

    @Test
    void aBookKeptBeforeUnitsWereAskedForStillReads() {
        assertThat(RuleBookReader.readKept(
                                BOOK.replace("at-least: 85 %", "at-least: 85"),
                                Walk.vocabulary(),
                                any -> Optional.empty())
                        .limits()
                        .get("running.capacity"))
                .extracting(limit -> limit.value().si())
                .containsExactly(0.85);
    }

    @Test
    void whatABookFromBeforeASchoolIsSilentOnIsNotShown() {
        RuleBook silent = RuleBookReader.readKept(
                BOOK.replaceFirst("(?m)^  condensate.float-switch: .*\\n", ""),
                Walk.vocabulary(),
                any -> Optional.empty());
        assertThat(new CaseFixture().rules(silent).judgements().stream().filter(judgement -> judgement
                        .about()
                        .topic()
                        .filter(topic -> topic.id().equals("condensate.float-switch"))
                        .isPresent()))
                .isNotEmpty()
                .allSatisfy(judgement -> {
                    assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
                    assertThat(judgement.because().toString()).contains("does not decide: What a float switch stops");
                });
    }

    private static RuleBook extending(String more) {
        return RuleBookReader.read(
                """
                format: undanus-rule-book/1
                id: own
                title: Own
                version: 1
                extends: {id: general-plate, VERSION}
                settings:
                  papers.design-summer: {value: 91 °F, source: x}
                  papers.design-winter: {value: 7 °F, source: x}
                  siting.snow-margin: {value: 10 in, source: x}
                """
                                .replace("VERSION", VERSION)
                        + more,
                Walk.vocabulary());
    }

    @Test
    void aBookStandsOnAnotherAndSaysWhatIsItsOwn() {
        LimitKey front = Walk.vocabulary().limits().get("siting.outdoor-clearance-front");
        Setting margin = Walk.vocabulary().settings().get("siting.snow-margin");
        Setting freeboard = Walk.vocabulary().settings().get("siting.flood-freeboard");
        RuleBook own = extending(
                """
                authorities:
                  house: {kind: programme, name: House rules}
                limits:
                  siting.outdoor-clearance-front:
                    - {by: house, at-least: 40 in, source: x}
                  access.passage-length:
                    - {by: code, at-most: 25 ft, source: another edition}
                """);
        assertThat(own.limits(front))
                .extracting(limit -> limit.authority().id(), limit -> own.layer(front, limit)
                        .id())
                .containsExactly(tuple("code", "general-plate"), tuple("house", "own"));
        LimitKey passage = Walk.vocabulary().limits().get("access.passage-length");
        assertThat(own.limits(passage))
                .as("the same authority speaks anew")
                .singleElement()
                .satisfies(limit -> {
                    assertThat(limit.source()).hasToString("another edition");
                    assertThat(own.layer(passage, limit)).isEqualTo(own);
                });
        assertThat(own.number(margin)).isCloseTo(0.254, within(1e-9));
        assertThat(own.layer(b -> b.settings().get(margin.id()))).isEqualTo(own);
        assertThat(own.layer(b -> b.settings().get(freeboard.id())).id()).isEqualTo("general-plate");
        assertThat(own.display()).isEqualTo(UnitSystem.US);
        assertThat(own.layers()).extracting(RuleBook::id).containsExactly("general-plate", "own");
    }

    @Test
    void aBookThatCannotStandIsRefusedByLineAndKey() {
        assertThat(refused(BOROUGH.replace("id: general-plate", "id: general-nothing"))
                        .problems())
                .anySatisfy(p -> {
                    assertThat(p.key()).isEqualTo("extends");
                    assertThat(p.message().toString()).containsPattern("general-nothing, version \\d+ here");
                });
        assertThat(refused(BOROUGH.replaceFirst("\\{id: general-plate, version: \\d+}", "general-plate")))
                .isNotNull();
        assertThat(refused(BOROUGH.replace("  programme:\n    kind: programme", "  code:\n    kind: programme")))
                .hasMessageContaining("names the authority \"code\" already");
        assertThat(refused(BOROUGH.replaceAll("(?m)^  papers.design-(?:winter|summer):.*\n", "")
                        .replaceFirst("(?m)^version: \\d+", "version: x")))
                .as("only a general book may leave it open; all are said at once, beside what else is wrong")
                .hasMessageContaining(
                        "papers.design-summer (Design outdoor temperature, summer, as 75 °F or 24 °C), papers.design-winter (")
                .hasMessageContaining("whole number");
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
                "at-most: 20 ft|at-most: 3 psig|limits.access.passage-length[0].at-most|a unit of a gauge pressure",
                "by: code, at-most: 20 ft|by: nobody, at-most: 20 ft|limits.access.passage-length[0].by|No authority is called",
                "access.passage-length:|access.passage-colour:|limits.access.passage-colour|No limit is called",
                "running.split: psychrometric|running.split: astrological|schools.running.split|is not one of psychrometric",
                "decision-rule: guarded|decision-rule: lenient|decision-rule|is not one of guarded",
                "VERSION|version: one|version|whole number",
                "title: Plate|tittle: Plate|tittle|Unknown key",
                "[15 A, 20 A|[20 A, 15 A|sizes.electrical.device-sizes[1]|rise from first",
                "electrical: recorded|electrical: rumoured|minimum-grades.electrical|is not one of witnessed",
                "constant: 3 mm|constant: 3 V|instruments.tape.constant|a unit of a voltage",
                "at-most: 20 ft|at-most: 20|limits.access.passage-length[0].at-most|lacks its unit: in, cm, ft, mm, m",
                "at-least: 85 %, source: \"Assumed by this book: what two|at-least: 1.75, source: \"Assumed by this book: what two|limits.running.capacity[0].at-least|lacks its unit: %, mm/m",
                "kind: maker|kind: wizard|authorities.maker.kind|is not one of code",
                "conductors: plate-practice|conductors: guesswork|tables.electrical.conductors|is not one of",
            })
    void namesLineAndKey(String found, String to, String key, String words) {
        String from = found.replace("VERSION", VERSION);
        assertThat(BOOK).contains(from);
        RuleBookException refused = refused(BOOK.replace(from, to));
        assertThat(refused.problems()).anySatisfy(problem -> {
            assertThat(problem.key()).isEqualTo(key);
            assertThat(problem.message().toString()).contains(words);
            assertThat(problem.line()).isBetween(lineOf(from), lineOf(from) + 2);
        });
    }

    @Test
    void findsEveryProblemInOneReading() {
        RuleBookException refused =
                refused(BOOK.replace(VERSION, "version: x").replace("at-most: 20 ft", "at-most: 3 psig"));
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

    @Test
    void aScopeNamesWhatThereIs() {
        String scoped = BOROUGH.replace(
                "scopes:\n", "scopes:\n  roof: {title: Roofs, stations: [siting], severities: [safety]}\n");
        assertThat(RuleBookReader.read(scoped, Walk.vocabulary())
                        .scopes()
                        .get("roof")
                        .stations())
                .containsExactly("siting");
        assertThat(refused(scoped.replace("[siting]", "[attic]")).problems())
                .anySatisfy(problem -> assertThat(problem.message().toString()).contains("\"attic\" is no station"));
        assertThat(refused(scoped.replace("stations: [siting], severities: [safety]", "open: no"))
                        .problems())
                .anySatisfy(problem -> assertThat(problem.message().toString()).contains("names severities"));
    }
}
