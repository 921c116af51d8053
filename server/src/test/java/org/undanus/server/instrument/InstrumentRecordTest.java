package org.undanus.server.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.databind.json.JsonMapper;

class InstrumentRecordTest {

    private static InstrumentRecord record(
            String id, String kind, String dimension, String ofReading, String constant) {
        return new InstrumentRecord(
                id,
                "Voltmeter",
                kind,
                Optional.of(dimension),
                Optional.of(ofReading),
                Optional.empty(),
                Optional.empty(),
                Optional.of(constant),
                Optional.of("0.1 V"),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    @Test
    void accuracyIsReadAsItsMakerStatesIt() {
        Instrument meter =
                record("volt-3", "voltmeter", "voltage", "0.8 %", "0.3 V").instrument();
        assertThat(meter.kind()).isEqualTo(InstrumentKind.VOLTMETER);
        assertThat(accuracy(meter).ofReading()).isEqualTo(0.008);
        assertThat(accuracy(meter).constant()).isEqualTo(0.3);
        assertThat(accuracy(meter).resolution()).isEqualTo(0.1);
    }

    private static Accuracy accuracy(Instrument instrument) {
        return instrument.channels().get(0).accuracy();
    }

    @Test
    void aGaugeSetListsWhatItShows() {
        Instrument set = read(
                """
                "channels": [
                  {"name": "low side", "constant": "2 psig", "range": {"lowest": "0 psig", "highest": "250 psig"}},
                  {"name": "suction line", "dimension": "temperature-difference", "constant": "0.5 K"}]
                """);
        assertThat(set.channels()).extracting(Channel::name).containsExactly("low side", "suction line");
        assertThat(set.channel(Dimension.TEMPERATURE).orElseThrow().accuracy().constant())
                .isEqualTo(0.5);
    }

    private static Instrument read(String members) {
        return read("gauge", members);
    }

    /** Of no stated dimension. */
    private static Instrument read(String kind, String members) {
        InstrumentRecord record = JsonMapper.builder()
                .build()
                .readValue(
                        "{\"id\": \"gauge-1\", \"title\": \"Gauge\", \"kind\": \"" + kind + "\", " + members + "}",
                        InstrumentRecord.class);
        record.require(Refrigerants.SHIPPED);
        return record.instrument();
    }

    @Test
    void withoutAStatedDimensionItIsThatOfItsKind() {
        assertThat(accuracy(read("tape", "\"constant\": \"2 mm\"")).constant()).isEqualTo(0.002);
        assertThatThrownBy(() -> read("tape", "\"constant\": \"2 V\"")).isInstanceOf(UnsuitableException.class);
        assertThatThrownBy(() -> read("read-off", "\"constant\": \"2 mm\""))
                .isInstanceOf(UnsuitableException.class)
                .hasMessageContaining("without an instrument");
    }

    @Test
    void everythingElseOfAGaugeIsRead() {
        Instrument gauge = read(
                """
                "ofFullScale": "1 %", "fullScale": "800 psig", "range": {"lowest": "0 psig", "highest": "800 psig"},
                "refrigerants": ["R32"], "flammable": true, "mostPressure": "800 psig",
                "calibrations": [{"on": "2026-03-01", "months": 12, "certificate": "C-7"}]
                """);
        assertThat(accuracy(gauge).ofFullScale()).isEqualTo(0.01);
        assertThat(gauge.refrigerants()).containsExactly("R32");
        assertThat(gauge.calibration().orElseThrow().until()).isEqualTo("2027-03-01");
        assertThat(gauge.channels().get(0).range().orElseThrow().highest()).isCloseTo(800 * 6894.757, within(1.0));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"ofFullScale\": \"1 %\"",
                "\"range\": {\"lowest\": \"9 psig\", \"highest\": \"8 psig\"}",
                "\"refrigerants\": [\"R999\"]",
                "\"calibrations\": [{\"on\": \"2026-03-01\", \"months\": 0}]",
                "\"calibrations\": [{\"months\": 12}]",
                "\"constant\": \"1 psig\", \"channels\": [{\"constant\": \"1 psig\"}]",
                "\"channels\": [{\"constant\": \"1 V\"}]",
                "\"channels\": [{\"name\": \"a\"}, {\"name\": \"a\"}]",
                "\"channels\": [null]",
            })
    void whatContradictsItselfIsRefused(String members) {
        assertThatThrownBy(() -> read(members)).isInstanceOf(UnsuitableException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "Volt 3, voltmeter, voltage, 1 %, 0.3 V, instruments",
        "volt-3, guesser, voltage, 1 %, 0.3 V, instruments.volt-3.kind",
        "volt-3, voltmeter, charm, 1 %, 0.3 V, instruments.volt-3.dimension",
        "volt-3, voltmeter, voltage, 1 V, 0.3 V, instruments.volt-3.ofReading",
        "volt-3, voltmeter, voltage, 1 %, -0.3 V, instruments.volt-3.constant",
    })
    void whatCannotBeReadIsNamed(
            String id, String kind, String dimension, String ofReading, String constant, String field) {
        assertThatThrownBy(
                        () -> record(id, kind, dimension, ofReading, constant).instrument())
                .isInstanceOfSatisfying(
                        UnsuitableException.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
