package org.undanus.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What an office does that begins with its own data: brings sheets in, enters an installation, answers every line that is due. */
final class OwnVisit {
    static final Path SHEETS = Path.of("src/test/resources/own-sheets.json");

    /** More than any station has: a line that is asked for again and again is an error, not a visit. */
    private static final int MOST_LINES = 150;

    /** Lines of the station that the page is at which are due and not answered yet, each with what would answer it. */
    private static final String OPEN =
            """
            () => fetch("/api" + location.pathname.replace(/\\/([a-z-]+)$/, "/stations/$1")).then((r) => r.json())
              .then((s) => s.lines.filter((l) => l.due && l.within && !l.optional && !l.pointless && !l.reading)
                .map((l) => ({ id: "field-" + l.point + "-" + l.component, kind: l.kind, example: l.example || "" })))
            """;

    /** After an answer came the page still moves on. */
    private static final int SETTLES_MS = 60;

    private static final Pattern NUMBER_AND_UNIT = Pattern.compile("(-?[0-9.]+) (\\S+)");

    /** Those walked: thoroughly all of them. */
    private static final int STATIONS = Application.THOROUGH ? 14 : 5;

    private final Page page;
    private final Steps steps;
    private final String address;

    OwnVisit(Page page, String address) {
        this.page = page;
        this.steps = new Steps(page, address);
        this.address = address;
    }

    void bringSheets() {
        page.navigate(address + "/data-sheets");
        page.locator("input[type=file][accept*=json]").setInputFiles(SHEETS);
        steps.button("Import").click();
        page.getByText("HP-31 A").first().waitFor();
    }

    /** An installation of one's own, by its outdoor model, from which the indoor one follows by the sheet. */
    void enter(String model, String building) {
        begin(model);
        finish(building);
    }

    /** One unit alone, by its model: its kind follows from the sheet. */
    void enterAlone(String model, String building) {
        begin(model);
        page.getByLabel("Leave out unit 2").click();
        finish(building);
    }

    private void begin(String model) {
        page.navigate(address + "/register");
        steps.button("New installation").click();
        page.getByLabel("Outdoor unit, model").fill(model);
    }

    private void finish(String building) {
        page.getByLabel("Building").fill(building);
        page.getByLabel("Height above sea level").fill("300 m");
        page.getByRole(
                        AriaRole.COMBOBOX,
                        new Page.GetByRoleOptions().setName("Crew").setExact(true))
                .last()
                .fill("Hollin and Wray");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Enter \\d+ ")))
                .click();
        steps.question("Do the papers and plates belong together?").waitFor();
    }

    @SuppressWarnings("unchecked")
    private List<Map<String, String>> open() {
        return (List<Map<String, String>>) page.evaluate(OPEN);
    }

    /** What may be typed on a line. */
    private static String example(Map<String, String> line) {
        String shown = line.get("kind").equals("MONTH") ? "2026-03" : line.get("example");
        return shown.isBlank() ? "as on the plate" : shown;
    }

    /** All stations in their order, by keys alone; says what could not be answered. */
    List<String> walkByKeyboard() {
        List<String> left = new ArrayList<>();
        for (int station = 1; ; station++) {
            left.addAll(answerByKeyboard());
            if (station == STATIONS) {
                return left;
            }
            page.evaluate("document.activeElement.blur()");
            goOn(() -> page.keyboard().press("]"));
        }
    }

    /** The lines of the station that the page is at, by keys alone; says what could not be answered. */
    List<String> answerByKeyboard() {
        page.locator("div.line").first().waitFor();
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("Enter");
        return answered(this::byKeyboard);
    }

    /** The same by taps, one line at a time. */
    List<String> walkByTouch() {
        List<String> left = new ArrayList<>();
        Locator stations = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK);
        for (int station = 1; ; station++) {
            left.addAll(answered(this::byTouch));
            if (station == STATIONS) {
                return left;
            }
            Locator next = stations.nth(station);
            goOn(next::click);
        }
    }

    private void goOn(Runnable leaves) {
        String before = page.url();
        page.waitForResponse(answer -> answer.url().contains("/stations/"), leaves);
        page.waitForURL(url -> !url.equals(before));
        page.waitForTimeout(SETTLES_MS);
    }

    /** Line by line until none is open; those that remain where that does not end. What is open is asked when that may have changed. */
    private List<String> answered(Consumer<List<Map<String, String>>> answer) {
        List<Map<String, String>> open = open();
        for (int lines = 0; lines < MOST_LINES && !open.isEmpty(); lines++) {
            answer.accept(open);
            Locator held = page.locator("div.line.held.open");
            String id = held.count() == 0 ? "" : fieldOf(held);
            if (held.count() == 0
                    || !id.isEmpty()
                            && open.stream().noneMatch(line -> line.get("id").equals(id))) {
                open = open();
            }
        }
        return open.stream().map(line -> page.url() + " " + line.get("id")).toList();
    }

    /** Empty where it is answered by buttons. */
    private static String fieldOf(Locator line) {
        Locator field = line.locator("[id^=field-]");
        return field.count() == 0 ? "" : field.first().getAttribute("id");
    }

    private void byKeyboard(List<Map<String, String>> open) {
        Locator at = page.locator(":focus");
        String id = at.getAttribute("id");
        if (at.evaluate("e => e.tagName").equals("BUTTON")) {
            saved(() -> at.press("Enter"));
        } else if (at.evaluate("e => e.tagName").equals("SELECT")) {
            at.press("ArrowDown");
            saved(() -> at.press("Enter"));
        } else if ("file".equals(at.getAttribute("type"))) {
            steps.button("Not looked at").focus();
            saved(() -> page.keyboard().press("Enter"));
        } else {
            page.keyboard().insertText(example(of(open, id)));
            saved(() -> at.press("Enter"));
        }
    }

    private void byTouch(List<Map<String, String>> open) {
        Locator line = page.locator("div.line.one");
        line.waitFor();
        Locator option = line.locator("button.option");
        Locator list = line.locator("select.field");
        Locator field = line.locator("input.field, textarea.field");
        if (line.locator(".understood .value, .understood .quiet").count() > 0) {
            // read by now: the verdict was seen, on to the next
        } else if (option.count() > 0) {
            saved(option.first()::click);
        } else if (list.count() > 0) {
            String first = list.locator("option:not([disabled])").first().textContent();
            saved(() -> list.selectOption(first));
        } else if (field.count() > 0) {
            String said = example(of(open, field.getAttribute("id")));
            Matcher bare = NUMBER_AND_UNIT.matcher(said);
            Locator unit = line.locator(".unit-keys button");
            field.click();
            if (bare.matches()
                    && unit.getByText(bare.group(2), new Locator.GetByTextOptions().setExact(true))
                                    .count()
                            > 0) {
                field.fill(bare.group(1));
                saved(unit.getByText(bare.group(2), new Locator.GetByTextOptions().setExact(true))::click);
            } else {
                field.fill(said);
                // to leave it is to save it
                saved(steps.button("Next line")::click);
                return;
            }
        } else {
            saved(steps.button("Not looked at")::click);
        }
        steps.button("Next line").click();
        page.waitForTimeout(SETTLES_MS);
    }

    private static Map<String, String> of(List<Map<String, String>> open, String id) {
        return open.stream()
                .filter(line -> line.get("id").equals(id))
                .findFirst()
                .orElseThrow(() -> new AssertionError(id + " is asked though it need not be read"));
    }

    private void saved(Runnable answers) {
        Response answer = page.waitForResponse(
                each -> each.request().method().equals("POST") && each.url().contains("/readings?"), answers);
        if (answer.status() != 201) {
            throw new AssertionError(answer.text() + " to " + answer.request().postData());
        }
        page.waitForTimeout(SETTLES_MS);
    }
}
