package org.undanus.core.station.electrical;

import java.util.List;
import org.undanus.core.rules.SchoolTopic;

/** The two families of practice for protecting a circuit. */
final class Protection {
    private Protection() {}

    static final SchoolTopic.School PLATE = new SchoolTopic.School("plate-ampacity", "Plate ampacity (NFPA 70, 440)");
    static final SchoolTopic.School DESIGN = new SchoolTopic.School("design-current", "Design current (IEC 60364)");
    static final SchoolTopic TOPIC =
            new SchoolTopic("electrical.protection", "How a circuit is matched to its machine", List.of(PLATE, DESIGN));
}
