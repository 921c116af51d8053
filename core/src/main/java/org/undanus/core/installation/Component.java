package org.undanus.core.installation;

import java.util.Objects;
import java.util.Set;
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

    /** What a kind of unit has, by which points and requirements find it. */
    private enum Part {
        /** Stands outdoors. */
        OUTDOORS,
        COMPRESSOR,
        /** The coil that cools or heats the room's air. */
        COIL,
        /** Hangs on a wall, and draws and throws air there. */
        WALL,
        DUCTS,
        BURNER,
        /** A vent that is laid on site. */
        VENT,
        /** Water that it makes has to run off. */
        DRAIN
    }

    /** What a unit is. */
    public enum Kind {
        OUTDOOR("Outdoor unit", Part.OUTDOORS, Part.COMPRESSOR),
        INDOOR_WALL("Wall unit", Part.COIL, Part.WALL, Part.DRAIN),
        INDOOR_CASSETTE("Ceiling cassette", Part.COIL, Part.DRAIN),
        INDOOR_DUCTED("Ducted unit", Part.COIL, Part.DUCTS, Part.DRAIN),
        FURNACE_COIL("Furnace with coil", Part.COIL, Part.DUCTS, Part.BURNER, Part.VENT, Part.DRAIN),
        FURNACE("Furnace without coil", Part.DUCTS, Part.BURNER, Part.VENT),
        FURNACE_CONDENSING("Condensing furnace without coil", Part.DUCTS, Part.BURNER, Part.VENT, Part.DRAIN),
        PACKAGED("Packaged unit", Part.OUTDOORS, Part.COMPRESSOR, Part.COIL, Part.DUCTS, Part.DRAIN),
        PACKAGED_FUEL(
                "Packaged unit with gas heat",
                Part.OUTDOORS,
                Part.COMPRESSOR,
                Part.COIL,
                Part.DUCTS,
                Part.BURNER,
                Part.DRAIN),
        /** Water that is heated by fire is outside what can be judged here: it is named, and its judging is asked for. */
        BOILER("Boiler with hydronic heat (not judged here)");

        private final String title;
        private final Set<Part> parts;

        Kind(String title, Part... parts) {
            this.title = title;
            this.parts = Set.of(parts);
        }

        public String title() {
            return title;
        }

        /** Whether it stands outdoors. */
        public boolean outdoor() {
            return has(Part.OUTDOORS);
        }

        private boolean has(Part part) {
            return parts.contains(part);
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
        return kind.outdoor();
    }

    public boolean wallMounted() {
        return kind.has(Part.WALL);
    }

    /** Whether its coil is joined to a compressor elsewhere, by tubes laid on site. */
    public boolean split() {
        return kind.has(Part.COIL) && !kind.has(Part.COMPRESSOR);
    }

    /** Whether it has the coil that cools or heats the room's air. */
    public boolean hasCoil() {
        return kind.has(Part.COIL);
    }

    public boolean hasDucts() {
        return kind.has(Part.DUCTS);
    }

    /** Whether a vent of its own is laid on site. */
    boolean hasVent() {
        return kind.has(Part.VENT);
    }

    public boolean drains() {
        return kind.has(Part.DRAIN);
    }

    /** Whether tubes are laid from it to coils elsewhere. */
    boolean feedsOthers() {
        return kind.has(Part.COMPRESSOR) && !kind.has(Part.COIL);
    }

    /** Whether refrigerant runs through it. */
    boolean refrigerant() {
        return kind.has(Part.COMPRESSOR) || kind.has(Part.COIL);
    }

    /** Whether it is judged here at all. */
    public boolean judged() {
        return !kind.parts.isEmpty();
    }

    /** Whether this unit is one of those a scope speaks of. */
    public boolean within(Scope scope) {
        return switch (scope) {
            case SYSTEM,
                    REPLACEMENT,
                    REFRIGERANT_SYSTEM,
                    LINE_SET,
                    JOINT,
                    DRAIN_RUN,
                    CIRCUIT,
                    DUCT_SYSTEM,
                    VENT,
                    ZONE -> false;
            case UNIT -> judged();
            case UNJUDGED_UNIT -> !judged();
            case OUTDOOR_UNIT -> kind.has(Part.COMPRESSOR);
            case INDOOR_UNIT -> judged() && !outdoor();
            case SPLIT_UNIT -> split();
            case SPLIT_OUTDOOR_UNIT -> feedsOthers();
            case COIL_UNIT -> hasCoil();
            case AIR_UNIT -> hasCoil() || hasDucts();
            case REFRIGERANT_UNIT -> refrigerant();
            case WALL_UNIT -> wallMounted();
            case POWERED_UNIT -> judged() && ownSupply;
            case FUEL_UNIT -> kind.has(Part.BURNER);
        };
    }
}
