package org.undanus.core.station.papers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Option;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.UnitSystem;

class MeteringSuitsPairTest {
    private static final double ORIFICE = 0.067 * 0.0254;

    private static DataSheet sheet(String model, Optional<Option> device, List<DataSheet.Pair> pairs) {
        return new DataSheet(
                "Quarvane",
                model,
                "Quarvane " + model,
                Optional.empty(),
                Optional.empty(),
                Map.of(),
                Map.of(),
                Map.of(),
                Map.of(),
                Optional.empty(),
                device,
                Optional.empty(),
                pairs,
                List.of(),
                List.of());
    }

    private static DataSheet outdoor(Optional<Length> orifice) {
        return sheet(
                "DF-36",
                Optional.empty(),
                List.of(new DataSheet.Pair(
                        "DF-36 A",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        orifice,
                        List.of(),
                        List.of())));
    }

    private static CaseFixture pair(DataSheet... sheets) {
        return new CaseFixture().sheets(sheets).outdoor("plate.model", "DF-36").indoor("plate.model", "DF-36 A");
    }

    /** The coil has no sheet: the pair listed with an orifice asks for one. */
    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "fixed orifice, 0.067 in, MEETS",
        "fixed orifice, 0.071 in, FAILS",
        "thermostatic valve, , FAILS",
        "fixed orifice, , NOT_SHOWN",
        ", 0.067 in, MEETS",
        ", , NOT_SHOWN",
    })
    void judgedFromTheListedPairAlone(String device, String size, Verdict verdict) {
        CaseFixture fixture = pair(outdoor(Optional.of(Length.ofMetres(ORIFICE))));
        if (device != null) {
            fixture.indoor("plate.metering-device", device);
        }
        if (size != null) {
            fixture.indoor("plate.metering-size", size);
        }
        assertThat(fixture.judge("papers.metering").verdict()).isEqualTo(verdict);
    }

    @Test
    void theCoilsOwnSheetGoesFirst() {
        Judgement judgement = pair(
                        outdoor(Optional.empty()),
                        sheet("DF-36 A", PlatePoints.METERING_DEVICE.option("electronic"), List.of()))
                .indoor("plate.metering-device", "fixed orifice")
                .judge("papers.metering");
        assertThat(judgement.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(judgement.because().toString())
                .isEqualTo("Found at the coil: fixed orifice. The data sheet names: electronic valve.");
    }

    @Test
    void nobodyAsksForADevice() {
        assertThat(pair(outdoor(Optional.empty())).judge("papers.metering").verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void orificesArePrintedFinelyEnoughToTellApart() {
        Judgement judgement = pair(outdoor(Optional.of(Length.ofMetres(ORIFICE))))
                .indoor("plate.metering-size", "0.071 in")
                .judge("papers.metering");
        assertThat(judgement.because().in(UnitSystem.US))
                .isEqualTo("The orifice is 0.071 in; this pair asks for 0.067 in.");
        assertThat(judgement.because().in(UnitSystem.SI))
                .isEqualTo("The orifice is 1.80 mm; this pair asks for 1.70 mm.");
    }
}
