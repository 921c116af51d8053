package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** With gloves on: bare numbers, one tap for the unit, several readings in one go, the answer in the row. */
class GlovesTest extends BrowserTest {
    private static final int[] DESK = {1280, 800};

    private Page siting(int width, int height, String installation) {
        Page page = browser.open(width, height);
        page.addInitScript("localStorage.setItem('lines-listed', 'yes')");
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station("Siting");
        steps.question("Has every unit the room it needs?").waitFor();
        return page;
    }

    private static Locator row(Page page, String title) {
        return page.locator(".line")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator(
                                ".title", new Page.LocatorOptions().setHasText(Pattern.compile("^" + title)))))
                .first();
    }

    /** Each width has an installation of its own, so that no reading of another stands there. */
    @ParameterizedTest(name = "at {0} × {1}")
    @CsvSource({
        "1280, 800, 'Lodge, wall split in heating'",
        "820, 1180, 'Reading room, wall split'",
        "390, 844, 'Stage roof, ducted split with strip heat'",
    })
    void aBareNumberIsTappedItsUnitAndThreeRowsAnswer(int width, int height, String installation) {
        Page page = siting(width, height, installation);
        Steps steps = new Steps(page, application.address());

        steps.read("Clearance, front", "7");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("7 in"))
                .click();
        assertThat(row(page, "Clearance, front").locator(".value")).containsText("7 in");
        assertThat(row(page, "Clearance, front").locator(".brief")).containsText("Fails");

        // the unit holds for the tape, and stands in the field beside what is typed
        Locator back = row(page, "Clearance, back");
        steps.line("Clearance, back").fill("72");
        assertThat(back.locator(".unit")).hasText("in");
        steps.line("Clearance, back").press("Enter");
        assertThat(back.locator(".value")).containsText("6' 0\"");
        assertThat(back.locator(".brief")).containsText("Meets");
        steps.read("Clearance, left", "3");
        assertThat(row(page, "Clearance, left").locator(".brief")).containsText("Fails");
        page.context().close();
    }

    @Test
    void aRunOfSixReadingsIsLookedOverAndKeptAtOnce() {
        Page page = siting(DESK[0], DESK[1], "Ticket hall, wall split");
        Locator field = page.getByLabel("Several readings at once");
        field.fill("back 7 in, left 12, right 14 1/2, above 60, no salt air, discharge blows free, roof 3");
        field.press("Enter");
        Locator keep = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Keep these 6 readings"));
        keep.waitFor();
        assertThat(page.getByText("No line here is called so.")).isVisible();
        assertThat(new Steps(page, application.address()).line("Clearance, back"))
                .not()
                .hasValue("7 in");

        keep.click();
        for (String[] kept : new String[][] {
            {"Clearance, back", "7 in"}, {"Clearance, left", "12 in"}, {"Clearance, right", "14 1/2 in"}
        }) {
            assertThat(new Steps(page, application.address()).line(kept[0])).hasValue(kept[1]);
        }
        assertThat(field).hasValue("roof 3");
        page.context().close();
    }

    @Test
    void aNewInstallationIsJudgedInUnderTenActions() {
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        List<Runnable> actions = List.of(
                () -> page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New installation"))
                        .click(),
                () -> page.getByLabel("Outdoor unit, model").fill("WS-12"),
                () -> page.getByLabel("Building").fill("Map Library"),
                () -> page.getByRole(
                                AriaRole.COMBOBOX,
                                new Page.GetByRoleOptions().setName("Crew").setExact(true))
                        .last()
                        .fill("Nettlebank Mechanical"),
                () -> page.getByRole(
                                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Enter LH-")))
                        .click());
        assertThat(actions).hasSizeLessThan(10);
        actions.forEach(Runnable::run);
        steps.question("Do the papers and plates belong together?").waitFor();
        assertThat(steps.judgement("Listed pair")).containsText("Meets");
        page.context().close();
    }

    @Test
    void nineRowsStandBesideTheFigureAndThirteenWithoutIt() {
        Page page = siting(DESK[0], DESK[1], "Foundry floor, ducted split");
        page.locator(".figure svg").waitFor();
        assertThat(rowsInSight(page)).isGreaterThanOrEqualTo(9);
        page.keyboard().press("d");
        assertThat(page.locator(".figure")).hasCount(0);
        assertThat(rowsInSight(page)).isGreaterThanOrEqualTo(13);
        page.keyboard().press("d");
        page.context().close();
    }

    private static int rowsInSight(Page page) {
        return ((Number)
                        page.evaluate(
                                """
                        () => {
                          const table = document.querySelector(".table-of-lines");
                          const box = table.getBoundingClientRect();
                          const rows = [...table.querySelectorAll(".line")].map((row) => row.getBoundingClientRect());
                          // as many as fit from the first row of a unit on, each of full touch height
                          const heights = rows.filter((row) => row.height >= 44).map((row) => row.height);
                          heights.sort((a, b) => a - b);
                          const usual = heights[Math.floor(heights.length / 2)];
                          return Math.floor(box.height / usual);
                        }
                        """))
                .intValue();
    }

    @Test
    void anythingIsGoneToByItsName() {
        Page page = siting(DESK[0], DESK[1], "Foundry floor, ducted split");
        page.keyboard().press("Control+k");
        page.getByLabel("Go to", new Page.GetByLabelOptions().setExact(true)).fill("breaker");
        page.getByText("Breaker or fuse size (OCPD)").first().waitFor();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile(".*/electrical.*"));
        assertThat(new Steps(page, application.address()).line("Breaker or fuse size (OCPD)"))
                .isFocused();
        page.context().close();
    }
}
