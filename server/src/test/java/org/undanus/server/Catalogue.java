package org.undanus.server;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.Walk;

/** Writes docs/catalogue.md: every requirement and every line of the walk, from their metadata. */
final class Catalogue {
    private Catalogue() {}

    static String page() {
        StringBuilder page = new StringBuilder(
                """
                # Catalogue of requirements

                Made from the metadata of the requirements by the golden test of the server; not written by hand. What limits and
                settings are, and by whose word, is in the rule books.
                """);
        for (StationPlan plan : Walk.plans()) {
            page.append("\n## ")
                    .append(plan.station().number())
                    .append(' ')
                    .append(plan.station().title())
                    .append("\n\n")
                    .append(plan.station().question())
                    .append(
                            "\n\n| requirement | of | at stake | limits and settings | sources |\n|---|---|---|---|---|\n");
            plan.requirements().stream().map(Requirement::about).forEach(about -> page.append(row(about)));
            page.append("\n| line | of | read with | due | |\n|---|---|---|---|---|\n");
            plan.points().forEach(point -> page.append(row(point)));
        }
        return page.toString();
    }

    private static String row(About about) {
        String decided = Stream.concat(
                        about.limits().stream().map(LimitKey::id),
                        about.settings().stream().map(Setting::id))
                .map(id -> "`" + id + "`")
                .distinct()
                .collect(Collectors.joining(", "));
        return cells(
                about.title() + "<br>`" + about.id() + "`",
                words(about.scope().name()),
                about.severity().title(),
                decided,
                String.join("; ", about.sources()));
    }

    private static String row(Point point) {
        List<String> marks = Stream.of(point.optional() ? "optional" : "", point.hidden() ? "hidden later" : "")
                .filter(mark -> !mark.isEmpty())
                .toList();
        return cells(
                point.title() + "<br>`" + point.id() + "`",
                words(point.scope().name()),
                point.instrument().title(),
                point.due().title(),
                String.join(", ", marks));
    }

    private static String cells(String... cells) {
        return "| " + String.join(" | ", cells).replace("\n", " ") + " |\n";
    }

    private static String words(String name) {
        return name.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
