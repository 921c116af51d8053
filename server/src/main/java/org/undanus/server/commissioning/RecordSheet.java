package org.undanus.server.commissioning;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.installation.Case;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/**
 * A commissioning record as a table for any spreadsheet: its head, then a row for each line of the installation. See
 * docs/formats/commissioning-record.md.
 *
 * @param installation the reference of the installation it is of
 */
record RecordSheet(
        String installation,
        String signedBy,
        String day,
        Optional<String> coldest,
        Optional<String> warmest,
        List<Row> rows) {
    static final String FORMAT = "undanus-record/1";
    private static final String HEAD = "line";
    private static final int MOST_CHARACTERS = 2_000_000;
    private static final int MOST_ROWS = 2000;
    private static final String MARK = "\uFEFF";

    /**
     * @param number of its line in the file, from 1
     * @param line id of the line
     * @param of the unit or part it is of
     */
    record Row(
            int number, String line, String of, String value, Optional<String> readAt, Optional<String> instrument) {}

    /** An empty one, to be filled in. */
    static String template(String reference, Case facts) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            csv.writeRecord("format", FORMAT);
            csv.writeRecord("installation", reference);
            csv.writeRecord("signed by", "");
            csv.writeRecord("day", "");
            csv.writeRecord("coldest of the day", "");
            csv.writeRecord("warmest of the day", "");
            csv.writeRecord(HEAD, "of", "what", "value", "read at", "instrument");
            for (RecordLines.Line line : RecordLines.of(facts)) {
                csv.writeRecord(
                        line.point().id(),
                        line.key().component(),
                        line.point().titled(line.subject().title()).toString(),
                        "",
                        "",
                        "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** @throws UnsuitableException where it is no such table; with the line */
    static RecordSheet read(String text) {
        if (text.length() > MOST_CHARACTERS) {
            throw new UnsuitableException("file", "A record is a table of 2 MB at most. Nothing was saved.");
        }
        // some spreadsheets set a mark before the text, and part by semicolons or tabs
        String table = text.startsWith(MARK) ? text.substring(MARK.length()) : text;
        List<CsvRecord> lines;
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(table.startsWith("format;") ? ';' : table.startsWith("format\t") ? '\t' : ',')
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(table)) {
            lines = reader.stream().toList();
        } catch (IOException | RuntimeException notCsv) {
            throw new UnsuitableException("file", "This is no table of comma-separated values. Nothing was saved.");
        }
        int head = 0;
        while (head < lines.size() && !lines.get(head).getField(0).strip().equals(HEAD)) {
            head++;
        }
        if (head == lines.size() || !FORMAT.equals(of(lines, head, "format").orElse(""))) {
            throw new UnsuitableException(
                    "file",
                    Text.of("This reads {format}, with its head and its row of titles. Nothing was saved.", FORMAT));
        }
        List<Row> rows = new ArrayList<>();
        for (CsvRecord line : lines.subList(head + 1, lines.size())) {
            if (line.getFieldCount() < 4
                    && !(line.getFieldCount() == 1 && line.getField(0).isBlank())) {
                throw new UnsuitableException(
                        "file",
                        Text.of(
                                "Line {line}: it has fewer than four fields. Nothing was saved.",
                                line.getStartingLineNumber()));
            }
            if (line.getFieldCount() >= 4 && !line.getField(3).isBlank()) {
                rows.add(new Row(
                        (int) line.getStartingLineNumber(),
                        line.getField(0).strip(),
                        line.getField(1).strip(),
                        line.getField(3).strip(),
                        field(line, 4),
                        field(line, 5)));
            }
        }
        if (rows.size() > MOST_ROWS) {
            throw new UnsuitableException(
                    "file", Text.of("A record has {mostRows} values at most. Nothing was saved.", MOST_ROWS));
        }
        return new RecordSheet(
                of(lines, head, "installation").orElse(""),
                of(lines, head, "signed by").orElse(""),
                of(lines, head, "day").orElse(""),
                of(lines, head, "coldest of the day"),
                of(lines, head, "warmest of the day"),
                rows);
    }

    private static Optional<String> of(List<CsvRecord> lines, int head, String name) {
        return lines.subList(0, head).stream()
                .filter(line -> line.getField(0).strip().equals(name))
                .findFirst()
                .flatMap(line -> field(line, 1));
    }

    private static Optional<String> field(CsvRecord line, int index) {
        return index < line.getFieldCount()
                ? Optional.of(line.getField(index).strip()).filter(text -> !text.isEmpty())
                : Optional.empty();
    }
}
