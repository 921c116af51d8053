package org.undanus.server.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.journal.Journal;
import org.undanus.server.mail.OutboxMapper.MessageRow;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.store.Moment;
import org.undanus.server.words.Languages;
import org.undanus.view.CaseFile;

/** Keeps letters in the form that every mail program reads (RFC 5322), and puts them on their way to whoever wants them by mail. */
@Service
public class Outbox {
    /** Reserved so that it leads nowhere (RFC 2606). */
    private static final String DOMAIN = "@undanus.invalid";

    private static final String OFFICE = "Inspection office";
    private static final int LATEST = 200;

    /** @param crew whose it is; empty for the inspection office */
    public record Letter(String id, String installationId, String crew, String subject, Instant writtenAt) {}

    private final Clock clock;
    private final OutboxMapper mapper;
    private final Journal journal;
    private final Languages languages;
    private final Deliveries deliveries;
    private final MailSettings settings;

    Outbox(
            Clock clock,
            OutboxMapper mapper,
            Journal journal,
            Languages languages,
            Deliveries deliveries,
            MailSettings settings) {
        this.deliveries = deliveries;
        this.settings = settings;
        this.languages = languages;
        this.clock = clock;
        this.mapper = mapper;
        this.journal = journal;
    }

    /**
     * To a crew from the inspection office.
     *
     * @param lines sentences and what people wrote, one below the other
     */
    @Transactional
    public void toCrew(LetterKind kind, CaseFile.Header about, Text subject, List<Object> lines, Person by) {
        keep(kind, about.crew(), about, subject, lines, OFFICE, about.crew(), by);
    }

    /** To the inspection office from a crew. */
    @Transactional
    public void toOffice(LetterKind kind, CaseFile.Header about, Text subject, List<Object> lines, Person by) {
        keep(kind, "", about, subject, lines, about.crew(), OFFICE, by);
    }

    /** In the writer's language: that of whoever gets it is not known. */
    private void keep(
            LetterKind kind,
            String crew,
            CaseFile.Header about,
            Text subject,
            List<Object> lines,
            String from,
            String to,
            Person by) {
        Wording wording = new Wording(UnitSystem.SI, languages.ofRequest());
        String id = UUID.randomUUID().toString();
        Instant now = Moment.kept(clock.instant());
        String said = subject.in(wording);
        List<Object> whole = new ArrayList<>(lines);
        if (!settings.link().isBlank()) {
            whole.addAll(List.of("", kind.page(settings.link(), about.id())));
        }
        String content = written(id, said, Text.lines(whole).in(wording) + "\n", from, to, now);
        MessageRow row = new MessageRow(id, about.id(), crew, said, now, content);
        mapper.insert(row);
        journal.write(by.name(), "message.written", id, row);
        deliveries.write(row, kind);
    }

    private static String written(String id, String subject, String words, String from, String to, Instant at) {
        try {
            MimeMessage message = new MimeMessage(Session.getInstance(new Properties())) {
                @Override
                protected void updateMessageID() throws MessagingException {
                    setHeader("Message-ID", "<" + id + DOMAIN + ">");
                }
            };
            message.setFrom(address(from));
            message.setRecipient(MimeMessage.RecipientType.TO, address(to));
            message.setSubject(subject, StandardCharsets.UTF_8.name());
            message.setText(words, StandardCharsets.UTF_8.name());
            message.setSentDate(Date.from(at));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            message.writeTo(out);
            return out.toString(StandardCharsets.US_ASCII);
        } catch (MessagingException e) {
            throw new IllegalStateException(e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static InternetAddress address(String name) {
        String box = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        try {
            return new InternetAddress(box + DOMAIN, name, StandardCharsets.UTF_8.name());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The latest letters to this person's crew, or of the inspection office all of them; the newest first. */
    @Transactional(readOnly = true)
    public List<Letter> latest(Person person) {
        List<MessageRow> rows = person.inspects()
                ? mapper.latest(LATEST)
                : mapper.latestTo(person.crew().orElseThrow(), LATEST);
        return rows.stream()
                .map(row -> new Letter(row.id(), row.installationId(), row.crew(), row.subject(), row.writtenAt()))
                .toList();
    }

    /** A letter with its words, as it is carried from one system to another. */
    public record Carried(Letter letter, String content) {}

    /** All there are, the oldest first. */
    @Transactional(readOnly = true)
    public List<Carried> all() {
        return mapper.all().stream()
                .map(row -> new Carried(
                        new Letter(row.id(), row.installationId(), row.crew(), row.subject(), row.writtenAt()),
                        row.content()))
                .toList();
    }

    /** Keeps a letter that was written elsewhere; one that is here already stays as it is. */
    @Transactional
    public void bringIn(Carried carried, String installation, String by) {
        Letter letter = carried.letter();
        if (mapper.find(letter.id()) == null) {
            MessageRow row = new MessageRow(
                    letter.id(), installation, letter.crew(), letter.subject(), letter.writtenAt(), carried.content());
            mapper.insert(row);
            journal.write(by, "message.brought-in", row.id(), row);
        }
    }

    /**
     * One as an .eml file.
     *
     * @throws NotFoundException where there is none, or it is to another crew
     */
    @Transactional(readOnly = true)
    public byte[] file(String id, Person person) {
        MessageRow row = mapper.find(id);
        if (row == null || !person.inspects() && !person.maySee(row.crew())) {
            throw new NotFoundException("There is no such letter.");
        }
        return row.content().getBytes(StandardCharsets.US_ASCII);
    }
}
