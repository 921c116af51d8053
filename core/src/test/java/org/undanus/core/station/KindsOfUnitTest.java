package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.Component.Kind;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Site;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Length;

/** Every kind of unit is judged by what it has, and by nothing it has not. */
class KindsOfUnitTest {
    private static Case of(Kind... kinds) {
        List<Component> units = IntStream.range(0, kinds.length)
                .mapToObj(i -> new Component("unit-" + i, kinds[i], kinds[i].title(), true))
                .toList();
        return new Case(new Site("Lido", Length.ofMetres(640)), units, DataSheets.NONE, LocalDate.of(2026, 9, 1));
    }

    private static List<Judgement> judged(Kind... kinds) {
        return Walk.judge().judge(of(kinds), Evidence.of(List.of()), CaseFixture.PLATE_BOOK);
    }

    private static Set<Station> stations(Kind... kinds) {
        return judged(kinds).stream()
                .map(judgement -> judgement.about().station())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void whateverStandsThereAloneIsJudgedWithoutAnError(Kind kind) {
        assertThat(judged(kind)).isNotEmpty().noneMatch(judgement -> judgement.verdict() == Verdict.MEETS);
        assertThat(judged(Kind.OUTDOOR, kind)).isNotEmpty();
    }

    @Test
    void aFurnaceWithoutACoilIsAskedNothingOfRefrigerant() {
        assertThat(stations(Kind.FURNACE))
                .contains(Station.FUEL, Station.AIRSIDE, Station.ELECTRICAL, Station.PAPERS)
                .doesNotContain(
                        Station.PIPING,
                        Station.TIGHTNESS,
                        Station.EVACUATION,
                        Station.CHARGE,
                        Station.CONDENSATE,
                        Station.MOUNTING);
        Case facts = of(Kind.FURNACE);
        assertThat(Walk.plans().stream()
                        .filter(plan -> plan.points().stream()
                                .allMatch(point -> facts.subjects(point.scope()).isEmpty()))
                        .map(StationPlan::station))
                .containsExactly(
                        Station.MOUNTING,
                        Station.PIPING,
                        Station.CONDENSATE,
                        Station.TIGHTNESS,
                        Station.EVACUATION,
                        Station.CHARGE);
        assertThat(stations(Kind.FURNACE_CONDENSING)).contains(Station.CONDENSATE);
        assertThat(judged(Kind.FURNACE))
                .extracting(judgement -> judgement.about().id())
                .contains("papers.plate-complete", "fuel.temperature-rise", "airside.airflow")
                .doesNotContain("papers.same-refrigerant", "papers.refrigerant-licence", "running.split");
    }

    @Test
    void aPackagedUnitHasItsCircuitWithinItself() {
        assertThat(stations(Kind.PACKAGED))
                .contains(Station.CHARGE, Station.AIRSIDE, Station.CONDENSATE, Station.RUNNING)
                .doesNotContain(Station.PIPING, Station.TIGHTNESS, Station.EVACUATION, Station.FUEL);
        assertThat(judged(Kind.PACKAGED))
                .extracting(judgement -> judgement.about().id())
                .contains("running.split", "charge.cycle", "siting.outdoor-clearance-back")
                .doesNotContain("papers.listed-pair", "electrical.interconnection", "charge.by-length");
        assertThat(stations(Kind.PACKAGED_FUEL)).contains(Station.FUEL);
    }

    @Test
    void aCassetteHangsOnNoWall() {
        assertThat(judged(Kind.OUTDOOR, Kind.INDOOR_CASSETTE))
                .filteredOn(judgement -> judgement.subject().equals(Kind.INDOOR_CASSETTE.title()))
                .extracting(judgement -> judgement.about().id())
                .contains("papers.listed-pair", "running.split", "mounting.bundle-fits")
                .doesNotContain("siting.indoor-throw", "siting.indoor-height");
    }

    @Test
    void aBoilerIsReferredAndNeverMeetsAnything() {
        List<Judgement> ofBoiler = judged(Kind.BOILER).stream()
                .filter(judgement -> judgement.subject().equals(Kind.BOILER.title()))
                .toList();
        assertThat(ofBoiler).singleElement().satisfies(judgement -> {
            assertThat(judgement.about().id()).isEqualTo("papers.judged-elsewhere");
            assertThat(judgement.verdict()).isEqualTo(Verdict.REFER);
            assertThat(judgement.because().toString()).contains("are not judged here");
        });
    }

    @Test
    void whoJudgedTheBoilerIsOnRecordAndNotVerified() {
        Judgement judgement = new CaseFixture()
                .indoorKind(Kind.BOILER, true)
                .indoor("papers.judged-elsewhere", "M. Osk, boiler licence 4, 2026-09-01")
                .find("papers.judged-elsewhere@indoor");
        assertThat(judgement.verdict()).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(judgement.because().toString()).contains("M. Osk", "has not been verified");
    }

    @Test
    void platesAreJoinedByALineOnlyWhereTubesJoinThem() {
        assertThat(runs(Kind.FURNACE)).isZero();
        assertThat(runs(Kind.OUTDOOR, Kind.INDOOR_CASSETTE)).isEqualTo(1);
    }

    /** Lines between plates in the drawing of the papers. */
    private static long runs(Kind... kinds) {
        Case facts = of(kinds);
        Evidence nothing = Evidence.of(List.of());
        Judgements judged = new Judgements(Walk.judge().judge(facts, nothing, CaseFixture.PLATE_BOOK));
        return Walk.plan(Station.PAPERS).orElseThrow().draw(facts, nothing, CaseFixture.PLATE_BOOK, judged).stream()
                .flatMap(drawing -> drawing.elements().stream())
                .filter(element -> element instanceof Element.Path path && path.role() == Role.RUN)
                .count();
    }
}
