package org.undanus.core.installation;

import java.util.Objects;
import java.util.regex.Pattern;
import org.undanus.core.evidence.Scope;
import org.undanus.core.words.RefusedException;

/**
 * One unit of a system.
 *
 * @param id unique within the installation, for example {@code indoor-2}
 * @param ownSupply whether a power circuit of its own feeds it (an indoor unit fed from the outdoor one has none)
 */
public record Component(String id, Kind kind, String title, boolean ownSupply) {

    private static final Pattern ID = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    /** What a unit is. */
    public enum Kind {
        OUTDOOR("Outdoor unit"),
        INDOOR_WALL("Wall unit"),
        INDOOR_DUCTED("Ducted unit"),
        FURNACE_COIL("Furnace with coil");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    public Component {
        Objects.requireNonNull(kind);
        if (id == null || !ID.matcher(id).matches()) {
            throw new RefusedException(
                    "A unit's id is lower-case letters, digits and hyphens, for example indoor-2; not \"{id}\"", id);
        }
        if (title == null || title.isBlank()) {
            throw new IllegalArgumentException("A unit needs a title");
        }
    }

    public boolean outdoor() {
        return kind == Kind.OUTDOOR;
    }

    public boolean wallMounted() {
        return kind == Kind.INDOOR_WALL;
    }

    /** Whether this unit is one of those a scope speaks of. */
    public boolean within(Scope scope) {
        return switch (scope) {
            case SYSTEM, REPLACEMENT, LINE_SET, JOINT, DRAIN_RUN, CIRCUIT, DUCT_SYSTEM, VENT, ZONE -> false;
            case UNIT -> true;
            case OUTDOOR_UNIT -> outdoor();
            case INDOOR_UNIT -> !outdoor();
            case WALL_UNIT -> wallMounted();
            case POWERED_UNIT -> ownSupply;
            case FUEL_UNIT -> kind == Kind.FURNACE_COIL;
        };
    }
}
