package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.Rounds;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Step;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

/**
 * Whatever is read, within what is possible, is judged, drawn and printed without an exception. Seeded: a failure names
 * its round and is repeated by running the test again.
 */
class RandomEvidenceTest {
    private static final int ROUNDS = Rounds.of(300, 1000);

    @Test
    void judgingNeverThrows() {
        Map<String, Integer> failures = new TreeMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            Random random = new Random(round);
            Case facts = RandomCases.facts(random);
            Evidence evidence = RandomCases.evidence(random, facts);
            RuleBook rules = random.nextBoolean() ? CaseFixture.PLATE_BOOK : CaseFixture.DESIGN_BOOK;
            try {
                judge(facts, evidence, rules);
            } catch (RuntimeException e) {
                failures.putIfAbsent(place(e), round);
            }
        }
        assertThat(failures).as("where it threw, and in which round first").isEmpty();
    }

    private static String place(RuntimeException e) {
        return e + " at "
                + Stream.of(e.getStackTrace())
                        .filter(frame -> frame.getClassName().startsWith("org.undanus.core.station")
                                || frame.getClassName().startsWith("org.undanus.core.judgement"))
                        .findFirst()
                        .orElse(e.getStackTrace()[0]);
    }

    private static void judge(Case facts, Evidence evidence, RuleBook rules) {
        List<Judgement> judgements = Walk.judge().judge(facts, evidence, rules);
        judgements.forEach(RandomEvidenceTest::print);
        Judgements all = new Judgements(judgements);
        Walk.plans().stream()
                .flatMap(plan -> plan.draw(facts, evidence, rules, all).stream())
                .forEach(drawing -> List.of(340, 700)
                        .forEach(width -> Sheet.of(drawing, width, 220, Wording.english(UnitSystem.US))));
    }

    private static void print(Judgement judgement) {
        for (UnitSystem units : UnitSystem.values()) {
            judgement.because().in(units);
            judgement.remedy().ifPresent(remedy -> remedy.in(units));
            judgement.derivation().stream().map(Step::value).forEach(text -> text.in(units));
            judgement.otherSchools().forEach(other -> other.because().in(units));
        }
    }
}
