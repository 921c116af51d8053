package org.undanus.server.installation;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.core.judgement.StationSummary;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.account.Person;
import org.undanus.server.installation.StandingMapper.Filter;
import org.undanus.server.installation.StandingMapper.ListedRow;
import org.undanus.server.installation.StandingMapper.StandingRow;

/**
 * How every installation stands, stored with the libraries and the application it was judged by; who changes an installation takes
 * away what is stored of it. The register reads these alone. What is missing or rests on other libraries is judged again: a few
 * before the register answers, many little by little in the background, while the register says how many are still to come.
 */
@Service
public class Standings {
    private static final Logger LOG = LoggerFactory.getLogger(Standings.class);
    /** So many are judged again before the register answers. */
    private static final int AT_ONCE = 25;

    private static final int IN_THE_BACKGROUND = 50;

    /** What the register is sorted by. */
    public enum Order {
        REFERENCE("i.reference"),
        TITLE("i.title"),
        BUILDING("s.name"),
        CREW("i.crew"),
        VISITED("t.visited_on DESC"),
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
    private final TransactionTemplate transactions;
    private final String application;

    Standings(
            StandingMapper mapper,
            CaseFiles cases,
            TransactionTemplate transactions,
            ObjectProvider<BuildProperties> build) {
        this.mapper = mapper;
        this.cases = cases;
        this.transactions = transactions;
        this.application = Optional.ofNullable(build.getIfAvailable())
                .map(b -> b.getTime().toString())
                .orElseGet(() -> UUID.randomUUID().toString());
    }

    /**
     * A page of the register.
     *
     * @param words all of them, wherever in reference, title, building or system; empty for any
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
        String restsOn = restsOn();
        int outdated = mapper.countOutdated(restsOn);
        if (outdated > 0 && outdated <= AT_ONCE) {
            judgeAgain(restsOn, AT_ONCE);
            outdated = mapper.countOutdated(restsOn);
        }
        String own = person.inspects() ? null : person.crew().orElse("");
        Filter filter = new Filter(
                own,
                Stream.of(words.toLowerCase(Locale.ROOT).split("\\s+"))
                        .filter(word -> !word.isEmpty())
                        .map(word -> "%" + escaped(word) + "%")
                        .toList(),
                crew.orElse(null),
                worst.map(Verdict::ordinal).orElse(null));
        return new Page(
                mapper.page(filter, order.sql, number * size, size).stream()
                        .map(Standings::listed)
                        .toList(),
                mapper.count(filter),
                mapper.count(new Filter(own, List.of(), null, null)),
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
        String restsOn = restsOn();
        int stored = judgeAgain(restsOn, IN_THE_BACKGROUND);
        while (stored > 0 && !Thread.currentThread().isInterrupted()) {
            stored = judgeAgain(restsOn, IN_THE_BACKGROUND);
        }
    }

    /** What every judgement rests on besides its installation. */
    private String restsOn() {
        return mapper.libraries() + "|" + application;
    }

    /** @return how many were */
    private int judgeAgain(String restsOn, int most) {
        int stored = 0;
        for (String id : mapper.outdated(restsOn, most)) {
            try {
                transactions.executeWithoutResult(status -> store(id, restsOn));
                stored++;
            } catch (DataAccessException | TransactionException e) {
                // The disk is full, or it is being changed: the register goes on with what is stored.
                LOG.debug("{} was not stored", id, e);
            }
        }
        return stored;
    }

    /** Nobody changes the installation between its being read and its standing being stored. */
    private void store(String id, String restsOn) {
        CaseFile file = cases.lockedFile(id);
        StationSummary summary = StationSummary.of(file.judgements().all());
        mapper.store(new StandingRow(
                id,
                restsOn,
                file.header().stage(),
                file.header().visitedOn(),
                summary.worst().ordinal(),
                Arrays.stream(Verdict.values())
                        .map(verdict -> Long.toString(summary.count(verdict)))
                        .collect(Collectors.joining(" ")),
                file.evidence().readings().size()));
    }
}
