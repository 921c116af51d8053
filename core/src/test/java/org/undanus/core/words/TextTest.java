package org.undanus.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.undanus.core.quantity.Length;

class TextTest {
    /** Says backwards what stands in a language file; plurals in capitals. */
    private static final Language OTHER = new Language() {
        private final Map<String, String> said = Map.of(
                "{gap} over {limit}", "{limit} uber {gap}",
                "limit", "Grenze",
                "{gap} under {limit}", "{limit} unter {gep} {",
                "Trap", "Siphon");

        @Override
        public String say(String template) {
            return said.getOrDefault(template, template);
        }

        @Override
        public String say(String one, String many, long count) {
            return (count == 1 ? one : many).toUpperCase(java.util.Locale.ROOT).replace("COUNT", "count");
        }
    };

    private static final Wording READER = new Wording(UnitSystem.SI, OTHER);

    @Test
    void anotherLanguagePutsArgumentsWhereItWantsThem() {
        Text text = Text.of("{gap} over {limit}", Length.ofMetres(0.2), "limit");
        assertThat(text.in(UnitSystem.SI)).isEqualTo("200 mm over limit");
        assertThat(text.in(READER)).isEqualTo("Grenze uber 200 mm");
        assertThat(text.in(READER.with(UnitSystem.US))).isEqualTo("Grenze uber 7-7/8 in");
    }

    @Test
    void whatALanguageDoesNotKnowIsSaidInEnglishAndItsSlipsAreShown() {
        assertThat(Text.of("{gap} beside {limit}", 1, "limit").in(READER)).isEqualTo("1 beside Grenze");
        assertThat(Text.of("{gap} under {limit}", 1, "limit").in(READER)).isEqualTo("Grenze unter {gep} {");
    }

    @Test
    void somebodysOwnWordsComeBackAsTheyAre() {
        assertThat(Text.plain("Shelf {gap} }{").in(READER)).isEqualTo("Shelf {gap} }{");
        assertThat(Text.of("{line}: {why}", "a {b}", "c }").in(READER)).isEqualTo("a {b}: c }");
        assertThat(Text.plain("").isEmpty()).isTrue();
    }

    @Test
    void oneIsSaidOtherwiseThanAnyOtherNumber() {
        assertThat(counted(1)).isEqualTo("One trap.");
        assertThat(counted(0)).isEqualTo("0 traps.");
        assertThat(counted(3)).isEqualTo("3 traps.");
        assertThat(Text.counted(2, "One trap.", "{count} traps.", 2).in(READER)).isEqualTo("2 TRAPS.");
    }

    private static String counted(int traps) {
        return Text.counted(traps, "One trap.", "{count} traps.", traps).in(UnitSystem.SI);
    }

    @Test
    void listsEndAsTheirSentenceNeeds() {
        assertThat(Text.list(List.of())).hasToString("");
        assertThat(Text.list(List.of("a", "b", "c"))).hasToString("a, b, c");
        assertThat(Text.series(List.of("a", "b"))).hasToString("a; b");
        assertThat(Text.all(List.of("a"))).hasToString("a");
        assertThat(Text.all(List.of("a", "b", "c"))).hasToString("a, b and c");
        assertThat(Text.any(List.of("a", "b", "c"))).hasToString("a, b or c");
        assertThat(Text.sentences(List.of("A.", "B."))).hasToString("A. B.");
        assertThat(Text.empty().then(Text.of("B."))).hasToString("B.");
        assertThat(Text.of("A.").then(Text.empty())).hasToString("A.");
    }

    @Test
    void aTitleIsLoweredWithinASentenceAnAbbreviationIsNot() {
        assertThat(Text.lowered("Trap").in(READER)).isEqualTo("siphon");
        assertThat(Text.lowered("RLA of it").in(READER)).isEqualTo("RLA of it");
        assertThat(Text.capital(Text.of("trap")).in(READER)).isEqualTo("Trap");
        assertThat(Text.capital("").in(READER)).isEmpty();
    }

    @Test
    void aSentenceKnowsWhetherItIsWhole() {
        assertThat(Text.of("It is whole.").whole()).isTrue();
        assertThat(Text.plain("it is not").whole()).isFalse();
    }

    @Test
    void argumentsAndNamesThatDoNotMatchAreRefusedWhereTheyAreMade() {
        assertThatIllegalStateException().isThrownBy(() -> Text.of("The {charge} is enough."));
        assertThatIllegalStateException().isThrownBy(() -> Text.of("Enough.", 1));
        assertThat(Text.of("{a} and {a}", "x")).hasToString("x and x");
    }

    @Test
    void aRefusalSaysItsSentence() {
        RefusedException refused = new RefusedException("Of {least} to {most}.", 1, Length.ofMetres(2));
        assertThat(refused).hasMessage("Of 1 to 2000 mm.");
        assertThat(RefusedException.said(refused).in(UnitSystem.US)).isEqualTo("Of 1 to 6' 6-3/4\".");
        assertThat(RefusedException.said(new IllegalStateException()).in(READER))
                .isEqualTo("null");
    }
}
