package org.undanus.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;

/** What joins units is told from them where it can be, and added where it cannot. */
class SubjectTest {
    private static final Component OUTDOOR = new Component("outdoor-1", Component.Kind.OUTDOOR, "Outdoor unit", true);
    private static final Component WALL = new Component("indoor-1", Component.Kind.INDOOR_WALL, "Wall unit", false);
    private static final Component DUCTED =
            new Component("indoor-2", Component.Kind.INDOOR_DUCTED, "Air handler", true);
    private static final Component FURNACE = new Component("indoor-3", Component.Kind.FURNACE_COIL, "Furnace", true);

    private static Case of(Component... units) {
        return new Case(
                new Site("Lido", Length.ofMetres(640)), List.of(units), DataSheets.NONE, LocalDate.of(2026, 9, 1));
    }

    private static List<String> ids(Case facts, Scope scope) {
        return facts.subjects(scope).stream().map(Subject::id).toList();
    }

    @Test
    void aLineSetLeadsFromTheOnlyOutdoorUnitToEachIndoorOne() {
        Case facts = of(OUTDOOR, WALL, DUCTED);
        assertThat(facts.subjects(Scope.LINE_SET))
                .extracting(Subject::id, Subject::title, Subject::joins)
                .containsExactly(
                        tuple("line-set-indoor-1", "Line set, Wall unit", List.of("outdoor-1", "indoor-1")),
                        tuple("line-set-indoor-2", "Line set, Air handler", List.of("outdoor-1", "indoor-2")));
    }

    @Test
    void ofSeveralOutdoorUnitsNobodyCanTellWhich() {
        Component second = new Component("outdoor-2", Component.Kind.OUTDOOR, "Second", true);
        assertThat(ids(of(OUTDOOR, second, WALL), Scope.LINE_SET)).isEmpty();
        assertThat(ids(of(OUTDOOR, second, WALL), Scope.DRAIN_RUN)).containsExactly("drain-run-indoor-1");
    }

    @Test
    void circuitsDuctsAndVentsFollowFromTheKindOfUnit() {
        Case facts = of(OUTDOOR, WALL, DUCTED, FURNACE);
        assertThat(ids(facts, Scope.CIRCUIT))
                .containsExactly("circuit-outdoor-1", "circuit-indoor-2", "circuit-indoor-3");
        assertThat(ids(facts, Scope.DUCT_SYSTEM)).containsExactly("duct-system-indoor-2", "duct-system-indoor-3");
        assertThat(ids(facts, Scope.VENT)).containsExactly("vent-indoor-3");
        assertThat(ids(facts, Scope.JOINT)).isEmpty();
        assertThat(ids(facts, Scope.ZONE)).isEmpty();
    }

    @Test
    void whatAUnitHasIsToldOfEveryKind() {
        assertThat(told(Component.Kind.INDOOR_CASSETTE)).containsExactly("line-set-a", "drain-run-a", "circuit-a");
        assertThat(told(Component.Kind.FURNACE)).containsExactly("circuit-a", "duct-system-a", "vent-a");
        assertThat(told(Component.Kind.FURNACE_CONDENSING))
                .containsExactly("drain-run-a", "circuit-a", "duct-system-a", "vent-a");
        assertThat(told(Component.Kind.PACKAGED)).containsExactly("drain-run-a", "circuit-a", "duct-system-a");
        assertThat(told(Component.Kind.PACKAGED_FUEL)).containsExactly("drain-run-a", "circuit-a", "duct-system-a");
        assertThat(told(Component.Kind.BOILER)).isEmpty();
    }

    private static List<String> told(Component.Kind kind) {
        return of(OUTDOOR, new Component("a", kind, "Unit", true)).subjects().stream()
                .filter(subject -> subject.joins().contains("a"))
                .map(Subject::id)
                .toList();
    }

    @Test
    void whatCannotBeToldIsAddedAndMustFit() {
        Subject joint = new Subject("joint-1", Subject.Kind.JOINT, "Flare at the wall unit", List.of("indoor-1"));
        Case facts = of(OUTDOOR, WALL).withAdded(List.of(joint));
        assertThat(facts.subjects(Scope.JOINT)).containsExactly(joint);
        assertThat(facts.subject("joint-1")).contains(joint);
        assertThatThrownBy(() -> facts.withAdded(List.of(joint, joint))).hasMessageContaining("share the id joint-1");
        Subject told = new Subject("line-set-indoor-1", Subject.Kind.LINE_SET, "Again", List.of("indoor-1"));
        assertThatThrownBy(() -> facts.withAdded(List.of(told)))
                .as("what is told already")
                .hasMessageContaining("share the id line-set-indoor-1");
        assertThatThrownBy(() -> of(new Component("system", Component.Kind.OUTDOOR, "Unit", true)))
                .hasMessageContaining("share the id system");
        Component longest = new Component("i" + "n".repeat(39), Component.Kind.INDOOR_DUCTED, "Unit", true);
        assertThat(of(OUTDOOR, longest).subjects(Scope.DUCT_SYSTEM))
                .extracting(Subject::id)
                .containsExactly("duct-system-" + longest.id());
        Subject lost = new Subject("joint-2", Subject.Kind.JOINT, "Lost", List.of("indoor-9"));
        assertThatThrownBy(() -> facts.withAdded(List.of(lost))).hasMessageContaining("indoor-9");
        assertThatThrownBy(() -> new Subject("Joint", Subject.Kind.JOINT, "x", List.of()))
                .hasMessageContaining("lower-case");
        assertThatThrownBy(() -> new Subject("joint-3", Subject.Kind.JOINT, " ", List.of()))
                .hasMessageContaining("title");
    }

    @Test
    void aRequirementIsJudgedForEachSubjectOfItsScope() {
        Point insulated = Point.yesNo("siting.test-insulated", Scope.LINE_SET, "Insulated throughout", "Joints too.");
        var requirement = Observed.that(
                Station.SITING, insulated, Severity.PERFORMANCE, "Test", "It is.", "It is not.", "Have it insulated.");
        Case facts = of(OUTDOOR, WALL, DUCTED);
        Evidence evidence = Evidence.of(List.of(new Reading(
                new UUID(0, 1),
                new PointKey(insulated.id(), "line-set-indoor-1"),
                "no",
                new Value.Affirmed(false),
                "",
                Optional.empty(),
                Grade.WITNESSED,
                "inspector",
                Instant.EPOCH,
                Stage.FINAL)));
        Map<String, Judgement> judged = new Judge(List.of(requirement))
                .judge(facts, evidence, CaseFixture.PLATE_BOOK).stream()
                        .collect(Collectors.toMap(Judgement::key, j -> j));
        assertThat(judged.get("siting.test-insulated@line-set-indoor-1").verdict())
                .isEqualTo(Verdict.FAILS);
        assertThat(judged.get("siting.test-insulated@line-set-indoor-1").subject())
                .isEqualTo("Line set, Wall unit");
        assertThat(judged.get("siting.test-insulated@line-set-indoor-2").verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judged).hasSize(2);
    }

    @Test
    void everyIdIsItsOwnWhateverTheUnits() {
        for (Component unit : List.of(OUTDOOR, WALL, DUCTED, FURNACE)) {
            List<String> all =
                    of(unit, new Component("other", Component.Kind.FURNACE_COIL, "Other", true)).subjects().stream()
                            .map(Subject::id)
                            .toList();
            assertThat(all).doesNotHaveDuplicates();
        }
        assertThat(Stream.of(Subject.Kind.values()).filter(Subject.Kind::addable))
                .hasSize(7);
    }
}
