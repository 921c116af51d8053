package org.undanus.server.datasheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.databind.json.JsonMapper;

class SheetRecordTest {
    private static final String SHEET =
            """
            {"maker": "Ondrel", "model": "WS-12", "document": "Ondrel 4410", "refrigerant": "R32",
             "size": {"width": "31.5 in", "depth": "12 in", "height": "22 in"},
             "clearances": {"front": "24 in"}, "supply": {"lowest": "197 V", "highest": "253 V"},
             "minimumCircuitAmpacity": "12 A",
             "pairs": [{"indoorModel": "WS-12 I", "cooling": "12 kBtu/h", "airflow": "420 cfm", "sensibleRatio": "76 %"}]}
            """;

    private static DataSheet read(String json) {
        return JsonMapper.builder().build().readValue(json, SheetRecord.class).sheet();
    }

    @Test
    void figuresAreReadInTheirOwnNotation() {
        DataSheet sheet = read(SHEET);
        assertThat(sheet.clearances().get(Face.FRONT).si()).isCloseTo(0.6096, within(1e-9));
        assertThat(sheet.supply().orElseThrow().lowest().si()).isEqualTo(197);
        assertThat(sheet.minimumCircuitAmpacity().orElseThrow().si()).isEqualTo(12);
        assertThat(sheet.maximumOvercurrentDevice()).isEmpty();
        assertThat(sheet.pairWith("ws 12i")
                        .orElseThrow()
                        .cooling()
                        .orElseThrow()
                        .si())
                .isCloseTo(3516.85, within(0.1));
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
            })
    void whatCannotBeReadIsNamed(String from, String to, String field) {
        assertThat(SHEET).contains(from);
        assertThatThrownBy(() -> read(SHEET.replace(from, to)))
                .isInstanceOfSatisfying(
                        UnsuitableException.class, e -> assertThat(e.field()).isEqualTo(field));
    }
}
