package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.quantity.Dimension;

class TraceCsvTest {
    private static Trace read(String csv) {
        return read(csv, new StringBuilder());
    }

    private static Trace read(String csv, StringBuilder written) {
        return TraceCsv.read(
                new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)),
                Dimension.TEMPERATURE,
                si -> si < 400,
                (at, value) -> written.append(TraceCsv.row(at, value)));
    }

    @Test
    void tellsWhatItIsWithoutItsSamples() {
        Trace trace =
                read("time,°F\n2026-06-02T14:05:00+02:00,50.0\n2026-06-02T12:06:00Z,41.25\n2026-06-02T12:08:00Z,59\n");
        assertThat(trace.from()).isEqualTo(Instant.parse("2026-06-02T12:05:00Z"));
        assertThat(trace.lasting()).isEqualTo(Duration.ofMinutes(3));
        assertThat(trace.samples()).isEqualTo(3);
        assertThat(trace.least()).isCloseTo(273.15 + 9.25 / 1.8, within(1e-9));
        assertThat(trace.most()).isCloseTo(273.15 + 15, within(1e-9));
        assertThat(trace.resolution()).as("of the finest value, K").isCloseTo(0.01 / 1.8, within(1e-12));
    }

    @Test
    void itsNameIsTheDigestOfWhatIsWritten() throws Exception {
        StringBuilder rows = new StringBuilder();
        Trace trace = read("Time, °F\r\n2026-06-02T14:05:00+02:00, 50.0\r\n\"2026-06-02T12:06:00Z\",41.25\r\n", rows);
        String written = TraceCsv.heading(trace.unit().symbol()) + rows;
        assertThat(written).isEqualTo("time,°F\n2026-06-02T12:05:00Z,50.0\n2026-06-02T12:06:00Z,41.25\n");
        byte[] digest = MessageDigest.getInstance("SHA-256").digest(written.getBytes(StandardCharsets.UTF_8));
        assertThat(trace.sha256()).isEqualTo(HexFormat.of().formatHex(digest));
        assertThat(read(written)).isEqualTo(trace);
    }

    @Test
    void aMissingValueIsAGap() {
        StringBuilder rows = new StringBuilder();
        read("time,°C\n2026-06-02T12:05:00Z,5\n2026-06-02T12:06:00Z,\n2026-06-02T12:07:00Z,6\n", rows);
        assertThat(rows.toString().lines()).hasSize(2);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    ''                                                                            | two samples at least
                    time,°C                                                                       | two samples at least
                    time,°C;2026-06-02T12:05:00Z,5                                                | two samples at least
                    when,°C;2026-06-02T12:05:00Z,5                                                | heading
                    time,kPa;2026-06-02T12:05:00Z,5                                               | "kPa" in the heading is no unit
                    time,°C,°C;2026-06-02T12:05:00Z,5,5                                           | files of their own
                    time,°C;2026-06-02 12:05,5                                                    | Row 2: "2026-06-02 12:05" is no time
                    time,°C;2026-06-02T12:05:00Z,5;2026-06-02T12:05:00Z,6                         | Row 3: its time is not after
                    time,°C;2026-06-02T12:05:00Z,5;2026-06-02T12:04:00Z,6                         | Row 3: its time is not after
                    time,°C;2026-06-02T12:05:00Z,5 °C                                             | is no number
                    time,°C;2026-06-02T12:05:00Z,"5,1"                                            | is no number
                    time,°C;2026-06-02T12:05:00Z,NaN                                              | is no number
                    time,°C;2026-06-02T12:05:00Z,1e3                                              | is no number
                    time,°C;2026-06-02T12:05:00Z,5;2026-06-02T12:06:00Z,127                       | Row 3: 127 °C is not possible
                    time,°C;-2026-06-02T12:05:00Z,5                                               | is no time
                    """)
    void whatCannotBeTakenIsNamed(String rows, String why) {
        assertThatThrownBy(() -> read(rows.replace(';', '\n')))
                .isInstanceOf(TraceCsv.Unreadable.class)
                .hasMessageContaining(why);
    }

    @Test
    void aPictureIsNoText() {
        assertThatThrownBy(() -> TraceCsv.read(
                        new ByteArrayInputStream(new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, 0, 1, 2, 3}),
                        Dimension.TEMPERATURE,
                        any -> true,
                        (at, value) -> {}))
                .isInstanceOf(TraceCsv.Unreadable.class);
    }
}
