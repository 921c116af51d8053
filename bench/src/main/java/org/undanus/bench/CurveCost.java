package org.undanus.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Random;
import org.undanus.core.curve.Rise;
import org.undanus.core.evidence.LoggerFile;
import org.undanus.core.evidence.LoggerGuess;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Trace;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;

/** What a logger's file of a million rows costs: bare parsing, reading it as a curve, and telling a leak from moisture by it. */
public final class CurveCost {
    private static final double STEP_PA = 0.133322;

    private CurveCost() {}

    /** Arguments: rows, runs. */
    public static void main(String... arguments) throws IOException {
        int rows = Integer.parseInt(arguments[0]);
        int runs = Integer.parseInt(arguments[1]);
        Path file = Files.createTempFile("million", ".csv");
        try {
            write(file, rows);
            for (int run = 0; run < runs; run++) {
                long began = System.nanoTime();
                long letters = parsed(file);
                long parsed = System.nanoTime();
                String said = judged(file);
                long judged = System.nanoTime();
                System.out.printf(
                        "bare parse %d ms (%d letters), read and judged %d ms: %s%n",
                        (parsed - began) / 1_000_000, letters, (judged - parsed) / 1_000_000, said);
            }
        } finally {
            Files.delete(file);
        }
    }

    private static void write(Path file, int count) throws IOException {
        Random chance = new Random(1);
        Instant start = Instant.parse("2026-06-03T09:00:00Z");
        try (BufferedWriter rows = Files.newBufferedWriter(file)) {
            rows.write("time,vacuum micron\n");
            for (int i = 0; i < count; i++) {
                double seconds = i / 1000.0;
                double micron = 300 + 250 * (1 - Math.exp(-seconds / 130)) + 2 * chance.nextGaussian();
                rows.write(start.plusMillis(i) + "," + Math.round(micron) + "\n");
            }
        }
    }

    private static long parsed(Path file) throws IOException {
        long letters = 0;
        try (CsvReader<CsvRecord> rows = CsvReader.builder().ofCsvRecord(file)) {
            for (CsvRecord row : rows) {
                letters += row.getField(0).length() + row.getField(1).length();
            }
        }
        return letters;
    }

    private static String judged(Path file) throws IOException {
        byte[] head;
        try (InputStream in = Files.newInputStream(file)) {
            head = in.readNBytes(LoggerGuess.LOOKED_AT + 1);
        }
        LoggerFile.Dialect dialect = LoggerGuess.of(head, ZoneOffset.UTC, Instant.now());
        FieldUnit micron =
                FieldUnit.named(Dimension.ABSOLUTE_PRESSURE, "micron").orElseThrow();
        Outline.Builder outline = new Outline.Builder(Instant.parse("2026-06-03T09:00:00Z"));
        try (InputStream in = Files.newInputStream(file)) {
            List<Trace> traces = LoggerFile.read(
                    in,
                    dialect,
                    List.of(new LoggerFile.Wanted(
                            1,
                            micron,
                            Dimension.ABSOLUTE_PRESSURE,
                            si -> true,
                            (at, value) -> outline.sample(at, micron.toSi(value.doubleValue())))),
                    rows -> {});
            Rise rise = Rise.of(outline.outline(), STEP_PA, 2000);
            return traces.get(0).samples() + " samples, " + rise.model();
        }
    }
}
