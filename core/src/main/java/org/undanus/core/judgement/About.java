package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;

/**
 * What is known of a requirement besides how it is judged. Catalogue, screens and docs are made from it.
 *
 * @param needs points without which it is Not shown
 * @param limits limits a rule book may give for it
 * @param settings numbers a rule book must give for it
 * @param topic the question of practice its judgement depends on
 * @param cautions what could hurt while gathering its evidence
 * @param stops whether everybody leaves when it fails
 */
public record About(
        String id,
        Station station,
        Scope scope,
        String title,
        Severity severity,
        List<String> sources,
        List<Point> needs,
        List<LimitKey> limits,
        List<Setting> settings,
        Optional<SchoolTopic> topic,
        List<String> cautions,
        boolean stops) {

    public About {
        if (!id.startsWith(station.key() + ".")) {
            throw new IllegalArgumentException(id + " does not begin with its station");
        }
        sources = List.copyOf(sources);
        needs = List.copyOf(needs);
        limits = List.copyOf(limits);
        settings = List.copyOf(settings);
        cautions = List.copyOf(cautions);
    }

    /** @param id station.name */
    public static About of(String id, Station station, Scope scope, String title, Severity severity) {
        return new About(
                id,
                station,
                scope,
                title,
                severity,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                false);
    }

    public About sources(String... cited) {
        return new About(
                id, station, scope, title, severity, List.of(cited), needs, limits, settings, topic, cautions, stops);
    }

    public About needs(Point... points) {
        return new About(
                id,
                station,
                scope,
                title,
                severity,
                sources,
                List.of(points),
                limits,
                settings,
                topic,
                cautions,
                stops);
    }

    public About limits(LimitKey... keys) {
        return new About(
                id, station, scope, title, severity, sources, needs, List.of(keys), settings, topic, cautions, stops);
    }

    public About settings(Setting... needed) {
        return new About(
                id, station, scope, title, severity, sources, needs, limits, List.of(needed), topic, cautions, stops);
    }

    /** This requirement, resting on what another one comes to as well: what a rule book says of that one touches it too. */
    public About restingOn(About other) {
        return new About(
                id,
                station,
                scope,
                title,
                severity,
                sources,
                needs,
                Stream.concat(limits.stream(), other.limits.stream()).distinct().toList(),
                Stream.concat(settings.stream(), other.settings.stream())
                        .distinct()
                        .toList(),
                topic,
                cautions,
                stops);
    }

    public About schools(SchoolTopic question) {
        return new About(
                id,
                station,
                scope,
                title,
                severity,
                sources,
                needs,
                limits,
                settings,
                Optional.of(question),
                cautions,
                stops);
    }

    public About cautions(String... words) {
        return new About(
                id, station, scope, title, severity, sources, needs, limits, settings, topic, List.of(words), stops);
    }

    /** This requirement as one at whose failure everybody leaves: nothing else is judged of that visit before somebody has seen to it. */
    public About stopping() {
        return new About(id, station, scope, title, severity, sources, needs, limits, settings, topic, cautions, true);
    }
}
