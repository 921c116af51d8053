package org.undanus.core.station;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.judgement.Judge;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.rules.Setting;
import org.undanus.core.rules.Vocabulary;
import org.undanus.core.station.access.Access;
import org.undanus.core.station.airside.Airside;
import org.undanus.core.station.charge.Charge;
import org.undanus.core.station.condensate.Condensate;
import org.undanus.core.station.electrical.Electrical;
import org.undanus.core.station.evacuation.Evacuation;
import org.undanus.core.station.fuel.Fuel;
import org.undanus.core.station.handover.Handover;
import org.undanus.core.station.mounting.MountingStation;
import org.undanus.core.station.papers.Papers;
import org.undanus.core.station.piping.Piping;
import org.undanus.core.station.running.Running;
import org.undanus.core.station.siting.Siting;
import org.undanus.core.station.tightness.Tightness;
import org.undanus.core.visit.DueDates;
import org.undanus.core.visit.HourSettings;
import org.undanus.core.visit.RevisitPlan;

/** The stations there are so far, in working order, with the judge and the vocabulary made from them. */
public final class Walk {
    private static final List<StationPlan> PLANS = List.of(
            Papers.plan(),
            Siting.plan(),
            Access.plan(),
            MountingStation.plan(),
            Piping.plan(),
            Condensate.plan(),
            Electrical.plan(),
            Fuel.plan(),
            Airside.plan(),
            Tightness.plan(),
            Evacuation.plan(),
            Charge.plan(),
            Running.plan(),
            Handover.plan());
    private static final Map<String, Point> POINTS = PLANS.stream()
            .flatMap(plan -> plan.points().stream())
            .collect(Collectors.collectingAndThen(
                    Collectors.toMap(Point::id, Function.identity(), (a, b) -> a, LinkedHashMap::new),
                    Collections::unmodifiableMap));
    private static final Judge JUDGE = new Judge(
            PLANS.stream().flatMap(plan -> plan.requirements().stream()).toList());
    private static final Vocabulary VOCABULARY = vocabularyOf(PLANS);

    private Walk() {}

    public static List<StationPlan> plans() {
        return PLANS;
    }

    public static Optional<StationPlan> plan(Station station) {
        return PLANS.stream().filter(plan -> plan.station() == station).findFirst();
    }

    public static Optional<Point> point(String id) {
        return Optional.ofNullable(POINTS.get(id));
    }

    public static Judge judge() {
        return JUDGE;
    }

    /** The words a rule book may use. */
    public static Vocabulary vocabulary() {
        return VOCABULARY;
    }

    private static <V> Map<String, V> merged(List<StationPlan> plans, Function<StationPlan, Map<String, V>> part) {
        return plans.stream()
                .flatMap(plan -> part.apply(plan).entrySet().stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** What no requirement asks for: how visits and corrections are planned, and records audited. */
    private static Stream<Setting> ofVisits() {
        return Stream.of(DueDates.settings(), List.of(RevisitPlan.PER_LINE), HourSettings.all(), AuditSettings.all())
                .flatMap(List::stream);
    }

    private static Vocabulary vocabularyOf(List<StationPlan> plans) {
        List<About> abouts = plans.stream()
                .flatMap(plan -> plan.requirements().stream())
                .map(Requirement::about)
                .toList();
        Set<String> gradeable = new LinkedHashSet<>();
        Stream.of(Station.values()).map(Station::key).forEach(gradeable::add);
        abouts.stream().map(About::id).forEach(gradeable::add);
        return Vocabulary.of(
                abouts.stream().flatMap(about -> about.limits().stream()).toList(),
                Stream.concat(abouts.stream().flatMap(about -> about.settings().stream()), ofVisits())
                        .toList(),
                abouts.stream().flatMap(about -> about.topic().stream()).toList(),
                merged(plans, StationPlan::sizes),
                merged(plans, StationPlan::tables),
                gradeable,
                Stream.of(Severity.values()).map(Severity::key).collect(Collectors.toSet()));
    }
}
