package org.undanus.server.account;

import java.util.Optional;

/**
 * Who is signed in.
 *
 * @param crew the crew's name, for members of one
 */
public record Person(String name, String title, Role role, Optional<String> crew) {

    public boolean inspects() {
        return role != Role.CREW;
    }

    /** Whether they may do what the other may: in the same role, for the same crew. */
    boolean mayAs(Person other) {
        return role == other.role && crew.equals(other.crew);
    }

    public boolean leads() {
        return role == Role.QUALITY_LEAD;
    }

    /** Whether installations of this crew are this person's business. */
    public boolean maySee(String crewName) {
        return inspects() || crew.filter(crewName::equals).isPresent();
    }
}
