package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.DueDates;
import org.undanus.core.visit.RevisitPlan;
import org.undanus.core.visit.WhatChanged;

/** Due dates, what changed between two visits, and the plan of the next. */
class AfterTheWalkTest {
    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final PointKey FRONT = new PointKey("siting.outdoor-clearance-front", "outdoor");
    private static final RuleBook GENERAL =
            RuleBookReader.read(ShippedRuleBooks.general().get(0), Walk.vocabulary());

    @ParameterizedTest
    @CsvSource({"SAFETY, 2", "DAMAGE, 14", "PERFORMANCE, 28", "RECORD, 28"})
    void theDayFollowsFromWhatIsAtStake(Severity severity, int days) {
        assertThat(DueDates.due(severity, DAY, CaseFixture.PLATE_BOOK)).contains(DAY.plusDays(days));
    }

    @Test
    void aGeneralBookLeavesTheDayOpenAndPartOfADayCountsWhole() {
        assertThat(DueDates.due(Severity.SAFETY, DAY, GENERAL)).isEmpty();
        RuleBook hours = RuleBookReader.read(
                ShippedRuleBooks.demo()
                        .get(0)
                        .replace("time-to-correct-safety: {value: 2 days", "time-to-correct-safety: {value: 36 h"),
                Walk.vocabulary());
        assertThat(DueDates.due(Severity.SAFETY, DAY, hours)).contains(DAY.plusDays(2));
    }

    @ParameterizedTest
    @EnumSource(Station.class)
    void everyStationIsSomebodysWork(Station station) {
        assertThat(Trade.of(station).title()).isNotBlank();
    }

    @Test
    void onlyOtherVerdictsCountAsChanged() {
        List<Judgement> before = new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "3 in")
                .outdoor("siting.outdoor-clearance-back", "3 in")
                .judgements();
        List<Judgement> now = new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "40 in")
                .outdoor("siting.outdoor-clearance-back", "2 in")
                .judgements();
        List<WhatChanged> changed = WhatChanged.between(before, now);
        assertThat(changed).extracting(each -> each.either().key()).contains(FRONT.point() + "@outdoor");
        assertThat(changed)
                .as("it failed by another amount before: the same verdict")
                .extracting(each -> each.either().key())
                .doesNotContain("siting.outdoor-clearance-back@outdoor");
        WhatChanged front = changed.stream()
                .filter(each -> each.either().key().equals(FRONT.point() + "@outdoor"))
                .findFirst()
                .orElseThrow();
        assertThat(front.before().map(Judgement::verdict)).contains(Verdict.FAILS);
        assertThat(front.now().map(Judgement::verdict)).contains(Verdict.MEETS);
        assertThat(WhatChanged.between(now, now)).isEmpty();
    }

    @Test
    void whatIsGoneOrNewIsSaid() {
        List<Judgement> some = new CaseFixture().judgements();
        List<Judgement> fewer = some.subList(1, some.size());
        assertThat(WhatChanged.between(some, fewer)).singleElement().satisfies(gone -> {
            assertThat(gone.now()).isEmpty();
            assertThat(gone.either()).isEqualTo(some.get(0));
        });
        assertThat(WhatChanged.between(fewer, some)).singleElement().satisfies(fresh -> assertThat(fresh.before())
                .isEmpty());
    }

    private static Instrument tape(String id, double metres) {
        return new Instrument(
                id,
                id,
                InstrumentKind.TAPE,
                List.of(new Channel("", Dimension.LENGTH, Accuracy.ofConstant(metres), Optional.empty())),
                List.of(),
                false,
                Optional.empty(),
                List.of());
    }

    private static RevisitPlan plan(CaseFixture fixture, RuleBook rules) {
        return RevisitPlan.of(fixture.facts(), fixture.evidence(), rules, fixture.judgements(), Walk::point, DAY);
    }

    @Test
    void thePlanHoldsOnlyWhatIsOpenInWalkingOrder() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "40 in")
                .outdoor("siting.outdoor-clearance-back", "3 in");
        RevisitPlan plan = plan(fixture, CaseFixture.PLATE_BOOK);
        assertThat(plan.stops()).extracting(RevisitPlan.Stop::station).isSorted();
        RevisitPlan.Stop siting = plan.stops().stream()
                .filter(stop -> stop.station() == Station.SITING)
                .findFirst()
                .orElseThrow();
        assertThat(siting.lines())
                .contains(new PointKey("siting.outdoor-clearance-back", "outdoor"))
                .doesNotContain(FRONT)
                .doesNotHaveDuplicates();
        int lines = plan.stops().stream().mapToInt(stop -> stop.lines().size()).sum();
        assertThat(plan.time().orElseThrow().si()).isEqualTo(lines * 120.0);
        assertThat(plan.holds()).allSatisfy(key -> assertThat(
                        Walk.point(key.point()).orElseThrow().instrument())
                .isEqualTo(InstrumentKind.CLOCK));
    }

    @Test
    void whatIsTooCloseAsksForABetterInstrument() {
        Instrument coarse = tape("coarse", 0.01);
        Instrument good = tape("good", 0.0005);
        CaseFixture fixture = new CaseFixture()
                .accuracy(
                        InstrumentKind.TAPE,
                        coarse.channel(Dimension.LENGTH).orElseThrow().accuracy())
                .outdoor("siting.outdoor-clearance-front", "920 mm")
                .toolcase(coarse, good);
        RevisitPlan.Tool tape = plan(fixture, CaseFixture.PLATE_BOOK).tools().stream()
                .filter(tool -> tool.kind() == InstrumentKind.TAPE)
                .findFirst()
                .orElseThrow();
        assertThat(tape.needed().orElseThrow().si()).isBetween(0.001, 0.01);
        assertThat(tape.atHand()).containsExactly(good);
        assertThat(tape.enough()).isTrue();
        RevisitPlan.Tool tooCoarse = plan(fixture.toolcase(coarse), CaseFixture.PLATE_BOOK).tools().stream()
                .filter(tool -> tool.kind() == InstrumentKind.TAPE)
                .findFirst()
                .orElseThrow();
        assertThat(tooCoarse.enough()).isFalse();
        assertThat(tooCoarse.atHand()).containsExactly(coarse);
        RevisitPlan.Tool any = plan(
                        new CaseFixture()
                                .outdoor("siting.outdoor-clearance-front", "3 in")
                                .toolcase(coarse, good),
                        CaseFixture.PLATE_BOOK)
                .tools()
                .stream()
                .filter(tool -> tool.kind() == InstrumentKind.TAPE)
                .findFirst()
                .orElseThrow();
        assertThat(any.needed()).isEmpty();
        assertThat(any.atHand()).containsExactly(coarse, good);
    }
}
