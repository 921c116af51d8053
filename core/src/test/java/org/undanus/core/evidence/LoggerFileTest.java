package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.evidence.LoggerFile.Clock;
import org.undanus.core.evidence.LoggerFile.Dialect;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;

class LoggerFileTest {
    private static final Instant START = Instant.parse("2026-06-03T09:14:05Z");
    private static final ZoneId LAKE = ZoneId.of("America/Chicago");

    private final List<Instant> times = new ArrayList<>();
    private final List<BigDecimal> values = new ArrayList<>();

    private static Dialect guess(String file) {
        return LoggerGuess.of(file.getBytes(StandardCharsets.UTF_8), LAKE, START);
    }

    private Trace read(String file) {
        return read(file, guess(file));
    }

    private Trace read(String file, Dialect dialect) {
        int column = dialect.values().get(0);
        FieldUnit unit = LoggerGuess.unit(dialect.columns().get(column), Dimension.ABSOLUTE_PRESSURE)
                .orElse(FieldUnit.named(Dimension.ABSOLUTE_PRESSURE, "Pa").orElseThrow());
        return LoggerFile.read(
                        new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)),
                        dialect,
                        List.of(new LoggerFile.Wanted(
                                column, unit, Dimension.ABSOLUTE_PRESSURE, si -> si >= 0, (at, value) -> {
                                    times.add(at);
                                    values.add(value);
                                })),
                        rows -> {})
                .get(0);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "'time,vacuum micron\n2026-06-03T09:14:05Z,301\n2026-06-03T09:14:10Z,327\n', YEAR_FIRST, 1, ','",
        "'a log\n\"Date/Time\",\"vacuum micron\"\n\"06/03/2026 04:14:05 AM\",298\n\"06/03/2026 04:14:10 AM\",321\n',"
                + " MONTH_FIRST, 2, ','",
        "'Messwerte;;\nDatum;Uhrzeit;Vakuum Mikron\n03.06.2026;04:14:05;302,00\n03.06.2026;04:14:10;305,00\n',"
                + " DAY_FIRST, 2, ;",
        "'elapsed_s\tvacuum micron\n0\t295\n5\t304\n', SECONDS, 1, '\t'",
        "'elapsed min;p [Pa]\n0;39,5\n0,0833333;40,1\n', MINUTES, 1, ;",
        "'2026-06-03 04:14:05,40.1\n2026-06-03 04:14:10,40.2\n', YEAR_FIRST, 0, ','",
        "'23/06/2026 04:14;40.1\n23/06/2026 04:15;40.2\n', DAY_FIRST, 0, ;",
    })
    void everyDialectIsGuessed(String file, Clock clock, int headings, char delimiter) {
        Dialect dialect = guess(file);
        assertThat(dialect.clock()).isEqualTo(clock);
        assertThat(dialect.headings()).isEqualTo(headings);
        assertThat(dialect.delimiter()).isEqualTo(delimiter);
        Trace trace = read(file);
        assertThat(trace.samples()).isEqualTo(2);
        if (headings > 0) {
            assertThat(times.get(0)).isEqualTo(START);
            assertThat(trace.to()).isBetween(START.plusMillis(4990), START.plusMillis(5010));
        }
    }

    @Test
    void aLettersCodeOfAnotherTimeIsReadToo() {
        byte[] western = "time;wall °C\n2026-06-03T09:14:05Z;21,5\n2026-06-03T09:14:06Z;21,6\n"
                .getBytes(Charset.forName("windows-1252"));
        Dialect dialect = LoggerGuess.of(western, ZoneOffset.UTC, START);
        assertThat(dialect.encoding()).isEqualTo("windows-1252");
        assertThat(LoggerGuess.unit(dialect.columns().get(1), Dimension.TEMPERATURE))
                .isPresent();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "P1 [mbar], mbar",
        "Vacuum (Pa), Pa",
        "vacuum_micron, micron",
        "low side micron, micron",
    })
    void unitsAreToldFromHeadings(String heading, String unit) {
        assertThat(LoggerGuess.unit(heading, Dimension.ABSOLUTE_PRESSURE)
                        .orElseThrow()
                        .symbol())
                .isEqualTo(unit);
        assertThat(LoggerGuess.unit(heading, Dimension.TEMPERATURE)).isEmpty();
    }

    @Test
    void theHourThatComesTwiceGoesOnAndTheOneLeftOutIsRefused() {
        StringBuilder autumn = new StringBuilder("time;Pa\n");
        for (String at : List.of("00:30:00", "01:30:00", "01:59:00", "01:00:00", "01:30:00", "02:00:00")) {
            autumn.append("2026-11-01 ").append(at).append(";40\n");
        }
        read(autumn.toString());
        assertThat(times.get(3)).isEqualTo(times.get(2).plusSeconds(60));
        assertThat(times.get(5)).isEqualTo(times.get(4).plusSeconds(1800));
        assertThatThrownBy(() -> read("time;Pa\n2026-03-08 01:30:00;40\n2026-03-08 02:30:00;41\n"))
                .hasMessageContaining("Row 3")
                .hasMessageContaining("clocks were put forward");
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource({
        "'2026-06-03 04:14:05;40\n2026-06-03 04:14:04;41\n', Row 3: its time is not after",
        "'2026-06-03 04:14:05;40\n2026-06-03 04:14:06;forty\n', Row 3: \"forty\"",
        "'2026-06-03 04:14:05;40\n2026-06-03 04:14:06;-3\n', Row 3: -3 Pa is not possible",
        "'2026-06-03 04:14:05;40\n2026-06-03 04:14:06;41 psi\n', Row 3: \"41 psi\" is not in Pa",
        "'2026-06-03 04:14:05;40\n2026-13-03 04:14:06;41\n', Row 3: \"2026-13-03 04:14:06\"",
        "'2026-06-03 04:14:05;40\n;41\n', Row 3: it has no time",
        "'2026-06-03 04:14:05;40\n3026-06-03 04:14:06;41\n', Row 3: \"3026-06-03 04:14:06\" is no time",
    })
    void whatCannotBeTakenIsNamedByItsRow(String rows, String said) {
        String good = "time;Pa\n2026-06-03 04:14:05;40\n2026-06-03 04:14:06;41\n";
        assertThatThrownBy(() -> read("time;Pa\n" + rows, guess(good))).hasMessageContaining(said);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "just words", "a,b\nc,d\n", "time,Pa\n2026-06-03 04:14:05,40\n"})
    void whatLooksLikeNoLogIsRefused(String file) {
        assertThatThrownBy(() -> guess(file)).isInstanceOf(TraceCsv.Unreadable.class);
    }

    @Test
    void aBinaryFileIsRefused() {
        assertThatThrownBy(() -> LoggerGuess.of(new byte[] {80, 75, 3, 4, 0, 0}, LAKE, START))
                .hasMessageContaining("no text file");
    }

    @Test
    void anOutlineKeepsEverySpikeInConstantMemory() {
        Outline.Builder builder = new Outline.Builder(START);
        for (int i = 0; i < 100_000; i++) {
            builder.sample(START.plusMillis(100L * i), i == 54_321 ? 9000 : 40);
        }
        Outline outline = builder.outline();
        assertThat(outline.size()).isBetween(Outline.MOST / 2, Outline.MOST);
        double most = 0;
        for (int i = 0; i < outline.size(); i++) {
            most = Math.max(most, outline.most(i));
        }
        assertThat(most).isEqualTo(9000);
        assertThat(outline.lasting()).isCloseTo(10_000, within(50.0));
        assertThat(outline.at(-5)).isEqualTo(40);
        assertThat(outline.between(100, 200).size()).isBetween(3, 10);
    }
}
