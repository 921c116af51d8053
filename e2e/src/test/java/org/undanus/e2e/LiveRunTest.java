package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Tests that are acted out and judged while they happen, on a tablet that is closed in the middle; and holds. */
class LiveRunTest extends BrowserTest {
    private static final int[] TABLET = {820, 1180};
    private static final LocatorAssertions.ContainsTextOptions SOON =
            new LocatorAssertions.ContainsTextOptions().setTimeout(180_000);

    private Page open(String installation, String station) {
        Page page = browser.open(TABLET[0], TABLET[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station(station);
        page.getByRole(AriaRole.ARTICLE).first().waitFor();
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }

    @Test
    void anEvacuationIsJudgedFromPumpOnToItsVerdictThoughTheTabletIsClosedMeanwhile() {
        Process instruments = application.instruments("moist", 120);
        try {
            Page first = open("Reading room, wall split", "Evacuation");
            button(first, "Listen to an instrument for Vacuum logged").click();
            Locator heard = first.getByText(Pattern.compile("\\d+ samples")).first();
            heard.waitFor();
            assertThat(new Steps(first, application.address()).judgement("Decay curve: leak or moisture"))
                    .containsText("Not shown", SOON);
            first.context().close();

            Page again = open("Reading room, wall split", "Evacuation");
            assertThat(new Steps(again, application.address()).judgement("Decay curve: leak or moisture"))
                    .containsText("moisture, not a leak", SOON);
            button(again, "Keep").click();
            assertThat(button(again, "Listen to an instrument for Vacuum logged"))
                    .isVisible();
            assertThat(again.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("as CSV")))
                            .first())
                    .isVisible();
            assertThat(new Steps(again, application.address()).judgement("Decay curve: leak or moisture"))
                    .containsText("moisture, not a leak");
            again.context().close();
        } finally {
            instruments.destroyForcibly();
        }
    }

    @Test
    void aSimulatedLineSetIsWorkedAndItsMarksJudgeTheCurve() {
        Page page = open("Lodge, wall split in heating", "Evacuation");
        Locator simulated =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Simulated instruments"));
        button(page, "Simulated instruments").click();
        simulated.locator("select").nth(1).selectOption("300");
        simulated
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Switch on"))
                .click();
        button(page, "Listen to an instrument for Vacuum logged").click();
        button(page, "Leave").waitFor();
        simulated
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pump on"))
                .click();
        Locator rail = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Running holds"));
        assertThat(rail.getByText("Pump ran for, Line set").last()).isVisible();
        Locator curve = new Steps(page, application.address()).judgement("Decay curve: leak or moisture");
        assertThat(curve).containsText("Nothing tells when the pump was valved off", SOON);
        Locator marks = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Mark what is done now"));
        marks.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Isolated"))
                .click();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Take back: isolated \\d+ min"))))
                .isVisible();
        assertThat(rail.getByText("Isolated for, Line set").last()).isVisible();
        assertThat(curve).containsText("Dry and tight", SOON);
        button(page, "Leave").click();
        simulated
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Switch off"))
                .click();
        assertThat(button(page, "Simulated instruments")).isVisible();
        page.context().close();
    }

    @Test
    void aHoldRunsOnWhereverOneLooksAndItsTimeIsSaved() {
        Page page = open("Ticket hall, wall split", "Tightness");
        button(page, "Begin the hold of Hold, how long").click();
        Locator rail = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Running holds"));
        assertThat(rail.getByText("Hold, how long, Line set").last()).isVisible();
        page.navigate(application.address() + "/register");
        assertThat(rail).isHidden();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("holds? running")))
                .click();
        assertThat(rail.getByText("Ticket hall, wall split")).isVisible();
        Locator mine = rail.locator(".hold", new Locator.LocatorOptions().setHasText("Ticket hall, wall split"));
        mine.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("End"))
                .click();
        assertThat(mine).hasCount(0);
        assertThat(page.getByText(Pattern.compile("Hold, how long: \\d+ s, saved\\.")))
                .isVisible();
        page.context().close();
    }
}
