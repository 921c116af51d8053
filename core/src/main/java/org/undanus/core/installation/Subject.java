package org.undanus.core.installation;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.words.RefusedException;

/**
 * What points are read of and requirements are judged for: the system, one of its units, or what joins or serves them.
 *
 * @param id unique within the installation
 * @param title empty for the system
 * @param joins the units it lies between or belongs to, by id, in the direction of flow where there is one
 */
public record Subject(String id, Kind kind, String title, List<String> joins) {

    /** What a subject is. */
    public enum Kind {
        SYSTEM("system", Scope.SYSTEM),
        UNIT("unit", Scope.UNIT),
        LINE_SET("line set", Scope.LINE_SET),
        JOINT("joint", Scope.JOINT),
        DRAIN_RUN("drain run", Scope.DRAIN_RUN),
        CIRCUIT("circuit", Scope.CIRCUIT),
        DUCT_SYSTEM("duct system", Scope.DUCT_SYSTEM),
        VENT("vent", Scope.VENT),
        ZONE("zone", Scope.ZONE);

        private final String title;
        private final Scope scope;

        Kind(String title, Scope scope) {
            this.title = title;
            this.scope = scope;
        }

        public String title() {
            return title;
        }

        /** The name that files and ids use: {@code line-set}. */
        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** Whether one can be added by hand; units and the system cannot. */
        public boolean addable() {
            return this != SYSTEM && this != UNIT;
        }

        Scope scope() {
            return scope;
        }
    }

    private static final int LONGEST_TITLE = 120;
    private static final Pattern ID = Pattern.compile("[a-z][a-z0-9-]{0,59}");

    public static final Subject SYSTEM = new Subject(PointKey.SYSTEM, Kind.SYSTEM, "", List.of());

    public Subject {
        joins = List.copyOf(joins);
        if (!ID.matcher(id).matches()) {
            throw new RefusedException(
                    "The id of a {kind} is lower-case letters, digits and hyphens, not \"{id}\"", kind.title(), id);
        }
        if (kind != Kind.SYSTEM && (title.isBlank() || title.length() > LONGEST_TITLE)) {
            throw new RefusedException(
                    "A {kind} needs a title of {longestTitle} characters at most", kind.title(), LONGEST_TITLE);
        }
    }

    public static Subject of(Component unit) {
        return new Subject(unit.id(), Kind.UNIT, unit.title(), List.of());
    }

    /**
     * What can be told from the units alone: a line set for each split indoor unit, a circuit for each with a supply of its own,
     * a drain run, ducts and a vent where the kind of unit has them. A line set only where there is one outdoor unit: of several
     * nobody can tell which.
     */
    static List<Subject> told(List<Component> units) {
        List<Component> outdoor = units.stream().filter(Component::feedsOthers).toList();
        Optional<String> only = outdoor.size() == 1 ? Optional.of(outdoor.get(0).id()) : Optional.empty();
        List<Subject> told = new ArrayList<>();
        for (Component unit : units) {
            if (unit.split()) {
                only.ifPresent(from -> told.add(serving(Kind.LINE_SET, unit, List.of(from, unit.id()))));
            }
            tell(told, Kind.DRAIN_RUN, unit, unit.drains());
            tell(told, Kind.CIRCUIT, unit, unit.judged() && unit.ownSupply());
            tell(told, Kind.DUCT_SYSTEM, unit, unit.hasDucts());
            tell(told, Kind.VENT, unit, unit.hasVent());
        }
        return told;
    }

    private static void tell(List<Subject> told, Kind kind, Component unit, boolean has) {
        if (has) {
            told.add(serving(kind, unit, List.of(unit.id())));
        }
    }

    private static Subject serving(Kind kind, Component unit, List<String> joins) {
        String name = kind.title().substring(0, 1).toUpperCase(Locale.ROOT)
                + kind.title().substring(1);
        String title = name + ", " + unit.title();
        return new Subject(
                kind.key() + "-" + unit.id(),
                kind,
                title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE),
                joins);
    }
}
