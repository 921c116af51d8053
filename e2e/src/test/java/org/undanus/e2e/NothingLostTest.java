package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** No tap is lost while another line is in hand, and no text whichever way its field is left. */
class NothingLostTest extends BrowserTest {
    private static final int PRESSED_MS = 90;
    /** At each of three widths: thoroughly a hundred in all. */
    private static final int TAPS = Application.THOROUGH ? 34 : 10;

    /** Lines of the station on which a length is read, by point and unit. */
    private static final String LENGTHS =
            """
            () => fetch("/api" + location.pathname.replace(/\\/siting$/, "/stations/siting")).then((r) => r.json())
              .then((s) => s.lines.filter((l) => l.kind === "QUANTITY" && l.due && !l.optional && !l.pointless && l.units.includes("in"))
                .map((l) => "field-" + l.point + "-" + l.component))
            """;
    /** How many of them are kept as typed. */
    private static final String KEPT =
            """
            (typed) => fetch("/api" + location.pathname.replace(/\\/siting$/, "/stations/siting")).then((r) => r.json())
              .then((s) => s.lines.filter((l) => typed.includes(l.reading?.typed)).length)
            """;

    /** Each of five ways: thoroughly fifty in all. */
    private static final int FIELDS = Application.THOROUGH ? 10 : 3;

    private static Page at(int width, int height, String installation, String station) {
        Page page = browser.open(width, height);
        page.addInitScript("localStorage.setItem('lines-listed', 'yes')");
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station(station);
        page.locator("div.line").first().waitFor();
        return page;
    }

    /** As a thumb does: down, a moment, up. The very button: an answer may fold lines before it away. Where it is lost, how. */
    private static Optional<String> lost(Page page, ElementHandle button) {
        button.evaluate(
                """
                button => {
                  button.scrollIntoView({ block: 'center' });
                  addEventListener('pointerdown', (event) => (window.hit = button.contains(event.target)), { once: true, capture: true });
                  addEventListener('click', (event) => (window.clicked = button.contains(event.target)), { once: true, capture: true });
                }""");
        BoundingBox box = button.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.waitForTimeout(PRESSED_MS);
        page.mouse().up();
        try {
            page.waitForCondition(() -> "true".equals(button.getAttribute("aria-pressed")));
            return Optional.empty();
        } catch (TimeoutError lost) {
            return Optional.of("pressed " + page.evaluate("window.hit") + ", clicked " + page.evaluate("window.clicked")
                    + ", still there " + button.evaluate("button => button.isConnected"));
        }
    }

    @ParameterizedTest(name = "at {0} × {1}")
    @CsvSource({
        "1280, 800, 'Lodge, wall split in heating'",
        "820, 1180, 'Reading room, wall split'",
        "390, 844, 'Stage roof, ducted split with strip heat'",
    })
    void noTapIsLostWithALineInHand(int width, int height, String installation) {
        Page page = at(width, height, installation, "Access");
        List<String> lost = new ArrayList<>();
        int taps = 0;
        for (String station : List.of("Access", "Mounting", "Electrical", "Condensate", "Siting")) {
            new Steps(page, application.address()).station(station);
            page.locator("div.line").first().waitFor();
            int groups = page.locator("div.line .options").count();
            for (int i = 0; i < groups && taps < TAPS; i++) {
                // a list changes what is asked: what is gone is no tap
                Locator group = page.locator("div.line .options").nth(i);
                if (group.count() == 0 || !group.isVisible()) {
                    continue;
                }
                String title = group.getAttribute("aria-label");
                Locator field = page.locator("div.line input.field").first();
                field.focus();
                field.fill(taps % 2 == 0 ? "3 ft" : "30 in");
                taps++;

                lost(page, group.getByRole(AriaRole.BUTTON).last().elementHandle())
                        .ifPresent(how -> lost.add(station + ": " + title + ": " + how));
            }
        }
        assertThat(taps).isEqualTo(TAPS);
        assertThat(lost).isEmpty();
        page.context().close();
    }

    /** How a person leaves a field. */
    enum Way {
        TAP_ELSEWHERE {
            @Override
            void leave(Page page) {
                page.locator("h1").click();
            }
        },
        TAB {
            @Override
            void leave(Page page) {
                page.keyboard().press("Tab");
            }
        },
        NEXT_STATION {
            @Override
            void leave(Page page) {
                page.keyboard().press("Escape");
                page.keyboard().press("]");
            }
        },
        REGISTER {
            @Override
            void leave(Page page) {
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Undanus"))
                        .click();
            }
        },
        RELOAD {
            @Override
            void leave(Page page) {
                page.reload();
            }
        };

        abstract void leave(Page page);
    }

    @ParameterizedTest
    @EnumSource
    void noTextIsLostHoweverItsFieldIsLeft(Way way) {
        Page page = at(1280, 800, "Almshouse 3, wall split", "Siting");
        String address = page.url();
        List<?> fields = (List<?>) page.evaluate(LENGTHS);
        assertThat(fields).isNotEmpty();
        List<String> typed = new ArrayList<>();
        List<String> lost = new ArrayList<>();
        for (int i = 0; i < FIELDS; i++) {
            typed.add(40 + 11 * way.ordinal() + i + " in");
            Object line = fields.get(i % fields.size());
            field(page, line).fill(typed.get(i));
            way.leave(page);
            page.waitForTimeout(300);
            page.navigate(address);
            if (!field(page, line).inputValue().equals(typed.get(i))) {
                lost.add(line + " " + typed.get(i));
            }
        }
        assertThat(lost).isEmpty();
        assertThat(((Number) page.evaluate(KEPT, typed)).intValue())
                .as("saved; what is far from usual waits in its field")
                .isGreaterThanOrEqualTo(FIELDS / 2);

        // what cannot be taken is still there, with why
        field(page, fields.get(0)).fill("40 bananas");
        way.leave(page);
        page.waitForTimeout(300);
        page.navigate(address);
        assertThat(field(page, fields.get(0))).hasValue("40 bananas");
        field(page, fields.get(0)).fill(typed.get(0));
        field(page, fields.get(0)).press("Enter");
        page.waitForTimeout(300);
        page.context().close();
    }

    private static Locator field(Page page, Object id) {
        Locator field = page.locator("[id='" + id + "']");
        field.waitFor();
        return field;
    }

    @Test
    void aWalkByKeyboardBeginsAtTheTopWithOneKeyAndALetterIsNoShortcutInAnAnswer() {
        Page page = at(1280, 800, "Lodge, wall split in heating", "Handover");
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("Enter");
        assertThat(page.locator("div.line.held")).hasCount(1);
        page.locator("div.line .option").first().focus();
        String before = page.url();
        page.keyboard().press("n");
        page.keyboard().press("]");
        assertThat(page.url()).isEqualTo(before);
        page.context().close();
    }
}
