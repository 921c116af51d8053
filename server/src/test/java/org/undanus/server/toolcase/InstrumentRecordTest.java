package org.undanus.server.toolcase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.server.problem.UnsuitableException;

class InstrumentRecordTest {

    private static InstrumentRecord record(
            String id, String kind, String dimension, String ofReading, String constant) {
        return new InstrumentRecord(
                id, "Voltmeter", kind, dimension, Optional.of(ofReading), Optional.of(constant), Optional.of("0.1 V"));
    }

    @Test
    void accuracyIsReadAsItsMakerStatesIt() {
        Instrument meter =
                record("volt-3", "voltmeter", "voltage", "0.8 %", "0.3 V").instrument();
        assertThat(meter.kind()).isEqualTo(InstrumentKind.VOLTMETER);
        assertThat(meter.accuracy().ofReading()).isEqualTo(0.008);
        assertThat(meter.accuracy().constant()).isEqualTo(0.3);
        assertThat(meter.accuracy().resolution()).isEqualTo(0.1);
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
