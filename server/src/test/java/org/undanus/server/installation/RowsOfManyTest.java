package org.undanus.server.installation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.TestServer;

/** Rows read by their columns' numbers are those that are read by name. */
class RowsOfManyTest {
    private static final String LAST = "g";

    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final InstallationMapper mapper = SERVER.bean(InstallationMapper.class);
    private final RowsOfMany many = SERVER.bean(RowsOfMany.class);

    @Test
    void everyRowOfTheDemoIsTheSame() {
        assertThat(mapper.ids()).hasSizeGreaterThan(10);
        assertThat(many.installations("", LAST)).containsExactlyInAnyOrderElementsOf(mapper.all());
        for (String id : mapper.ids()) {
            assertThat(many.components("", LAST).get(id)).isEqualTo(mapper.components(id));
            assertThat(many.subjects("", LAST).getOrDefault(id, List.of())).isEqualTo(mapper.subjects(id));
            assertThat(many.visits("", LAST).get(id)).isEqualTo(mapper.visits(id));
            assertThat(many.readings("", LAST).getOrDefault(id, List.of())).isEqualTo(mapper.readings(id));
        }
        assertThat(many.readings("", LAST)).isNotEmpty();
        assertThat(many.subjects("", LAST)).isNotEmpty();
    }

    @Test
    void thoseOfSomePointsStandInTheOrderTheyWereAdded() {
        Set<String> points = Set.of("plate.model", "plate.maker");
        for (String id : mapper.ids()) {
            assertThat(many.readings(id, id, points).getOrDefault(id, List.of()))
                    .isEqualTo(mapper.readings(id).stream()
                            .filter(reading -> points.contains(reading.point()))
                            .collect(Collectors.toList()));
        }
    }
}
