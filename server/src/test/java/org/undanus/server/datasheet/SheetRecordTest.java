package org.undanus.server.datasheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.quantity.Temperature;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.databind.json.JsonMapper;

class SheetRecordTest {
    private static final String SHEET =
            """
            {"maker": "Ondrel", "model": "WS-12", "document": "Ondrel 4410", "refrigerant": "R32",
             "size": {"width": "31.5 in", "depth": "12 in", "height": "22 in"},
             "clearances": {"front": "24 in"}, "supply": {"lowest": "197 V", "highest": "253 V"},
             "minimumCircuitAmpacity": "12 A", "mass": "86 lb", "meteringDevice": "electronic valve",
             "mountingClearances": {"wall-bracket": {"back": "6 in"}}, "neighbours": {"left": "12 in"},
             "fan": [{"staticPressure": "0.1 inwc", "airflow": "420 cfm"}],
             "torques": [{"tube": "1/4 in", "torque": "16 Nm"}],
             "pairs": [{"indoorModel": "WS-12 I", "cooling": "12 kBtu/h", "airflow": "420 cfm", "sensibleRatio": "76 %",
               "capacities": [
                 {"mode": "cooling", "outdoor": "95 F", "indoor": "67 F", "total": "12 kBtu/h"},
                 {"mode": "cooling", "outdoor": "115 F", "indoor": "67 F", "total": "10 kBtu/h"}]}]}
            """;

    private static DataSheet read(String json) {
        SheetRecord sheet = JsonMapper.builder().build().readValue(json, SheetRecord.class);
        sheet.require(Refrigerants.SHIPPED);
        return sheet.sheet();
    }

    @Test
    void figuresAreReadInTheirOwnNotation() {
        DataSheet sheet = read(SHEET);
        assertThat(sheet.clearances().get(Face.FRONT).si()).isCloseTo(0.6096, within(1e-9));
        assertThat(sheet.supply().orElseThrow().lowest().si()).isEqualTo(197);
        assertThat(sheet.value(SheetValue.MINIMUM_CIRCUIT_AMPACITY)
                        .orElseThrow()
                        .si())
                .isEqualTo(12);
        assertThat(sheet.value(SheetValue.MAXIMUM_OVERCURRENT_DEVICE)).isEmpty();
        assertThat(sheet.pairWith("ws 12i")
                        .orElseThrow()
                        .cooling()
                        .orElseThrow()
                        .si())
                .isCloseTo(3516.85, within(0.1));
    }

    @Test
    void capacityBetweenTheEntriesIsInterpolatedAndBeyondThemUnknown() {
        DataSheet.Pair pair = read(SHEET).pairWith("WS-12 I").orElseThrow();
        Temperature indoor = Temperature.ofCelsius(19.4);
        assertThat(pair.capacity(DataSheet.Mode.COOLING, Temperature.ofCelsius(40.556), indoor)
                        .orElseThrow()
                        .si())
                .isCloseTo(11 * 293.07, within(0.5));
        assertThat(pair.capacity(DataSheet.Mode.COOLING, Temperature.ofCelsius(20), indoor))
                .isEmpty();
        assertThat(pair.capacity(DataSheet.Mode.HEATING, Temperature.ofCelsius(40), indoor))
                .isEmpty();
    }

    @Test
    void mountingAndNeighboursGoBeforeThePlainClearances() {
        DataSheet sheet = read(SHEET);
        assertThat(sheet.clearance(Face.BACK, Optional.of(Mounting.WALL_BRACKET))
                        .orElseThrow()
                        .si())
                .isCloseTo(0.1524, within(1e-9));
        assertThat(sheet.clearance(Face.BACK, Optional.of(Mounting.GROUND_PAD))).isEmpty();
        assertThat(sheet.neighbour(Face.LEFT, Optional.empty()).orElseThrow().si())
                .isCloseTo(0.3048, within(1e-9));
        assertThat(sheet.neighbour(Face.FRONT, Optional.empty()).orElseThrow().si())
                .isCloseTo(0.6096, within(1e-9));
    }

    @Test
    void whatIsReadIsWrittenTheSameAgain() {
        JsonMapper json = JsonMapper.builder().build();
        SheetRecord sheet = json.readValue(SHEET, SheetRecord.class);
        assertThat(json.readValue(json.writeValueAsString(sheet), SheetRecord.class))
                .isEqualTo(sheet);
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"front\": \"24 in\"|\"front\": \"24 V\"|dataSheets.WS-12.clearances.front",
                "\"front\": \"24 in\"|\"underneath\": \"24 in\"|dataSheets.WS-12.clearances",
                "\"12 kBtu/h\"|\"12 furlongs\"|dataSheets.WS-12.pairs.cooling",
                "\"indoorModel\": \"WS-12 I\"|\"indoorModel\": \"\"|dataSheets.WS-12.pairs",
                "\"12 A\"|\"twelve\"|dataSheets.WS-12.minimumCircuitAmpacity",
                "\"model\": \"WS-12\"|\"model\": \"\"|dataSheets",
                "\"mass\": \"86 lb\"|\"mass\": \"-86 lb\"|dataSheets.WS-12.mass",
                "\"mass\": \"86 lb\"|\"mas\": \"86 lb\"|dataSheets.WS-12.mas",
                "\"mass\": \"86 lb\"|\"maximumOvercurrentDevice\": \"8 A\"|dataSheets.WS-12",
                "\"R32\"|\"R999\"|dataSheets.WS-12.refrigerant",
                "electronic valve|magic valve|dataSheets.WS-12.meteringDevice",
                "wall-bracket|sky-hook|dataSheets.WS-12.mountingClearances",
                "\"mode\": \"cooling\"|\"mode\": \"drying\"|dataSheets.WS-12.capacities.mode",
                "\"torque\": \"16 Nm\"|\"torque\": \"42–34 Nm\"|dataSheets.WS-12",
                "\"torque\": \"16 Nm\"|\"torque\": \"10–13\"|dataSheets.WS-12.torques.torque",
                "\"width\": \"31.5 in\"|\"width\": \"0 in\"|dataSheets.WS-12",
            })
    void whatCannotBeReadIsNamed(String from, String to, String field) {
        assertThat(SHEET).contains(from);
        assertThatThrownBy(() -> read(SHEET.replace(from, to)))
                .isInstanceOfSatisfying(
                        UnsuitableException.class, e -> assertThat(e.field()).isEqualTo(field));
    }

    @ParameterizedTest
    @CsvSource({
        "TIGHTNESS_TIME, REFRIGERANT",
        "STRENGTH_PRESSURE, REFRIGERANT",
        "MINIMUM_CIRCUIT_AMPACITY, ELECTRICAL",
        "MASS, PLACE",
    })
    void figuresStandInThePartOfTheSheetThatTheyBelongTo(SheetValue figure, SheetSection section) {
        assertThat(SheetSection.of(figure.key())).isEqualTo(section);
    }
}
