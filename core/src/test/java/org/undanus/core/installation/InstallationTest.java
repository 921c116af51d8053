package org.undanus.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Length;

class InstallationTest {
    private static final Site SITE = new Site("Lido", Length.ofMetres(640));

    private static Component component(String id, Component.Kind kind, boolean ownSupply) {
        return new Component(id, kind, "Some unit", ownSupply);
    }

    @ParameterizedTest
    @CsvSource({
        "OUTDOOR, true, UNIT, true",
        "OUTDOOR, true, OUTDOOR_UNIT, true",
        "OUTDOOR, true, INDOOR_UNIT, false",
        "OUTDOOR, true, POWERED_UNIT, true",
        "INDOOR_WALL, false, INDOOR_UNIT, true",
        "INDOOR_WALL, false, WALL_UNIT, true",
        "INDOOR_WALL, false, POWERED_UNIT, false",
        "INDOOR_DUCTED, true, WALL_UNIT, false",
        "INDOOR_DUCTED, true, POWERED_UNIT, true",
        "FURNACE_COIL, false, OUTDOOR_UNIT, false",
        "OUTDOOR, true, SPLIT_OUTDOOR_UNIT, true",
        "OUTDOOR, true, AIR_UNIT, false",
        "OUTDOOR, true, SYSTEM, false",
        "INDOOR_CASSETTE, false, SPLIT_UNIT, true",
        "INDOOR_CASSETTE, false, WALL_UNIT, false",
        "FURNACE_COIL, true, SPLIT_UNIT, true",
        "FURNACE, true, FUEL_UNIT, true",
        "FURNACE, true, INDOOR_UNIT, true",
        "FURNACE, true, AIR_UNIT, true",
        "FURNACE, true, COIL_UNIT, false",
        "FURNACE, true, REFRIGERANT_UNIT, false",
        "PACKAGED, true, OUTDOOR_UNIT, true",
        "PACKAGED, true, COIL_UNIT, true",
        "PACKAGED, true, SPLIT_UNIT, false",
        "PACKAGED, true, SPLIT_OUTDOOR_UNIT, false",
        "PACKAGED, true, FUEL_UNIT, false",
        "PACKAGED_FUEL, true, FUEL_UNIT, true",
        "BOILER, true, UNIT, false",
        "BOILER, true, POWERED_UNIT, false",
        "BOILER, true, UNJUDGED_UNIT, true",
    })
    void scopesSpeakOfTheRightUnits(Component.Kind kind, boolean ownSupply, Scope scope, boolean within) {
        assertThat(component("a", kind, ownSupply).within(scope)).isEqualTo(within);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Outdoor", "1unit", "out door", "outdoor_1", "a/../b"})
    void idsOfUnitsArePlain(String id) {
        assertThatThrownBy(() -> component(id, Component.Kind.OUTDOOR, true)).hasMessageContaining("lower-case");
    }

    @Test
    void unitsNeedATitleAndAnIdOfTheirOwn() {
        assertThatThrownBy(() -> new Component("a", Component.Kind.OUTDOOR, " ", true))
                .hasMessageContaining("title");
        Component one = component("a", Component.Kind.OUTDOOR, true);
        assertThatThrownBy(() -> new Case(SITE, List.of(one, one), DataSheets.NONE, LocalDate.EPOCH))
                .hasMessageContaining("share the id a");
    }

    @Test
    void aSiteOutsideTheAtmosphereIsRefused() {
        assertThatThrownBy(() -> new Site("Peak", Length.ofMetres(12_000))).hasMessageContaining("11,000");
        assertThat(SITE.atmosphere().si()).isBetween(93_000.0, 95_000.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"WS-12", "ws 12", "WS12", "w.s-1 2"})
    void modelsAreFoundHoweverTheyAreSpaced(String written) {
        DataSheets sheets = DataSheets.of(List.of(CaseFixture.outdoorSheet()));
        assertThat(sheets.of(written)).isPresent();
        assertThat(sheets.of(written + "X")).isEmpty();
    }

    @Test
    void aSheetWithoutAModelIsNone() {
        assertThatThrownBy(() -> DataSheet.of("Ondrel", " ", "1")).hasMessageContaining("model");
    }

    @Test
    void aSheetThatContradictsItselfIsRefused() {
        DataSheet sheet = DataSheet.of("Ondrel", "WS-12", "1").with(SheetValue.MAXIMUM_LINE_LENGTH, Length.ofMetres(3));
        assertThatThrownBy(() -> sheet.with(SheetValue.MINIMUM_LINE_LENGTH, Length.ofMetres(4)))
                .hasMessageContaining("contradicts itself")
                .hasMessageContaining("Longest lines");
        assertThatThrownBy(() -> sheet.with(SheetValue.MASS, Length.ofMetres(4)))
                .hasMessageContaining("Mass of the unit");
    }

    @Test
    void outdoorUnitAndComponentsAreFound() {
        Component indoor = component("indoor-1", Component.Kind.INDOOR_WALL, false);
        Component outdoor = component("outdoor-1", Component.Kind.OUTDOOR, true);
        Case facts = new Case(SITE, List.of(indoor, outdoor), DataSheets.NONE, LocalDate.EPOCH);
        assertThat(facts.outdoorUnit()).contains(outdoor);
        assertThat(facts.component("indoor-1")).contains(indoor);
        assertThat(facts.component("indoor-2")).isEmpty();
    }

    @Test
    void everyPointOfAPlateHasAnIdOfItsOwn() {
        assertThat(PlatePoints.all())
                .extracting(point -> point.id())
                .doesNotHaveDuplicates()
                .allMatch(id -> id.startsWith("plate."));
    }
}
