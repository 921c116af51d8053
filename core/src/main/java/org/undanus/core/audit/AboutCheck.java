package org.undanus.core.audit;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.rules.Setting;

/**
 * What is known of a check besides how it is made. Pages, letters and docs are made from it.
 *
 * @param id {@code record.name} for one record, {@code jobs.name} for several
 * @param tests what is held against what
 * @param shows what a doubt by it speaks for
 * @param cannot what it cannot show
 * @param innocent how it can come about with everybody honest, the likeliest first
 * @param asks the question to the crew, where there is a doubt
 * @param needs lines without which it cannot tell
 * @param settings what it takes from the rule book
 */
public record AboutCheck(
        String id,
        String title,
        String tests,
        String shows,
        String cannot,
        List<String> innocent,
        String asks,
        List<String> sources,
        List<Point> needs,
        List<Setting> settings) {

    public AboutCheck {
        innocent = List.copyOf(innocent);
        sources = List.copyOf(sources);
        needs = List.copyOf(needs);
        settings = List.copyOf(settings);
    }

    static AboutCheck of(String id, String title, String tests) {
        return new AboutCheck(id, title, tests, "", "", List.of(), "", List.of(), List.of(), List.of());
    }

    AboutCheck shows(String words, String not) {
        return new AboutCheck(id, title, tests, words, not, innocent, asks, sources, needs, settings);
    }

    AboutCheck innocently(String... how) {
        return new AboutCheck(id, title, tests, shows, cannot, List.of(how), asks, sources, needs, settings);
    }

    AboutCheck asks(String question) {
        return new AboutCheck(id, title, tests, shows, cannot, innocent, question, sources, needs, settings);
    }

    AboutCheck sources(String... cited) {
        return new AboutCheck(id, title, tests, shows, cannot, innocent, asks, List.of(cited), needs, settings);
    }

    AboutCheck needs(Point... points) {
        return new AboutCheck(id, title, tests, shows, cannot, innocent, asks, sources, List.of(points), settings);
    }

    AboutCheck settings(Setting... taken) {
        return new AboutCheck(id, title, tests, shows, cannot, innocent, asks, sources, needs, List.of(taken));
    }
}
