package org.undanus.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.undanus.core.audit.Found.Consistency.CANNOT_TELL;
import static org.undanus.core.audit.Found.Consistency.CONSISTENT;
import static org.undanus.core.audit.Found.Consistency.DOUBTFUL;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.evidence.Traces;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.Site;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;

/** Each check with a record that fits, one that does not, and one of which nothing can be told. */
class ChecksTest {
    private static final RuleBook RULES = CaseFixture.PLATE_BOOK;
    private static final LocalDate DAY = LocalDate.of(2026, 7, 9);
    private static final String LINE = "@line-set-indoor=";
    private static final String OUT = "@outdoor=";
    private static final String IN = "@indoor=";
    private static final String ALL = "@system=";
    private static final double POUND = 6894.757;

    private static final Instrument GAUGE = new Instrument(
            "gauge-1",
            "Gauge set",
            InstrumentKind.GAUGE,
            Instrument.plain("g", "g", InstrumentKind.GAUGE, new Accuracy(0.01, 0, 0, 0, 5 * POUND))
                    .channels(),
            List.of(),
            false,
            Optional.empty(),
            List.of(new Instrument.Calibration(LocalDate.of(2025, 12, 1), 12, "SC-1")));

    /** What a check makes of some lines; each is written point@component=value, with |time or |#instrument behind it. */
    record Sample(String check, Found.Consistency outcome, String part, List<String> lines) {
        @Override
        public String toString() {
            return check + " " + outcome + " " + part;
        }
    }

    private static Sample sample(String check, Found.Consistency outcome, String part, String... lines) {
        return new Sample(check, outcome, part, List.of(lines));
    }

    private static final String R410A = "plate.refrigerant" + OUT + "R410A";

    private static String[] split(String airflow, String supply) {
        return new String[] {
            "plate.model" + OUT + "WS-12",
            "plate.model" + IN + "WS-12 I",
            "operation.mode" + ALL + "cooling",
            "running.outdoor-dry-bulb" + ALL + "95 °F",
            "running.return-dry-bulb" + IN + "78 °F",
            "running.return-wet-bulb" + IN + "65 °F",
            "running.supply-dry-bulb" + IN + supply,
            "running.airflow" + IN + airflow
        };
    }

    private static String[] hold(String first, String cold, String last, String warm) {
        return new String[] {
            "tightness.start-pressure" + LINE + first,
            "tightness.start-temperature" + LINE + cold,
            "tightness.end-pressure" + LINE + last,
            "tightness.end-temperature" + LINE + warm
        };
    }

    private static String[] pull(String time, String reached) {
        return new String[] {
            "piping.run" + LINE + "60 ft, elbow, 8 ft",
            "piping.liquid-line" + LINE + "3/8 in",
            "piping.suction-line" + LINE + "3/4 in",
            "evacuation.pump-speed" + LINE + "3 cfm",
            "evacuation.hose-bore" + LINE + "1/4 in",
            "evacuation.hose-length" + LINE + "5 ft",
            "evacuation.pull-time" + LINE + time,
            "evacuation.reached" + LINE + reached
        };
    }

    private static String[] weights(String before, String after) {
        return new String[] {
            "piping.run" + LINE + "80 ft, elbow, 8 ft",
            "plate.charge" + OUT + "5.2 lb",
            "plate.precharged-length" + OUT + "15 ft",
            "plate.extra-charge" + OUT + "0.6 oz/ft",
            "charge.cylinder-before" + OUT + before,
            "charge.cylinder-after" + OUT + after
        };
    }

    private static String[] energy(String flow, String current) {
        return new String[] {
            "running.airflow" + IN + flow,
            "running.return-dry-bulb" + IN + "78 °F",
            "running.supply-dry-bulb" + IN + "58 °F",
            "running.outdoor-dry-bulb" + ALL + "95 °F",
            "electrical.running-voltage" + OUT + "230 V",
            "electrical.running-current" + OUT + current
        };
    }

    private static String[] water(String caught) {
        return new String[] {
            "running.airflow" + IN + "1200 cfm",
            "running.return-dry-bulb" + IN + "80.0 °F",
            "running.return-wet-bulb" + IN + "67.0 °F",
            "running.supply-dry-bulb" + IN + "58.0 °F",
            "running.supply-wet-bulb" + IN + "56.0 °F",
            "record.condensate" + IN + caught
        };
    }

    private static String[] statics(String flow) {
        return new String[] {
            "plate.model" + IN + "DX-42 A",
            "running.airflow" + IN + flow,
            "airside.static-return@duct-system-indoor=-0.2 inwc",
            "airside.static-supply@duct-system-indoor=0.3 inwc"
        };
    }

    private static String[] steps(String ended, String pump) {
        return new String[] {
            "record.test-begun" + LINE + "yes|2026-07-09 08:00",
            "record.test-ended" + LINE + "yes|" + ended,
            "record.pump-on" + LINE + "yes|" + pump
        };
    }

    private static String[] ran(String minutes) {
        return new String[] {
            "record.started" + LINE + "yes|2026-07-09 12:00",
            "charge.suction-pressure" + OUT + "118 psig|2026-07-09 12:25",
            "operation.run-time" + ALL + minutes
        };
    }

    private static String[] cooling(String liquid) {
        return new String[] {
            "operation.mode" + ALL + "cooling",
            "running.outdoor-dry-bulb" + ALL + "95.0 °F",
            "charge.liquid-temperature" + OUT + liquid
        };
    }

    private static Stream<Sample> samples() {
        return Stream.of(
                sample("record.pressure-hold", CONSISTENT, "", hold("430 psig", "84 °F", "417 psig", "68 °F")),
                sample("record.pressure-hold", CONSISTENT, "a loss", hold("430 psig", "84 °F", "380 psig", "68 °F")),
                sample("record.pressure-hold", DOUBTFUL, "stood at", hold("430 psig", "84 °F", "430 psig", "68 °F")),
                sample(
                        "record.pressure-hold",
                        DOUBTFUL,
                        "the record says",
                        hold("430 psig", "84 °F", "445 psig", "84 °F")),
                sample("record.pressure-hold", CANNOT_TELL, "lacks", "tightness.start-pressure" + LINE + "430 psig"),
                sample(
                        "record.saturation-suction",
                        CONSISTENT,
                        "",
                        R410A,
                        "charge.suction-pressure" + OUT + "118 psig",
                        "record.evaporating" + OUT + "40 °F"),
                sample(
                        "record.saturation-suction",
                        DOUBTFUL,
                        "condenses",
                        R410A,
                        "charge.suction-pressure" + OUT + "118 psig",
                        "record.evaporating" + OUT + "50 °F"),
                sample(
                        "record.saturation-suction",
                        CANNOT_TELL,
                        "which refrigerant",
                        "charge.suction-pressure" + OUT + "118 psig",
                        "record.evaporating" + OUT + "40 °F"),
                sample(
                        "record.saturation-liquid",
                        DOUBTFUL,
                        "boils",
                        R410A,
                        "charge.liquid-pressure" + OUT + "340 psig",
                        "record.condensing" + OUT + "120 °F"),
                sample(
                        "record.superheat-arithmetic",
                        CONSISTENT,
                        "",
                        "record.superheat" + OUT + "10 °F",
                        "charge.suction-temperature" + OUT + "50 °F",
                        "record.evaporating" + OUT + "40 °F"),
                sample(
                        "record.superheat-arithmetic",
                        DOUBTFUL,
                        "less",
                        "record.superheat" + OUT + "10 °F",
                        "charge.suction-temperature" + OUT + "56 °F",
                        "record.evaporating" + OUT + "40 °F"),
                sample("record.superheat-arithmetic", CANNOT_TELL, "lacks", "record.superheat" + OUT + "10 °F"),
                sample(
                        "record.subcooling-arithmetic",
                        DOUBTFUL,
                        "less",
                        "record.subcooling" + OUT + "10 °F",
                        "record.condensing" + OUT + "110 °F",
                        "charge.liquid-temperature" + OUT + "106 °F"),
                sample(
                        "record.split-arithmetic",
                        CONSISTENT,
                        "",
                        "record.split" + IN + "20 °F",
                        "running.return-dry-bulb" + IN + "78 °F",
                        "running.supply-dry-bulb" + IN + "58 °F"),
                sample(
                        "record.split-arithmetic",
                        DOUBTFUL,
                        "",
                        "record.split" + IN + "20 °F",
                        "running.return-dry-bulb" + IN + "78 °F",
                        "running.supply-dry-bulb" + IN + "64 °F"),
                sample("record.pull-down", CONSISTENT, "at least", pull("40 min", "200 micron")),
                sample("record.pull-down", DOUBTFUL, "at least", pull("1 min", "5 micron")),
                sample(
                        "record.pull-down",
                        CANNOT_TELL,
                        "the volume is not",
                        Stream.of(pull("1 min", "5 micron")).skip(1).toArray(String[]::new)),
                sample(
                        "record.vacuum-shape",
                        DOUBTFUL,
                        "one line",
                        "evacuation.readings" + LINE
                                + "0 min 200 micron, 1 min 210, 2 min 220, 3 min 230, 4 min 240, 5 min 250, 6 min 260"),
                sample(
                        "record.vacuum-shape",
                        CONSISTENT,
                        "",
                        "evacuation.readings" + LINE
                                + "0 min 200 micron, 1 min 214, 2 min 219, 3 min 233, 4 min 238, 5 min 252, 6 min 257"),
                sample(
                        "record.vacuum-shape",
                        CANNOT_TELL,
                        "Fewer",
                        "evacuation.readings" + LINE + "0 min 200 micron, 5 min 250"),
                sample(
                        "record.pressure-shape",
                        CANNOT_TELL,
                        "rounding hides",
                        "tightness.pressure-readings" + LINE + "8:00 430 psig, 8:10 430, 8:20 430, 8:30 430, 8:40 430"),
                sample(
                        "record.hold-covered",
                        CONSISTENT,
                        "",
                        "tightness.hold-time" + LINE + "60 min",
                        "tightness.pressure-readings" + LINE + "8:00 430 psig, 8:30 431, 9:00 431"),
                sample(
                        "record.hold-covered",
                        DOUBTFUL,
                        "held for",
                        "tightness.hold-time" + LINE + "24 h",
                        "tightness.pressure-readings" + LINE + "8:00 430 psig, 8:10 430"),
                sample("record.hold-covered", CANNOT_TELL, "lacks", "tightness.hold-time" + LINE + "24 h"),
                sample(
                        "record.resolution",
                        CONSISTENT,
                        "as coarse",
                        "charge.suction-pressure" + OUT + "115 psig|#gauge-1",
                        "charge.liquid-pressure" + OUT + "340 psig"),
                sample(
                        "record.resolution",
                        DOUBTFUL,
                        "does not show",
                        "charge.suction-pressure" + OUT + "117.3 psig|#gauge-1"),
                sample("record.resolution", CANNOT_TELL, "No value", "charge.suction-pressure" + OUT + "117.3 psig"),
                sample("record.charge-length", CONSISTENT, "", weights("20.0 lb", "17.3 lb")),
                sample("record.charge-length", DOUBTFUL, "left the cylinder", weights("20.0 lb", "12.0 lb")),
                sample(
                        "record.charge-length",
                        CANNOT_TELL,
                        "is not known",
                        Stream.of(weights("20.0 lb", "17.3 lb")).skip(1).toArray(String[]::new)),
                sample("record.energy", CONSISTENT, "best machine", energy("1200 cfm", "14 A")),
                sample("record.energy", DOUBTFUL, "best machine", energy("1200 cfm", "1.0 A")),
                sample(
                        "record.energy",
                        CANNOT_TELL,
                        "lacks",
                        Stream.of(energy("1200 cfm", "14 A")).limit(5).toArray(String[]::new)),
                sample(
                        "record.power",
                        CONSISTENT,
                        "",
                        "running.power" + ALL + "2.9 kW",
                        "electrical.running-voltage" + OUT + "230 V",
                        "electrical.running-current" + OUT + "14 A"),
                sample(
                        "record.power",
                        DOUBTFUL,
                        "were taken",
                        "running.power" + ALL + "5.9 kW",
                        "electrical.running-voltage" + OUT + "230 V",
                        "electrical.running-current" + OUT + "14 A"),
                sample("record.power", CANNOT_TELL, "lacks", "running.power" + ALL + "5.9 kW"),
                sample("record.airflow-static", CONSISTENT, "table gives", statics("1200 cfm")),
                sample("record.airflow-static", DOUBTFUL, "table gives", statics("2400 cfm")),
                sample("record.airflow-static", CANNOT_TELL, "No fan table", "running.airflow" + IN + "1200 cfm"),
                sample("record.split-airflow", CONSISTENT, "rated coil", split("1200 cfm", "57 °F")),
                sample("record.split-airflow", DOUBTFUL, "rated coil", split("1200 cfm", "46 °F")),
                sample("record.split-airflow", DOUBTFUL, "rated coil", split("2000 cfm", "55 °F")),
                sample("record.split-airflow", CANNOT_TELL, "far from the rated", split("6000 cfm", "57 °F")),
                sample("record.condensate-air", CONSISTENT, "caught", water("4.5 L/h")),
                sample("record.condensate-air", DOUBTFUL, "caught", water("20 L/h")),
                sample("record.condensate-air", CANNOT_TELL, "lacks", "record.condensate" + IN + "4 L/h"),
                sample("record.running-clock", CONSISTENT, "passed", ran("25 min")),
                sample("record.running-clock", DOUBTFUL, "passed", ran("90 min")),
                sample("record.running-clock", CANNOT_TELL, "lacks", "operation.run-time" + ALL + "25 min"),
                sample("record.order", CONSISTENT, "follow", steps("2026-07-09 10:00", "2026-07-09 10:10")),
                sample("record.order", DOUBTFUL, "has to come before", steps("2026-07-09 10:00", "2026-07-09 09:10")),
                sample("record.order", CANNOT_TELL, "Fewer than two", "record.pump-on" + LINE + "yes|2026-07-09 09:10"),
                sample("record.weather", CONSISTENT, "That day had", "running.outdoor-dry-bulb" + ALL + "86 °F"),
                sample("record.weather", DOUBTFUL, "That day had", "running.outdoor-dry-bulb" + ALL + "120 °F"),
                sample("record.weather", CANNOT_TELL, "lacks", "record.pump-on" + LINE + "yes"),
                sample("record.barometer", CONSISTENT, "", "charge.barometer" + ALL + "27.7 inHg"),
                sample("record.barometer", DOUBTFUL, "the record says", "charge.barometer" + ALL + "29.92 inHg"),
                sample("record.barometer", CANNOT_TELL, "lacks", "record.pump-on" + LINE + "yes"),
                sample("record.heat-flow", CONSISTENT, "So it goes", cooling("102.0 °F")),
                sample("record.heat-flow", DOUBTFUL, "never the colder", cooling("55.0 °F")),
                sample("record.heat-flow", CANNOT_TELL, "no two", "charge.liquid-temperature" + OUT + "55 °F"),
                sample(
                        "record.plate",
                        CONSISTENT,
                        "those of the sheet",
                        "plate.model" + OUT + "WS-12",
                        "plate.minimum-circuit-ampacity" + OUT + "12 A"),
                sample(
                        "record.plate",
                        DOUBTFUL,
                        "the sheet of WS-12 says",
                        "plate.model" + OUT + "WS-12",
                        "plate.minimum-circuit-ampacity" + OUT + "15 A"),
                sample("record.plate", DOUBTFUL, "R32", "plate.model" + OUT + "WS-12", R410A),
                sample("record.plate", CANNOT_TELL, "No sheet", "plate.model" + OUT + "XX-1"),
                sample(
                        "record.instruments",
                        CONSISTENT,
                        "in calibration",
                        "charge.suction-pressure" + OUT + "115 psig|#gauge-1"),
                sample(
                        "record.instruments",
                        CANNOT_TELL,
                        "No instrument",
                        "charge.suction-pressure" + OUT + "115 psig|#other"),
                sample("record.standards", CONSISTENT, "out by then", "record.standards" + ALL + "EN 378-2:2016"),
                sample("record.standards", DOUBTFUL, "was not out", "record.standards" + ALL + "ISO 5149-2:2031"),
                sample("record.standards", CANNOT_TELL, "no standard", "record.standards" + ALL + "local code"));
    }

    private static Claim claim(String line) {
        String[] halves = line.split("=", 2);
        String[] key = halves[0].split("@");
        String[] said = halves[1].split("\\|");
        Optional<String> more = said.length > 1 ? Optional.of(said[1]) : Optional.empty();
        Point point = RecordLines.point(key[0]).orElseThrow();
        return Claim.of(
                UUID.nameUUIDFromBytes(line.getBytes(StandardCharsets.UTF_8)),
                new PointKey(key[0], key[1]),
                said[0],
                Entry.understand(Refrigerants.SHIPPED.asked(point), said[0], RULES.accuracy(point.instrument())),
                more.filter(text -> !text.startsWith("#")).map(text -> LocalDateTime.parse(text.replace(' ', 'T'))),
                more.filter(text -> text.startsWith("#")).map(text -> text.substring(1)),
                Traces.NONE);
    }

    private static Reading own(String line) {
        String[] halves = line.split("=", 2);
        String[] key = halves[0].split("@");
        Point point = Walk.point(key[0]).orElseThrow();
        Entry.Understood understood =
                Entry.understand(Refrigerants.SHIPPED.asked(point), halves[1], RULES.accuracy(point.instrument()));
        return new Reading(
                UUID.nameUUIDFromBytes(("own" + line).getBytes(StandardCharsets.UTF_8)),
                new PointKey(key[0], key[1]),
                halves[1],
                understood.value(),
                understood.unit(),
                Optional.empty(),
                Grade.WITNESSED,
                "inspector",
                Instant.EPOCH,
                Stage.FINAL,
                false);
    }

    private static DataSheet withFan() {
        return CaseFixture.listing(
                DataSheet.of("Ondrel", "DX-42 A", "4500"),
                List.of(),
                List.of(
                        new DataSheet.FanPoint(
                                PressureDifference.ofPascals(50), VolumeFlow.ofCubicMetresPerSecond(0.68)),
                        new DataSheet.FanPoint(
                                PressureDifference.ofPascals(200), VolumeFlow.ofCubicMetresPerSecond(0.45))));
    }

    private static Case facts() {
        return new Case(
                new Site("Herbarium", Length.ofMetres(640)),
                List.of(
                        new Component("outdoor", Component.Kind.OUTDOOR, "Outdoor unit", true),
                        new Component("indoor", Component.Kind.INDOOR_DUCTED, "Air handler", false)),
                DataSheets.of(List.of(CaseFixture.outdoorSheet(), withFan())),
                DAY,
                Stage.FINAL,
                false,
                new Toolcase(List.of(GAUGE)),
                Optional.empty(),
                List.of(),
                Traces.NONE,
                Refrigerants.SHIPPED);
    }

    private static CommissioningRecord record(LocalDate on, List<String> lines) {
        return new CommissioningRecord(
                "r",
                "LH-05",
                "Herbarium",
                "Dunmarrow",
                "Fitter",
                on,
                Optional.of(new CommissioningRecord.DayWeather(Temperature.ofCelsius(16), Temperature.ofCelsius(31))),
                lines.stream()
                        .filter(line -> RecordLines.point(line.split("@")[0]).isPresent())
                        .map(ChecksTest::claim)
                        .toList());
    }

    private static List<Found> audit(LocalDate on, List<String> lines, List<String> own) {
        List<Reading> read = new ArrayList<>(own.stream().map(ChecksTest::own).toList());
        // plates and pipes that only an inspector reads
        lines.stream()
                .filter(line -> RecordLines.point(line.split("@")[0]).isEmpty())
                .map(ChecksTest::own)
                .forEach(read::add);
        return Auditor.audit(facts(), record(on, lines), Evidence.of(read), RULES);
    }

    private static Found of(List<Found> found, String check) {
        return found.stream()
                .filter(each -> each.about().id().equals(check))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("samples")
    void eachCheckSaysWhatItCan(Sample sample) {
        Found found = of(audit(DAY, sample.lines(), List.of()), sample.check());
        assertThat(found.outcome()).as("%s, %s", found.because(), found.doubt()).isEqualTo(sample.outcome());
        assertThat(found.because().toString()).contains(sample.part());
        assertThat(found.doubt().isPresent()).isEqualTo(sample.outcome() != CANNOT_TELL);
    }

    @Test
    void everyCheckHasASampleOfEachOutcome() {
        Set<String> sampled = samples().map(Sample::check).collect(Collectors.toSet());
        assertThat(Auditor.abouts())
                .filteredOn(about -> !about.equals(AgainstOwn.ABOUT))
                .extracting(AboutCheck::id)
                .containsExactlyInAnyOrderElementsOf(sampled);
        assertThat(Auditor.abouts()).allSatisfy(about -> {
            assertThat(about.innocent()).as(about.id()).isNotEmpty();
            assertThat(about.asks()).as(about.id()).endsWith(about.id().equals("record.plate") ? "." : "?");
            assertThat(about.sources()).as(about.id()).isNotEmpty();
            assertThat(about.shows() + about.cannot()).as(about.id()).isNotBlank();
        });
    }

    @Test
    void anInstrumentIsOutOfCalibrationTheDayAfterItsLast() {
        List<String> lines = List.of("charge.suction-pressure" + OUT + "115 psig|#gauge-1");
        assertThat(of(audit(LocalDate.of(2026, 12, 1), lines, List.of()), "record.instruments")
                        .outcome())
                .isEqualTo(CONSISTENT);
        assertThat(of(audit(LocalDate.of(2026, 12, 2), lines, List.of()), "record.instruments")
                        .outcome())
                .isEqualTo(DOUBTFUL);
    }

    @Test
    void anHonestMistakeIsNamed() {
        Found other = of(
                audit(
                        DAY,
                        List.of(
                                R410A,
                                "charge.suction-pressure" + OUT + "118 psig",
                                "record.evaporating" + OUT + "68.4 °F"),
                        List.of()),
                "record.saturation-suction");
        assertThat(other.mistake().orElseThrow().toString()).contains("R22");
        Found sea = of(audit(DAY, List.of("charge.barometer" + ALL + "29.92 inHg"), List.of()), "record.barometer");
        assertThat(sea.mistake().orElseThrow().toString()).contains("sea level");
        Found pounds = of(audit(DAY, List.of(weights("20.00 kg", "17.26 kg")), List.of()), "record.charge-length");
        assertThat(pounds.outcome()).isEqualTo(DOUBTFUL);
        assertThat(pounds.mistake().orElseThrow().toString()).contains("pounds");
    }

    @Test
    void ownReadingsAgreeDisagreeOrCannotBeCompared() {
        String pressure = "charge.suction-pressure" + OUT;
        assertThat(own(pressure + "118 psig", pressure + "121 psig").outcome()).isEqualTo(CONSISTENT);
        assertThat(own(pressure + "118 psig", pressure + "80 psig").outcome()).isEqualTo(DOUBTFUL);
        assertThat(own("plate.model" + OUT + "WS-12", "plate.model" + OUT + "WS-18")
                        .outcome())
                .isEqualTo(DOUBTFUL);
        List<Found> otherMode = audit(
                DAY,
                List.of(pressure + "118 psig", "operation.mode" + ALL + "cooling"),
                List.of(pressure + "80 psig", "operation.mode" + ALL + "heating"));
        assertThat(otherMode)
                .filteredOn(found -> found.about().equals(AgainstOwn.ABOUT)
                        && found.subject().equals("outdoor"))
                .singleElement()
                .satisfies(found -> assertThat(found.outcome()).isEqualTo(CANNOT_TELL));
        PointKey line = new PointKey("charge.suction-pressure", "outdoor");
        assertThat(Agreement.of(line, List.of(own(pressure + "118 psig", pressure + "121 psig"))))
                .isEqualTo(Agreement.AGREES);
        assertThat(Agreement.of(line, List.of(own(pressure + "118 psig", pressure + "80 psig"))))
                .isEqualTo(Agreement.DISAGREES);
        assertThat(Agreement.of(line, otherMode)).isEqualTo(Agreement.CANNOT_TELL);
    }

    private static Found own(String claimed, String read) {
        return of(audit(DAY, List.of(claimed), List.of(read)), "record.own-reading");
    }

    @Test
    void whatToReadAgainIsWhatIsDoubtedAndUnreadInTheOrderOfTheWalk() {
        List<String> lines = List.of(hold("430 psig", "84 °F", "430 psig", "68 °F"));
        CommissioningRecord record = record(DAY, lines);
        List<Found> found = audit(DAY, lines, List.of());
        List<ReReadPlan.Line> plan =
                ReReadPlan.of(facts(), record, Evidence.NONE, RULES, found, Duration.ofSeconds(3600));
        assertThat(plan)
                .extracting(line -> line.key().point())
                .containsExactly(
                        "tightness.start-pressure",
                        "tightness.start-temperature",
                        "tightness.end-pressure",
                        "tightness.end-temperature");
        assertThat(ReReadPlan.of(facts(), record, Evidence.NONE, RULES, found, Duration.ofSeconds(4 * 60)))
                .as("two minutes a line")
                .hasSize(2);
        assertThat(ReReadPlan.of(
                        facts(),
                        record,
                        Evidence.of(List.of(own("tightness.end-pressure" + LINE + "417 psig"))),
                        RULES,
                        found,
                        Duration.ofSeconds(3600)))
                .as("what was read need not be again")
                .hasSize(3);
    }
}
