package org.undanus.core.rules;

import java.util.List;

/** A question on which practitioners honestly differ. A rule book chooses one school; the others stay in sight. */
public record SchoolTopic(String id, String title, List<School> schools) {
    /** One way of judging. */
    public record School(String id, String title) {}

    public SchoolTopic {
        schools = List.copyOf(schools);
    }

    /** @throws IllegalArgumentException when the topic has no such school */
    public School school(String id) {
        return schools.stream()
                .filter(school -> school.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No school " + id + " on " + title));
    }
}
