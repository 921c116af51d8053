package org.undanus.core.installation;

import java.util.Objects;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Length;

/**
 * Where a system stands.
 *
 * @param elevation above sea level; pressures and air density follow from it
 */
public record Site(String name, Length elevation) {
    public Site {
        Objects.requireNonNull(name);
        Objects.requireNonNull(elevation);
        AbsolutePressure.ofStandardAtmosphere(elevation);
    }

    public AbsolutePressure atmosphere() {
        return AbsolutePressure.ofStandardAtmosphere(elevation);
    }
}
