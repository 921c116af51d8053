package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** No tap is lost while another line is in hand, and no text whichever way its field is left. */
class NothingLostTest extends BrowserTest {
    private static final int PRESSED_MS = 90;
    private static final int TAPS = 34;
    private static final List<String> SIDES = List.of(
            "Clearance, front",
            "Clearance, back",
            "Clearance, left",
            "Clearance, right",
            "Clearance, above",
            "Base over the ground",
            "Flood level over the ground",
            "Least load of one isolator",
            "Greatest load of one isolator",
            "Distance to a gas meter or regulator");

    private static Page at(int width, int height, String installation, String station) {
        Page page = browser.open(width, height);
        page.addInitScript("localStorage.setItem('lines-listed', 'yes')");
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station(station);
        page.locator(".line").first().waitFor();
        return page;
    }

    /** As a thumb does: down, a moment, up. */
    private static boolean tapped(Page page, Locator button) {
        button.scrollIntoViewIfNeeded();
        BoundingBox box = button.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.waitForTimeout(PRESSED_MS);
        page.mouse().up();
        try {
            assertThat(button).hasAttribute("aria-pressed", "true");
            return true;
        } catch (AssertionError lost) {
            return false;
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
            page.locator(".line .options").first().waitFor();
            int groups = page.locator(".line .options").count();
            for (int i = 0; i < groups && taps < TAPS; i++) {
                // a list changes what is asked: what is gone is no tap
                Locator group = page.locator(".line .options").nth(i);
                if (group.count() == 0 || !group.isVisible()) {
                    continue;
                }
                String title = group.getAttribute("aria-label");
                Locator field = page.locator(".line input.field").first();
                field.focus();
                field.fill(taps % 2 == 0 ? "3 ft" : "30 in");
                taps++;
                if (!tapped(page, group.getByRole(AriaRole.BUTTON).last())) {
                    lost.add(station + ": " + title);
                }
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
        page.getByText("more lines").first().click();
        String address = page.url();
        List<String> lost = new ArrayList<>();
        for (int i = 0; i < SIDES.size(); i++) {
            String typed = (i < 6 ? 30 + 5 * way.ordinal() + i : 1 + way.ordinal() + i)
                    + (SIDES.get(i).contains("load") ? " kg" : " in");
            page.navigate(address);
            Locator line = open(page, SIDES.get(i));
            line.fill(typed);
            way.leave(page);
            page.waitForTimeout(400);
            page.navigate(address);
            if (!open(page, SIDES.get(i)).inputValue().equals(typed)) {
                lost.add(SIDES.get(i) + " " + typed);
            }
        }
        assertThat(lost).isEmpty();

        // what cannot be taken is still there, with why
        page.navigate(address);
        open(page, SIDES.get(0)).fill("40 bananas");
        way.leave(page);
        page.waitForTimeout(400);
        page.navigate(address);
        assertThat(open(page, SIDES.get(0))).hasValue("40 bananas");
        open(page, SIDES.get(0)).fill("41 in");
        open(page, SIDES.get(0)).press("Enter");
        page.waitForTimeout(300);
        page.context().close();
    }

    /** The field of a line, brought in sight where lines that need not be read are folded. */
    private static Locator open(Page page, String title) {
        page.locator(".line").first().waitFor();
        Locator line = page.getByLabel(title, new Page.GetByLabelOptions().setExact(true))
                .first();
        if (line.count() == 0) {
            page.locator(".unfold").last().click();
            page.locator(".unfold").first().click();
        }
        return line;
    }

    @Test
    void aWalkByKeyboardBeginsAtTheTopWithOneKeyAndALetterIsNoShortcutInAnAnswer() {
        Page page = at(1280, 800, "Lodge, wall split in heating", "Handover");
        page.keyboard().press("Enter");
        assertThat(page.locator(".line.held")).hasCount(1);
        page.locator(".line .option").first().focus();
        String before = page.url();
        page.keyboard().press("n");
        page.keyboard().press("]");
        assertThat(page.url()).isEqualTo(before);
        page.context().close();
    }
}
