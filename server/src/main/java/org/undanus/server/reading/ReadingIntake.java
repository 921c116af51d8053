package org.undanus.server.reading;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.live.Listening;
import org.undanus.server.live.LiveStore;
import org.undanus.server.notice.StopNotices;
import org.undanus.server.problem.AskFirstException;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;
import org.undanus.view.StationView;

/** Takes readings: understands what was typed, keeps it, and finds which judgements it changed. */
@Service
public class ReadingIntake {

    /**
     * @param id made by whoever types, so that sending twice keeps once
     * @param basedOn the reading seen on the line when this was typed, empty for an open line
     * @param confirmed whether the person has been asked about an unusual value
     */
    public record Typed(
            UUID id,
            PointKey key,
            String typed,
            Optional<String> instrument,
            Grade grade,
            Optional<UUID> basedOn,
            boolean confirmed) {}

    /**
     * @param others lines of the same station that may look otherwise by now
     * @param changed the judgements that are not what they were
     */
    public record Taken(CaseFile file, CaseFile.Line line, List<CaseFile.Line> others, List<Judgement> changed) {}

    private final Clock clock;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Instruments instruments;

    private final StopNotices notices;
    private final LiveStore live;

    ReadingIntake(
            Clock clock,
            CaseFiles cases,
            KeptReadings keptReadings,
            Instruments instruments,
            StopNotices notices,
            LiveStore live) {
        this.clock = clock;
        this.live = live;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.instruments = instruments;
        this.notices = notices;
    }

    /**
     * Keeps a reading.
     *
     * @throws UnsuitableException when what was typed cannot be taken
     * @throws AskFirstException when it is unusual and not confirmed
     * @throws ConflictException when someone else has read the line meanwhile
     */
    @Transactional
    public Taken save(String installation, Typed typed, Person person, Wording wording) {
        CaseFile before = cases.openForWriting(installation, person);
        CaseFile.Line line = line(before, typed.key());
        requireGrade(person, typed.grade());
        Optional<Map.Entry<String, Reading>> kept = keptReadings.keptReading(typed.id());
        if (kept.isPresent()) {
            requireSame(kept.get(), installation, typed);
            return new Taken(before, line, before.lines(before.station(line)), List.of());
        }
        Optional<Reading> latest = before.evidence().answer(typed.key());
        if (!latest.map(Reading::id).equals(typed.basedOn())) {
            throw new ConflictException(
                    "Someone has read this line meanwhile. Yours is not saved yet; choose which one stands.",
                    typed.typed(),
                    latest.map(reading -> StationView.reading(reading, wording)).orElse(null));
        }
        Entry.Understood understood = understand(line.point(), typed.typed(), typed.instrument(), before);
        if (!understood.plausible() && !typed.confirmed()) {
            throw new AskFirstException(Text.of(
                    "\"{typed}\" is far from what is usual for {line}. Save it as it is?",
                    typed.typed().strip(),
                    Text.lowered(line.point().title())));
        }
        Reading reading = reading(before, typed, understood, person);
        requireInPlace(reading, latest);
        keptReadings.keep(reading, before.header(), person.name());
        CaseFile after = before.with(reading);
        List<Judgement> changed = changed(before, after);
        notices.raise(installation, changed, person, wording);
        cases.remember(after);
        return new Taken(after, line, others(before, after, line, changed), changed);
    }

    /** Lines of the same station that are asked otherwise by now, or of which another instrument would serve. */
    private static List<CaseFile.Line> others(
            CaseFile before, CaseFile after, CaseFile.Line line, List<Judgement> changed) {
        Set<PointKey> looked =
                changed.stream().flatMap(each -> each.evidence().stream()).collect(Collectors.toSet());
        return after.lines(after.station(line)).stream()
                .filter(other ->
                        looked.contains(other.key()) || !before.sparedBy(other).equals(after.sparedBy(other)))
                .toList();
    }

    /**
     * Keeps the readings that come with an answer.
     *
     * @return their ids
     */
    @Transactional
    public List<String> answer(
            String installation, List<AnsweredReading> answered, boolean confirmed, Person person, Wording wording) {
        List<String> kept = new ArrayList<>();
        for (AnsweredReading each : answered) {
            Optional<UUID> latest = cases.open(installation, person)
                    .evidence()
                    .answer(each.key())
                    .map(Reading::id);
            UUID id = UUID.randomUUID();
            save(
                    installation,
                    new Typed(id, each.key(), each.typed(), Optional.empty(), each.grade(), latest, confirmed),
                    person,
                    wording);
            kept.add(id.toString());
        }
        return kept;
    }

    /** The installation as it would be after a reading that is not kept. */
    public CaseFile tried(CaseFile file, Typed typed, Person person) {
        Point point = line(file, typed.key()).point();
        return file.with(reading(file, typed, understand(point, typed.typed(), typed.instrument(), file), person));
    }

    /** The installation as if what its lines have taken from instruments so far were kept. */
    public CaseFile withLiveCurves(CaseFile file, Person person) {
        List<LiveStore.Live> heard = live.curves(file.header().id());
        if (heard.isEmpty()) {
            return file;
        }
        CaseFile now = file.with(file.facts().with(LiveStore.among(file.facts().traces(), heard)));
        for (LiveStore.Live each : heard) {
            Typed taken = new Typed(
                    UUID.fromString(each.listening().id()),
                    each.listening().key(),
                    each.trace().sha256(),
                    Optional.of(each.listening().instrument()),
                    person.inspects() ? Grade.LOGGED : Grade.RECORDED,
                    Optional.empty(),
                    true);
            now = now.line(taken.key()).isPresent() ? tried(now, taken, person) : now;
            Optional<Marks> marks = live.counted(each.listening());
            if (marks.isPresent()) {
                now = tried(now, marked(each.listening(), marks.get(), person), person);
            }
        }
        return now;
    }

    private static Typed marked(Listening listening, Marks marks, Person person) {
        return new Typed(
                UUID.randomUUID(),
                new PointKey(LiveStore.marking(listening).orElseThrow().line().id(), listening.component()),
                marks.written(),
                Optional.empty(),
                person.inspects() ? Grade.WITNESSED : Grade.RECORDED,
                Optional.empty(),
                true);
    }

    /** The installation as if what is being typed were saved; as it is where that cannot be taken yet. */
    public CaseFile asIf(CaseFile file, PointKey key, String typed, Person person) {
        Typed tried = new Typed(
                UUID.randomUUID(),
                key,
                typed,
                Optional.empty(),
                person.inspects() ? Grade.WITNESSED : Grade.RECORDED,
                Optional.empty(),
                true);
        try {
            return tried(file, tried, person);
        } catch (UnsuitableException halfTyped) {
            return file;
        }
    }

    private Reading reading(CaseFile file, Typed typed, Entry.Understood understood, Person person) {
        return new Reading(
                typed.id(),
                typed.key(),
                understood.kept(typed.typed()),
                understood.value(),
                understood.unit(),
                typed.instrument(),
                typed.grade(),
                person.name(),
                clock.instant().truncatedTo(ChronoUnit.MILLIS),
                file.header().stage(),
                !person.inspects());
    }

    /** What a text would be taken as, without keeping it. */
    public Entry.Understood understand(Point point, String typed, Optional<String> instrument, CaseFile file) {
        Accuracy accuracy = instruments
                .accuracy(instrument, point, file.rules())
                .orElseThrow(() -> new UnsuitableException("instrument", "There is no such instrument."));
        try {
            Entry.Understood understood =
                    Entry.answer(point, typed, accuracy, file.facts().traces());
            Entry.requireSaidFromWhere(point, typed, understood);
            return understood;
        } catch (FieldNotationException e) {
            throw new UnsuitableException("typed", e.said(), e.choices());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("typed", RefusedException.said(e));
        }
    }

    public static CaseFile.Line line(CaseFile file, PointKey key) {
        return file.line(key).orElseThrow(() -> new NotFoundException("This installation has no such line."));
    }

    /** What says that nothing was read, or takes a reading back, says so of a line as it stands. */
    private static void requireInPlace(Reading reading, Optional<Reading> stands) {
        if (reading.value() instanceof Value.TakenBack) {
            Reading struck = stands.orElseThrow(
                    () -> new UnsuitableException("typed", "Nothing stands on this line that could be taken back."));
            if (reading.byCrew() && !struck.byCrew()) {
                throw new NotAllowedException(
                        "A crew takes back its own readings; this one is the inspection office's.");
            }
        }
        if (reading.value() instanceof Value.Unread
                && stands.filter(standing -> !(standing.value() instanceof Value.Unread))
                        .isPresent()) {
            throw new UnsuitableException(
                    "typed", "A reading stands on this line. Take it back first, then say why nothing is read.");
        }
    }

    private static void requireGrade(Person person, Grade grade) {
        if (!person.inspects() && grade != Grade.RECORDED && grade != Grade.STATED) {
            throw new NotAllowedException(
                    "A crew fills in the commissioning record: its readings are of grade recorded or stated.");
        }
    }

    private static void requireSame(Map.Entry<String, Reading> kept, String installation, Typed typed) {
        Reading reading = kept.getValue();
        boolean same = kept.getKey().equals(installation)
                && reading.key().equals(typed.key())
                && List.of(reading.typed(), reading.said())
                        .contains(typed.typed().strip());
        if (!same) {
            throw new UnsuitableException("id", "This id already belongs to another reading. Nothing was saved.");
        }
    }

    private static List<Judgement> changed(CaseFile before, CaseFile after) {
        Map<String, Judgement> old =
                before.judgements().all().stream().collect(Collectors.toMap(Judgement::key, Function.identity()));
        return after.judgements().all().stream()
                .filter(judgement -> !judgement.equals(old.get(judgement.key())))
                .toList();
    }
}
