package org.undanus.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Site;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class StationViewTest {
    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final Case FACTS = new Case(
            new Site("Lido changing house", Length.ofMetres(640)),
            List.of(
                    new Component("outdoor-1", Component.Kind.OUTDOOR, "Outdoor unit", true),
                    new Component("indoor-1", Component.Kind.INDOOR_WALL, "Wall unit", false)),
            DataSheets.of(List.of()),
            DAY);
    private static final RuleBook BOOK =
            RuleBookReader.read(ShippedRuleBooks.demo().get(0), Walk.vocabulary());

    /** @param typed point, component and what was typed there, one after another */
    private static CaseFile file(String... typed) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < typed.length; i += 3) {
            Point point = FACTS.asked(Walk.point(typed[i]).orElseThrow());
            Entry.Understood understood = Entry.understand(point, typed[i + 2], Accuracy.EXACT);
            readings.add(new Reading(
                    new UUID(0, i),
                    new PointKey(typed[i], typed[i + 1]),
                    understood.kept(typed[i + 2]),
                    understood.value(),
                    understood.unit(),
                    Optional.empty(),
                    Grade.WITNESSED,
                    "inspector",
                    Instant.EPOCH.plusSeconds(i),
                    Stage.FINAL));
        }
        CaseFile.Visit visit = new CaseFile.Visit("v", Stage.FINAL, DAY, false, Optional.empty(), List.of());
        CaseFile.Header header = new CaseFile.Header(
                "i",
                "LH-01",
                "Changing room",
                "Lido changing house",
                "Wall split",
                "Threeways Cooling",
                false,
                Stage.FINAL,
                DAY,
                "v",
                List.of(visit),
                0);
        return new CaseFile(
                header,
                FACTS,
                new CaseFile.Known(readings.size(), Evidence.of(readings)),
                BOOK,
                Walk.judge(),
                Optional.empty());
    }

    private static StationView.LineView line(CaseFile file, Station station, String point, String component) {
        return StationView.of(file, station, Wording.english(UnitSystem.US), true).lines().stream()
                .filter(line -> line.point().equals(point) && line.component().equals(component))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLineOffersItsAnswersByIdAndSaysThemInWords() {
        CaseFile file = file("siting.support", "outdoor-1", "Wall Bracket");
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
        assertThat(line(file(), Station.SITING, "siting.neighbour-distance", "outdoor-1")
                        .pointless())
                .isEmpty();
        assertThat(line(
                                file("siting.neighbour-face", "outdoor-1", "no other unit near"),
                                Station.SITING,
                                "siting.neighbour-distance",
                                "outdoor-1")
                        .pointless())
                .contains("Side that faces the nearest other unit: no other unit near");
    }

    @Test
    void aReadingIsShownInBothUnits() {
        StationView.ReadingView front = line(
                        file("siting.outdoor-clearance-front", "outdoor-1", "24 in"),
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
        CaseFile file = file();
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
