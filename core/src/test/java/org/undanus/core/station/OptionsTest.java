package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.Accuracy;

/** What people choose is kept by ids that tell options apart; what was kept by words is still understood. */
class OptionsTest {
    private static final Pattern ID = Pattern.compile("[A-Za-z0-9]+(-[a-z0-9]+)*");

    private static List<Point> choices() {
        return Walk.plans().stream()
                .flatMap(plan -> plan.points().stream())
                .filter(point -> point.kind() == Point.Kind.CHOICE && !point.open())
                .toList();
    }

    private static String chosen(Point point, String typed) {
        return ((Value.Chosen) Entry.understand(point, typed, Accuracy.EXACT).value())
                .option()
                .id();
    }

    @Test
    void idsAreShortAndTellApart() {
        assertThat(choices()).hasSizeGreaterThan(40).allSatisfy(point -> {
            assertThat(point.options()).extracting(Option::id).doesNotHaveDuplicates();
            assertThat(point.options()).extracting(Option::words).doesNotHaveDuplicates();
            assertThat(point.options())
                    .allSatisfy(option ->
                            assertThat(option.id()).hasSizeLessThan(25).matches(ID));
        });
    }

    @Test
    void anAnswerIsUnderstoodByItsIdAndByItsWords() {
        choices().forEach(point -> point.options().forEach(option -> {
            assertThat(chosen(point, option.id())).isEqualTo(option.id());
            assertThat(chosen(point, " " + option.words().toUpperCase() + " ")).isEqualTo(option.id());
        }));
    }

    /** Nothing that was ever kept is set aside, whatever an option is called by now. */
    @Test
    void formerWordsAreUnderstood() {
        List<Map<String, String>> former = Csv.read(Point.class, "former-words.csv");
        assertThat(former).hasSizeGreaterThan(150).allSatisfy(row -> {
            Point point = Walk.point(row.get("point")).orElseThrow();
            Point renamed = point.offering(point.options().stream()
                    .map(option -> Option.of(option.id(), "renamed " + option.id()))
                    .toList());
            assertThat(chosen(renamed, row.get("words"))).isEqualTo(row.get("id"));
        });
    }
}
