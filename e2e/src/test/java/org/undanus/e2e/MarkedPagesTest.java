package org.undanus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Route;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Pages in a made-up language in which every template is marked: what stands there unmarked has come from the server, whose
 * own words the server's test of this language looks at, or no translator will ever see it.
 */
class MarkedPagesTest {
    private static final Path TEMPLATES = Path.of("../server/src/main/resources/words/undanus.pot");
    private static final String TAG = "qps";
    private static final String LEFT = "⟦";
    private static final String RIGHT = "⟧";
    private static final Pattern MARKED = Pattern.compile(LEFT + "[^" + LEFT + RIGHT + "]*" + RIGHT);
    private static final Pattern WORD = Pattern.compile("[A-Za-z]{3,}");
    private static final Pattern DEMO_PASSWORD = Pattern.compile("\\w+ / \\w+-demo");
    private static final int PIECES = 4;

    /** What no language says otherwise: how values are typed and which keys are pressed. */
    private static final Set<String> TYPED = Set.of("ctrl k", "enter", "esc", "csv", "json", "pdf", "undanus");

    private static Application application;
    private static Browser browser;

    private final Set<String> unmarked = new TreeSet<>();
    /** What the server has told: every text of its answers, whole and by its parts. */
    private final Set<String> told = new HashSet<>();

    @BeforeAll
    static void start() throws IOException {
        Path folder = Files.createTempDirectory("undanus-marked");
        Files.writeString(folder.resolve(TAG + ".po"), marked(Files.readAllLines(TEMPLATES)));
        application = Application.startDemoWith("--undanus.languages=" + folder.toUri() + "*.po");
        browser = new Browser();
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    /** The file for translators with every template translated by itself, marked. */
    private static String marked(List<String> template) {
        StringBuilder language = new StringBuilder();
        List<String> one = new ArrayList<>();
        List<String> many = new ArrayList<>();
        List<String> now = one;
        for (String line : template) {
            if (line.startsWith("msgid ")) {
                one.clear();
                many.clear();
                now = one;
            } else if (line.startsWith("msgid_plural ")) {
                now = many;
            }
            if (line.startsWith("msgstr")) {
                List<String> said = line.startsWith("msgstr[1]") ? many : one;
                language.append(line, 0, line.indexOf('"')).append('"' + LEFT + "\"\n");
                said.forEach(piece -> language.append(piece).append('\n'));
                language.append('"' + RIGHT + "\"\n");
            } else {
                language.append(line).append('\n');
                if (line.contains("\"")) {
                    now.add(line.substring(line.indexOf('"')));
                }
            }
        }
        return language.toString();
    }

    @Test
    void everyPageSaysWhatTheLanguageSays() {
        Page page = browser.openIn(TAG);
        page.route(MarkedPagesTest::said, this::heard);
        page.navigate(application.address() + "/sign-in");
        Locator password = page.locator("input[type=password]");
        password.waitFor();
        look(page, "sign-in");
        page.locator("input").first().fill("lead");
        password.fill("lead-demo");
        password.press("Enter");
        page.waitForURL("**/register");
        page.getByText("Foundry floor").first().waitFor();
        new MainPages(page, application.address()).each(where -> look(page, where));
        assertThat(page.locator("html").getAttribute("lang")).isEqualTo(TAG);
        assertThat(unmarked).isEmpty();
        assertThat(browser.errors()).isEmpty();
    }

    private void look(Page page, String where) {
        Object seen = page.evaluate(
                """
                () => {
                  const said = [];
                  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
                  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
                    if (node.nodeType === Node.TEXT_NODE) said.push(node.data);
                    else for (const name of ["title", "aria-label", "placeholder", "alt"])
                      if (node.hasAttribute(name)) said.push(node.getAttribute(name));
                  }
                  return said;
                }""");
        for (Object each : (List<?>) seen) {
            String left = each.toString();
            for (String before = ""; !before.equals(left); ) {
                before = left;
                left = MARKED.matcher(left).replaceAll(" · ");
            }
            parts(left)
                    .filter(part -> WORD.matcher(part).find()
                            && !TYPED.contains(part)
                            && !DEMO_PASSWORD.matcher(part).matches()
                            && !made(part, PIECES))
                    .forEach(part -> unmarked.add(
                            where + ": " + part + " | " + each.toString().strip()));
        }
    }

    private static Stream<String> parts(String words) {
        return Arrays.stream(words.split("[·:;,()→±×+\"…=]+"))
                .map(part -> part.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT))
                .map(MarkedPagesTest::open);
    }

    /** Without what ends a sentence. */
    private static String open(String words) {
        return words.replaceAll("[.?]$", "");
    }

    /** Whether something is made of so many texts that the server has told, one after the other. */
    private boolean made(String words, int pieces) {
        if (words.isEmpty() || !WORD.matcher(words).find() || told.contains(open(words))) {
            return true;
        }
        for (int end = words.lastIndexOf(' '); pieces > 1 && end > 0; end = words.lastIndexOf(' ', end - 1)) {
            if (made(words.substring(0, end), 1) && made(words.substring(end + 1), pieces - 1)) {
                return true;
            }
        }
        return false;
    }

    /** The language itself is no answer, and what comes live never ends. */
    private static boolean said(String address) {
        return address.contains("/api/") && !address.endsWith("/api/language") && !address.contains("/feed");
    }

    /** Takes down what the server answers. */
    private void heard(Route route) {
        try {
            APIResponse answer = route.fetch();
            if (answer.headers().getOrDefault("content-type", "").contains("json")) {
                take(JsonParser.parseString(answer.text()));
            }
            route.fulfill(new Route.FulfillOptions().setResponse(answer));
        } catch (PlaywrightException left) {
            // the page was left before it had all
        }
    }

    private void take(JsonElement answer) {
        if (answer.isJsonObject()) {
            answer.getAsJsonObject().asMap().values().forEach(this::take);
        } else if (answer.isJsonArray()) {
            answer.getAsJsonArray().forEach(this::take);
        } else if (answer.isJsonPrimitive() && answer.getAsJsonPrimitive().isString()) {
            told.add(open(answer.getAsString().strip().toLowerCase(Locale.ROOT)));
            parts(answer.getAsString()).forEach(told::add);
        }
    }
}
