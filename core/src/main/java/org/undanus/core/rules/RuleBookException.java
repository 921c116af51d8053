package org.undanus.core.rules;

import java.util.List;
import java.util.stream.Collectors;
import org.undanus.core.words.Text;

/** A rule book cannot be read; every problem found is listed with its line and key. */
public final class RuleBookException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    /**
     * @param line counted from 1
     * @param key where in the book, for example {@code limits.siting.outdoor-clearance.front[0].at-least}
     */
    public record Problem(int line, String key, Text message) {
        @Override
        public String toString() {
            return "line " + line + (key.isEmpty() ? "" : ", " + key) + ": " + message;
        }
    }

    private final transient List<Problem> problems;

    public RuleBookException(List<Problem> problems) {
        super(problems.stream().map(Problem::toString).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    public List<Problem> problems() {
        return problems;
    }
}
