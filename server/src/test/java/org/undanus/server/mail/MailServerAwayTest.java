package org.undanus.server.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.mail.Address;
import jakarta.mail.SendFailedException;
import jakarta.mail.internet.MimeMessage;
import java.net.ConnectException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.boot.SpringApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.undanus.server.Client;
import org.undanus.server.TestServer;
import org.undanus.server.Undanus;
import org.undanus.server.problem.StartRefusedException;

/** Letters wait for a mail server that is away, end where it refuses an address, and are not sent again and again. */
class MailServerAwayTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo()
            .with("--undanus.mail.send-every=P1D")
            .with("--undanus.mail.try-again-after=PT0S")
            .alongside(Acting.class);

    /** Not found by itself: only this class's server answers so. */
    static class Acting {
        @Bean
        @Primary
        JavaMailSender actedSender() {
            return new Acted();
        }
    }

    /** Answers as it is told to. */
    static final class Acted extends JavaMailSenderImpl {
        private static final List<MimeMessage> TAKEN = new ArrayList<>();
        private static MailException refusal;

        @Override
        protected void doSend(MimeMessage[] messages, Object[] originals) {
            if (refusal != null) {
                throw refusal;
            }
            TAKEN.addAll(List.of(messages));
        }
    }

    private static final MailException AWAY =
            new MailSendException("Mail server connection failed", new ConnectException("Connection refused"));

    private final Client inspector = SERVER.signedIn("inspector");
    private final Client lead = SERVER.signedIn("lead");
    private final LetterSender sender = SERVER.bean(LetterSender.class);
    private final Deliveries deliveries = SERVER.bean(Deliveries.class);

    @BeforeEach
    void nothingWaits() {
        Acted.refusal = null;
        sender.sendDue();
        Acted.TAKEN.clear();
        assertThat(deliveries.due(100)).isEmpty();
    }

    private static MailException refused(boolean forGood) {
        Address[] none = {};
        Address[] some = {null};
        SendFailedException why = new SendFailedException(
                "550 no such user here", null, none, forGood ? none : some, forGood ? some : none);
        return new MailSendException(Map.of("letter", why));
    }

    private Delivery last() {
        List<Delivery> all = SERVER.bean(MailMapper.class).deliveries();
        String newest = SERVER.bean(OutboxMapper.class).latest(1).get(0).id();
        return all.stream()
                .filter(each -> each.messageId().equals(newest))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void itWaitsForAServerThatIsAway() {
        LettersByMailTest.raise(inspector, "LH-07", "siting.outdoor-clearance-back@outdoor-1", "Move it.");
        Acted.refusal = AWAY;
        sender.sendDue();
        Delivery waiting = last();
        assertThat(waiting.state()).isEqualTo(Delivery.State.WAITING);
        assertThat(waiting.tries()).isEqualTo(1);
        assertThat(waiting.said()).isEqualTo("Connection refused");
        assertThat(inspector.get("/api/letters").expect(200).text()).contains("Connection refused");
        Acted.refusal = null;
        sender.sendDue();
        sender.sendDue();
        assertThat(last().state()).isEqualTo(Delivery.State.SENT);
        assertThat(Acted.TAKEN).as("once").hasSize(1);
    }

    @Test
    void anAddressThatThereIsNotIsNotTriedAgain() throws Exception {
        LettersByMailTest.raise(inspector, "LH-07", "electrical.overcurrent-device@outdoor-1", "Replace it.");
        Acted.refusal = refused(false);
        sender.sendDue();
        assertThat(last().state()).as("busy, full, greylisted").isEqualTo(Delivery.State.WAITING);
        Acted.refusal = refused(true);
        sender.sendDue();
        assertThat(last().state()).isEqualTo(Delivery.State.FAILED);
        assertThat(last().said()).isEqualTo("550 no such user here");
        Acted.refusal = null;
        sender.sendDue();
        assertThat(Acted.TAKEN).isEmpty();
    }

    @Test
    void whoWasSwitchedOffMeanwhileGetsNothing() {
        LettersByMailTest.raise(inspector, "LH-03", "siting.outdoor-clearance-front@outdoor-1", "Clear it.");
        Delivery before = last();
        SERVER.bean(MailChoices.class)
                .keep(
                        before.name(),
                        new MailChoice(
                                "",
                                Set.of(),
                                lead.get("/api/people/" + before.name() + "/mail")
                                        .json()
                                        .path("version")
                                        .asInt()),
                        "test");
        sender.sendDue();
        assertThat(last().state()).isEqualTo(Delivery.State.DROPPED);
        assertThat(Acted.TAKEN).isEmpty();
    }

    @Test
    void givenUpAfterTwoDays() {
        Delivery old = new Delivery("d", "m", "wren", Delivery.State.WAITING, 3, Instant.EPOCH, Instant.EPOCH, "");
        MailSettings settings = SERVER.bean(MailSettings.class);
        assertThat(settings.giveUpAfter()).hasDays(2);
        assertThat(settings.pause(0)).isEqualTo(settings.pause(40));
        assertThat(old.begun(Instant.EPOCH.plusSeconds(60)).tries()).isEqualTo(4);
    }

    @Test
    void lettersThatComeFromNobodyKeepItFromStarting() {
        assertThatThrownBy(() -> new SpringApplication(Undanus.class)
                        .run(
                                "--server.port=0",
                                "--undanus.data=" + SERVER.folder().resolve("none"),
                                "--spring.mail.host=mail.undanus.example")
                        .close())
                .rootCause()
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("undanus.mail.from");
    }
}
