package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** On a telephone: one line at a time, its unit a key, its verdict under it; and a visit for which there is an hour. */
class OneLineTest extends BrowserTest {
    private static final int[] PHONE = {390, 844};
    /** A desk's screen at 200 %. */
    private static final int[] ZOOMED = {640, 400};

    private static Locator button(Page page, String name) {
        return new Steps(page, application.address()).button(name);
    }

    private static Page siting(int[] size, String installation) {
        Page page = browser.open(size[0], size[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation(installation);
        steps.station("Siting");
        page.locator("div.line.one").waitFor();
        return page;
    }

    @Test
    void aNumberAndAUnitsKeyAreAReadingAndItsVerdictStandsUntilTheNextLine() {
        Page page = siting(PHONE, "Almshouse 3, wall split");
        assertThat(page.locator("div.line")).hasCount(1);
        assertThat(page.locator("div.line .title")).hasText("Clearance, front");
        assertThat(page.locator("div.line input").first().boundingBox().y)
                .as("in the upper half of the screen")
                .isLessThan(520);
        assertThat(page.getByText("Tape the shortest distance from the cabinet").first())
                .isVisible();
        page.locator("div.line input").first().fill("44");
        button(page, "in").click();
        assertThat(page.locator("div.line .brief")).containsText("Meets");
        button(page, "Next line").click();
        assertThat(page.locator("div.line .title")).hasText("Clearance, back");
        page.locator("div.line input").first().fill("5");
        assertThat(page.locator("div.line .unit")).hasText("in");
        page.locator("div.line input").first().press("Enter");
        assertThat(page.locator("div.line .brief")).containsText(Pattern.compile("Meets|Fails|Too close"));
        button(page, "Back").click();
        assertThat(page.locator("div.line input").first()).hasValue("44 in");
        button(page, "List").click();
        assertThat(page.locator("div.line").nth(5)).isVisible();
        button(page, "One at a time").click();
        assertThat(page.locator("div.line")).hasCount(1);
        page.context().close();
    }

    @Test
    void aReadingIsTakenBackWithItsReason() {
        Page page = siting(PHONE, "Lodge, wall split in heating");
        page.navigate(page.url() + "?line=siting.outdoor-clearance-front@outdoor-1");
        String before = page.locator("div.line input").first().inputValue();
        button(page, "Take this reading back").click();
        page.getByLabel("Why it is taken back").fill("of the other unit");
        button(page, "Take it back").click();
        assertThat(page.locator("div.line input").first()).not().hasValue(before);
        page.context().close();
    }

    @Test
    void aLineThatCannotBeReadSaysWhy() {
        Page page = siting(PHONE, "Reading room, wall split");
        button(page, "Not accessible").click();
        page.getByLabel("Why it cannot be read").fill("yard is locked");
        button(page, "Say so").click();
        assertThat(page.locator("div.line .understood")).containsText("Not accessible: yard is locked");
        page.context().close();
    }

    @Test
    void atTwiceTheSizeTheFirstLineIsInTheFirstScreen() {
        Page page = siting(ZOOMED, "Reading room, wall split");
        page.navigate(page.url() + "?line=siting.outdoor-clearance-front@outdoor-1");
        var box = page.locator("div.line input").first().boundingBox();
        assertThat(box.y + box.height).isLessThan(ZOOMED[1] - 30);
        page.context().close();
    }

    @Test
    void anHourIsPlannedBegunAndLeadsFromLineToLine() {
        Page page = signedIn("inspector", 1280, 800);
        Steps steps = new Steps(page, application.address());
        steps.openInstallation("Stage roof, ducted split with strip heat");
        button(page, "Time").click();
        assertThat(page.getByText("of what is at stake")).isVisible();
        assertThat(page.getByText("What is not read is not shown, which is no pass."))
                .isVisible();
        button(page, "Begin").click();
        assertThat(page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^60 min, \\d+ lines?$"))))
                .isVisible();
        button(page, "Next").click();
        assertThat(page.locator("div.line.held")).hasCount(1);
        page.context().close();
    }
}
