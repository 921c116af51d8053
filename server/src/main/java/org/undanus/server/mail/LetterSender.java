package org.undanus.server.mail;

import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSendException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.undanus.server.mail.OutboxMapper.MessageRow;

/** Hands what is due to the mail server. */
@Component
class LetterSender {
    private static final Logger LOG = LoggerFactory.getLogger(LetterSender.class);
    private static final int AT_A_TIME = 50;

    private final Deliveries deliveries;
    private final OutboxMapper letters;
    private final MailSettings settings;

    LetterSender(Deliveries deliveries, OutboxMapper letters, MailSettings settings) {
        this.deliveries = deliveries;
        this.letters = letters;
        this.settings = settings;
    }

    /** Stops at a mail server that does not answer: for the next letter it will not either. */
    @Scheduled(fixedDelayString = "${undanus.mail.send-every}", initialDelayString = "${undanus.mail.send-every}")
    void sendDue() {
        if (deliveries.sends()) {
            deliveries.due(AT_A_TIME).stream().allMatch(this::send);
        }
    }

    /** @return whether the mail server answered */
    private boolean send(Delivery due) {
        MessageRow letter = letters.find(due.messageId());
        Optional<String> address = deliveries.address(due, letter);
        if (address.isEmpty()) {
            deliveries.end(due, Delivery.State.DROPPED, "");
            return true;
        }
        Delivery begun = deliveries.begin(due);
        try {
            deliveries.sender().send(written(letter, address.get()));
            deliveries.end(begun, Delivery.State.SENT, "");
            return true;
        } catch (MessagingException | IOException e) {
            throw new IllegalStateException(e);
        } catch (MailException e) {
            String why = said(e);
            LOG.info("letter {} to {} was not taken: {}", letter.id(), due.name(), why);
            if (neverTaken(e)) {
                deliveries.end(begun, Delivery.State.FAILED, why);
                return true;
            }
            deliveries.refused(begun, why);
            return e instanceof MailSendException sending && sending.getCause() == null;
        }
    }

    /** The letter as it is kept, to one address. */
    private MimeMessage written(MessageRow letter, String address) throws MessagingException, IOException {
        MimeMessage message = deliveries
                .sender()
                .createMimeMessage(new ByteArrayInputStream(letter.content().getBytes(StandardCharsets.US_ASCII)));
        if (!settings.from().isBlank()) {
            InternetAddress from = (InternetAddress) message.getFrom()[0];
            message.setFrom(new InternetAddress(settings.from(), from.getPersonal(), StandardCharsets.UTF_8.name()));
        }
        message.setRecipient(Message.RecipientType.TO, new InternetAddress(address));
        // so that nobody's note of absence answers it (RFC 3834)
        message.setHeader("Auto-Submitted", "auto-generated");
        return message;
    }

    private static String said(MailException thrown) {
        Throwable cause = thrown instanceof MailSendException sending && sending.getMessageExceptions().length > 0
                ? sending.getMessageExceptions()[0]
                : thrown;
        return String.valueOf(NestedExceptionUtils.getMostSpecificCause(cause).getMessage())
                .strip();
    }

    /** Whether the mail server says that there is no such address. */
    private static boolean neverTaken(MailException thrown) {
        if (thrown instanceof MailSendException sending) {
            for (Exception each : sending.getMessageExceptions()) {
                if (each instanceof SendFailedException refused) {
                    Address[] invalid = refused.getInvalidAddresses();
                    return invalid != null && invalid.length > 0;
                }
            }
        }
        return false;
    }
}
