package org.undanus.server.mail;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;
import org.undanus.server.journal.Journal;
import org.undanus.server.mail.OutboxMapper.MessageRow;
import org.undanus.server.problem.StartRefusedException;

/** To whom letters are on their way, and how each of them ended. */
@Service
@EnableConfigurationProperties(MailSettings.class)
class Deliveries {
    private final Clock clock;
    private final MailMapper mapper;
    private final MailChoices choices;
    private final Accounts accounts;
    private final Journal journal;
    private final MailSettings settings;
    private final ObjectProvider<JavaMailSender> sender;
    private final boolean sends;

    Deliveries(
            Clock clock,
            MailMapper mapper,
            MailChoices choices,
            Accounts accounts,
            Journal journal,
            MailSettings settings,
            ObjectProvider<JavaMailSender> sender,
            @Value("${spring.mail.host:}") String host,
            @Value("${undanus.demo}") boolean demo) {
        this.clock = clock;
        this.mapper = mapper;
        this.choices = choices;
        this.accounts = accounts;
        this.journal = journal;
        this.settings = settings;
        this.sender = sender;
        this.sends = demo || !host.isBlank();
        if (!host.isBlank() && settings.from().isBlank()) {
            throw new StartRefusedException(
                    "Letters are to leave by the mail server of spring.mail.host, but undanus.mail.from does not say from"
                            + " which address. Set it too.");
        }
    }

    /** Whether letters leave at all. */
    boolean sends() {
        return sends;
    }

    JavaMailSender sender() {
        return sender.getObject();
    }

    /** Whether somebody is among those whom letters to this crew, or where it is empty to the inspection office, go to. */
    private static boolean addressed(Person person, String crew) {
        return crew.isEmpty()
                ? person.inspects()
                : person.crew().filter(crew::equals).isPresent();
    }

    /** Puts a letter on its way to everybody who wants it. */
    void write(MessageRow letter, LetterKind kind) {
        if (!sends) {
            return;
        }
        accounts.all().stream()
                .filter(Accounts.Account::active)
                .map(Accounts.Account::person)
                .filter(person -> addressed(person, letter.crew()))
                .filter(person -> choices.of(person.name()).wants(kind))
                .forEach(person -> {
                    Delivery delivery = new Delivery(
                            UUID.randomUUID().toString(),
                            letter.id(),
                            person.name(),
                            Delivery.State.WAITING,
                            0,
                            letter.writtenAt(),
                            letter.writtenAt(),
                            "");
                    mapper.insertDelivery(delivery);
                    journal.write("undanus", "delivery.written", delivery.id(), delivery.ending());
                });
    }

    /** Of these letters, how they fare. */
    Map<String, List<Delivery>> of(Collection<String> letters) {
        return letters.isEmpty()
                ? Map.of()
                : mapper.deliveriesOf(letters).stream().collect(Collectors.groupingBy(Delivery::messageId));
    }

    @Transactional(readOnly = true)
    List<Delivery> due(int most) {
        return mapper.due(clock.instant(), most);
    }

    /**
     * Where a letter goes, as of now.
     *
     * @return empty where whom it was to may no longer see it, or wants no more letters
     */
    @Transactional(readOnly = true)
    Optional<String> address(Delivery delivery, MessageRow letter) {
        return accounts.active(delivery.name())
                .filter(person -> addressed(person, letter.crew()))
                .map(person -> choices.of(person.name()).address())
                .filter(address -> !address.isEmpty());
    }

    /** Notes the try before it is made: a letter whose end cannot be written down is not sent again and again. */
    @Transactional
    Delivery begin(Delivery due) {
        Instant again = clock.instant().plus(settings.pause(due.tries()));
        Delivery begun = due.begun(again);
        mapper.updateDelivery(begun);
        return begun;
    }

    @Transactional
    void end(Delivery delivery, Delivery.State how, String why) {
        Delivery ended = delivery.ended(how, why);
        if (mapper.updateDelivery(ended) > 0) {
            journal.write("undanus", "delivery.ended", ended.id(), ended.ending());
        }
    }

    /** It is tried again, unless it was for too long. */
    @Transactional
    void refused(Delivery delivery, String why) {
        if (delivery.dueAt().isAfter(delivery.since().plus(settings.giveUpAfter()))) {
            end(delivery, Delivery.State.FAILED, why);
        } else {
            mapper.updateDelivery(delivery.refused(why));
        }
    }
}
