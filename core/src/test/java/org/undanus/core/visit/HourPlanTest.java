package org.undanus.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Scopes;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.InspectionScope;
import org.undanus.core.station.Walk;

class HourPlanTest {
    private static final double LINE = 120;

    private static List<HourPlan.Line> due(CaseFixture fixture) {
        List<HourPlan.Line> due = new ArrayList<>();
        Walk.plans().forEach(plan -> fixture.facts().subjects().forEach(subject -> plan.points().stream()
                .filter(point -> !point.optional()
                        && fixture.facts().subjects(point.scope()).contains(subject))
                .forEach(point ->
                        due.add(new HourPlan.Line(new PointKey(point.id(), subject.id()), LINE, point.hidden())))));
        return due;
    }

    private static HourPlan plan(CaseFixture fixture, Duration time) {
        return HourPlan.of(
                fixture.judgements(),
                due(fixture),
                fixture.evidence(),
                CaseFixture.PLATE_BOOK,
                judgement -> 0.1,
                time,
                "visit");
    }

    @ParameterizedTest
    @ValueSource(ints = {10, 30, 60, 120})
    void whatTakesLongerThanThereIsTimeIsNotAsked(int minutes) {
        HourPlan plan = plan(new CaseFixture(), Duration.ofMinutes(minutes));
        assertThat(plan.time()).isLessThanOrEqualTo(Duration.ofMinutes(minutes));
        assertThat(plan.lines()).hasSize((int) (plan.time().toSeconds() / LINE));
        assertThat(plan.resolved()).isPositive().isLessThan(plan.stake());
    }

    @Test
    void anHourResolvesMoreThanTheFirstHourOfTheWholeWalk() {
        CaseFixture fixture = new CaseFixture();
        HourPlan plan = plan(fixture, Duration.ofMinutes(60));
        Set<PointKey> first = new HashSet<>(due(fixture).stream()
                .filter(line -> !line.hopeless())
                .limit(30)
                .map(HourPlan.Line::key)
                .toList());
        double walked = fixture.judgements().stream()
                .filter(judgement -> judgement.verdict() == Verdict.NOT_SHOWN)
                .filter(judgement -> {
                    List<PointKey> wanted = judgement.evidence().stream()
                            .filter(key -> due(fixture).stream()
                                    .anyMatch(line -> line.key().equals(key)))
                            .toList();
                    return !wanted.isEmpty() && first.containsAll(wanted);
                })
                .mapToDouble(
                        judgement -> 0.1 * HourSettings.weight(judgement.about().severity(), CaseFixture.PLATE_BOOK))
                .sum();
        assertThat(plan.resolved()).isGreaterThan(2 * walked);
    }

    @Test
    void withTimeEnoughNothingStaysOpenThatCanBeDecidedAndWithNoneAllOfIt() {
        CaseFixture fixture = new CaseFixture();
        HourPlan whole = plan(fixture, Duration.ofHours(100));
        assertThat(whole.resolved()).isCloseTo(whole.stake(), within(1e-9));
        assertThat(whole.open()).isEmpty();
        HourPlan none = plan(fixture, Duration.ZERO);
        assertThat(none.lines()).isEmpty();
        assertThat(none.resolved()).isZero();
        assertThat(none.open().values().stream().mapToLong(n -> n).sum()).isPositive();
        assertThat(none.unreached()).isEqualTo((int)
                due(fixture).stream().filter(line -> !line.hopeless()).count());
    }

    @Test
    void whatIsOutOfSightByNowIsSaidAndNotAsked() {
        HourPlan plan = plan(new CaseFixture(), Duration.ofHours(100));
        assertThat(plan.hopeless()).isNotEmpty();
        assertThat(plan.lines()).doesNotContainAnyElementsOf(plan.hopeless());
        assertThat(plan.lines())
                .allMatch(key -> !Walk.point(key.point()).orElseThrow().hidden());
    }

    @Test
    void whatIsReadIsNotAskedAgain() {
        PointKey front = new PointKey("siting.outdoor-clearance-front", "outdoor");
        assertThat(plan(new CaseFixture(), Duration.ofHours(100)).lines()).contains(front);
        assertThat(plan(new CaseFixture().outdoor(front.point(), "3 m"), Duration.ofHours(100))
                        .lines())
                .doesNotContain(front);
        assertThat(plan(new CaseFixture().outdoor(front.point(), "not accessible: fence"), Duration.ofHours(100))
                        .lines())
                .doesNotContain(front);
    }

    @Test
    void ofWhatACrewRecordedAShareIsReadAgain() {
        CaseFixture fixture = new CaseFixture();
        List.of("front", "back", "left", "right", "above")
                .forEach(side -> fixture.read("siting.outdoor-clearance-" + side, "outdoor", "3 m", Grade.RECORDED));
        HourPlan plan = plan(fixture, Duration.ofHours(100));
        assertThat(plan.confirm()).hasSize(1);
        assertThat(plan.lines()).doesNotContainAnyElementsOf(plan.confirm());
        assertThat(plan(fixture, Duration.ofHours(100)).confirm()).isEqualTo(plan.confirm());
        assertThat(plan(fixture, Duration.ZERO).confirm()).isEmpty();
    }

    @Test
    void aScopeConfinesWhatIsLookedAtAndKeepsWhatFails() {
        CaseFixture fixture = new CaseFixture().read("papers.permit", "system", "no");
        List<InspectionScope> safety = List.of(CaseFixture.PLATE_BOOK.scopes().get("safety"));
        List<Judgement> told = Scopes.told(fixture.judgements(), safety);
        assertThat(told)
                .allMatch(judgement ->
                        judgement.about().severity() == Severity.SAFETY || judgement.verdict() == Verdict.FAILS);
        assertThat(told).anyMatch(judgement -> judgement.about().id().equals("papers.permit"));
        assertThat(Scopes.told(fixture.judgements(), List.of())).hasSameSizeAs(fixture.judgements());
        assertThat(CaseFixture.PLATE_BOOK.scopes().keySet())
                .containsExactly(
                        "safety", "electrical", "drainage", "charge-and-airflow", "fuel", "re-visit", "short-list");
        List<InspectionScope> again = List.of(CaseFixture.PLATE_BOOK.scopes().get("re-visit"));
        assertThat(Scopes.told(fixture.judgements(), again))
                .allMatch(judgement -> judgement.verdict().open());
    }
}
