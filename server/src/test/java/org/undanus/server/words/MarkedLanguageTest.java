package org.undanus.server.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Station;
import org.undanus.server.Client;
import org.undanus.server.TestServer;
import tools.jackson.databind.JsonNode;

/**
 * A made-up language in which every template is marked, made from the file for translators: what a page shows unmarked is
 * somebody's own words, or no translator will ever see it.
 */
class MarkedLanguageTest {
    private static final String TAG = "qps";
    private static final String LEFT = "⟦";
    private static final String RIGHT = "⟧";

    /** What a program reads, or somebody typed. */
    private static final Set<String> NOT_SAID = Set.of(
            "reading",
            "typed",
            "said",
            "what",
            "source",
            "sources",
            "example",
            "address",
            "offered",
            "value",
            "us",
            "si",
            "uncertainty",
            "range",
            "units",
            "by");

    /** More than one word: a single one is a name or a key. */
    private static final Pattern WORDS = Pattern.compile("(?s).*[A-Za-z]{3,}.* .*");

    /** What the demo's people, its rule books and sheets say themselves; parts are called so when a system is entered. */
    private static final String DATA = data();

    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.languages=" + language());

    private static String language() {
        try {
            Path folder = Files.createDirectories(Path.of("target/marked"));
            Files.writeString(folder.resolve(TAG + ".po"), new Sentences().language(said -> LEFT + said + RIGHT));
            return folder.toUri() + "*.po";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String data() {
        return Stream.of("src/main/resources/demo/sallowmere.json", "../core/src/main/resources/org/undanus/core/rules")
                .map(Path::of)
                .flatMap(MarkedLanguageTest::files)
                .map(MarkedLanguageTest::read)
                .collect(Collectors.joining("\n"))
                .concat(Stream.of(Subject.Kind.values())
                        .map(Subject.Kind::title)
                        .collect(Collectors.joining(", ")))
                .toLowerCase(Locale.ROOT);
    }

    private static Stream<Path> files(Path from) {
        try (Stream<Path> all = Files.walk(from)) {
            return all.filter(Files::isRegularFile).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file).replaceAll("\\s+", " ");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private final Client english = SERVER.signedIn("lead");
    private final Client marked = SERVER.signedIn("lead").speaking(TAG);

    private static List<String> installations(Client client) {
        List<String> ids = new ArrayList<>();
        client.get("/api/installations?size=200")
                .json()
                .path("entries")
                .forEach(entry -> ids.add(entry.path("id").asString()));
        return ids;
    }

    @Test
    void everyVerdictOfTheDemoIsTheSame() {
        for (String installation : installations(english)) {
            for (Station station : Station.values()) {
                String path = "/api/installations/" + installation + "/stations/" + station.key() + "?units=US";
                assertThat(verdicts(marked, path)).isEqualTo(verdicts(english, path));
            }
        }
    }

    private static Map<String, String> verdicts(Client client, String path) {
        Map<String, String> verdicts = new TreeMap<>();
        client.get(path)
                .json()
                .path("judgements")
                .forEach(judgement -> verdicts.put(
                        judgement.path("key").asString(),
                        judgement.path("verdict").asString()));
        return verdicts;
    }

    @Test
    void noSentenceIsLeftUnmarked() {
        Set<String> unmarked = new TreeSet<>();
        for (String installation : installations(english)) {
            String here = "/api/installations/" + installation;
            Stream.concat(
                            Stream.of(Station.values()).map(station -> here + "/stations/" + station.key()),
                            Stream.of("/route", "/summary").map(part -> here + part))
                    .forEach(path -> compare(path, unmarked));
        }
        Stream.of(
                        "/api/words",
                        "/api/reckoner",
                        "/api/installations?size=200",
                        "/api/corrections",
                        "/api/instruments",
                        "/api/instruments/kinds",
                        "/api/rule-books",
                        "/api/find?words=trap")
                .forEach(path -> compare(path, unmarked));
        assertThat(unmarked).isEmpty();
    }

    private void compare(String path, Set<String> unmarked) {
        compare(
                "",
                english.get(path).expect(200).json(),
                marked.get(path).expect(200).json(),
                unmarked);
    }

    private static void compare(String where, JsonNode english, JsonNode marked, Set<String> unmarked) {
        if (english.isObject()) {
            english.propertyNames().forEach(name -> compare(name, english.path(name), marked.path(name), unmarked));
        } else if (english.isArray()) {
            for (int i = 0; i < english.size(); i++) {
                compare(where, english.path(i), marked.path(i), unmarked);
            }
        } else if (english.isString()
                && english.equals(marked)
                && WORDS.matcher(english.asString()).matches()
                && !NOT_SAID.contains(where)
                && Arrays.stream(english.asString().split(", |\\. "))
                        .anyMatch(part -> !DATA.contains(part.toLowerCase(Locale.ROOT)))) {
            unmarked.add(where + ": " + english.asString());
        }
    }
}
