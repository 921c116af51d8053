package org.undanus.server.installation;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.judgement.Verdict;

/** The register as CSV (RFC 4180), for spreadsheets. */
final class RegisterCsv {
    private static final String FORMULA = "=+-@\t\r";

    private RegisterCsv() {}

    static String of(List<RegisterController.RegisterEntry> entries) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            csv.writeRecord(Stream.concat(
                            Stream.of(
                                    "reference",
                                    "installation",
                                    "place",
                                    "system",
                                    "crew",
                                    "visit",
                                    "day",
                                    "most pressing",
                                    "what"),
                            Stream.of(Verdict.values()).map(Verdict::counted))
                    .toList());
            entries.forEach(entry -> csv.writeRecord(Stream.concat(
                            Stream.of(
                                    entry.reference(),
                                    entry.title(),
                                    entry.building(),
                                    entry.system(),
                                    entry.crew(),
                                    entry.stage(),
                                    entry.visitedOn().map(LocalDate::toString).orElse(""),
                                    entry.worst().map(Verdict::title).orElse(""),
                                    entry.said()),
                            Stream.of(Verdict.values()).map(verdict -> Optional.ofNullable(
                                            entry.counts().get(verdict))
                                    .map(Object::toString)
                                    .orElse("0")))
                    .map(RegisterCsv::plain)
                    .toList()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** A spreadsheet would take such a word for a formula. */
    private static String plain(String word) {
        return !word.isEmpty() && FORMULA.indexOf(word.charAt(0)) >= 0 ? "'" + word : word;
    }
}
