package org.undanus.core.installation;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;

/**
 * The facts that stay put while readings come in.
 *
 * @param on the day of the visit, from which ages are counted
 * @param stage of the visit
 * @param replacement whether it takes the place of an older system
 * @param toolcase the instruments readings may have been taken with
 * @param plan the drawing of the site, where one has been made
 */
public record Case(
        Site site,
        List<Component> components,
        DataSheets sheets,
        LocalDate on,
        Stage stage,
        boolean replacement,
        Toolcase toolcase,
        Optional<SitePlan> plan) {

    /** A new installation at its final visit. */
    public Case(Site site, List<Component> components, DataSheets sheets, LocalDate on) {
        this(site, components, sheets, on, Stage.FINAL, false, Toolcase.EMPTY, Optional.empty());
    }

    public Case {
        components = List.copyOf(components);
        Set<String> seen = new HashSet<>();
        components.forEach(component -> {
            if (!seen.add(component.id())) {
                throw new IllegalArgumentException("Two units share the id " + component.id());
            }
        });
    }

    public Case with(DataSheets others) {
        return new Case(site, components, others, on, stage, replacement, toolcase, plan);
    }

    public Case with(SitePlan drawn) {
        return new Case(site, components, sheets, on, stage, replacement, toolcase, Optional.of(drawn));
    }

    /** Whether points and requirements of this scope are asked of the system as a whole. */
    public boolean asksOfSystem(Scope scope) {
        return scope == Scope.SYSTEM || (scope == Scope.REPLACEMENT && replacement);
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
