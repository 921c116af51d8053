package org.undanus.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.undanus.core.judgement.Verdict;
import org.undanus.view.JudgementView.BarView;
import org.undanus.view.JudgementView.TickView;

class VerdictPrintTest {

    private static BarView bar(double needle, String reading) {
        return new BarView(
                0.4,
                1,
                List.of(
                        new TickView(0.1, "code 24 in", false, false, 0),
                        new TickView(0.4, "maker 30 in", true, false, 1)),
                needle,
                needle - 0.02,
                needle + 0.02,
                reading);
    }

    @Test
    void carriesEveryLabelAndTheReading() {
        String drawn = VerdictPrint.bar(bar(0.7, "36 in ± 0.1 in"), Verdict.MEETS);
        assertThat(drawn).contains("code 24 in").contains("maker 30 in").contains("36 in ± 0.1 in");
    }

    @Test
    void wordsAreNoMarkup() {
        assertThat(VerdictPrint.bar(bar(0.7, "<b>&\"x\""), Verdict.MEETS))
                .doesNotContain("<b>")
                .contains("&lt;b&gt;&amp;");
    }

    @Test
    void whatLiesBeyondTheAxisIsDrawnAtItsEnd() {
        Matcher circle =
                Pattern.compile("circle cx=\"([0-9.]+)\"").matcher(VerdictPrint.bar(bar(1.8, "x"), Verdict.FAILS));
        assertThat(circle.find()).isTrue();
        assertThat(Double.parseDouble(circle.group(1))).isBetween(0.0, 300.0);
    }

    @Test
    void numbersAreWrittenWithPointsWhateverTheLocale() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.GERMANY);
            assertThat(VerdictPrint.bar(bar(0.333, "x"), Verdict.FAILS)).doesNotContainPattern("\\d,\\d");
        } finally {
            Locale.setDefault(before);
        }
    }

    @Test
    void marksDifferInShapeNotOnlyInColour() {
        Set<String> shapes = new HashSet<>();
        for (Verdict verdict : Verdict.values()) {
            shapes.add(VerdictPrint.mark(verdict).replaceAll("#[0-9A-Fa-f]{6}", ""));
        }
        assertThat(shapes).hasSameSizeAs(Verdict.values());
    }
}
