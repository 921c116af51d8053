package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;

class ExaminationTest {
    private static final About HEIGHT =
            new CaseFixture().judge("siting.indoor-height").about();
    private static final LimitKey LIMIT = HEIGHT.limits().get(0);

    private static Examination examination(CaseFixture fixture, String unit) {
        Component component = fixture.facts().component(unit).orElseThrow();
        return Examination.of(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, HEIGHT, component);
    }

    private static List<Limit> limits(CaseFixture fixture) {
        return examination(fixture, "indoor")
                .limits(
                        LIMIT,
                        SheetLimit.atLeast(SheetValue.LOWEST_MOUNTING),
                        SheetLimit.atMost(SheetValue.HIGHEST_MOUNTING));
    }

    @Test
    void theFiguresOfTheUnitsOwnSheetStandBesideTheRuleBooks() {
        List<Limit> ofBook = limits(new CaseFixture());
        assertThat(ofBook).isEqualTo(CaseFixture.PLATE_BOOK.limits(LIMIT));
        List<Limit> both = limits(new CaseFixture().indoor("plate.model", "WS-12 I"));
        assertThat(both).hasSize(ofBook.size() + 1);
        Limit maker = both.get(both.size() - 1);
        assertThat(maker.bound()).isEqualTo(Bound.AT_LEAST);
        assertThat(maker.value().si()).isCloseTo(1.8, within(1e-9));
        assertThat(maker.source()).hasToString("Ondrel 4411, edition 2");
        assertThat(maker.authority()).isEqualTo(CaseFixture.PLATE_BOOK.maker());
    }

    @Test
    void aFigureOfAnotherUnitsSheetIsNoLimit() {
        assertThat(limits(new CaseFixture().outdoor("plate.model", "WS-12")))
                .isEqualTo(CaseFixture.PLATE_BOOK.limits(LIMIT));
    }

    @Test
    void whatRequirementsShareIsMadeOnceForEachJudging() {
        AtomicInteger made = new AtomicInteger();
        Examination one = examination(new CaseFixture(), "indoor");
        Examination other = one.at(new CaseFixture().facts().outdoorUnit().orElseThrow());
        assertThat(one.computedOnce(Integer.class, made::incrementAndGet)).isEqualTo(1);
        assertThat(other.computedOnce(Integer.class, made::incrementAndGet)).isEqualTo(1);
        assertThat(examination(new CaseFixture(), "indoor").computedOnce(Integer.class, made::incrementAndGet))
                .isEqualTo(2);
    }

    @Test
    void aPlateThatLacksAFigureIsFilledFromTheSheetButCountsAsUnread() {
        CaseFixture named = new CaseFixture().outdoor("plate.model", "WS-12");
        Examination x = examination(named, "outdoor");
        assertThat(x.number(PlatePoints.MINIMUM_CIRCUIT_AMPACITY)).contains(12.0);
        assertThat(x.has(PlatePoints.MINIMUM_CIRCUIT_AMPACITY)).isTrue();
        assertThat(x.read(PlatePoints.MINIMUM_CIRCUIT_AMPACITY)).isFalse();
        Examination plate = examination(named.outdoor("plate.minimum-circuit-ampacity", "14 A"), "outdoor");
        assertThat(plate.number(PlatePoints.MINIMUM_CIRCUIT_AMPACITY)).contains(14.0);
        Examination none = examination(new CaseFixture(), "outdoor");
        assertThat(none.missing(PlatePoints.MINIMUM_CIRCUIT_AMPACITY, PlatePoints.MODEL))
                .containsExactly(PlatePoints.MINIMUM_CIRCUIT_AMPACITY, PlatePoints.MODEL);
    }
}
