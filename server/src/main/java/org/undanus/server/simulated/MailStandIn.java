package org.undanus.server.simulated;

import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Properties;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;

/** The demo's mail server: takes letters on this machine alone and keeps them in memory, where all that arrived can be read. */
@Configuration
@ConditionalOnProperty("undanus.demo")
class MailStandIn {
    private static final String HERE = "127.0.0.1";
    private static final int MOST = 500;

    /**
     * A letter as it arrived.
     *
     * @param from name and address
     * @param to address
     */
    record Arrived(String from, String to, String subject, Instant sentAt, String words) {

        static Arrived of(MimeMessage message) {
            try {
                return new Arrived(
                        ((InternetAddress) message.getFrom()[0]).toUnicodeString(),
                        ((InternetAddress) message.getAllRecipients()[0]).getAddress(),
                        message.getSubject(),
                        message.getSentDate().toInstant(),
                        String.valueOf(message.getContent()).strip());
            } catch (MessagingException e) {
                throw new IllegalStateException(e);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** Begun with the first letter, on any port that is free. */
    @Lazy
    @Bean(destroyMethod = "stop")
    GreenMail standIn() {
        GreenMail server = new GreenMail(new ServerSetup(0, HERE, ServerSetup.PROTOCOL_SMTP));
        server.start();
        return server;
    }

    @Lazy
    @Bean
    JavaMailSender standInSender(GreenMail standIn) {
        JavaMailSenderImpl sender = new JavaMailSenderImpl();
        sender.setHost(HERE);
        sender.setPort(standIn.getSmtp().getPort());
        sender.setJavaMailProperties(new Properties());
        return sender;
    }

    /** All that arrived since the start, the newest first; beyond some hundreds it begins anew. */
    static List<Arrived> arrived(GreenMail standIn) {
        MimeMessage[] messages = standIn.getReceivedMessages();
        List<Arrived> all =
                new ArrayList<>(Arrays.stream(messages).map(Arrived::of).toList());
        if (messages.length > MOST) {
            try {
                standIn.purgeEmailFromAllMailboxes();
            } catch (FolderException e) {
                throw new IllegalStateException(e);
            }
        }
        Collections.reverse(all);
        return all;
    }
}
