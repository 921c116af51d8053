package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From the charge to the owner's page: the last stations, as an inspector goes through them. */
class LastStationsTest extends BrowserTest {
    private static final int[] DESK = {1280, 800};

    private Page open(String installation, String station) {
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station(station);
        page.getByRole(AriaRole.ARTICLE).first().waitFor();
        return page;
    }

    @Test
    void whatIsReadNextTellsTheCauseAndTheCycleIsDrawn() {
        Page page = open("Drying room, furnace with coil", "Release and charge");
        Steps steps = new Steps(page, application.address());
        assertThat(steps.judgement("Cycle reads sound")).containsText("Short of charge");
        assertThat(page.getByText(Pattern.compile("liquid line, .* subcooled")).first())
                .isVisible();
        steps.read("Liquid line, temperature", "28.0 °C");
        assertThat(steps.judgement("Subcooling as asked")).containsText("Meets");
        steps.read("Liquid line, pressure", "2 barg");
        assertThat(steps.judgement("Subcooling as asked")).containsText("may be swapped");
        page.context().close();
    }

    @Test
    void whatIsHandedOverStandsOnTheOwnersPage() {
        Page page = open("Lodge, wall split in heating", "Handover");
        Steps steps = new Steps(page, application.address());
        steps.read("Filters and their sizes", "Two, 400 by 500 by 50 mm, behind the grille");
        assertThat(steps.judgement("Filters told")).containsText("Meets");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Report"))
                .first()
                .click();
        Locator owner = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Owner's page"));
        owner.waitFor();
        String address = owner.getAttribute("href").replace("owner.pdf", "owner.html");
        page.navigate(application.address() + address);
        assertThat(page.getByText("Two, 400 by 500 by 50 mm, behind the grille"))
                .isVisible();
        assertThat(page.getByText("Whom to call")).isVisible();
        page.context().close();
    }
}
