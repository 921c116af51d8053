package org.undanus.server.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.TraceCsv;
import org.undanus.core.evidence.Traces;
import org.undanus.core.plan.Marking;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.journal.Journal;
import org.undanus.server.live.LiveMapper.Sample;
import org.undanus.server.live.LiveMapper.TokenRow;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Commit;
import org.undanus.server.store.Digest;
import org.undanus.server.store.Moment;
import org.undanus.view.CaseFile;

/** Lines that listen to instruments, and what these have sent them so far. What was acknowledged is kept, whatever happens. */
@Service
public class LiveStore {
    /** Of one line; then it has to be kept before it listens on. */
    static final long MOST_SAMPLES = 500_000;

    private static final long MOST_SEEN = 16;
    private static final int TOKEN_BYTES = 24;
    private static final Duration AHEAD = Duration.ofMinutes(5);
    private static final Duration BEHIND = Duration.ofDays(1);
    /** As the database keeps values. */
    private static final int DECIMALS = 6;

    /**
     * What became of a pack.
     *
     * @param repeated had come before
     * @param impossible cannot be shown where they are listened to
     * @param unheard are of a kind that no line listens to
     * @param marked of what was done
     */
    public record Receipt(int taken, int repeated, int impossible, int unheard, int marked) {}

    /** @param curve the samples so far */
    public record Live(Listening listening, Trace trace, List<Instant> at, double[] si) {}

    private final Clock clock;
    private final LiveMapper mapper;
    private final CaseFiles cases;
    private final Instruments instruments;
    private final Journal journal;
    private final LiveFeed feed;
    private final ApplicationEventPublisher events;
    /** Of each line as many samples as it had: screens ask often, and nothing has come since most times. */
    private final Cache<Listening, Live> seen =
            Caffeine.newBuilder().maximumSize(MOST_SEEN).build();

    private final SecureRandom random = new SecureRandom();

    LiveStore(
            Clock clock,
            LiveMapper mapper,
            CaseFiles cases,
            Instruments instruments,
            Journal journal,
            LiveFeed feed,
            ApplicationEventPublisher events) {
        this.clock = clock;
        this.mapper = mapper;
        this.cases = cases;
        this.instruments = instruments;
        this.journal = journal;
        this.feed = feed;
        this.events = events;
    }

    /**
     * Gives an instrument a token; the one it had before is worth nothing any more.
     *
     * @param crew that it is handed to; empty where the office alone hears it
     */
    @Transactional
    String token(String instrument, Optional<String> crew, Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("The toolcase is kept by the quality lead.");
        }
        instruments.find(instrument).orElseThrow(() -> new NotFoundException("There is no such instrument."));
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        keepToken(instrument, token, crew, person.name());
        return token;
    }

    /** Keeps a token that is known already: of the instruments that are acted. */
    @Transactional
    public void keepToken(String instrument, String token, Optional<String> crew, String by) {
        TokenRow row =
                new TokenRow(instrument, Digest.sha256(token), by, Moment.kept(clock.instant()), crew.orElse(null));
        mapper.forgetToken(instrument);
        mapper.addToken(row);
        journal.write(by, "token.given", instrument, row);
    }

    /** The instruments that may send what such a line takes, to this person: a crew hears those it was handed. */
    @Transactional(readOnly = true)
    public List<String> senders(Point point, Person person) {
        return sending(person).stream().filter(id -> shows(id, point)).toList();
    }

    /** The instruments that may send to this person at all. */
    @Transactional(readOnly = true)
    public List<String> sending(Person person) {
        return mapper.tokens().stream()
                .filter(token -> token.isHeardBy(person))
                .map(TokenRow::instrument)
                .toList();
    }

    private boolean shows(String instrument, Point point) {
        return instruments
                .find(instrument)
                .filter(i -> i.kind() == point.instrument()
                        && i.channel(point.dimension().orElseThrow()).isPresent())
                .isPresent();
    }

    /** Those of an installation. */
    @Transactional(readOnly = true)
    public List<Listening> at(String installation) {
        return mapper.at(installation);
    }

    /** The last sample, in the unit of its curve; empty before the first. */
    @Transactional(readOnly = true)
    public Optional<TraceSample> last(Listening listening) {
        return Optional.ofNullable(mapper.last(listening.id()))
                .map(sample -> new TraceSample(
                        sample.at(),
                        unit(point(listening)).toSi(sample.shownValue().doubleValue())));
    }

    /** @param si in SI */
    public record TraceSample(Instant at, double si) {}

    /**
     * Lets a line listen; the same id again is the same.
     *
     * @throws ConflictException where it listens already, or the instrument is heard at another installation
     */
    @Transactional
    public Listening listen(String installation, UUID id, PointKey key, String instrument, Person person) {
        CaseFile file = cases.openForWriting(installation, person);
        Point point = file.line(key)
                .orElseThrow(() -> new NotFoundException("This installation has no such line."))
                .point();
        if (point.kind() != Point.Kind.CURVE) {
            throw new UnsuitableException("point", Text.of("{point} takes no curve.", point.title()));
        }
        if (!senders(point, person).contains(instrument)) {
            throw new UnsuitableException(
                    "instrument", "That instrument sends nothing that this line takes, or has no token yet.");
        }
        Listening known = mapper.find(id.toString());
        if (known != null
                && known.installationId().equals(installation)
                && known.key().equals(key)) {
            return known;
        }
        if (mapper.at(installation).stream().anyMatch(each -> each.key().equals(key))) {
            throw new ConflictException("This line listens already.", instrument, null);
        }
        mapper.lock(instrument);
        if (mapper.to(instrument).stream()
                .anyMatch(each -> !each.installationId().equals(installation))) {
            throw new ConflictException(
                    "This instrument is heard at another installation now, and it hangs at one place at a time. End it there"
                            + " first. Nothing was changed.",
                    instrument,
                    null);
        }
        Listening listening = new Listening(
                id.toString(),
                installation,
                key.point(),
                key.component(),
                instrument,
                person.name(),
                Moment.kept(clock.instant()),
                0);
        mapper.insert(listening);
        journal.write(person.name(), "listening.begun", listening.id(), listening.state());
        tell(installation, "changed");
        return listening;
    }

    /**
     * As {@link #hold}, for whoever would end it or say what was done at it.
     *
     * @throws NotAllowedException where somebody else let it listen
     */
    @Transactional
    public Listening holdOwn(String installation, String id, Person person) {
        Listening listening = hold(installation, id);
        if (!listening.isOf(person)) {
            throw new NotAllowedException(
                    "Who let this line listen ends it, or the inspection office. Nothing was changed.");
        }
        return listening;
    }

    /**
     * Held until the transaction ends: what is sent meanwhile waits, and is not taken if the line listens no more then.
     *
     * @throws NotFoundException where this installation has no such line that listens
     */
    @Transactional
    public Listening hold(String installation, String id) {
        Listening listening = mapper.hold(id);
        if (listening == null || !listening.installationId().equals(installation)) {
            throw new NotFoundException("No such line listens here.");
        }
        return listening;
    }

    /**
     * What it heard is struck: it becomes no reading, and is not gone.
     *
     * @param curve that holds it; empty where it is too little for one
     */
    @Transactional
    public void strike(Listening listening, Optional<String> curve, String by) {
        List<String> marks = mapper.marks(listening.id()).stream()
                .map(mark -> mark.act() + " " + mark.at())
                .toList();
        List<String> heard = curve.isPresent()
                ? List.of()
                : mapper.samples(listening.id()).stream()
                        .map(sample -> sample.at() + " " + plain(sample).toPlainString())
                        .toList();
        journal.write(by, "live.struck", listening.id(), new Struck(listening.state(), curve.orElse(""), heard, marks));
    }

    /**
     * What was heard and is no reading.
     *
     * @param curve SHA-256 of the curve that holds it, empty where {@code heard} does
     */
    record Struck(Listening.State listening, String curve, List<String> heard, List<String> marks) {}

    /** It listens no more; what it took has been kept as a curve, or was struck. */
    @Transactional
    public void forget(Listening listening, String by) {
        mapper.marks(listening.id()).forEach(mark -> journal.gone(by, "live-mark", mark.subject()));
        journal.gone(by, "listening", listening.id());
        mapper.forgetSamples(listening.id());
        mapper.forgetMarks(listening.id());
        mapper.forget(listening.id());
        tell(listening.installationId(), "changed");
    }

    private void tell(String installation, String what) {
        Commit.after(() -> feed.tell(installation, what));
    }

    /** What a line that listens takes. */
    public static Optional<Dimension> dimension(Listening listening) {
        return Walk.point(listening.point()).flatMap(Point::dimension);
    }

    private static Point point(Listening listening) {
        return Walk.point(listening.point()).orElseThrow();
    }

    /** In which a line's live samples are kept; those that come are in Pa and °C. */
    private static FieldUnit unit(Point point) {
        Dimension dimension = point.dimension().orElseThrow();
        return FieldUnit.named(
                        dimension,
                        switch (dimension) {
                            case GAUGE_PRESSURE -> "kPag";
                            case TEMPERATURE -> "°C";
                            default -> "Pa";
                        })
                .orElseThrow();
    }

    private static BigDecimal inUnit(Point point, BigDecimal sent) {
        BigDecimal value = point.dimension().orElseThrow() == Dimension.GAUGE_PRESSURE ? sent.movePointLeft(3) : sent;
        return value.setScale(DECIMALS, RoundingMode.HALF_UP);
    }

    /** The instrument that has this token; empty where none has. */
    @Transactional(readOnly = true)
    public Optional<String> instrument(String token) {
        return Optional.ofNullable(mapper.instrumentOf(Digest.sha256(token)));
    }

    /**
     * Takes a pack in, whole or not at all. A sample that came before stays as it is.
     *
     * @throws ConflictException where nobody listens, or a line is full
     */
    @Transactional
    Receipt receive(String instrument, SenMl.Pack pack) {
        List<Listening> listening = mapper.to(instrument);
        if (listening.isEmpty()) {
            throw new ConflictException(
                    "No line listens to this instrument. Let one listen, then send it again.", instrument, null);
        }
        Instant now = clock.instant();
        long[] added = new long[listening.size()];
        int repeated = 0;
        int impossible = 0;
        int unheard = 0;
        for (SenMl.Measured measured : pack.measured()) {
            boolean heard = false;
            for (int i = 0; i < added.length; i++) {
                Listening to = listening.get(i);
                Point point = point(to);
                if (!measured.kind().is(point.dimension().orElseThrow())) {
                    continue;
                }
                heard = true;
                requireTime(measured.record(), measured.at(), to, now);
                BigDecimal value = inUnit(point, measured.value());
                if (!point.possible(unit(point).toSi(value.doubleValue()))) {
                    impossible++;
                } else if (mapper.add(to.id(), Moment.kept(measured.at()), value) == 0) {
                    repeated++;
                } else {
                    added[i]++;
                }
            }
            unheard += heard ? 0 : 1;
        }
        int taken = 0;
        for (int i = 0; i < added.length; i++) {
            Listening to = listening.get(i);
            if (to.samples() + added[i] > MOST_SAMPLES) {
                throw new ConflictException(
                        Text.of(
                                "A line has taken {mostSamples} samples. Keep them, then let it listen anew.",
                                MOST_SAMPLES),
                        instrument,
                        null);
            }
            if (added[i] > 0) {
                mapper.count(to.id(), added[i]);
                tell(to.installationId(), "samples");
                taken += (int) added[i];
            }
        }
        return new Receipt(taken, repeated, impossible, unheard, marked(pack, listening, now));
    }

    private int marked(SenMl.Pack pack, List<Listening> listening, Instant now) {
        int marked = 0;
        for (SenMl.Done done : pack.done()) {
            for (Listening to : listening) {
                requireTime(done.record(), done.at(), to, now);
                marked += offered(to).contains(done.act()) && mark(to, done.at(), done.act(), to.startedBy()) ? 1 : 0;
            }
        }
        return marked;
    }

    /** What can be marked where a line listens. */
    public static List<Marks.Act> offered(Listening listening) {
        return marking(listening).map(Marking::acts).orElse(List.of());
    }

    /** Where marks of a line that listens are read. */
    public static Optional<Marking> marking(Listening listening) {
        return Walk.plans().stream()
                .flatMap(plan -> plan.marking().stream())
                .filter(marking ->
                        marking.curves().stream().anyMatch(curve -> curve.id().equals(listening.point())))
                .findFirst();
    }

    /** The line that marks count from: of those that listen at the same subject the first of its station. */
    @Transactional(readOnly = true)
    public Listening leading(Listening listening) {
        List<String> order = marking(listening)
                .map(marking -> marking.curves().stream().map(Point::id).toList())
                .orElse(List.of());
        return mapper.at(listening.installationId()).stream()
                .filter(each -> each.component().equals(listening.component()) && order.contains(each.point()))
                .min(Comparator.comparingInt(each -> order.indexOf(each.point())))
                .orElse(listening);
    }

    /**
     * Keeps that something was done; of the same moment once.
     *
     * @return whether it is new
     * @throws UnsuitableException where that is not marked at such a line
     */
    @Transactional
    public boolean mark(Listening listening, Instant at, Marks.Act act, String by) {
        if (!offered(listening).contains(act)) {
            throw new UnsuitableException("act", Text.of("\"{act}\" is not marked at this line.", act.title()));
        }
        Listening to = leading(listening);
        LiveMark mark = new LiveMark(to.id(), Moment.kept(at), act, by);
        if (mapper.addMark(mark) == 0) {
            return false;
        }
        journal.write(by, "live-mark.made", mark.subject(), mark);
        events.publishEvent(new LiveMark.Came(to, mark));
        tell(to.installationId(), "changed");
        return true;
    }

    /** Takes a mark back that was tapped by mistake. */
    @Transactional
    public void unmark(Listening listening, Instant at, Marks.Act act, String by) {
        LiveMark mark = new LiveMark(leading(listening).id(), Moment.kept(at), act, by);
        if (mapper.forgetMark(mark.listening(), mark.at(), act) == 0) {
            throw new NotFoundException("There is no such mark any more.");
        }
        journal.gone(by, "live-mark", mark.subject());
        tell(listening.installationId(), "changed");
    }

    /** What was done at a line so far, in order. */
    @Transactional(readOnly = true)
    public List<LiveMark> marks(Listening listening) {
        return mapper.marks(listening.id());
    }

    /** Marks counted from the line's first sample; empty where nothing is marked, or nothing came yet. */
    @Transactional(readOnly = true)
    public Optional<Marks> counted(Listening listening) {
        List<LiveMark> marks = mapper.marks(listening.id());
        Sample first = mapper.first(listening.id());
        return marks.isEmpty() || first == null
                ? Optional.empty()
                : Optional.of(new Marks(marks.stream()
                        .map(mark -> new Marks.Mark(
                                Math.max(
                                        0,
                                        Duration.between(first.at(), mark.at()).toMillis() / 1000.0),
                                mark.act()))
                        .toList()));
    }

    private static void requireTime(int record, Instant at, Listening to, Instant now) {
        if (at.isAfter(now.plus(AHEAD)) || at.isBefore(to.startedAt().minus(BEHIND))) {
            throw new UnsuitableException(
                    "senml",
                    Text.of(
                            "Record {record}: {at} is not the time of a visit that is under way. Set the instrument's clock. Nothing of the pack was taken.",
                            record,
                            at));
        }
    }

    /** What a line has taken so far as a curve in the open form. */
    @Transactional(readOnly = true)
    public InputStream csv(Listening listening) {
        StringBuilder csv =
                new StringBuilder(TraceCsv.heading(unit(point(listening)).symbol()));
        mapper.samples(listening.id()).forEach(sample -> csv.append(TraceCsv.row(sample.at(), plain(sample))));
        return new ByteArrayInputStream(csv.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static BigDecimal plain(Sample sample) {
        BigDecimal value = sample.shownValue().stripTrailingZeros();
        return value.scale() < 0 ? value.setScale(0) : value;
    }

    /** The lines of an installation that have taken enough for a curve. */
    @Transactional(readOnly = true)
    public List<Live> curves(String installation) {
        List<Live> curves = new ArrayList<>();
        for (Listening listening : mapper.at(installation)) {
            if (listening.samples() >= 2) {
                curves.add(seen.get(listening, this::curve));
            }
        }
        return curves;
    }

    private Live curve(Listening listening) {
        Point point = point(listening);
        List<Instant> at = new ArrayList<>();
        List<Double> si = new ArrayList<>();
        FieldUnit unit = unit(point);
        Trace trace =
                TraceCsv.read(csv(listening), point.dimension().orElseThrow(), point::possible, (moment, value) -> {
                    at.add(moment);
                    si.add(unit.toSi(value.doubleValue()));
                });
        return new Live(
                listening,
                trace,
                at,
                si.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** Curves that are kept, and those that are still being taken. */
    public static Traces among(Traces kept, List<Live> live) {
        return new Traces() {
            private Optional<Live> live(String sha256) {
                return live.stream()
                        .filter(each -> each.trace().sha256().equals(sha256))
                        .findFirst();
            }

            @Override
            public Optional<Trace> find(String sha256) {
                return live(sha256).map(Live::trace).or(() -> kept.find(sha256));
            }

            @Override
            public void follow(Trace trace, Instant from, Instant until, Samples to) {
                Optional<Live> found = live(trace.sha256());
                if (found.isEmpty()) {
                    kept.follow(trace, from, until, to);
                    return;
                }
                List<Instant> at = found.get().at();
                for (int i = 0; i < at.size() && !at.get(i).isAfter(until); i++) {
                    boolean next = i + 1 < at.size() && !at.get(i + 1).isAfter(from);
                    if (!next) {
                        to.sample(at.get(i), found.get().si()[i]);
                    }
                }
            }
        };
    }
}
