package org.undanus.core.installation;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.evidence.Traces;
import org.undanus.core.words.RefusedException;

/**
 * The facts that stay put while readings come in.
 *
 * @param on the day of the visit, from which ages are counted
 * @param stage of the visit
 * @param replacement whether it takes the place of an older system
 * @param toolcase the instruments readings may have been taken with
 * @param plan the drawing of the site, where one has been made
 * @param added subjects that cannot be told from the units
 * @param traces the curves logged here
 * @param refrigerants those that its plates may name
 */
public record Case(
        Site site,
        List<Component> components,
        DataSheets sheets,
        LocalDate on,
        Stage stage,
        boolean replacement,
        Toolcase toolcase,
        Optional<SitePlan> plan,
        List<Subject> added,
        Traces traces,
        Refrigerants refrigerants) {

    /** A new installation at its final visit. */
    public Case(Site site, List<Component> components, DataSheets sheets, LocalDate on) {
        this(
                site,
                components,
                sheets,
                on,
                Stage.FINAL,
                false,
                Toolcase.EMPTY,
                Optional.empty(),
                List.of(),
                Traces.NONE,
                Refrigerants.SHIPPED);
    }

    public Case {
        components = List.copyOf(components);
        added = List.copyOf(added);
        Set<String> seen = new HashSet<>();
        List<Component> known = components;
        seen.add(Subject.SYSTEM.id());
        components.forEach(component -> requireNew(seen, component.id()));
        Subject.told(components).forEach(subject -> requireNew(seen, subject.id()));
        added.forEach(subject -> {
            requireNew(seen, subject.id());
            subject.joins().stream()
                    .filter(unit -> known.stream().noneMatch(c -> c.id().equals(unit)))
                    .findFirst()
                    .ifPresent(unit -> {
                        throw new RefusedException(
                                "The {kind} {subject} joins a unit {unit} that is not there",
                                subject.kind().title(),
                                subject.title(),
                                unit);
                    });
        });
    }

    public Case with(DataSheets others) {
        return new Case(site, components, others, on, stage, replacement, toolcase, plan, added, traces, refrigerants);
    }

    public Case with(Traces others) {
        return new Case(site, components, sheets, on, stage, replacement, toolcase, plan, added, others, refrigerants);
    }

    public Case with(SitePlan drawn) {
        return new Case(
                site,
                components,
                sheets,
                on,
                stage,
                replacement,
                toolcase,
                Optional.of(drawn),
                added,
                traces,
                refrigerants);
    }

    /** This case as of another visit. */
    public Case at(Stage other, LocalDate day) {
        return new Case(site, components, sheets, day, other, replacement, toolcase, plan, added, traces, refrigerants);
    }

    /** This case as put right: other units, or other work. */
    public Case corrected(List<Component> units, boolean replaces) {
        return new Case(site, units, sheets, on, stage, replaces, toolcase, plan, added, traces, refrigerants);
    }

    public Case withAdded(List<Subject> others) {
        return new Case(site, components, sheets, on, stage, replacement, toolcase, plan, others, traces, refrigerants);
    }

    public Case with(Refrigerants others) {
        return new Case(site, components, sheets, on, stage, replacement, toolcase, plan, added, traces, others);
    }

    /** A point as it is asked here: a choice of a refrigerant offers those that are known here. */
    public Point asked(Point point) {
        return refrigerants.asked(point);
    }

    private static void requireNew(Set<String> seen, String id) {
        if (!seen.add(id)) {
            throw new RefusedException("Two things of this system share the id {id}", id);
        }
    }

    /** Everything points can be read of: the system, its units, what is told from them and what was added. */
    public List<Subject> subjects() {
        return Stream.of(
                        Stream.of(Subject.SYSTEM),
                        components.stream().map(Subject::of),
                        Subject.told(components).stream(),
                        added.stream())
                .flatMap(s -> s)
                .toList();
    }

    /** Those that points and requirements of a scope speak of. */
    public List<Subject> subjects(Scope scope) {
        return switch (scope) {
            case SYSTEM -> List.of(Subject.SYSTEM);
            case REPLACEMENT -> replacement ? List.of(Subject.SYSTEM) : List.of();
            case REFRIGERANT_SYSTEM ->
                components.stream().anyMatch(Component::refrigerant) ? List.of(Subject.SYSTEM) : List.of();
            case UNIT,
                    OUTDOOR_UNIT,
                    INDOOR_UNIT,
                    SPLIT_UNIT,
                    SPLIT_OUTDOOR_UNIT,
                    COIL_UNIT,
                    AIR_UNIT,
                    REFRIGERANT_UNIT,
                    WALL_UNIT,
                    POWERED_UNIT,
                    UNJUDGED_UNIT,
                    FUEL_UNIT ->
                components.stream()
                        .filter(unit -> unit.within(scope))
                        .map(Subject::of)
                        .toList();
            case LINE_SET, JOINT, DRAIN_RUN, CIRCUIT, DUCT_SYSTEM, VENT, ZONE ->
                subjects().stream().filter(s -> s.kind().scope() == scope).toList();
        };
    }

    public Optional<Subject> subject(String id) {
        return subjects().stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** The outdoor unit, where the system has one. */
    public Optional<Component> outdoorUnit() {
        return components.stream().filter(Component::outdoor).findFirst();
    }

    /** What a unit is called; its id where there is none such. */
    public String title(String id) {
        return component(id).map(Component::title).orElse(id);
    }

    public Optional<Component> component(String id) {
        return components.stream().filter(c -> c.id().equals(id)).findFirst();
    }
}
