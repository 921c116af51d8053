package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Authority;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.DecisionRule;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.station.Walk;

class ComparisonTest {
    private static final RuleBook BOOK = CaseFixture.PLATE_BOOK;
    private static final LimitKey KEY = new LimitKey("siting.outdoor-clearance-back", Dimension.LENGTH, "Back");

    private static Limit limit(String authority, Bound bound, double metres) {
        Authority who = BOOK.authorities().get(authority);
        return new Limit(who, bound, Length.ofMetres(metres), "test");
    }

    private static Comparison compare(double value, double u, RuleBook book, Limit... limits) {
        return Comparison.of(KEY, new Uncertain(value, u), 0, List.of(limits), book);
    }

    private static RuleBook ruled(DecisionRule rule) {
        String yaml =
                ShippedRuleBooks.general().get(0).replace("decision-rule: guarded", "decision-rule: " + rule.key());
        return RuleBookReader.read(yaml, Walk.vocabulary());
    }

    @ParameterizedTest(name = "{0}: {1} ± 2·{2} at most 1.0 is {3}")
    @CsvSource({
        "GUARDED, 0.98, 0.01, MEETS",
        "GUARDED, 0.99, 0.01, TOO_CLOSE",
        "GUARDED, 1.01, 0.01, TOO_CLOSE",
        "GUARDED, 1.03, 0.01, FAILS",
        "GUARDED, 1.00, 0, MEETS",
        "GUARDED, 1.001, 0, FAILS",
        "PLAIN, 0.99, 0.01, MEETS",
        "PLAIN, 1.01, 0.01, FAILS",
        "GUARDED_ACCEPTANCE, 0.98, 0.01, MEETS",
        "GUARDED_ACCEPTANCE, 0.99, 0.01, TOO_CLOSE",
        "GUARDED_ACCEPTANCE, 1.01, 0.01, FAILS",
    })
    void decisionRules(DecisionRule rule, double value, double u, Verdict verdict) {
        assertThat(compare(value, u, ruled(rule), limit("code", Bound.AT_MOST, 1))
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void strictestBindsOfEachSide() {
        Comparison c = compare(
                1,
                0,
                BOOK,
                limit("code", Bound.AT_LEAST, 0.5),
                limit("programme", Bound.AT_LEAST, 0.9),
                limit("code", Bound.AT_MOST, 2));
        assertThat(c.limits()).extracting(Comparison.Held::binds).containsExactly(false, true, true);
        assertThat(c.binding().limit().authority().id()).isEqualTo("programme");
        assertThat(c.margin()).isCloseTo(0.1, within(1e-9));
    }

    @Test
    void practiceGivesWayToTheMakerEvenWhenStricter() {
        Comparison c =
                compare(0.2, 0, BOOK, limit("practice", Bound.AT_LEAST, 0.3), limit("maker", Bound.AT_LEAST, 0.1));
        assertThat(c.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(c.limits().get(0).deferral()).isPresent();
        assertThat(compare(0.2, 0, BOOK, limit("practice", Bound.AT_LEAST, 0.3)).verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void probabilityOfConformingFollowsTheNormalLaw() {
        assertThat(compare(1, 0.01, BOOK, limit("code", Bound.AT_MOST, 1)).probabilityOfConforming())
                .isCloseTo(0.5, within(1e-9));
        assertThat(compare(0.98, 0.01, BOOK, limit("code", Bound.AT_MOST, 1)).probabilityOfConforming())
                .isCloseTo(0.97725, within(1e-5));
        assertThat(compare(1, 0.01, BOOK, limit("code", Bound.AT_MOST, 1.01), limit("code", Bound.AT_LEAST, 0.99))
                        .probabilityOfConforming())
                .isCloseTo(0.68269, within(1e-5));
        assertThat(compare(1, 0, BOOK, limit("code", Bound.AT_MOST, 0.9)).probabilityOfConforming())
                .isZero();
    }

    @Test
    void nothingToCompareWithIsAnError() {
        assertThatThrownBy(() -> compare(1, 0, BOOK)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void marginBarShowsPermittedSideNeedleAndTicks() {
        MarginBar bar = MarginBar.of(
                compare(0.7, 0.01, BOOK, limit("code", Bound.AT_LEAST, 0.5), limit("programme", Bound.AT_LEAST, 0.9)));
        assertThat(bar.ticks()).hasSize(2);
        assertThat(bar.permittedFrom()).isEqualTo(bar.ticks().get(1).position()).isGreaterThan(bar.needle());
        assertThat(bar.permittedTo()).isEqualTo(1);
        assertThat(bar.whiskerFrom()).isLessThan(bar.needle());
        assertThat(bar.ticks()).allSatisfy(t -> assertThat(t.position()).isBetween(0.0, 1.0));
        assertThat(bar.ticks().get(1).label().toString()).isEqualTo("programme 900 mm");
    }

    @Test
    void closeTicksTakeDifferentRows() {
        MarginBar bar = MarginBar.of(
                compare(2, 0, BOOK, limit("code", Bound.AT_LEAST, 0.50), limit("programme", Bound.AT_LEAST, 0.52)));
        assertThat(bar.ticks()).extracting(MarginBar.Tick::row).containsExactly(0, 1);
    }

    @Test
    void aLoneValueOnItsLimitStillHasAnAxis() {
        MarginBar bar = MarginBar.of(compare(0, 0, BOOK, limit("code", Bound.AT_MOST, 0)));
        assertThat(bar.needle()).isBetween(0.0, 1.0);
    }

    @Test
    void authoritiesThatSayTheSameBothBind() {
        Comparison comparison = compare(
                0.5,
                0,
                BOOK,
                limit("code", Bound.AT_MOST, 1),
                limit("maker", Bound.AT_MOST, 1),
                limit("practice", Bound.AT_MOST, 2));
        assertThat(comparison.limits()).extracting(Comparison.Held::binds).containsExactly(true, true, false);
    }

    @ParameterizedTest(name = "{0}: {1} at most 1.0 lacks {2}")
    @CsvSource({"GUARDED, 1.03, 0.05", "GUARDED, 0.99, 0.01", "PLAIN, 1.03, 0.03", "GUARDED_ACCEPTANCE, 0.99, 0.01"})
    void whatIsLackingLeavesRoomForTheUncertainty(DecisionRule rule, double value, double lacking) {
        Comparison comparison = compare(value, 0.01, ruled(rule), limit("code", Bound.AT_MOST, 1));
        assertThat(comparison.guard() - comparison.margin()).isCloseTo(lacking, within(1e-12));
    }
}
