package org.undanus.server.commissioning;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** The template of a record as JSON, empty or filled in; lines without a value are passed over. */
record FilledTemplate(
        @NotNull(message = "is missing") String format,
        @NotNull(message = "is missing") @Size(max = 40, message = "is no reference") String installation,
        @NotNull(message = "is missing") @Size(max = 120, message = "is longer than 120 characters") String signedBy,
        @NotNull(message = "is missing") @Size(max = 20, message = "is no day") String day,
        Optional<@Size(max = 20, message = "is no temperature") String> coldest,
        Optional<@Size(max = 20, message = "is no temperature") String> warmest,
        @NotNull(message = "is missing") @Size(max = 2000, message = "holds more than 2000")
                List<@Valid @NotNull(message = "is empty") FilledLine> values) {

    /** @param what for the reader; not read back */
    record FilledLine(
            @NotNull(message = "is missing") @Size(max = 80, message = "is no line") String line,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String of,
            Optional<@Size(max = 400, message = "is longer than 400 characters") String> what,
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String value,
            Optional<@Size(max = 16, message = "is no time") String> readAt,
            Optional<@Size(max = 60, message = "is longer than 60 characters") String> instrument) {}

    /** Filled as far as the installation is known. */
    static FilledTemplate of(CaseFile file) {
        return new FilledTemplate(
                RecordSheet.FORMAT,
                file.header().reference(),
                "",
                "",
                Optional.of(""),
                Optional.of(""),
                RecordLines.of(file.facts()).stream()
                        .map(line -> new FilledLine(
                                line.point().id(),
                                line.key().component(),
                                Optional.of(line.point()
                                        .titled(line.subject().title())
                                        .toString()),
                                "",
                                Optional.of(""),
                                Optional.of("")))
                        .toList());
    }

    /** @throws UnsuitableException where it is of another form */
    RecordSheet sheet() {
        if (!format.equals(RecordSheet.FORMAT)) {
            throw new UnsuitableException(
                    "format", Text.of("This reads {format}. Nothing was saved.", RecordSheet.FORMAT));
        }
        List<RecordSheet.Row> rows = new ArrayList<>();
        int number = 0;
        for (FilledLine line : values) {
            number++;
            if (!line.value().isBlank()) {
                rows.add(new RecordSheet.Row(
                        number,
                        line.line(),
                        line.of(),
                        line.value().strip(),
                        line.readAt().filter(text -> !text.isBlank()),
                        line.instrument().filter(text -> !text.isBlank())));
            }
        }
        return new RecordSheet(
                installation,
                signedBy,
                day,
                coldest.filter(text -> !text.isBlank()),
                warmest.filter(text -> !text.isBlank()),
                rows);
    }
}
