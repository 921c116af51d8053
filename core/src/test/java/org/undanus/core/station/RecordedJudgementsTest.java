package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MarginBar;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * What random cases came to, as recorded: a change of any formula, limit or sentence shows as a difference to be read and
 * accepted ({@code ./undanus accept}).
 */
class RecordedJudgementsTest {
    private static final String RECORD = "recorded-judgements.txt";
    private static final Path KEPT = Path.of("src/test/resources/org/undanus/core/station", RECORD);
    private static final int CASES = 36;
    /** Of so many cases one is kept with how each judgement follows; all of them would be more than anybody reads. */
    private static final int EXPLAINED_EVERY = 9;

    @Test
    void judgementsAreThoseRecorded() throws IOException {
        StringBuilder now = new StringBuilder();
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(1000 + seed);
            Case facts = RandomCases.facts(random);
            RuleBook rules = seed % 2 == 0 ? CaseFixture.PLATE_BOOK : CaseFixture.DESIGN_BOOK;
            boolean explained = seed % EXPLAINED_EVERY == 0;
            now.append("# case ").append(seed).append('\n');
            Walk.judge()
                    .judge(facts, RandomCases.usual(random, facts), rules)
                    .forEach(judgement -> now.append(line(judgement, explained)).append('\n'));
        }
        if (Boolean.getBoolean("golden.update")) {
            Files.writeString(KEPT, now);
            return;
        }
        try (InputStream record = RecordedJudgementsTest.class.getResourceAsStream(RECORD)) {
            List<String> then = new String(record.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
            assertThat(now.toString().lines().toList()).isEqualTo(then);
        }
    }

    private static String line(Judgement judgement, boolean explained) {
        String others = judgement.otherSchools().stream()
                .map(other -> " | " + other.verdict() + " " + other.because())
                .collect(Collectors.joining());
        return judgement.key() + " " + judgement.verdict() + " " + judgement.because()
                + judgement
                        .remedy()
                        .map(remedy -> " > " + remedy.in(UnitSystem.US))
                        .orElse("") + others
                + (explained ? explained(judgement) : "");
    }

    /** How it follows, a line each step, and its margin bar. */
    private static String explained(Judgement judgement) {
        return Stream.of(
                        judgement.derivation().stream()
                                .map(step -> step.name() + " | " + step.how() + " | "
                                        + step.value().in(UnitSystem.SI) + " | " + step.source()),
                        judgement.comparison().map(MarginBar::of).map(RecordedJudgementsTest::drawn).stream(),
                        judgement.otherSchools().stream()
                                .map(other ->
                                        "by another school" + explained(other).replace("\n", "\n  ")))
                .flatMap(Function.identity())
                .map(line -> "\n    " + line)
                .collect(Collectors.joining());
    }

    private static String drawn(MarginBar bar) {
        String ticks = bar.ticks().stream()
                .map(tick -> tick.label() + (tick.binds() ? " binds" : "") + " at " + thousandths(tick.position()))
                .collect(Collectors.joining(", "));
        return Text.of("bar {reading}", bar.reading()) + " at " + thousandths(bar.needle()) + ", " + ticks
                + ", permitted " + thousandths(bar.permittedFrom()) + " to " + thousandths(bar.permittedTo())
                + ", whisker " + thousandths(bar.whiskerFrom()) + " to " + thousandths(bar.whiskerTo());
    }

    private static long thousandths(double share) {
        return Math.round(1000 * share);
    }
}
