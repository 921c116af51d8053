package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.Rounds;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.StationSummary;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

class JudgeTest {
    private static final int ROUNDS = Rounds.of(4, 12);

    @Test
    void withoutEvidenceNothingIsAPass() {
        assertThat(new CaseFixture().judgements())
                .isNotEmpty()
                .noneMatch(j -> j.verdict() == Verdict.MEETS || j.verdict() == Verdict.FAILS);
    }

    /** Two cases made of the same, each its own objects: nothing of a judgement hangs on which of them is judged, or when. */
    @Test
    void sameInputsSameJudgements() {
        assertThat(readOn(new CaseFixture()).judgements())
                .isEqualTo(readOn(new CaseFixture()).judgements())
                .isNotEqualTo(readOn(new CaseFixture())
                        .outdoor("electrical.device-rating", "40 A")
                        .judgements());
    }

    private static CaseFixture readOn(CaseFixture fixture) {
        return fixture.outdoor("plate.model", "WS-12")
                .outdoor("siting.outdoor-clearance-front", "37 in")
                .outdoor("electrical.device-rating", "30 A");
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

    private static final Requirement BROKEN = new Requirement() {
        private final About about = About.of("siting.broken", Station.SITING, Scope.SYSTEM, "Broken", Severity.RECORD);

        @Override
        public About about() {
            return about;
        }

        @Override
        public Judgement judge(Examination x) {
            throw new ArithmeticException("over zero");
        }
    };

    @Test
    void aRequirementThatThrowsIsReferredAndTold() {
        Judge judge = new Judge(List.of(BROKEN));
        CaseFixture fixture = new CaseFixture();
        List<RuntimeException> told = new ArrayList<>();
        List<Judgement> judgements = judge.containing((inItsPlace, failure) -> told.add(failure))
                .judge(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK);
        assertThat(judgements).singleElement().satisfies(j -> {
            assertThat(j.verdict()).isEqualTo(Verdict.REFER);
            assertThat(j.because().toString()).contains("could not be computed");
        });
        assertThat(told).singleElement().isInstanceOf(ArithmeticException.class);
        assertThatThrownBy(() -> judge.judge(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK))
                .isInstanceOf(ArithmeticException.class);
    }

    @Test
    void aReadingSetAsideShowsNothingAndSaysWhy() {
        CaseFixture fixture = new CaseFixture();
        PointKey key = new PointKey("electrical.disconnect-present", "outdoor");
        Evidence evidence = Evidence.of(List.of(new Reading(
                new UUID(0, 1),
                key,
                "sort of",
                new Value.SetAside(Text.of("Answer yes or no.")),
                "",
                Optional.empty(),
                Grade.WITNESSED,
                "inspector",
                Instant.EPOCH,
                Stage.FINAL)));
        Judgement judgement = Walk.judge().judge(fixture.facts(), evidence, CaseFixture.PLATE_BOOK).stream()
                .filter(j -> j.about().id().equals("electrical.disconnect-present"))
                .findFirst()
                .orElseThrow();
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("sort of").contains("Answer yes or no.");
    }

    /** A machine set to German or Turkish judges in the same words. */
    @ParameterizedTest
    @ValueSource(strings = {"de-DE", "tr-TR", "ar-EG"})
    void judgementsAreWordedTheSameWhateverTheLocale(String tag) {
        Random random = new Random(1007);
        Case facts = RandomCases.facts(random);
        Evidence evidence = RandomCases.usual(random, facts);
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.ROOT);
            List<String> plain = worded(facts, evidence);
            Locale.setDefault(Locale.forLanguageTag(tag));
            assertThat(worded(facts, evidence)).isEqualTo(plain);
        } finally {
            Locale.setDefault(before);
        }
    }

    private static List<String> worded(Case facts, Evidence evidence) {
        return Walk.judge().judge(facts, evidence, CaseFixture.DESIGN_BOOK).stream()
                .map(j -> j.key() + j.because() + j.remedy() + j.derivation())
                .toList();
    }

    /** One reading after another, each time only what it touches is judged anew: it comes to the same as judging all. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void judgingOnlyWhatChangedEqualsJudgingAfresh(int seed) {
        Random random = new Random(seed);
        for (int round = 0; round < ROUNDS; round++) {
            Case plain = RandomCases.facts(random);
            Case facts = new Case(
                    plain.site(),
                    plain.components(),
                    plain.sheets(),
                    plain.on(),
                    plain.stage(),
                    plain.replacement(),
                    new Toolcase(List.of(RATED)),
                    plain.plan(),
                    plain.added(),
                    plain.traces(),
                    plain.refrigerants());
            List<Reading> readings = new ArrayList<>();
            List<Reading> offered =
                    new ArrayList<>(RandomCases.evidence(random, facts).readings());
            offered.addAll(RandomCases.usual(random, facts).readings());
            offered.replaceAll(reading -> random.nextBoolean() ? reading : takenWith(RATED, reading));
            Collections.shuffle(offered, random);
            Optional<Judged> last = Optional.empty();
            for (Reading reading : offered.subList(0, Math.min(offered.size(), 25))) {
                readings.add(reading);
                Evidence evidence = Evidence.of(List.copyOf(readings));
                Judged judged = Walk.judge().judged(facts, evidence, CaseFixture.PLATE_BOOK, last);
                assertThat(judged.judgements())
                        .as("seed %s, round %s, after %s", seed, round, reading.key())
                        .isEqualTo(Walk.judge().judge(facts, evidence, CaseFixture.PLATE_BOOK));
                last = Optional.of(judged);
            }
        }
    }

    /** Fit or not by what the outdoor plate says, which is read before or after. */
    private static final Instrument RATED = new Instrument(
            "rated",
            "Rated",
            InstrumentKind.GAUGE,
            Stream.of(Dimension.values())
                    .map(d -> new Channel(d.name(), d, Accuracy.EXACT, Optional.empty()))
                    .toList(),
            List.of("R32"),
            false,
            Optional.of(GaugePressure.ofPascals(1e6)),
            List.of());

    private static Reading takenWith(Instrument instrument, Reading r) {
        return new Reading(
                r.id(),
                r.key(),
                r.typed(),
                r.value(),
                r.unit(),
                Optional.of(instrument.id()),
                r.grade(),
                r.by(),
                r.at(),
                r.stage(),
                r.byCrew());
    }

    @Test
    void whatAReadingDoesNotTouchIsTakenOverAsItIs() {
        CaseFixture fixture = new CaseFixture().outdoor("siting.outdoor-clearance-front", "37 in");
        Judged before =
                Walk.judge().judged(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, Optional.empty());
        fixture.outdoor("electrical.device-rating", "30 A");
        Judged after =
                Walk.judge().judged(fixture.facts(), fixture.evidence(), CaseFixture.PLATE_BOOK, Optional.of(before));
        Judgement front = named(before, "siting.outdoor-clearance-front");
        assertThat(named(after, "siting.outdoor-clearance-front")).isSameAs(front);
        assertThat(named(after, "electrical.overcurrent-device"))
                .isNotSameAs(named(before, "electrical.overcurrent-device"));
        Judged other =
                Walk.judge().judged(fixture.facts(), fixture.evidence(), CaseFixture.DESIGN_BOOK, Optional.of(before));
        assertThat(named(other, "siting.outdoor-clearance-front"))
                .as("other rules")
                .isNotSameAs(front);
    }

    private static Judgement named(Judged judged, String requirement) {
        return judged.judgements().stream()
                .filter(j -> j.about().id().equals(requirement))
                .findFirst()
                .orElseThrow();
    }
}
