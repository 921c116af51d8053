package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MarginBar;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.rules.RuleBook;

/**
 * What random cases came to, as recorded: a change of any formula, limit or sentence shows as a difference to be read and
 * accepted ({@code ./undanus accept}). Of derivation and margin bar only a sum is kept.
 */
class RecordedJudgementsTest {
    private static final String RECORD = "recorded-judgements.txt";
    private static final Path KEPT = Path.of("src/test/resources/org/undanus/core/station", RECORD);
    private static final int CASES = 36;

    @Test
    void judgementsAreThoseRecorded() throws IOException {
        StringBuilder now = new StringBuilder();
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(1000 + seed);
            Case facts = RandomCases.facts(random);
            RuleBook rules = seed % 2 == 0 ? CaseFixture.PLATE_BOOK : CaseFixture.DESIGN_BOOK;
            now.append("# case ").append(seed).append('\n');
            Walk.judge()
                    .judge(facts, RandomCases.usual(random, facts), rules)
                    .forEach(judgement -> now.append(line(judgement)).append('\n'));
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

    private static String line(Judgement judgement) {
        String others = judgement.otherSchools().stream()
                .map(other -> " | " + other.verdict() + " " + other.because())
                .collect(Collectors.joining());
        return judgement.key() + " " + judgement.verdict() + " " + judgement.because()
                + judgement
                        .remedy()
                        .map(remedy -> " > " + remedy.in(UnitSystem.US))
                        .orElse("") + others + " #"
                + Integer.toHexString(explained(judgement).hashCode());
    }

    private static String explained(Judgement judgement) {
        String steps = judgement.derivation().stream()
                .map(step -> step.name() + step.how() + step.value() + step.source())
                .collect(Collectors.joining("\n"));
        String bar = judgement
                .comparison()
                .map(MarginBar::of)
                .map(b -> Text.of("{}", b.reading()) + b.ticks().toString() + Math.round(1000 * b.needle()) + " "
                        + Math.round(1000 * b.permittedFrom()) + " " + Math.round(1000 * b.permittedTo()) + " "
                        + Math.round(1000 * b.whiskerFrom()) + " " + Math.round(1000 * b.whiskerTo()))
                .orElse("");
        return steps
                + bar
                + judgement.otherSchools().stream()
                        .map(RecordedJudgementsTest::explained)
                        .collect(Collectors.joining())
                + judgement.evidence();
    }
}
