package org.undanus.server.mail;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.server.journal.Journal;
import org.undanus.server.mail.MailMapper.ChoiceRow;
import org.undanus.server.problem.ConflictException;

/** Where people want letters sent, and which. */
@Service
public class MailChoices {
    private final MailMapper mapper;
    private final Journal journal;

    MailChoices(MailMapper mapper, Journal journal) {
        this.mapper = mapper;
        this.journal = journal;
    }

    /** What somebody chose; of who never did, no address. */
    @Transactional(readOnly = true)
    public MailChoice of(String name) {
        return Optional.ofNullable(mapper.choice(name)).map(ChoiceRow::choice).orElse(MailChoice.NONE);
    }

    /**
     * Keeps it.
     *
     * @param wanted with the version that was seen
     * @param by who chose, for the journal
     * @throws ConflictException where it was changed meanwhile
     */
    @Transactional
    public MailChoice keep(String name, MailChoice wanted, String by) {
        MailChoice after = new MailChoice(wanted.address(), wanted.kinds(), wanted.version() + 1);
        ChoiceRow row = ChoiceRow.of(name, after);
        ChoiceRow there = mapper.choice(name);
        if (there == null && wanted.version() == 0) {
            mapper.insertChoice(row);
        } else if (there == null || mapper.updateChoice(row) == 0) {
            throw new ConflictException(
                    "This was changed meanwhile. Nothing was saved; look at it again first.", "", name);
        }
        journal.write(by, "mail-choice.made", name, row.state());
        return after;
    }

    /** Keeps what was chosen elsewhere; a choice that was made here already stays as it is. */
    @Transactional
    public void bringIn(String name, MailChoice choice, String by) {
        if (mapper.choice(name) == null) {
            keep(name, new MailChoice(choice.address(), choice.kinds(), 0), by);
        }
    }
}
