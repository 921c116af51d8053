package org.undanus.core.station.electrical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;

class ConductorTableTest {
    private static final ConductorTable PLATE = ConductorTable.named("plate-practice");
    private static final ConductorTable DESIGN = ConductorTable.named("design-practice");

    private static double area(String size) {
        return FieldNotation.parse(size, Dimension.CONDUCTOR_AREA).value().si();
    }

    @ParameterizedTest(name = "{0} {1} at {2} °C: {3} A")
    @CsvSource({
        "14 AWG, copper, 60, 15",
        "10 AWG, copper, 75, 35",
        "8 AWG, copper, 90, 55",
        "6 AWG, aluminium, 75, 50",
        "2/0 AWG, copper, 75, 175",
    })
    void platePracticeReadsThePublishedColumns(String size, String metal, int rating, double ampere) {
        assertThat(PLATE.column(metal, area(size), rating, 2, "C"))
                .hasValueSatisfying(c -> assertThat(c.ampere()).isEqualTo(ampere));
    }

    @ParameterizedTest(name = "{0} at {1} °C, {2} loaded: {3} A")
    @CsvSource({
        "1.5 mm2, 70, 2, 19.5",
        "4 mm2, 70, 2, 36",
        "6 mm2, 90, 2, 58",
        "16 mm2, 90, 2, 107",
        "2.5 mm2, 70, 3, 24",
        "4 mm2, 90, 3, 40",
        "50 mm2, 70, 3, 144"
    })
    void designPracticeReadsThePublishedColumns(String size, int rating, int loaded, double ampere) {
        assertThat(DESIGN.column("copper", area(size), rating, loaded, "C"))
                .hasValueSatisfying(c -> assertThat(c.ampere()).isEqualTo(ampere));
    }

    @Test
    void anInsulationBetweenColumnsUsesTheCoolerOne() {
        assertThat(PLATE.column("copper", area("8 AWG"), 70, 2, "C")).hasValueSatisfying(c -> {
            assertThat(c.rating()).isEqualTo(60);
            assertThat(c.ampere()).isEqualTo(40);
        });
        assertThat(DESIGN.column("copper", area("4 mm2"), 60, 2, "C")).isEmpty();
    }

    @Test
    void aMetricSizeIsNotTakenForItsNeighbourGauge() {
        assertThat(PLATE.column("copper", area("10 mm2"), 75, 2, "C")).isEmpty();
        assertThat(DESIGN.column("copper", area("8 AWG"), 70, 2, "C")).isEmpty();
    }

    /** Factors printed in the codes' own tables, which follow the same equation: 0.82 at 50 °C for 90 °C and so on. */
    @ParameterizedTest(name = "{0} °C insulation in {1} °C air: {2}")
    @CsvSource({"90, 50, 0.82", "75, 40, 0.88", "60, 45, 0.71", "70, 40, 0.87", "75, 30, 1.00", "90, 20, 1.08"})
    void ambientFactorsAgreeWithThePrintedOnes(int rating, double air, double factor) {
        assertThat(PLATE.ambientFactor(rating, air + 273.15)).isCloseTo(factor, within(0.006));
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "3, 1", "4, 0.8", "6, 0.8", "7, 0.7", "10, 0.5", "41, 0.35", "100, 0.35"})
    void groupingSteps(int conductors, double factor) {
        assertThat(PLATE.groupingFactor(conductors, 2)).isEqualTo(factor);
    }

    /** IEC 60364-5-52, table B.52.17: circuits together, whatever their phases. */
    @ParameterizedTest
    @CsvSource({"2, 2, 1", "4, 2, 0.8", "3, 3, 1", "6, 3, 0.8", "6, 2, 0.7", "24, 2, 0.45", "60, 2, 0.38"})
    void designPracticeGroupsByCircuits(int conductors, int loaded, double factor) {
        assertThat(DESIGN.groupingFactor(conductors, loaded)).isEqualTo(factor);
    }

    @Test
    void onlyDesignPracticeTellsPhases() {
        assertThat(DESIGN.tellsPhases()).isTrue();
        assertThat(PLATE.tellsPhases()).isFalse();
    }
}
