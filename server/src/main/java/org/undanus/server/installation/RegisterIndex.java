package org.undanus.server.installation;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
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
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Outcome;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.visit.StationSummary;
import org.undanus.core.words.Language;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.RegisterIndexMapper.AlikeRow;
import org.undanus.server.installation.RegisterIndexMapper.Filter;
import org.undanus.server.installation.RegisterIndexMapper.IndexRow;
import org.undanus.server.installation.RegisterIndexMapper.ListedRow;
import org.undanus.view.CaseFile;

/**
 * How every installation stands, stored with the libraries and the application it was judged by; who changes an installation takes
 * away what is stored of it. The register reads these alone. What is missing or rests on other libraries is judged again: a few
 * before the register answers, many little by little in the background, while the register says how many are still to come.
 */
@Service
public class RegisterIndex {
    private static final Logger LOG = LoggerFactory.getLogger(RegisterIndex.class);
    /** So many are judged again before the register answers. */
    private static final int AT_ONCE = 25;

    private static final int IN_THE_BACKGROUND = 50;
    private static final int LONGEST_SAID = 600;
    private static final int MOST = 1_000_000;

    /** What is due within so many days is due this week. */
    private static final int WEEK = 7;

    /** What the register is sorted by, and the other way round. */
    public enum Order {
        STAKE("t.stake DESC NULLS FIRST", "t.stake NULLS FIRST"),
        REFERENCE("i.reference", "i.reference DESC"),
        TITLE("i.title", "i.title DESC"),
        SYSTEM("i.system", "i.system DESC"),
        CREW("i.crew", "i.crew DESC"),
        VISITED("t.visited_on DESC", "t.visited_on");

        private final String sql;
        private final String reversed;

        Order(String sql, String reversed) {
            this.sql = sql;
            this.reversed = reversed;
        }
    }

    /**
     * Which installations.
     *
     * @param words all of them, wherever in reference, title, building, system, crew, owner, address, serial number or model; empty for any
     * @param worst the most pressing verdict
     * @param failing a station where something fails
     * @param dueThisWeek whether a correction is due within seven days, or overdue
     */
    public record Wanted(
            String words,
            Optional<String> crew,
            Optional<Verdict> worst,
            Optional<Station> failing,
            boolean dueThisWeek) {}

    /**
     * @param outdated how many of all are still to be judged again
     * @param all how many this person may see
     */
    public record Page(List<Listed> entries, int total, int all, int outdated, Strip strip) {}

    /**
     * The whole programme at a glance: how many installations of each kind there are.
     *
     * @param verdicts by their most pressing
     * @param crews with how many they have and at how many something fails
     * @param stations at how many installations something fails there
     * @param dueThisWeek at how many a correction is due within seven days, or overdue
     */
    public record Strip(
            Map<Verdict, Integer> verdicts, List<CrewCount> crews, Map<Station, Integer> stations, int dueThisWeek) {}

    public record CrewCount(String crew, int installations, int failing) {}

    /** @param counts empty where it has not been judged yet */
    public record Listed(ListedRow row, Optional<Verdict> worst, Map<Verdict, Long> counts) {}

    private final Clock clock;
    private final RegisterIndexMapper mapper;
    private final CaseFiles cases;
    private final TransactionTemplate transactions;
    private final String application;

    RegisterIndex(
            Clock clock,
            RegisterIndexMapper mapper,
            CaseFiles cases,
            TransactionTemplate transactions,
            ObjectProvider<BuildProperties> build) {
        this.clock = clock;
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
     * @param number of the page, from 0
     */
    public Page page(Person person, Wanted wanted, Order order, boolean reversed, int number, int size) {
        String restsOn = restsOn();
        int outdated = mapper.countOutdated(restsOn);
        if (outdated > 0 && outdated <= AT_ONCE) {
            judgeAgain(restsOn, AT_ONCE);
            outdated = mapper.countOutdated(restsOn);
        }
        String own = own(person);
        Filter filter = filter(own, wanted);
        return new Page(
                listed(filter, order, reversed, number * size, size),
                mapper.count(filter),
                mapper.count(filter(own, EVERY)),
                outdated,
                strip(own));
    }

    /** All that fit, page or no page. */
    public List<Listed> all(Person person, Wanted wanted, Order order, boolean reversed) {
        return listed(filter(own(person), wanted), order, reversed, 0, MOST);
    }

    private static final List<Point> SOUGHT = List.of(PlatePoints.SERIAL, PlatePoints.MODEL);
    private static final int LONGEST_SOUGHT = 2000;

    private static final Wanted EVERY = new Wanted("", Optional.empty(), Optional.empty(), Optional.empty(), false);

    private List<Listed> listed(Filter filter, Order order, boolean reversed, int from, int most) {
        return mapper.page(filter, reversed ? order.reversed : order.sql, from, most).stream()
                .map(RegisterIndex::listed)
                .toList();
    }

    private static String own(Person person) {
        return person.inspects() ? null : person.crew().orElse("");
    }

    private Filter filter(String own, Wanted wanted) {
        return new Filter(
                own,
                Stream.of(wanted.words.toLowerCase(Locale.ROOT).split("\\s+"))
                        .filter(word -> !word.isEmpty())
                        .map(word -> "%" + escaped(word) + "%")
                        .toList(),
                wanted.crew.orElse(null),
                wanted.worst.map(Verdict::ordinal).orElse(null),
                wanted.failing.map(RegisterIndex::marked).orElse(null),
                wanted.dueThisWeek ? LocalDate.now(clock).plusDays(WEEK) : null);
    }

    private static String marked(Station station) {
        return "," + station.key() + ",";
    }

    private Strip strip(String own) {
        List<AlikeRow> alike = mapper.alike(own);
        Map<Verdict, Integer> verdicts = new EnumMap<>(Verdict.class);
        Map<Station, Integer> stations = new EnumMap<>(Station.class);
        Map<String, CrewCount> crews = new LinkedHashMap<>();
        for (AlikeRow row : alike) {
            verdicts.merge(Verdict.values()[row.pressing()], row.count(), Integer::sum);
            Arrays.stream(Station.values())
                    .filter(station -> row.failing().contains(marked(station)))
                    .forEach(station -> stations.merge(station, row.count(), Integer::sum));
            CrewCount so = new CrewCount(row.crew(), row.count(), row.failing().isEmpty() ? 0 : row.count());
            crews.merge(
                    row.crew(),
                    so,
                    (one, other) -> new CrewCount(
                            row.crew(), one.installations + other.installations, one.failing + other.failing));
        }
        Wanted due = new Wanted("", Optional.empty(), Optional.empty(), Optional.empty(), true);
        return new Strip(verdicts, List.copyOf(crews.values()), stations, mapper.count(filter(own, due)));
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

    /**
     * What presses most; empty where nothing does, or where it is not judged yet. English is stored; in another language it is
     * judged for its words, so this is asked of a page, not of all there are.
     */
    public String said(Listed listed, Person person, Wording wording) {
        ListedRow row = listed.row();
        if (wording.language() == Language.ENGLISH) {
            return Optional.ofNullable(wording.units() == UnitSystem.US ? row.saidUs() : row.saidSi())
                    .orElse("");
        }
        return listed.worst().isEmpty()
                ? ""
                : said(Outcome.of(cases.open(row.id(), person).judgements().all()), wording);
    }

    /** Nobody changes the installation between its being read and its standing being stored. */
    private void store(String id, String restsOn) {
        CaseFile file = cases.lockedFile(id);
        List<Judgement> all = file.judgements().all();
        StationSummary summary = StationSummary.of(all);
        Outcome outcome = Outcome.of(all);
        mapper.store(new IndexRow(
                id,
                restsOn,
                file.header().stage(),
                file.header().visitedOn(),
                summary.worst().ordinal(),
                Arrays.stream(Verdict.values())
                        .map(verdict -> Long.toString(summary.count(verdict)))
                        .collect(Collectors.joining(" ")),
                file.evidence().readings().size(),
                outcome.stake(),
                said(outcome, Wording.english(UnitSystem.US)),
                said(outcome, Wording.english(UnitSystem.SI)),
                outcome.failing().stream()
                        .map(judgement -> judgement.about().station())
                        .distinct()
                        .map(RegisterIndex::marked)
                        .collect(Collectors.joining()),
                sought(file)));
    }

    /** Serial numbers and models as they stand on the plates. */
    private static String sought(CaseFile file) {
        String all = file.facts().subjects(Scope.UNIT).stream()
                .flatMap(unit -> SOUGHT.stream()
                        .flatMap(point -> file.evidence().latest(new PointKey(point.id(), unit.id())).stream()))
                .map(reading -> reading.typed().toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining(" "));
        return all.substring(0, Math.min(all.length(), LONGEST_SOUGHT));
    }

    private static String said(Outcome outcome, Wording wording) {
        String whole = outcome.pressing().map(text -> text.in(wording)).orElse("");
        return whole.length() <= LONGEST_SAID ? whole : whole.substring(0, LONGEST_SAID - 1) + "…";
    }
}
