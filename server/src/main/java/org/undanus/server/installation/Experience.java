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
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.visit.HourSettings;
import org.undanus.core.visit.LineTimes;
import org.undanus.view.CaseFile;

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
    private static final Duration REMEMBERED = Duration.ofMinutes(10);

    private record Tally(int failing, int decided) {
        private static final Tally NOTHING = new Tally(0, 0);

        private Tally and(Tally other) {
            return new Tally(failing + other.failing, decided + other.decided);
        }
    }

    private final InstallationMapper mapper;
    private final CaseFiles cases;
    private final Cache<String, LineTimes> times =
            Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build();
    private final Cache<String, Map<String, Tally>> shares =
            Caffeine.newBuilder().expireAfterWrite(REMEMBERED).build();

    Experience(InstallationMapper mapper, CaseFiles cases) {
        this.mapper = mapper;
        this.cases = cases;
    }

    /** How long lines take. */
    @Transactional(readOnly = true)
    public LineTimes times() {
        return times.get(
                "",
                any -> new LineTimes(mapper.readLast(READINGS).stream()
                        .map(row -> new LineTimes.Read(row.visitId(), row.enteredBy(), row.point(), row.enteredAt()))
                        .toList()));
    }

    /** How likely a judgement is to fail once it is decided, 0 to 1. */
    @Transactional(readOnly = true)
    public ToDoubleFunction<Judgement> failing(RuleBook rules) {
        Map<String, Tally> seen = shares.get("", any -> seen());
        return judgement -> {
            Tally tally = seen.getOrDefault(judgement.about().id(), Tally.NOTHING);
            return HourSettings.share(rules, tally.failing, tally.decided);
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
            for (CaseFile file : cases.openMany(ids, Optional.empty(), cases.drawn())) {
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
