package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A changed rule book is tried on two thousand installations before it binds. */
class ArchiveTest {
    /** So many of two of the demo's, one with readings of its siting and one without any. */
    private static final int COPIES = 1000;

    private static Application application;
    private static Browser browser;

    @BeforeAll
    static void start() {
        application = Application.startDemoOf(COPIES, "LH-31", "LH-36");
        browser = new Browser();
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aTrialIsStoppedTriedWholeAndNothingIsSaved() {
        Page desk = browser.open(1280, 800);
        new Steps(desk, application.address()).signIn("lead");
        desk.navigate(application.address() + "/rule-books?find=clearance, front");
        desk.getByText("Sallowmere 2026, plate practice").click();
        desk.getByLabel("Change Clearance, front, Lake Halls programme").first().click();
        desk.getByLabel(Pattern.compile("^Value of Clearance, front")).fill("45 in");
        button(desk, "Try on the archive").click();
        assertThat(desk.getByText("Say where the new value")).isVisible();
        desk.getByLabel(Pattern.compile("^Source of Clearance, front")).fill("Letter of the programme");
        button(desk, "Try on the archive").click();
        button(desk, "Stop").click();
        assertThat(desk.getByText(Pattern.compile("ended before all were tried: \\d+ of \\d+")))
                .isVisible();
        button(desk, "Try on the archive").click();
        Locator told = desk.getByText(Pattern.compile("tried on all: (20\\d\\d) of \\1"));
        told.waitFor(new Locator.WaitForOptions().setTimeout(60_000));
        assertThat(desk.getByText(Pattern.compile("10\\d\\d of 20\\d\\d installations would change")))
                .isVisible();
        button(desk, "Give all up").click();
        assertThat(desk.getByText(Pattern.compile("Sallowmere 2026, plate practice, version \\d+")))
                .isVisible();
        desk.context().close();
        assertThat(browser.errors()).isEmpty();
    }
}
