package org.undanus.server.notice;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.store.Moment;

/** Raises notices that stop a visit, and takes them down. */
@Service
public class StopNotices {
    private final Clock clock;
    private final StopNoticeMapper mapper;
    private final CaseFiles cases;
    private final Journal journal;

    StopNotices(Clock clock, StopNoticeMapper mapper, CaseFiles cases, Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.cases = cases;
        this.journal = journal;
    }

    /**
     * Raises one for each judgement that stops a visit and has just come to fail; a notice of it that stands already is enough.
     *
     * @param changed what a reading changed
     */
    @Transactional
    public void raise(String installation, List<Judgement> changed, Person person, Wording wording) {
        List<StopNotice> standing = mapper.standing(installation);
        changed.stream()
                .filter(judgement -> judgement.about().stops() && judgement.verdict() == Verdict.FAILS)
                .filter(judgement ->
                        standing.stream().noneMatch(notice -> notice.judgement().equals(judgement.key())))
                .forEach(judgement -> {
                    StopNotice notice = new StopNotice(
                            UUID.randomUUID().toString(),
                            installation,
                            judgement.key(),
                            judgement.about().title(),
                            judgement.because().in(wording),
                            judgement.remedy().map(text -> text.in(wording)).orElse(""),
                            person.name(),
                            Moment.kept(clock.instant()),
                            null,
                            null,
                            null);
                    mapper.insert(notice);
                    journal.write(person.name(), "stop-notice.raised", notice.id(), mapper.find(notice.id()));
                });
    }

    /** Those over a visit now. */
    @Transactional(readOnly = true)
    List<StopNotice> standing(String installation, Person person) {
        cases.open(installation, person);
        return mapper.standing(installation);
    }

    /**
     * Takes one down; the reading that raised it stays.
     *
     * @throws ConflictException when somebody has done so already
     */
    @Transactional
    StopNotice takeDown(String installation, String id, String reason, Person person) {
        cases.openForWriting(installation, person);
        if (!person.inspects()) {
            throw new NotAllowedException("A stop notice is taken down by the inspection office.");
        }
        StopNotice notice = mapper.find(id);
        if (notice == null || !notice.installationId().equals(installation)) {
            throw new NotFoundException("There is no such notice.");
        }
        StopNotice down = new StopNotice(
                id,
                installation,
                notice.judgement(),
                notice.title(),
                notice.finding(),
                notice.orders(),
                notice.raisedBy(),
                notice.raisedAt(),
                person.name(),
                Moment.kept(clock.instant()),
                reason.strip());
        if (!notice.stands() || mapper.takeDown(down) == 0) {
            throw new ConflictException("Somebody has taken this notice down already.", reason, mapper.find(id));
        }
        StopNotice now = mapper.find(id);
        journal.write(person.name(), "stop-notice.taken-down", id, now);
        return now;
    }
}
