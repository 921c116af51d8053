package org.undanus.core.derived;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

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
        return Text.of("{} days from {}", days.size(), days.get(0).date);
    }

    private static final class Written implements Notation {
        private static final Pattern DAY = Pattern.compile("(\\d{4}-\\d{2}-\\d{2})\\s+(.+?)\\s+to\\s+(.+)");

        @Override
        public String example() {
            return "2026-11-28 4 °C to 12 °C, 2026-11-29 -2 °C to 6 °C";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of();
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public Forecast read(String typed) {
            List<Part> parts = Notation.parts(typed);
            List<Day> days = new ArrayList<>();
            for (int i = 0; i < parts.size(); i++) {
                int number = i;
                String text = parts.get(i).text();
                Matcher day = DAY.matcher(text);
                if (!day.matches()) {
                    throw Lengths.wrong(i, text, "write day, lowest and highest: 2026-11-28 4 °C to 12 °C");
                }
                double coldest =
                        Lengths.si(day.group(2), Dimension.TEMPERATURE, why -> Lengths.wrong(number, text, why));
                double warmest =
                        Lengths.si(day.group(3), Dimension.TEMPERATURE, why -> Lengths.wrong(number, text, why));
                LocalDate date = date(i, text, day.group(1));
                if (coldest > warmest) {
                    throw Lengths.wrong(
                            i, text, Temperature.ofKelvin(coldest) + " is over " + Temperature.ofKelvin(warmest));
                }
                if (!days.isEmpty() && !date.isAfter(days.get(days.size() - 1).date)) {
                    throw Lengths.wrong(i, text, "its day is not after the one before");
                }
                days.add(new Day(date, coldest, warmest));
            }
            if (days.isEmpty()) {
                throw new Entry.Unsuitable("No day is written. For example: " + example());
            }
            return new Forecast(days);
        }

        private static LocalDate date(int part, String text, String written) {
            try {
                return LocalDate.parse(written);
            } catch (DateTimeParseException e) {
                throw Lengths.wrong(part, text, written + " is no day");
            }
        }
    }
}
