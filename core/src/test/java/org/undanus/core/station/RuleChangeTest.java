package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.UnitSystem;

/** What a changed rule can touch is told from what requirements say of themselves; nothing else may come out otherwise. */
class RuleChangeTest {
    private static final RuleBook BOOK = CaseFixture.PLATE_BOOK;
    private static final int CASES = 8;
    private static final List<About> ALL = Walk.plans().stream()
            .flatMap(plan -> plan.requirements().stream())
            .map(Requirement::about)
            .toList();

    private static RuleBook with(Map<String, List<Limit>> limits, Map<String, RuleBook.Ruling> settings) {
        return new RuleBook(
                BOOK.id(),
                BOOK.title(),
                BOOK.version() + 1,
                BOOK.base(),
                BOOK.display(),
                BOOK.decisionRule(),
                BOOK.note(),
                BOOK.authorities(),
                limits,
                BOOK.deferrals(),
                settings,
                BOOK.schools(),
                BOOK.sizeLists(),
                BOOK.tables(),
                BOOK.minimumGrades(),
                BOOK.instruments(),
                BOOK.scopes(),
                BOOK.yaml());
    }

    private static Quantity larger(Quantity value) {
        return value.dimension().of(value.si() * 1.1 + (value.si() == 0 ? 0.01 : 0));
    }

    /** One change each: of a setting, or of a limit. */
    private static Map<String, RuleBook> changes() {
        Map<String, RuleBook> changes = new TreeMap<>();
        BOOK.settings().forEach((id, ruling) -> {
            Map<String, RuleBook.Ruling> settings = new HashMap<>(BOOK.settings());
            settings.put(id, new RuleBook.Ruling(larger(ruling.value()), ruling.source()));
            changes.put(id, with(BOOK.limits(), settings));
        });
        BOOK.limits().forEach((id, limits) -> {
            Map<String, List<Limit>> others = new HashMap<>(BOOK.limits());
            others.put(
                    id,
                    limits.stream()
                            .map(l -> new Limit(l.authority(), l.bound(), larger(l.value()), l.source()))
                            .toList());
            changes.put(id, with(others, BOOK.settings()));
        });
        return changes;
    }

    private static Map<String, String> printed(List<Judgement> judgements) {
        Map<String, String> printed = new HashMap<>();
        judgements.forEach(j -> printed.put(
                j.key(),
                j.verdict() + " " + j.because().in(UnitSystem.SI) + " "
                        + j.comparison().map(Object::toString).orElse("")));
        return printed;
    }

    @Test
    void nothingComesOutOtherwiseThatIsNotSaidToBeTouched() {
        Map<String, RuleBook> changes = changes();
        Map<String, Set<String>> missed = new TreeMap<>();
        List<String> ids = new ArrayList<>(changes.keySet());
        for (int round = 0; round < CASES; round++) {
            Random random = new Random(round);
            Case facts = RandomCases.facts(random);
            Evidence evidence = RandomCases.evidence(random, facts);
            Map<String, String> before = printed(Walk.judge().judge(facts, evidence, BOOK));
            // every change is tried on some of the cases
            for (int i = round % 4; i < ids.size(); i += 4) {
                RuleBook changed = changes.get(ids.get(i));
                Set<String> touched =
                        RuleChange.between(BOOK, changed, Walk.vocabulary()).touched(ALL);
                Map<String, String> now = printed(Walk.judge().judge(facts, evidence, changed));
                for (Map.Entry<String, String> each : now.entrySet()) {
                    String requirement = each.getKey().split("@")[0];
                    if (!each.getValue().equals(before.get(each.getKey())) && !touched.contains(requirement)) {
                        missed.computeIfAbsent(ids.get(i), any -> new TreeSet<>())
                                .add(requirement);
                    }
                }
            }
        }
        assertThat(missed).isEmpty();
    }
}
