package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.Walk;

class JudgeTest {

    @Test
    void withoutEvidenceNothingIsAPass() {
        assertThat(new CaseFixture().judgements())
                .isNotEmpty()
                .noneMatch(j -> j.verdict() == Verdict.MEETS || j.verdict() == Verdict.FAILS);
    }

    @Test
    void sameInputsSameJudgements() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .outdoor("siting.outdoor-clearance-front", "37 in")
                .outdoor("electrical.device-rating", "30 A");
        assertThat(fixture.judgements()).isEqualTo(fixture.judgements());
    }

    @Test
    void everySubjectOfEveryRequirementIsJudgedOnce() {
        List<Judgement> judgements = new CaseFixture().judgements();
        Set<String> keys = new HashSet<>();
        assertThat(judgements).allSatisfy(j -> assertThat(keys.add(j.key())).isTrue());
    }

    @Test
    void weakGradeIsSetAsideAndSaid() {
        Judgement judgement = new CaseFixture()
                .read("electrical.disconnect-present", "outdoor", "yes", Grade.STATED)
                .judge("electrical.disconnect-present");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().in(UnitSystem.SI))
                .contains("at least recorded")
                .contains("stated");
    }

    @Test
    void evidenceNamesWhatWasLookedAtIncludingOtherUnits() {
        Judgement judgement = new CaseFixture()
                .outdoor("plate.refrigerant", "R32")
                .indoor("plate.refrigerant", "R410A")
                .judge("papers.same-refrigerant");
        assertThat(judgement.evidence())
                .contains(new PointKey("plate.refrigerant", "outdoor"), new PointKey("plate.refrigerant", "indoor"));
    }

    @Test
    void otherSchoolsStandBeside() {
        Judgement judgement = new CaseFixture().judge("electrical.overcurrent-device");
        assertThat(judgement.school().orElseThrow().id()).isEqualTo("plate-ampacity");
        assertThat(judgement.otherSchools()).singleElement().satisfies(other -> assertThat(
                        other.school().orElseThrow().id())
                .isEqualTo("design-current"));
    }

    @Test
    void laterReadingSupersedes() {
        CaseFixture fixture = new CaseFixture().outdoor("siting.outdoor-clearance-front", "20 in");
        assertThat(fixture.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.FAILS);
        fixture.outdoor("siting.outdoor-clearance-front", "40 in");
        assertThat(fixture.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void everythingARequirementNeedsIsALineOfTheWalk() {
        Set<String> ids = new HashSet<>();
        for (StationPlan plan : Walk.plans()) {
            for (Requirement requirement : plan.requirements()) {
                About about = requirement.about();
                assertThat(ids.add(about.id())).as(about.id()).isTrue();
                assertThat(about.station()).isEqualTo(plan.station());
                assertThat(about.needs())
                        .allSatisfy(point -> assertThat(Walk.point(point.id())).contains(point));
            }
        }
        assertThat(Walk.plans().stream().flatMap(p -> p.points().stream()).map(Point::how))
                .allMatch(how -> !how.isBlank());
    }

    @Test
    void summaryCountsAndNamesTheMostPressing() {
        StationSummary summary = StationSummary.of(new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "20 in")
                .judgements());
        assertThat(summary.worst()).isEqualTo(Verdict.FAILS);
        assertThat(summary.count(Verdict.FAILS)).isEqualTo(1);
        assertThat(StationSummary.of(List.of()).worst()).isEqualTo(Verdict.DOES_NOT_APPLY);
    }
}
