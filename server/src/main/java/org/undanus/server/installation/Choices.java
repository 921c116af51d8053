package org.undanus.server.installation;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;

/** What a new installation can be put together from without typing it again. */
@Service
class Choices {
    /** Of an office's very first installation; an office that numbers otherwise types its own. */
    private static final String FIRST = "001";

    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,9})");

    /** @param elevation above sea level, m */
    record Place(String name, double elevation) {}

    private record Numbered(String stem, int width, long number) {}

    private final RegisterIndexMapper mapper;

    Choices(RegisterIndexMapper mapper) {
        this.mapper = mapper;
    }

    List<String> crews() {
        return mapper.crews();
    }

    List<Place> places() {
        return mapper.places();
    }

    /** One more than the highest of those numbered like most; empty where there are some and none is numbered. */
    String nextReference() {
        List<String> references = mapper.references();
        List<Numbered> all = references.stream()
                .map(NUMBERED::matcher)
                .filter(Matcher::matches)
                .map(found -> new Numbered(found.group(1), found.group(2).length(), Long.parseLong(found.group(2))))
                .toList();
        return all.stream()
                .max(Comparator.comparing((Numbered each) -> all.stream()
                                .filter(other -> other.stem.equals(each.stem))
                                .count())
                        .thenComparing(Numbered::stem)
                        .thenComparing(Numbered::number))
                .map(last -> last.stem + String.format(Locale.ROOT, "%0" + last.width + "d", last.number + 1))
                .orElse(references.isEmpty() ? FIRST : "");
    }
}
