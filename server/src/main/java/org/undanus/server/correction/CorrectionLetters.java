package org.undanus.server.correction;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Trade;
import org.undanus.server.account.Person;
import org.undanus.server.mail.Outbox;
import org.undanus.view.CaseFile;

/** What is written to whom when something happens to a correction. */
@Component
class CorrectionLetters {
    private final Outbox outbox;

    CorrectionLetters(Outbox outbox) {
        this.outbox = outbox;
    }

    /** Whose work it is. */
    static Trade trade(Correction correction) {
        String station = correction.requirement().split("\\.")[0];
        return Trade.of(Station.valueOf(station.toUpperCase(Locale.ROOT)));
    }

    /** One letter to the crew, trade by trade. */
    void raised(CaseFile.Header header, List<Correction> raised, Person by) {
        Map<Trade, List<Correction>> byTrade = raised.stream()
                .collect(Collectors.groupingBy(CorrectionLetters::trade, TreeMap::new, Collectors.toList()));
        StringBuilder words = new StringBuilder();
        words.append("At ").append(named(header)).append(" this is to be put right:\n");
        byTrade.forEach((trade, corrections) -> {
            words.append("\n").append(trade.title().toUpperCase(Locale.ROOT)).append("\n");
            corrections.forEach(correction -> words.append("\n").append(told(correction)));
        });
        words.append("\nAnswer each of them on its page. Local code and licensed practice decide.\n");
        String subject =
                header.reference() + ": " + (raised.size() == 1 ? "1 correction" : raised.size() + " corrections");
        outbox.toCrew(header.crew(), header.id(), subject, words.toString(), by.name());
    }

    private static String told(Correction correction) {
        return correction.number() + ". " + correction.what() + "\n"
                + correction.finding() + "\n"
                + (correction.limits().isEmpty() ? "" : "Limits: " + correction.limits() + "\n")
                + (correction.words().isEmpty() ? "" : correction.words() + "\n")
                + correction.due().map(CorrectionLetters::by).orElse("No date is set.\n");
    }

    private static String by(LocalDate day) {
        return "By " + day + ".\n";
    }

    /** The crew learns of other words or another date. */
    void changed(CaseFile.Header header, Correction now, Person by) {
        outbox.toCrew(
                header.crew(),
                header.id(),
                header.reference() + ": correction " + now.number() + " has changed",
                "At " + named(header) + ":\n\n" + told(now),
                by.name());
    }

    /** The other side learns of it; that it was seen needs no letter. */
    void taken(CaseFile.Header header, Correction now, Step step, Person by) {
        if (step.kind() == Step.Kind.SEEN) {
            return;
        }
        String subject = header.reference() + ": correction " + now.number() + " is "
                + step.kind().name().toLowerCase(Locale.ROOT);
        String words = "At " + named(header) + ":\n\n" + now.number() + ". " + now.what() + "\n"
                + (step.words().isEmpty() ? "" : "\n" + step.words() + "\n")
                + (step.readings().isEmpty() ? "" : "\nReadings came with it; they stand in the record.\n");
        if (step.kind().office()) {
            outbox.toCrew(header.crew(), header.id(), subject, words, by.name());
        } else {
            outbox.toOffice(header.crew(), header.id(), subject, words, by.name());
        }
    }

    private static String named(CaseFile.Header header) {
        return header.reference() + " " + header.title() + ", " + header.building();
    }
}
