package org.undanus.server.hold;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Moment;
import org.undanus.view.CaseFile;

/** Starts and ends holds. One line is held once at a time, whoever holds it. */
@Service
public class Holds {
    private static final Duration LONGEST_AGO = Duration.ofDays(1);

    private final Clock clock;
    private final HoldMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    Holds(Clock clock, HoldMapper mapper, CaseFiles cases, Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    /** Whether there ever was one. */
    @Transactional(readOnly = true)
    public boolean any() {
        return !mapper.all().isEmpty();
    }

    /** Those that go on, of whoever and wherever. */
    @Transactional(readOnly = true)
    public List<Hold> running() {
        return mapper.running();
    }

    /** @throws NotFoundException where this installation has no such hold */
    @Transactional(readOnly = true)
    public Hold of(String installation, String id) {
        Hold hold = mapper.find(id);
        if (hold == null || !hold.installationId().equals(installation)) {
            throw new NotFoundException("This installation has no such hold.");
        }
        return hold;
    }

    /**
     * Starts one; the same id again is the same hold.
     *
     * @param since from when on, not in the future
     * @throws ConflictException where the line is being held already
     */
    @Transactional
    public Hold start(String installation, UUID id, PointKey key, Instant since, Person person) {
        CaseFile file = cases.openForWriting(installation, person);
        CaseFile.Line line =
                file.line(key).orElseThrow(() -> new NotFoundException("This installation has no such line."));
        if (!line.point().timed()) {
            throw new UnsuitableException(
                    "point",
                    Text.of(
                            "{line} is no time that something is left alone for.",
                            line.point().title()));
        }
        Duration ago = Duration.between(since, clock.instant());
        if (ago.isNegative() || ago.compareTo(LONGEST_AGO) > 0) {
            throw new UnsuitableException("ago", "A hold begins now, or within the last day.");
        }
        Hold known = mapper.find(id.toString());
        if (known != null) {
            if (known.installationId().equals(installation) && known.key().equals(key)) {
                return known;
            }
            throw new UnsuitableException("id", "This id already belongs to another hold. Nothing was started.");
        }
        Optional<Hold> other = running(installation, key);
        if (other.isPresent()) {
            throw new ConflictException(
                    Text.of(
                            "It is being held already, by {startedBy}.",
                            other.get().startedBy()),
                    id,
                    other.get());
        }
        Hold hold = new Hold(
                id.toString(),
                installation,
                key.point(),
                key.component(),
                person.inspects(),
                person.name(),
                Moment.kept(since),
                null,
                null,
                null);
        mapper.insert(hold);
        journal.write(person.name(), "hold.started", hold.id(), mapper.find(hold.id()));
        return hold;
    }

    /** The one that goes on at a line; empty where none does. */
    @Transactional(readOnly = true)
    public Optional<Hold> running(String installation, PointKey key) {
        return mapper.running().stream()
                .filter(hold ->
                        hold.installationId().equals(installation) && hold.key().equals(key))
                .findFirst();
    }

    /**
     * Ends one.
     *
     * @param reading its time became; empty where it is left without one
     * @throws ConflictException where it has ended already
     */
    @Transactional
    public Hold end(Hold hold, Instant at, Optional<UUID> reading, Person person) {
        Hold ended = hold.ended(
                person.name(), Moment.kept(at), reading.map(UUID::toString).orElse(null));
        if (mapper.end(ended) == 0) {
            throw new ConflictException("This hold has ended already.", hold.id(), mapper.find(hold.id()));
        }
        journal.write(person.name(), "hold.ended", hold.id(), mapper.find(hold.id()));
        return ended;
    }
}
