package org.undanus.core.audit;

import java.util.List;
import org.undanus.core.evidence.PointKey;

/** How a line of a record stands to what others read on it. */
public enum Agreement {
    AGREES,
    DISAGREES,
    CANNOT_TELL;

    /**
     * @param line that others read too
     * @param found in the record it stands in
     */
    public static Agreement of(PointKey line, List<Found> found) {
        return found.stream()
                .filter(each ->
                        each.about().equals(AgainstOwn.ABOUT) && each.on().contains(line))
                .findFirst()
                .map(each -> each.doubtful() ? DISAGREES : AGREES)
                .orElse(CANNOT_TELL);
    }
}
