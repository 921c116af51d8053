package org.undanus.server.live;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A pack of measurements in SenML's JSON form (RFC 8428): base fields hold for the records after them, times below 2^28 count from
 * now. Numbers in pascals, degrees Celsius or kelvins, amperes, volts, watts or cubic metres a second; texts (vs) say what was done.
 */
final class SenMl {
    /** The version of the format that is understood. */
    private static final int VERSION = 10;

    private static final int MOST_RECORDS = 5000;
    private static final BigDecimal ABSOLUTE_FROM = BigDecimal.valueOf(1L << 28);
    private static final BigDecimal ZERO_CELSIUS = new BigDecimal("273.15");
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9][-A-Za-z0-9:./_]{0,119}");
    private static final Set<String> OTHER_VALUES = Set.of("vb", "vd");

    /** What is measured, by its unit's symbol. */
    private static final Map<String, Kind> UNITS = Map.of(
            "Pa", Kind.PRESSURE,
            "Cel", Kind.TEMPERATURE,
            "K", Kind.TEMPERATURE,
            "A", Kind.CURRENT,
            "V", Kind.VOLTAGE,
            "W", Kind.POWER,
            "m3/s", Kind.FLOW);

    /** What a record is of; whether a pressure is absolute or by gauge, whoever listens knows. */
    enum Kind {
        PRESSURE,
        TEMPERATURE,
        CURRENT,
        VOLTAGE,
        POWER,
        FLOW;

        boolean is(Dimension dimension) {
            return switch (dimension) {
                case GAUGE_PRESSURE, ABSOLUTE_PRESSURE -> this == PRESSURE;
                case TEMPERATURE -> this == TEMPERATURE;
                case CURRENT -> this == CURRENT;
                case VOLTAGE -> this == VOLTAGE;
                case POWER -> this == POWER;
                case VOLUME_FLOW -> this == FLOW;
                default -> false;
            };
        }
    }

    /** @param value in the unit of its kind; a temperature in °C */
    record Measured(int record, String name, Kind kind, Instant at, BigDecimal value) {}

    /** Something that was done. */
    record Done(int record, Instant at, Marks.Act act) {}

    /** What a pack holds. */
    record Pack(List<Measured> measured, List<Done> done) {}

    private final Instant now;
    private final List<Measured> measured = new ArrayList<>();
    private final List<Done> done = new ArrayList<>();
    private String baseName = "";
    private BigDecimal baseTime = BigDecimal.ZERO;
    private String baseUnit = "";
    private BigDecimal baseValue = BigDecimal.ZERO;

    private SenMl(Instant now) {
        this.now = now;
    }

    /**
     * Reads a pack.
     *
     * @throws UnsuitableException naming the record that cannot be taken
     */
    static Pack read(byte[] pack, Instant now, JsonMapper json) {
        JsonNode records;
        try {
            records = json.readTree(pack);
        } catch (JacksonException e) {
            throw new UnsuitableException("senml", Text.of("The pack is not JSON: {place}.", place(e)));
        }
        if (records == null || !records.isArray() || records.isEmpty() || records.size() > MOST_RECORDS) {
            throw new UnsuitableException(
                    "senml", Text.of("A pack is a list of 1 to {mostRecords} records.", MOST_RECORDS));
        }
        SenMl reading = new SenMl(now);
        for (int i = 0; i < records.size(); i++) {
            reading.record(i + 1, records.get(i));
        }
        return new Pack(reading.measured, reading.done);
    }

    private static String place(JacksonException e) {
        return e.getLocation() == null
                ? "it ends early"
                : "line " + e.getLocation().getLineNr();
    }

    private void record(int number, JsonNode record) {
        if (!record.isObject()) {
            throw wrong(number, "it is no object");
        }
        for (String field : record.propertyNames()) {
            if (field.endsWith("_")) {
                throw wrong(number, "\"{field}\" must be understood and is not", field);
            }
        }
        if (record.has("bver") && record.path("bver").asInt(Integer.MAX_VALUE) > VERSION) {
            throw wrong(number, "its version is newer than {version}", VERSION);
        }
        baseName = record.has("bn") ? text(number, record, "bn") : baseName;
        baseTime = record.has("bt") ? number(number, record, "bt") : baseTime;
        baseUnit = record.has("bu") ? text(number, record, "bu") : baseUnit;
        baseValue = record.has("bv") ? number(number, record, "bv") : baseValue;
        if (OTHER_VALUES.stream().anyMatch(record::has) || record.has("s")) {
            throw wrong(number, "only numbers in v and texts in vs are taken");
        }
        if (record.has("vs")) {
            done.add(new Done(number, time(number, record), act(number, text(number, record, "vs"))));
        }
        if (!record.has("v")) {
            return;
        }
        String name = baseName + (record.has("n") ? text(number, record, "n") : "");
        if (!NAME.matcher(name).matches()) {
            throw wrong(number, "\"{name}\" is no name", name);
        }
        String unit = record.has("u") ? text(number, record, "u") : baseUnit;
        Kind kind = UNITS.get(unit);
        if (kind == null) {
            throw wrong(number, "\"{unit}\" is none of Pa, Cel and K", unit);
        }
        BigDecimal value = baseValue.add(number(number, record, "v"));
        measured.add(new Measured(
                number, name, kind, time(number, record), unit.equals("K") ? value.subtract(ZERO_CELSIUS) : value));
    }

    private static Marks.Act act(int number, String said) {
        return Marks.Act.named(said)
                .orElseThrow(() -> wrong(
                        number,
                        "\"" + said + "\" is none of "
                                + Arrays.stream(Marks.Act.values())
                                        .map(Marks.Act::title)
                                        .collect(Collectors.joining(", "))));
    }

    private Instant time(int number, JsonNode record) {
        BigDecimal time = baseTime.add(record.has("t") ? number(number, record, "t") : BigDecimal.ZERO);
        try {
            BigDecimal millis = time.movePointRight(3);
            return time.compareTo(ABSOLUTE_FROM) < 0
                    ? now.plusMillis(millis.longValue())
                    : Instant.ofEpochMilli(millis.longValue());
        } catch (DateTimeException | ArithmeticException e) {
            throw wrong(number, "its time is none");
        }
    }

    private static String text(int number, JsonNode record, String field) {
        if (!record.path(field).isString()) {
            throw wrong(number, "{field} is no text", field);
        }
        return record.path(field).asString();
    }

    private static BigDecimal number(int number, JsonNode record, String field) {
        JsonNode value = record.path(field);
        if (!value.isNumber() || Math.abs(value.asDouble()) > 1e12) {
            throw wrong(number, "{field} is no number", field);
        }
        return value.decimalValue();
    }

    private static UnsuitableException wrong(int number, String why, Object... arguments) {
        return new UnsuitableException(
                "senml",
                Text.of("Record {number}: {why}. Nothing of the pack was taken.", number, Text.of(why, arguments)));
    }
}
