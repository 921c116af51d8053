package org.undanus.server.installation;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.judgement.HourSettings;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.RevisitPlan;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.server.installation.InstallationMapper.ReadAt;

/**
 * What the office's own work has shown: how long a line takes, and how often something fails. Both begin with the rule book's figures and
 * go over to what was seen as there is more of it.
 */
@Service
public class Experience {
    /** Readings looked at, the last ones. */
    private static final int READINGS = 20_000;
    /** Installations looked at, spread over the archive. */
    private static final int INSTALLATIONS = 200;

    private static final int AT_ONCE = 50;
    /** Of how many readings the book's time is worth. */
    private static final int BOOKS_TIME_OF = 5;
    /** Sooner after another than this it was one of several typed at once; later the person had been doing something else. */
    private static final Duration SOONEST = Duration.ofSeconds(5);

    private static final Duration LATEST = Duration.ofMinutes(15);
    private static final Duration REMEMBERED = Duration.ofMinutes(10);

    private record Tally(double failing, double decided) {
        private Tally and(Tally other) {
            return new Tally(failing + other.failing, decided + other.decided);
        }
    }

    private record Taken(double seconds, int times) {}

    private final InstallationMapper mapper;
    private final CaseFiles cases;
    private final Cache<String, Map<String, Taken>> times =
            Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build();
    private final Cache<String, Map<String, Tally>> shares =
            Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build();

    Experience(InstallationMapper mapper, CaseFiles cases) {
        this.mapper = mapper;
        this.cases = cases;
    }

    /** How long a line takes by its point, s. */
    @Transactional(readOnly = true)
    public ToDoubleFunction<String> secondsByPoint(RuleBook rules) {
        double book = rules.number(RevisitPlan.PER_LINE);
        Map<String, Taken> taken = times.get("", any -> taken(mapper.readLast(READINGS)));
        return point -> Optional.ofNullable(taken.get(point))
                .map(seen -> (book * BOOKS_TIME_OF + seen.seconds) / (BOOKS_TIME_OF + seen.times))
                .orElse(book);
    }

    /** Each from the one before it, of the same person on the same visit. */
    private static Map<String, Taken> taken(List<ReadAt> read) {
        Map<String, Taken> taken = new HashMap<>();
        for (int i = 1; i < read.size(); i++) {
            ReadAt before = read.get(i - 1);
            ReadAt now = read.get(i);
            if (!before.visitId().equals(now.visitId()) || !before.enteredBy().equals(now.enteredBy())) {
                continue;
            }
            Duration between = Duration.between(before.enteredAt(), now.enteredAt());
            if (between.compareTo(SOONEST) >= 0 && between.compareTo(LATEST) <= 0) {
                double seconds = between.toMillis() / 1000.0;
                taken.merge(
                        now.point(),
                        new Taken(seconds, 1),
                        (one, other) -> new Taken(one.seconds + other.seconds, one.times + other.times));
            }
        }
        return taken;
    }

    /** How likely a judgement is to fail once it is decided, 0 to 1. */
    @Transactional(readOnly = true)
    public ToDoubleFunction<Judgement> failing(RuleBook rules) {
        double of = rules.number(HourSettings.FAILING_OF);
        double book = of * rules.number(HourSettings.FAILING);
        Map<String, Tally> seen = shares.get("", any -> seen());
        return judgement -> {
            Tally tally = seen.getOrDefault(judgement.about().id(), new Tally(0, 0));
            return (book + tally.failing) / (of + tally.decided);
        };
    }

    private Map<String, Tally> seen() {
        List<String> all = cases.ids();
        int every = Math.max(1, all.size() / INSTALLATIONS);
        List<String> some = new ArrayList<>();
        for (int i = 0; i < all.size(); i += every) {
            some.add(all.get(i));
        }
        Map<String, Tally> seen = new HashMap<>();
        for (int from = 0; from < some.size(); from += AT_ONCE) {
            List<String> ids = some.subList(from, Math.min(some.size(), from + AT_ONCE));
            for (CaseFile file : cases.some(ids, Optional.empty(), cases.drawn())) {
                for (Judgement judgement : file.judgements().all()) {
                    boolean fails = judgement.verdict() == Verdict.FAILS;
                    if (fails || judgement.verdict() == Verdict.MEETS) {
                        seen.merge(judgement.about().id(), new Tally(fails ? 1 : 0, 1), Tally::and);
                    }
                }
            }
        }
        return seen;
    }
}
