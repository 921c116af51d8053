package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.VolumeFlow;

/** What a sound installation was once failed for, or asked for without need. */
class FalseFailsTest {

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"243 V, MEETS", "201 V, MEETS", "262 V, FAILS", "190 V, FAILS"})
    void theMakersRangeOfVoltageComesBeforePractice(String volts, Verdict verdict) {
        CaseFixture fixture = new CaseFixture().outdoor("plate.rated-voltage", "208 V");
        assertThat(fixture.outdoor("plate.model", "WS-12")
                        .outdoor("electrical.running-voltage", volts)
                        .verdict("electrical.running-voltage@outdoor"))
                .isEqualTo(verdict);
    }

    @Test
    void withoutASheetPracticeBinds() {
        assertThat(new CaseFixture()
                        .noSheets()
                        .outdoor("plate.rated-voltage", "208 V")
                        .outdoor("electrical.running-voltage", "243 V")
                        .verdict("electrical.running-voltage@outdoor"))
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void controlWiringOfAUnitWithItsOwnCircuitLeadsNoEarth() {
        String key = "electrical.interconnection-earth@indoor";
        assertThat(new CaseFixture()
                        .indoorKind(Component.Kind.INDOOR_DUCTED, true)
                        .indoor("electrical.terminals", "R-R, C-C, Y-Y")
                        .verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(new CaseFixture()
                        .indoorKind(Component.Kind.INDOOR_WALL, false)
                        .indoor("electrical.terminals", "R-R, C-C, Y-Y")
                        .verdict(key))
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void whoKeepsTheBreakerNeedsNoFreeWay() {
        String key = "electrical.free-ways@system";
        CaseFixture replaced = new CaseFixture().replacing();
        assertThat(replaced.verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(replaced.read("papers.kept-breaker", "system", "yes").verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(replaced.read("papers.kept-breaker", "system", "no").verdict(key))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void whatOnlyCoolsHasNoReversingValve() {
        String key = "running.reversing-valve@outdoor";
        assertThat(new CaseFixture().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture().outdoor("plate.model", "WS-12").verdict(key))
                .as("no listed pair heats")
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(new CaseFixture().outdoor("siting.heats-in-winter", "no").verdict(key))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        DataSheet heats = CaseFixture.listing(
                CaseFixture.outdoorSheet(),
                List.of(new DataSheet.Pair(
                        "WS-12 I",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Power.ofWatts(4000)),
                        Optional.empty(),
                        List.of(),
                        List.of())),
                List.of());
        assertThat(new CaseFixture()
                        .sheets(heats)
                        .outdoor("plate.model", "WS-12")
                        .verdict(key))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "orifice {0}: judged {1}")
    @CsvSource({"0.059 in, false", "0.067 in, true"})
    void theCycleOfAWrongOrificeSaysNothingOfTheCharge(String stamped, boolean judged) {
        DataSheet pair = CaseFixture.listing(
                CaseFixture.outdoorSheet(),
                List.of(new DataSheet.Pair(
                        "WS-12 I",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Length.ofMetres(0.067 * 0.0254)),
                        List.of(),
                        List.of())),
                List.of());
        CaseFixture fixture = new CaseFixture()
                .sheets(pair)
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .outdoor("plate.refrigerant", "R410A")
                .indoor("plate.metering-device", "fixed orifice")
                .indoor("plate.metering-size", stamped)
                .read("operation.mode", "system", "cooling")
                .read("operation.run-time", "system", "60 min")
                .read("running.outdoor-dry-bulb", "system", "33 °C")
                .outdoor("charge.compressor-mode", "one speed or stage")
                .outdoor("charge.suction-pressure", "118 psig")
                .outdoor("charge.suction-temperature", "70 °F");
        Judgement superheat = fixture.find("charge.superheat@outdoor");
        assertThat(superheat.because().toString().contains("until it is changed"))
                .isEqualTo(!judged);
        if (!judged) {
            assertThat(superheat.verdict()).isEqualTo(Verdict.NOT_SHOWN);
            assertThat(fixture.find("charge.cycle@outdoor").because().toString())
                    .contains("until it is changed the cycle says nothing");
        }
    }

    @Test
    void aSheetChosenAtEntryCountsAsTheSheet() {
        String key = "electrical.running-voltage@outdoor";
        CaseFixture entered = new CaseFixture()
                .outdoor("plate.rated-voltage", "208 V")
                .outdoor("electrical.running-voltage", "243 V");
        assertThat(entered.verdict(key)).isEqualTo(Verdict.FAILS);
        Judgement chosen =
                entered.read("plate.model", "outdoor", "WS-12", Grade.STATED).find(key);
        assertThat(chosen.verdict()).as("the book wants recorded evidence here").isEqualTo(Verdict.MEETS);
        assertThat(chosen.derivation().toString()).contains("as chosen when the installation was entered");
        assertThat(entered.read("plate.model", "outdoor", "WS-99", Grade.STATED).verdict(key))
                .as("no sheet of it")
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void whatBurnsIsAFurnace() {
        DataSheet plain = DataSheet.of("Marrow", "GF-60", "Marrow 12");
        assertThat(plain.kind()).isEqualTo(Component.Kind.INDOOR_DUCTED);
        assertThat(plain.with(SheetValue.FUEL_INPUT, Power.ofWatts(17_600)).kind())
                .as("no refrigerant, no coil")
                .isEqualTo(Component.Kind.FURNACE);
        DataSheet cools = CaseFixture.listing(CaseFixture.outdoorSheet(), List.of(), List.of());
        assertThat(cools.with(SheetValue.FUEL_INPUT, Power.ofWatts(17_600)).kind())
                .isEqualTo(Component.Kind.FURNACE_COIL);
    }

    @Test
    void aCompressorWithTheRoomsAirflowIsAPackagedUnit() {
        DataSheet compressor = CaseFixture.listing(CaseFixture.outdoorSheet(), List.of(), List.of())
                .with(SheetValue.COMPRESSOR_CURRENT, Current.ofAmperes(9));
        DataSheet moving = compressor.with(SheetValue.AIRFLOW, VolumeFlow.ofCubicMetresPerSecond(0.4));
        assertThat(compressor.kind()).isEqualTo(Component.Kind.OUTDOOR);
        assertThat(moving.kind()).isEqualTo(Component.Kind.PACKAGED);
        assertThat(moving.with(SheetValue.FUEL_INPUT, Power.ofWatts(17_600)).kind())
                .isEqualTo(Component.Kind.PACKAGED_FUEL);
        assertThat(moving.ownSupply()).isTrue();
    }

    @Test
    void inchesOfMercuryAreAskedAboutWhereAVacuumIsRead() {
        Point vacuum = Walk.point("evacuation.reached").orElseThrow();
        Entry.Understood kept = Entry.understand(vacuum, "29.9 inHg", Accuracy.EXACT);
        assertThat(kept.unit()).as("what was kept stays as it was taken").isEqualTo("inHg");
        assertThatThrownBy(() -> Entry.requireSaidFromWhere(vacuum, "29.9 inHg", kept))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(e.choices())
                        .containsExactly("29.9 inHg abs"));
        assertThat(vacuum.units()).doesNotContain("inHg");
        assertThatCode(() -> Entry.requireSaidFromWhere(
                        vacuum, "29.9 inHg abs", Entry.understand(vacuum, "29.9 inHg abs", Accuracy.EXACT)))
                .doesNotThrowAnyException();
        Point barometer = Walk.point("charge.barometer").orElseThrow();
        assertThatCode(() -> Entry.requireSaidFromWhere(
                        barometer, "29.9 inHg", Entry.understand(barometer, "29.9 inHg", Accuracy.EXACT)))
                .doesNotThrowAnyException();
    }

    @Test
    void theMetersDialIsReadInCubicFeet() {
        var dial = Walk.point("fuel.meter-dial").orElseThrow();
        assertThatThrownBy(() -> Entry.understand(dial, "2", Accuracy.EXACT))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(e.choices())
                        .containsExactly("2 ft³", "2 L"));
        assertThat(Entry.understand(dial, "1/2 cu ft", Accuracy.EXACT).plausible())
                .isTrue();
    }
}
