package org.undanus.core.installation;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The facts that stay put while readings come in.
 *
 * @param on the day of the visit, from which ages are counted
 */
public record Case(Site site, List<Component> components, DataSheets sheets, LocalDate on) {
    public Case {
        components = List.copyOf(components);
        Set<String> seen = new HashSet<>();
        components.forEach(component -> {
            if (!seen.add(component.id())) {
                throw new IllegalArgumentException("Two units share the id " + component.id());
            }
        });
    }

    /** The outdoor unit, where the system has one. */
    public Optional<Component> outdoorUnit() {
        return components.stream().filter(Component::outdoor).findFirst();
    }

    public Optional<Component> component(String id) {
        return components.stream().filter(c -> c.id().equals(id)).findFirst();
    }
}
