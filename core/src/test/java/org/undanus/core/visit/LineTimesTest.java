package org.undanus.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;

class LineTimesTest {
    private static LineTimes.Read read(String visit, String by, String point, int second) {
        return new LineTimes.Read(visit, by, point, Instant.EPOCH.plusSeconds(second));
    }

    private static double seconds(List<LineTimes.Read> read, String point) {
        return new LineTimes(read).seconds(point, CaseFixture.PLATE_BOOK);
    }

    @Test
    void theBooksTimeGoesOverToWhatWasSeen() {
        assertThat(seconds(List.of(), "a")).isEqualTo(120);
        assertThat(seconds(List.of(read("v", "i", "b", 0), read("v", "i", "a", 30)), "a"))
                .as("five of the book's and one of 30 s")
                .isCloseTo((5 * 120 + 30) / 6.0, within(1e-9));
        List<LineTimes.Read> many = new ArrayList<>();
        for (int i = 0; i <= 500; i++) {
            many.add(read("v", "i", "a", 40 * i));
        }
        assertThat(seconds(many, "a")).isBetween(40.0, 41.0);
    }

    @Test
    void whatSaysNothingOfALineIsLeftOut() {
        for (LineTimes.Read second : List.of(
                read("v", "i", "a", 4), read("v", "i", "a", 901), read("w", "i", "a", 30), read("v", "j", "a", 30))) {
            assertThat(seconds(List.of(read("v", "i", "b", 0), second), "a"))
                    .as(second.toString())
                    .isEqualTo(120);
        }
    }

    @Test
    void theBooksShareGoesOverToTheArchives() {
        assertThat(HourSettings.share(CaseFixture.PLATE_BOOK, 0, 0)).isCloseTo(0.1, within(1e-12));
        assertThat(HourSettings.share(CaseFixture.PLATE_BOOK, 10, 20)).isCloseTo(12 / 40.0, within(1e-12));
    }
}
