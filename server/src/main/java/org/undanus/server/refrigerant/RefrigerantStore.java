package org.undanus.server.refrigerant;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantMapper.RefrigerantRow;
import org.undanus.server.store.Remembered;

/** The refrigerants there are: those that ship, and those that were brought in. What is kept of one never changes. */
@Service
public class RefrigerantStore {
    private final Clock clock;
    private final RefrigerantMapper mapper;
    private final Journal journal;
    private final TransactionTemplate transactions;
    private final Remembered<Refrigerants> known = new Remembered<>(this::read);

    RefrigerantStore(Clock clock, RefrigerantMapper mapper, Journal journal, TransactionTemplate transactions) {
        this.clock = clock;
        this.mapper = mapper;
        this.journal = journal;
        this.transactions = transactions;
    }

    /** One that was brought before it shipped gives way: what ships is the same everywhere. */
    private Refrigerants read() {
        Refrigerants all = Refrigerants.SHIPPED;
        for (RefrigerantRow row : mapper.all()) {
            if (!Refrigerants.ships(row.name())) {
                all = all.with(row.content());
            }
        }
        return all;
    }

    /** Those that ship, then those that were brought in, oldest first. */
    public Refrigerants known() {
        return known.get();
    }

    /** The files that were brought in, oldest first. */
    List<RefrigerantRow> brought() {
        return mapper.all();
    }

    /**
     * Keeps a file and makes its refrigerant known. The same file again is the same.
     *
     * @return its name
     * @throws UnsuitableException naming line and column of what does not fit
     * @throws ConflictException where another of this name is known
     */
    public synchronized String bring(String content, String by) {
        String name;
        try {
            name = Refrigerants.nameIn(content);
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("file", RefusedException.said(e).then(Text.of("Nothing was imported.")));
        }
        Optional<RefrigerantRow> kept =
                mapper.all().stream().filter(row -> row.name().equals(name)).findFirst();
        if (kept.filter(row -> row.content().equals(content)).isPresent()) {
            return name;
        }
        if (kept.isPresent() || Refrigerants.ships(name)) {
            throw new ConflictException(
                    Text.of("{name} is known already, and what was judged by it stays. Nothing was imported.", name),
                    name,
                    null);
        }
        RefrigerantRow row = new RefrigerantRow(name, content, by, clock.instant());
        transactions.executeWithoutResult(status -> {
            known.changes();
            mapper.insert(row);
            journal.write(by, "refrigerant.added", row.name(), row);
        });
        return name;
    }
}
