package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is worked on where it is drawn: run, terminal map and grid; the stopwatch; and the notice that stops a visit. */
class ListsTest extends BrowserTest {
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

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator list(Page page, String title) {
        return page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(title).setExact(true));
    }

    private static Locator thing(Page page, String name) {
        // the words of a thing: a line that runs straight up has no width to be seen by
        return page.locator("svg text[data-thing='" + name + "'], svg circle[data-thing='" + name + "']")
                .first();
    }

    /** Found and tapped in one step: the drawing may be drawn anew at any moment, and its pieces then stand for others. */
    private static void tap(Page page, String name) {
        thing(page, name).waitFor();
        page.evaluate(
                "name => document.querySelector(`svg text[data-thing='${name}'], svg circle[data-thing='${name}']`)"
                        + ".dispatchEvent(new MouseEvent('click', { bubbles: true }))",
                name);
    }

    @Test
    void aRunIsTypedDrawnAsItIsTypedAndChangedOnTheDrawing() {
        Page page = open("Almshouse 3, wall split", "Refrigerant piping");
        Locator run = list(page, "Run of the lines, from the indoor unit");
        run.fill("3 m out insulated 13 mm, elbw");
        assertThat(page.getByText("Part 2, \"elbw\"")).isVisible();
        run.fill("3 m out insulated 13 mm, elbow, up 2.5 m");
        // drawn before it is saved
        thing(page, "2").waitFor();
        tap(page, "2");
        Locator part = page.getByLabel("Part 3");
        assertThat(part).hasValue("up 2.5 m");
        part.fill("up 4 m");
        part.press("Enter");
        assertThat(run).hasValue("3 m out insulated 13 mm, elbow, up 4 m");
        page.locator(".offered")
                .getByText("trap", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(run).hasValue("3 m out insulated 13 mm, elbow, up 4 m, trap");
        button(page, "Save this list").click();
        assertThat(new Steps(page, application.address()).judgement("No low spots"))
                .containsText("Meets");
        page.context().close();
    }

    @Test
    void terminalsAreWiredByTappingBothEnds() {
        Page page = open("Almshouse 3, wall split", "Electrical");
        page.getByText(Pattern.compile("^Cable, ")).first().click();
        tap(page, "outdoor 1");
        assertThat(page.getByText("From outdoor 1")).isVisible();
        tap(page, "indoor 2");
        Locator map = list(page, "Interconnection, terminal by terminal");
        assertThat(map).hasValue("1-2");
        tap(page, "indoor 1");
        assertThat(page.getByText("From indoor 1")).isVisible();
        tap(page, "outdoor 2");
        assertThat(map).hasValue("1-2, 2-1");
        button(page, "Save this list").click();
        assertThat(new Steps(page, application.address()).judgement("Interconnection, number to number"))
                .containsText("1 and 2 are swapped");
        page.context().close();
    }

    @Test
    void aPlaceOfTheGridIsReadOnTheDrawing() {
        Page page = open("Workshop, ducted split", "Air side");
        Steps steps = new Steps(page, application.address());
        page.getByText(Pattern.compile("read only where")).first().click();
        steps.read("Grid: duct, width inside", "400 mm");
        steps.read("Grid: duct, height inside", "300 mm");
        page.getByText(Pattern.compile("^Grid, ")).first().click();
        tap(page, "1x1 of 5x5");
        Locator place = page.getByLabel("At 1x1 of 5x5");
        place.fill("14 Pa");
        place.press("Enter");
        assertThat(list(page, "Grid: readings")).hasValue(Pattern.compile("^Pa: 14 - - - - / "));
        page.context().close();
    }

    @Test
    void theStopwatchWritesItsSecondsAndMonoxideStopsTheVisit() {
        Page page = open("Dye room, furnace with coil", "Fuel");
        Steps steps = new Steps(page, application.address());
        button(page, "Start the stopwatch").first().click();
        page.waitForTimeout(5200);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Stop the watch")))
                .click();
        assertThat(steps.line("Meter, time for them")).hasValue(Pattern.compile("^\\d+\\.\\d s$"));

        // another device of the same visit, with nothing in hand
        Page other = open("Dye room, furnace with coil", "Papers");
        steps.read("Carbon monoxide in the room", "80 ppm");
        Locator stop = page.getByRole(AriaRole.ALERTDIALOG);
        assertThat(stop).containsText("Leave now, everybody.");
        assertThat(other.getByRole(AriaRole.ALERTDIALOG))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(15_000));
        stop.getByLabel("Why it is safe again, and who said so").fill("Fire service measured 0 ppm at 15:20.");
        button(page, "Take this notice down").click();
        assertThat(stop).not().isVisible();
        assertThat(other.getByRole(AriaRole.ALERTDIALOG))
                .not()
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(15_000));
        page.context().close();
        other.context().close();
    }
}
