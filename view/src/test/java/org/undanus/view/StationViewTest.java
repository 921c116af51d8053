package org.undanus.view;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Option;
import org.undanus.core.judgement.Station;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class StationViewTest {
    private static StationView.LineView line(CaseFile file, Station station, String point, String component) {
        return StationView.of(file, station, Wording.english(UnitSystem.US), true).lines().stream()
                .filter(line -> line.point().equals(point) && line.component().equals(component))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLineOffersItsAnswersByIdAndSaysThemInWords() {
        CaseFile file = CaseFixture.file("siting.support", "outdoor-1", "Wall Bracket");
        StationView.LineView support = line(file, Station.SITING, "siting.support", "outdoor-1");
        assertThat(support.options()).contains(Option.of("wall-bracket", ""));
        assertThat(support.reading().orElseThrow().typed()).isEqualTo("wall-bracket");
        assertThat(support.reading().orElseThrow().said()).isEqualTo("wall bracket");
        assertThat(line(file, Station.PAPERS, "plate.legible", "outdoor-1").options())
                .extracting(Option::id)
                .containsExactly("yes", "no");
        assertThat(line(file, Station.PAPERS, "plate.refrigerant", "outdoor-1").options())
                .as("those the case knows")
                .contains(Option.of("R32", "R32"));
    }

    @Test
    void aLineThatAnAnswerSparesSaysWhy() {
        assertThat(line(CaseFixture.file(), Station.SITING, "siting.neighbour-distance", "outdoor-1")
                        .pointless())
                .isEmpty();
        assertThat(line(
                                CaseFixture.file("siting.neighbour-face", "outdoor-1", "no other unit near"),
                                Station.SITING,
                                "siting.neighbour-distance",
                                "outdoor-1")
                        .pointless())
                .contains("Side that faces the nearest other unit: no other unit near");
    }

    @Test
    void aReadingIsShownInBothUnits() {
        StationView.ReadingView front = line(
                        CaseFixture.file("siting.outdoor-clearance-front", "outdoor-1", "24 in"),
                        Station.SITING,
                        "siting.outdoor-clearance-front",
                        "outdoor-1")
                .reading()
                .orElseThrow();
        assertThat(front.said()).isEqualTo("24 in");
        assertThat(front.us()).contains("2' 0\"");
        assertThat(front.si()).contains("610 mm");
    }

    @Test
    void everyStationIsShownOfAnEmptyVisitAndTheWalkSaysWhatComesNext() {
        CaseFile file = CaseFixture.file();
        for (Station station : Station.values()) {
            if (Walk.plan(station).isPresent()) {
                assertThat(StationView.of(file, station, Wording.english(UnitSystem.SI), false)
                                .number())
                        .isEqualTo(station.number());
            }
        }
        assertThat(StationView.next(file, Station.PAPERS, Wording.english(UnitSystem.SI)))
                .isNotEmpty();
        assertThat(StationView.route(file, Wording.english(UnitSystem.SI))).hasSizeGreaterThan(10);
    }
}
