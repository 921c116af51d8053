package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.notation.Lengths;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.UnitSystem;

/**
 * Readings of a grid: the unit first, then row by row, {@code Pa: 12 14 15 14 12 / 13 15 16 15 13 / …}. A dash stands for a place
 * that has not been read. On the drawing a place is {@code row x column of rows x columns}.
 */
final class TraverseNotation implements Notation {
    static final TraverseNotation GRID = new TraverseNotation();
    private static final String OPEN = "-";
    private static final double HIGHEST_PRESSURE = 2500;
    private static final double HIGHEST_VELOCITY = 60;

    private TraverseNotation() {}

    /** A grid as it is written: numbers without their unit. */
    private record Written(String unit, List<List<String>> rows) {
        private String text() {
            List<String> lines = rows.stream().map(row -> String.join(" ", row)).toList();
            return unit + ": " + String.join(" / ", lines);
        }
    }

    @Override
    public String example() {
        String row = "12 14 15 14 12";
        return "Pa: " + String.join(" / ", Collections.nCopies(Traverse.FEWEST, row));
    }

    @Override
    public List<String> offered(UnitSystem units) {
        return List.of();
    }

    @Override
    public Editing editing() {
        return Editing.PLACES;
    }

    @Override
    public Traverse read(String typed) {
        Written written = written(typed);
        Dimension dimension = dimension(written.unit);
        List<List<Double>> values = new ArrayList<>();
        int number = 0;
        for (List<String> row : written.rows) {
            List<Double> line = new ArrayList<>();
            for (String reading : row) {
                line.add(reading.equals(OPEN) ? Double.NaN : value(number, reading, written.unit, dimension));
                number++;
            }
            values.add(line);
        }
        int columns = values.get(0).size();
        for (int i = 0; i < values.size(); i++) {
            if (values.get(i).size() != columns) {
                throw new Entry.Unsuitable(
                        "Row {row} has {count} readings, the first {columns}. Write - where a place was not read.",
                        (i + 1),
                        values.get(i).size(),
                        columns);
            }
        }
        if (!lines(values.size()) || !lines(columns)) {
            throw new Entry.Unsuitable(
                    "A grid has {fewest} to {most} rows and columns; this one has {values} by {columns}.",
                    Traverse.FEWEST,
                    Traverse.MOST,
                    values.size(),
                    columns);
        }
        return new Traverse(dimension, written.unit, values, written.rows);
    }

    private static boolean lines(int count) {
        return count >= Traverse.FEWEST && count <= Traverse.MOST;
    }

    private static Dimension dimension(String unit) {
        if (FieldUnit.named(Dimension.PRESSURE_DIFFERENCE, unit).isPresent()) {
            return Dimension.PRESSURE_DIFFERENCE;
        }
        if (FieldUnit.named(Dimension.VELOCITY, unit).isPresent()) {
            return Dimension.VELOCITY;
        }
        throw new Entry.Unsuitable(
                "\"{unit}\" is no unit of velocity pressure or velocity. Begin with Pa:, inwc:, m/s: or fpm:", unit);
    }

    private static double value(int number, String reading, String unit, Dimension dimension) {
        double si = Lengths.si(reading + " " + unit, dimension, why -> Lengths.wrong(number, reading, why));
        double most = dimension == Dimension.VELOCITY ? HIGHEST_VELOCITY : HIGHEST_PRESSURE;
        if (si < 0 || si > most) {
            throw Lengths.wrong(
                    number,
                    reading,
                    si < 0
                            ? "the air does not flow backward; turn the tube and read it again"
                            : "no duct has as much. Is the unit right?");
        }
        return si;
    }

    private static Written written(String typed) {
        int colon = typed.indexOf(':');
        if (colon < 0) {
            throw new Entry.Unsuitable("Begin with the unit: {example}", GRID.example());
        }
        List<List<String>> rows = new ArrayList<>();
        for (String row : typed.substring(colon + 1).split("[/;\\n]")) {
            if (!row.isBlank()) {
                rows.add(List.of(row.strip().split("[\\s]+")));
            }
        }
        if (rows.isEmpty()) {
            throw new Entry.Unsuitable("No reading is written after the unit.");
        }
        return new Written(typed.substring(0, colon).strip(), rows);
    }

    /** @param thing {@code 2x3 of 5x5}, counted from 1 */
    @Override
    public String changed(String typed, String thing, Change change, String other) {
        String[] numbers = thing.split("\\D+");
        if (numbers.length != 4) {
            throw new Entry.Unsuitable("There is no place \"{thing}\".", thing);
        }
        int row = Integer.parseInt(numbers[0]) - 1;
        int column = Integer.parseInt(numbers[1]) - 1;
        int rows = Integer.parseInt(numbers[2]);
        int columns = Integer.parseInt(numbers[3]);
        if (!lines(rows) || !lines(columns) || row < 0 || row >= rows || column < 0 || column >= columns) {
            throw new Entry.Unsuitable("There is no place \"{thing}\".", thing);
        }
        String reading = change == Change.REMOVE ? OPEN : other.strip();
        Optional<Written> before = typed.isBlank() ? Optional.empty() : Optional.of(written(typed));
        Written written = before.filter(
                        grid -> grid.rows.size() == rows && grid.rows.stream().allMatch(r -> r.size() == columns))
                .orElseGet(() ->
                        new Written(unit(reading), Collections.nCopies(rows, Collections.nCopies(columns, OPEN))));
        List<List<String>> grid = new ArrayList<>();
        written.rows.forEach(each -> grid.add(new ArrayList<>(each)));
        grid.get(row).set(column, bare(reading, written.unit));
        return new Written(written.unit, grid).text();
    }

    /** The unit of the first reading; the next ones need not say it again. */
    private static String unit(String reading) {
        String unit = reading.replaceFirst("^[\\d.,/ ½¼¾+-]+", "").strip();
        dimension(unit);
        return unit;
    }

    private static String bare(String reading, String unit) {
        if (reading.equals(OPEN)) {
            return OPEN;
        }
        String number = reading.endsWith(unit)
                ? reading.substring(0, reading.length() - unit.length()).strip()
                : reading;
        try {
            FieldNotation.parse(number + " " + unit, dimension(unit));
        } catch (FieldNotationException e) {
            throw new Entry.Unsuitable(RefusedException.said(e));
        }
        return number;
    }
}
