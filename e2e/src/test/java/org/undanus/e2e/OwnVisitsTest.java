package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/**
 * Visits on own data, from an empty register to the sealed file: each line that is due is answered as its example says, at the first
 * stations; thoroughly two whole visits.
 */
class OwnVisitsTest extends BrowserTest {
    @TempDir
    Path folder;

    /** Instead of the demo: an office that begins with nothing. */
    @BeforeAll
    static void start() {
        application = Application.startEmpty();
        browser = new Browser();
        Page page = lead(1280, 800);
        new OwnVisit(page, application.address()).bringSheets();
        page.context().close();
    }

    private static Page lead(int width, int height) {
        Page page = browser.open(width, height);
        new Steps(page, application.address()).signIn("lead", application.firstPassword());
        return page;
    }

    @Test
    void aFurnaceWithCoilByKeyboardAtADesk() {
        Page page = lead(1280, 800);
        OwnVisit visit = new OwnVisit(page, application.address());
        visit.enter("CF-29", "Tannery");
        assertThat(visit.walkByKeyboard()).as("still open").isEmpty();
        assertThat(page.getByText("nothing of it here")).hasCount(0);
        sealed(page);
    }

    /** Its fuel is walked; of refrigerant nothing is asked. */
    @Test
    void aFurnaceWithoutCoil() {
        Page page = lead(1280, 800);
        OwnVisit visit = new OwnVisit(page, application.address());
        visit.enterAlone("GF-18", "Brewhouse");
        assertThat(page.getByText("Furnace without coil").first()).isVisible();
        assertThat(page.getByText("Licence, refrigerant circuit")).hasCount(0);
        String at = page.url().replaceAll("/papers(\\?.*)?$", "");
        page.navigate(at + "/fuel");
        assertThat(visit.answerByKeyboard()).as("still open").isEmpty();
        assertThat(page.getByText("Burner set up for this fuel").first()).isVisible();
        assertThat(page.getByText("Gas pipe carries its load").first()).isVisible();
        // mounting, piping, condensate, tightness, evacuation, charge
        assertThat(page.getByText("nothing of it here")).hasCount(6);
        page.context().close();
    }

    /** The whole of it where it is asked for; in parts OneLineTest, GlovesTest and NothingLostTest do the same each time. */
    @Test
    @EnabledIfSystemProperty(named = "undanus.thorough", matches = "true")
    void aHeatPumpByTouchOnATelephone() {
        Page page = lead(390, 844);
        OwnVisit visit = new OwnVisit(page, application.address());
        visit.enter("HP-31", "Ropewalk");
        assertThat(visit.walkByTouch()).as("still open").isEmpty();
        sealed(page);
    }

    private void sealed(Page page) {
        page.navigate(page.url().replaceAll("/[a-z]+(\\?.*)?$", "/after"));
        Steps steps = new Steps(page, application.address());
        steps.button("Seal this visit").click();
        steps.button("Yes, seal it as it stands").click();
        assertThat(page.getByText("This visit is sealed as")).isVisible();
        Download download = page.waitForDownload(() -> page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Sealed file").setExact(true))
                .click());
        Path sealed = folder.resolve("sealed.zip");
        download.saveAs(sealed);
        assertThat(application.verify(sealed)).isZero();
        page.context().close();
    }
}
