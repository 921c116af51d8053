package org.undanus.server.correction;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Trade;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.mail.LetterKind;
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
        List<Object> lines = new ArrayList<>();
        lines.add(Text.of("At {installation} this is to be put right:", header.named()));
        byTrade.forEach((trade, corrections) -> {
            lines.add("");
            lines.add(Text.of("{trade}:", trade.title()));
            corrections.forEach(correction -> {
                lines.add("");
                lines.addAll(told(correction));
            });
        });
        lines.add("");
        lines.add(Text.of("Answer each of them on its page. Local code and licensed practice decide."));
        Text subject = Text.counted(
                raised.size(),
                "{reference}: {count} correction",
                "{reference}: {count} corrections",
                header.reference(),
                raised.size());
        outbox.toCrew(LetterKind.RAISED, header, subject, lines, by);
    }

    private static List<Object> told(Correction correction) {
        List<Object> lines = new ArrayList<>();
        lines.add(Text.of("{number}. {what}", correction.number(), correction.what()));
        lines.add(correction.finding());
        if (!correction.limits().isEmpty()) {
            lines.add(Text.of("Limits: {limits}", correction.limits()));
        }
        if (!correction.words().isEmpty()) {
            lines.add(correction.words());
        }
        lines.add(correction.due().map(day -> Text.of("By {day}.", day)).orElse(Text.of("No date is set.")));
        return lines;
    }

    /** The crew learns of other words or another date. */
    void changed(CaseFile.Header header, Correction now, Person by) {
        List<Object> lines = new ArrayList<>(List.of(at(header), ""));
        lines.addAll(told(now));
        outbox.toCrew(
                LetterKind.RAISED,
                header,
                Text.of("{reference}, correction {number}: changed", header.reference(), now.number()),
                lines,
                by);
    }

    /** The other side learns of it; that it was seen needs no letter. */
    void taken(CaseFile.Header header, Correction now, Step step, Person by) {
        if (step.kind() == Step.Kind.SEEN) {
            return;
        }
        Text subject = Text.of(
                "{reference}, correction {number}: {state}",
                header.reference(),
                now.number(),
                step.kind().leadsTo().title());
        List<Object> lines =
                new ArrayList<>(List.of(at(header), "", Text.of("{number}. {what}", now.number(), now.what())));
        if (!step.words().isEmpty()) {
            lines.addAll(List.of("", step.words()));
        }
        if (!step.readings().isEmpty()) {
            lines.addAll(List.of("", Text.of("Readings came with it; they stand in the record.")));
        }
        if (step.kind().office()) {
            outbox.toCrew(LetterKind.ANSWERED, header, subject, lines, by);
        } else {
            outbox.toOffice(LetterKind.ANSWERED, header, subject, lines, by);
        }
    }

    private static Text at(CaseFile.Header header) {
        return Text.of("At {installation}:", header.named());
    }
}
