package org.undanus.server.installation;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.undanus.core.judgement.StationSummary;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.account.Person;
import org.undanus.server.installation.StandingMapper.Filter;
import org.undanus.server.installation.StandingMapper.ListedRow;
import org.undanus.server.installation.StandingMapper.Outdated;
import org.undanus.server.installation.StandingMapper.StandingRow;

/**
 * How every installation stands, stored with what it was judged of: its own state, the libraries' and the application's. The register
 * reads these alone. What is not of the present state is judged again: a few at once before the register answers, many little by
 * little in the background, while the register says how many are still to come.
 */
@Service
public class Standings {
    private static final Logger LOG = LoggerFactory.getLogger(Standings.class);
    /** So many are judged again before the register answers. */
    private static final int AT_ONCE = 100;

    private static final int IN_THE_BACKGROUND = 500;

    /** What the register is sorted by. */
    public enum Order {
        REFERENCE("i.reference"),
        TITLE("i.title"),
        BUILDING("s.name"),
        CREW("i.crew"),
        VISITED("v.visited_on DESC"),
        PRESSING("t.pressing NULLS FIRST");

        private final String sql;

        Order(String sql) {
            this.sql = sql;
        }
    }

    /**
     * @param outdated how many of all are still to be judged again
     * @param all how many this person may see
     */
    public record Page(List<Listed> entries, int total, int all, int outdated, List<String> crews) {}

    /** @param counts empty where it has not been judged yet */
    public record Listed(ListedRow row, Optional<Verdict> worst, Map<Verdict, Long> counts) {}

    private final StandingMapper mapper;
    private final CaseFiles cases;
    private final String application;

    Standings(StandingMapper mapper, CaseFiles cases, ObjectProvider<BuildProperties> build) {
        this.mapper = mapper;
        this.cases = cases;
        this.application = Optional.ofNullable(build.getIfAvailable())
                .map(b -> b.getTime().toString())
                .orElseGet(() -> UUID.randomUUID().toString());
    }

    /**
     * A page of the register.
     *
     * @param words all of them in reference, title, building or system, in this order; empty for any
     * @param number of the page, from 0
     */
    public Page page(
            Person person,
            String words,
            Optional<String> crew,
            Optional<Verdict> worst,
            Order order,
            int number,
            int size) {
        int outdated = judgeAgain(AT_ONCE);
        String own = person.inspects() ? null : person.crew().orElse("");
        Filter filter = new Filter(
                own,
                words.isBlank() ? null : "%" + escaped(words.strip().toLowerCase(Locale.ROOT)) + "%",
                crew.orElse(null),
                worst.map(Verdict::ordinal).orElse(null));
        return new Page(
                mapper.page(filter, order.sql, number * size, size).stream()
                        .map(Standings::listed)
                        .toList(),
                mapper.count(filter),
                mapper.count(new Filter(own, null, null, null)),
                outdated,
                mapper.crews(own));
    }

    private static String escaped(String words) {
        return words.replaceAll("([!%_])", "!$1");
    }

    private static Listed listed(ListedRow row) {
        Map<Verdict, Long> counts = new EnumMap<>(Verdict.class);
        if (row.counts() != null) {
            String[] numbers = row.counts().split(" ");
            for (Verdict verdict : Verdict.values()) {
                long count = Long.parseLong(numbers[verdict.ordinal()]);
                if (count > 0) {
                    counts.put(verdict, count);
                }
            }
        }
        return new Listed(row, Optional.ofNullable(row.pressing()).map(p -> Verdict.values()[p]), counts);
    }

    @Scheduled(fixedDelayString = "${undanus.judge-again-every}", initialDelayString = "${undanus.judge-again-every}")
    void judgeAgain() {
        int left = Integer.MAX_VALUE;
        for (int now = judgeAgain(IN_THE_BACKGROUND); now > 0 && now < left; now = judgeAgain(IN_THE_BACKGROUND)) {
            left = now;
        }
    }

    /** @return how many are left */
    private int judgeAgain(int most) {
        String rest = "|" + mapper.libraries() + "|" + application;
        List<Outdated> outdated = mapper.outdated(rest, Integer.MAX_VALUE);
        int left = outdated.size();
        for (Outdated each : outdated.subList(0, Math.min(most, left))) {
            try {
                store(each.id(), each.judgedOf() + rest);
                left--;
            } catch (DataAccessException e) {
                // Somebody else stores the same, or the disk is full: the register goes on with what is stored.
                LOG.debug("{} was not stored", each.id(), e);
            }
        }
        return left;
    }

    private void store(String id, String judgedOf) {
        CaseFile file = cases.file(id);
        StationSummary summary = StationSummary.of(file.judgements().all());
        mapper.store(new StandingRow(
                id,
                judgedOf,
                summary.worst().ordinal(),
                Arrays.stream(Verdict.values())
                        .map(verdict -> Long.toString(summary.count(verdict)))
                        .collect(Collectors.joining(" ")),
                file.evidence().readings().size()));
    }
}
