package org.undanus.core.installation;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Objects;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Length;

/**
 * Where a system stands.
 *
 * @param elevation above sea level; pressures and air density follow from it
 * @param zone in which clocks on its walls are read, and its days begin
 */
public record Site(String name, Length elevation, ZoneId zone) {

    /** Where no wall clock matters. */
    public Site(String name, Length elevation) {
        this(name, elevation, ZoneOffset.UTC);
    }

    public Site {
        Objects.requireNonNull(zone);
        Objects.requireNonNull(name);
        Objects.requireNonNull(elevation);
        AbsolutePressure.ofStandardAtmosphere(elevation);
    }

    public AbsolutePressure atmosphere() {
        return AbsolutePressure.ofStandardAtmosphere(elevation);
    }
}
