package org.undanus.server.instrument;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.instrument.InstrumentMapper.CertificateRow;
import org.undanus.server.instrument.InstrumentMapper.InstrumentRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.store.Remembered;
import tools.jackson.databind.json.JsonMapper;

/** The instruments there are. Every change of one is journalled with what it then was. */
@Service
public class Instruments {
    /** An instrument with the number of its last change. */
    public record JournalledKind(InstrumentRecord instrument, int version) {}

    private final InstrumentMapper mapper;
    private final Journal journal;
    private final JsonMapper json;
    private final RefrigerantStore refrigerants;
    private final Remembered<Toolcase> toolcase = new Remembered<>(() ->
            new Toolcase(records().stream().map(InstrumentRecord::instrument).toList()));

    Instruments(InstrumentMapper mapper, Journal journal, JsonMapper json, RefrigerantStore refrigerants) {
        this.refrigerants = refrigerants;
        this.mapper = mapper;
        this.journal = journal;
        this.json = json;
    }

    public Toolcase toolcase() {
        return toolcase.get();
    }

    public Optional<Instrument> find(String id) {
        return toolcase().find(id);
    }

    /**
     * How exact a reading is: as its instrument states, or where none is named as the rule book takes that kind to be.
     * Empty when there is no such instrument.
     *
     * @throws UnsuitableException when the instrument does not show such a thing
     */
    public Optional<Accuracy> accuracy(Optional<String> instrument, Point point, RuleBook rules) {
        if (instrument.isEmpty()) {
            return Optional.of(rules.accuracy(point.instrument()));
        }
        return instrument.flatMap(this::find).map(i -> point.dimension()
                .map(read -> i.channel(read)
                        .map(Channel::accuracy)
                        .orElseThrow(() -> new UnsuitableException(
                                "instrument",
                                Text.of("{instrument} does not show {quantity}.", i.title(), read.named()))))
                .orElse(Accuracy.EXACT));
    }

    public List<InstrumentRecord> records() {
        return all().stream().map(JournalledKind::instrument).toList();
    }

    public List<JournalledKind> all() {
        return mapper.all().stream().map(this::kept).toList();
    }

    /** Those of this person's business: for a crew the ones used at its installations. */
    @Transactional(readOnly = true)
    public List<JournalledKind> visible(Person person) {
        return all().stream()
                .filter(kept -> maySee(kept.instrument().id(), person))
                .toList();
    }

    private boolean maySee(String id, Person person) {
        return person.inspects()
                || person.crew()
                        .filter(crew -> mapper.usedAt(crew).contains(id))
                        .isPresent();
    }

    private JournalledKind kept(InstrumentRow row) {
        return new JournalledKind(json.readValue(row.content(), InstrumentRecord.class), row.version());
    }

    /** @throws UnsuitableException naming what cannot be read, contradicts itself or is not known here */
    private void check(InstrumentRecord instrument) {
        instrument.require(refrigerants.known());
        instrument.instrument();
    }

    private InstrumentRow needed(String id) {
        InstrumentRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such instrument.");
        }
        return row;
    }

    /**
     * Keeps instruments; those already kept word for word are passed over.
     *
     * @throws ConflictException when one is kept with other figures
     */
    @Transactional
    public void add(List<InstrumentRecord> instruments, String by) {
        for (InstrumentRecord instrument : instruments) {
            check(instrument);
            String content = json.writeValueAsString(instrument);
            InstrumentRow row = mapper.find(instrument.id());
            if (row == null) {
                InstrumentRow added = new InstrumentRow(instrument.id(), content, 1);
                toolcase.changes();
                mapper.insert(added);
                journal.write(by, "instrument.added", added.id(), added);
            } else if (!kept(row).instrument().equals(instrument)) {
                throw new ConflictException(
                        Text.of(
                                "A different instrument {instrument} is already saved. Nothing was changed.",
                                instrument.id()),
                        instrument,
                        kept(row).instrument());
            }
        }
    }

    /**
     * Changes an instrument, if nobody else has meanwhile. Readings taken keep the uncertainty they were saved with.
     *
     * @throws ConflictException with both versions when somebody has
     */
    @Transactional
    public JournalledKind change(InstrumentRecord instrument, int version, String by) {
        check(instrument);
        InstrumentRow before = needed(instrument.id());
        if (!kept(before).instrument().kind().equals(instrument.kind())) {
            throw new UnsuitableException("kind", "An instrument's kind stays what it is. Enter another instrument.");
        }
        String content = json.writeValueAsString(instrument);
        toolcase.changes();
        if (mapper.update(new InstrumentRow(instrument.id(), content, version)) == 0) {
            throw new ConflictException(
                    "Someone changed this instrument meanwhile. Nothing was saved; compare the two.",
                    instrument,
                    kept(before).instrument());
        }
        InstrumentRow now = needed(instrument.id());
        journal.write(by, "instrument.changed", now.id(), now);
        return kept(now);
    }

    /** Keeps a certificate's file; the same file twice is kept once. */
    @Transactional
    public String keepCertificate(String id, CertificateFile file, String by, Instant at) {
        needed(id);
        if (mapper.countCertificate(id, file.sha256()) == 0) {
            CertificateRow row = new CertificateRow(id, file.sha256(), file.mediaType(), by, at, file.content());
            mapper.insertCertificate(row);
            journal.write(by, "certificate.added", row.subject(), row.state());
        }
        return file.sha256();
    }

    /** @throws NotFoundException when there is none */
    @Transactional(readOnly = true)
    public CertificateFile certificate(String id, String sha256, Person person) {
        if (!maySee(id, person)) {
            throw new NotFoundException("There is no such certificate.");
        }
        CertificateRow row = mapper.certificate(id, sha256);
        if (row == null) {
            throw new NotFoundException("There is no such certificate.");
        }
        return new CertificateFile(row.mediaType(), row.sha256(), row.content());
    }
}
