package org.undanus.core.derived;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.Text;

/**
 * The coming days' weather as somebody forecast it: {@code 2026-11-28 4 °C to 12 °C, 2026-11-29 -2 °C to 6 °C}.
 *
 * @param days in order
 */
public record Forecast(List<Day> days) implements Notation.Listing {

    /**
     * A day.
     *
     * @param coldest air of the day, K
     * @param warmest air of the day, K
     */
    public record Day(LocalDate date, double coldest, double warmest) {}

    public static final Notation NOTATION = new Written();

    public Forecast {
        days = List.copyOf(days);
    }

    /** The first day from a date on that suits. */
    public Optional<Day> next(LocalDate from, Predicate<Day> suits) {
        return days.stream()
                .filter(day -> !day.date.isBefore(from))
                .filter(suits)
                .findFirst();
    }

    @Override
    public Text summary() {
        return Text.of("{days} days from {date}", days.size(), days.get(0).date);
    }

    private static final class Written extends ListNotation<Day, Forecast> {
        private static final Pattern DAY = Pattern.compile("(\\d{4}-\\d{2}-\\d{2})\\s+(.+?)\\s+to\\s+(.+)");

        private Written() {
            super("2026-11-28 4 °C to 12 °C, 2026-11-29 -2 °C to 6 °C", "No day is written.");
        }

        @Override
        protected Day part(Place place, List<Day> before) {
            Matcher day = place.matching(DAY, "write day, lowest and highest: 2026-11-28 4 °C to 12 °C");
            double coldest = place.si(day.group(2), Dimension.TEMPERATURE);
            double warmest = place.si(day.group(3), Dimension.TEMPERATURE);
            LocalDate date = date(place, day.group(1));
            if (coldest > warmest) {
                throw place.wrong(
                        "{coldest} is over {warmest}", Temperature.ofKelvin(coldest), Temperature.ofKelvin(warmest));
            }
            if (!before.isEmpty() && !date.isAfter(before.get(before.size() - 1).date)) {
                throw place.wrong("its day is not after the one before");
            }
            return new Day(date, coldest, warmest);
        }

        private static LocalDate date(Place place, String written) {
            try {
                return LocalDate.parse(written);
            } catch (DateTimeParseException e) {
                throw place.wrong("{written} is no day", written);
            }
        }

        @Override
        protected Forecast of(List<Day> days) {
            return new Forecast(days);
        }
    }
}
