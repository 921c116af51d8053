package org.undanus.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.judgement.RuleChange;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;

class RuleBookDraftTest {
    private static final RuleBook BOOK = CaseFixture.PLATE_BOOK;
    private static final String FRONT = "siting.outdoor-clearance-front";

    private static RuleBook read(RuleBookDraft.Changes changes) {
        return RuleBookReader.read(RuleBookDraft.of(BOOK, changes, BOOK.version() + 1), Walk.vocabulary());
    }

    private static RuleBookDraft.Changes limit(String by, Bound bound, String value, String source) {
        return new RuleBookDraft.Changes(
                List.of(new RuleBookDraft.LimitChange(FRONT, by, bound, value, source)), List.of(), List.of(), "");
    }

    private static List<RuleChange.Difference> differences(RuleBook now) {
        return RuleChange.between(BOOK, now, Walk.vocabulary()).differences();
    }

    @Test
    void oneLimitChangesAndNothingElse() {
        RuleBook now = read(limit("programme", Bound.AT_LEAST, "50 in", "A letter"));
        assertThat(now.version()).isEqualTo(BOOK.version() + 1);
        assertThat(differences(now)).singleElement().satisfies(only -> {
            assertThat(only.id()).isEqualTo(FRONT);
            assertThat(only.kind()).isEqualTo(RuleChange.Kind.LIMIT);
        });
        LimitKey key = Walk.vocabulary().limits().get(FRONT);
        assertThat(now.limits(key).stream()
                        .filter(limit -> limit.authority().id().equals("programme"))
                        .map(limit -> limit.value().si()))
                .containsExactly(1.27);
        assertThat(now.limits(key)).hasSameSizeAs(BOOK.limits(key));
    }

    @Test
    void aLimitIsTakenAwayAndAnotherAuthorityStays() {
        RuleBook now = read(limit("programme", Bound.AT_LEAST, "", ""));
        LimitKey key = Walk.vocabulary().limits().get(FRONT);
        assertThat(now.limits(key)).hasSize(BOOK.limits(key).size() - 1);
        assertThat(now.limits(key)).noneMatch(limit -> limit.authority().id().equals("programme"));
    }

    @Test
    void theOtherSideOfAnAuthoritysLimitStays() {
        RuleBook now = read(new RuleBookDraft.Changes(
                List.of(new RuleBookDraft.LimitChange(
                        "papers.cooling-capacity", "programme", Bound.AT_MOST, "130 %", "A letter")),
                List.of(),
                List.of(),
                "Larger machines"));
        assertThat(now.limits(Walk.vocabulary().limits().get("papers.cooling-capacity")))
                .extracting(Limit::bound)
                .contains(Bound.AT_LEAST, Bound.AT_MOST);
        assertThat(now.note()).isEqualTo("Larger machines");
    }

    @Test
    void settingsAndSchoolsChange() {
        RuleBook now = read(new RuleBookDraft.Changes(
                List.of(),
                List.of(new RuleBookDraft.SettingChange("siting.design-snow", "30 in", "New map")),
                List.of(new RuleBookDraft.SchoolChange("tightness.target", "screen")),
                ""));
        assertThat(differences(now))
                .extracting(RuleChange.Difference::id)
                .containsExactlyInAnyOrder("siting.design-snow", "tightness.target");
    }

    @Test
    void whatIsBoundToNoSingleRequirementIsSaidByItsName() {
        RuleBook now = RuleBookReader.read(
                BOOK.yaml() + "\ninstruments:\n  tape: {dimension: length, constant: 1 mm}\ndecision-rule: plain\n",
                Walk.vocabulary());
        List<RuleChange.Difference> found = differences(now);
        assertThat(found).extracting(RuleChange.Difference::id).containsExactly("decision-rule", "instruments");
        assertThat(found.get(0).now().in(UnitSystem.SI)).isEqualTo("plain");
        assertThat(found.get(1).now().in(UnitSystem.SI)).isEqualTo("tape");
        assertThat(RuleChange.between(BOOK, now, Walk.vocabulary())
                        .touched(Walk.judge().abouts()))
                .hasSameSizeAs(Walk.judge().abouts());
    }

    @Test
    void withoutASourceNothingIsChangedAndAWrongUnitIsNamed() {
        assertThatThrownBy(() -> read(limit("programme", Bound.AT_LEAST, "50 in", " ")))
                .hasMessageContaining("Say where the new value of " + FRONT);
        assertThatThrownBy(() -> read(limit("programme", Bound.AT_LEAST, "50 kg", "A letter")))
                .isInstanceOf(RuleBookException.class)
                .hasMessageContaining(FRONT);
        assertThatThrownBy(() -> read(limit("nobody", Bound.AT_LEAST, "50 in", "A letter")))
                .isInstanceOf(RuleBookException.class);
    }
}
