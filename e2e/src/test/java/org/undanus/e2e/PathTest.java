package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** One visit from nameplate to report, as a person does it, on the packaged application. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PathTest extends BrowserTest {
    private static final int[] DESK = {1280, 800};
    private static final int[] PHONE = {390, 844};

    @Test
    @Order(1)
    void wrongPasswordIsSaidAndNothingElseHappens() {
        Page page = browser.open(DESK[0], DESK[1]);
        page.navigate(application.address());
        assertThat(page).hasURL(Pattern.compile(".*/sign-in$"));
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("inspector");
        page.getByLabel("Password").fill("wrong");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Name or password is wrong");
        page.context().close();
    }

    @Test
    @Order(2)
    void theWalkFromPlateToReport() throws IOException {
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation("Almshouse 3, wall split");

        // papers: typed readings, a choice and a month
        steps.group("Outdoor unit")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("yes"))
                .click();
        steps.read("Model", "WS-12");
        steps.read("Date of manufacture", "2026-W14");
        assertThat(steps.judgement("Age of the unit Outdoor unit")).containsText("Meets");
        steps.read("Minimum circuit ampacity (MCA)", "12 A");
        steps.read("Maximum overcurrent protection (MOCP)", "20 A");

        // siting: the verdict answers in place, in whatever unit was typed
        steps.station("Siting");
        steps.question("Has every unit the room it needs?").waitFor();
        steps.read("Clearance, front", "0.8 m");
        assertThat(steps.judgement("Clearance, front Outdoor unit")).containsText("Fails");
        assertThat(steps.judgement("Clearance, front Outdoor unit")).containsText("short");
        assertThat(steps.judgement("Clearance, front Outdoor unit")
                        .getByRole(AriaRole.IMG)
                        .first())
                .hasAttribute("aria-label", Pattern.compile("Fails: 2' 7-1/2\" .*programme 3' 0\".*"));
        // Enter moved on to the next open line
        assertThat(steps.line("Clearance, back")).isFocused();

        // a wrong unit is named, and what was typed stays
        steps.read("Clearance, back", "9 A");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("expects a length");
        assertThat(steps.line("Clearance, back")).hasValue("9 A");
        steps.read("Clearance, back", "9 in");
        assertThat(steps.judgement("Clearance, back Outdoor unit")).containsText("Meets");

        // an absurd value is asked about once
        steps.read("Clearance, left", "400 m");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save as it is"))
                .click();
        assertThat(steps.judgement("Clearance, left Outdoor unit")).containsText("Meets");

        // electrical
        steps.station("Electrical");
        steps.question("Is this circuit right for this plate?").waitFor();
        steps.read("Breaker or fuse size (OCPD)", "30 A");
        assertThat(steps.judgement("Overcurrent protective device fits the plate"))
                .containsText("replaces the breaker or fuse with 15 A or 20 A");

        // running: four minutes show nothing
        steps.station("Running");
        steps.question("Does it do what it should in this air?").waitFor();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("cooling").setExact(true))
                .click();
        steps.read("Running without a break for", "4 min");
        assertThat(steps.judgement("Running steadily")).containsText("a reading counts after 15 min");

        // why, and a correction, by keyboard
        steps.station("Electrical");
        steps.judgement("Overcurrent protective device fits the plate").click();
        steps.leaveField();
        page.keyboard().press("w");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("How it follows");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Nameplate");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
        page.keyboard().press("f");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Raise correction"))
                .click();
        assertThat(steps.judgement("Overcurrent protective device fits the plate"))
                .containsText("Correction 1 is open");

        // report and open data
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Report").setExact(true))
                .click();
        page.getByAltText("Page 1 of").first().waitFor();
        Download pdf = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Report, PDF"))
                        .click());
        assertThat(Files.readAllBytes(pdf.path())).startsWith("%PDF".getBytes());
        Download json =
                page.waitForDownload(() -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("JSON"))
                        .click());
        assertThat(Files.readString(json.path()))
                .contains("\"typed\":\"0.8 m\"")
                .contains("undanus-case/1");
        page.context().close();
    }

    @Test
    @Order(3)
    void closingAndStartingAgainLosesNothing() {
        application.kill();
        application.start();
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation("Almshouse 3, wall split");
        assertThat(steps.line("Model")).hasValue("WS-12");
        steps.station("Siting");
        assertThat(steps.line("Clearance, front")).hasValue("0.8 m");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Menu"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Corrections"))
                .click();
        assertThat(page.getByText("Almshouse 3, wall split")).isVisible();
        page.context().close();
    }

    @Test
    @Order(4)
    void theSamePathOnAPhone() {
        Page page = browser.open(PHONE[0], PHONE[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation("Ticket hall, wall split");
        steps.station("Siting");
        steps.question("Has every unit the room it needs?").waitFor();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("List").setExact(true))
                .click();
        steps.read("Clearance, left", "8 in");
        assertThat(steps.judgement("Clearance, left Outdoor unit")).containsText("Meets");
        assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= window.innerWidth"))
                .isTrue();
        steps.station("Electrical");
        steps.read("Breaker or fuse size (OCPD)", "25 A");
        assertThat(steps.judgement("Overcurrent protective device fits the plate"))
                .containsText("Fails");
        page.context().close();
    }

    @Test
    @Order(5)
    void someoneElseReadTheLineMeanwhile() {
        Page mine = browser.open(DESK[0], DESK[1]);
        Page theirs = browser.open(DESK[0], DESK[1]);
        Steps me = new Steps(mine, application.address());
        Steps them = new Steps(theirs, application.address());
        for (Steps steps : List.of(me, them)) {
            steps.signIn("inspector");
            steps.openInstallation("Ticket hall, wall split");
            steps.station("Siting");
            steps.question("Has every unit the room it needs?").waitFor();
        }
        them.read("Clearance, right", "30 in");
        assertThat(them.judgement("Clearance, right Outdoor unit")).containsText("Meets");
        me.read("Clearance, right", "20 in");
        assertThat(mine.getByRole(AriaRole.ALERT)).containsText("Someone has read this line meanwhile");
        mine.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save mine, 20 in"))
                .click();
        assertThat(me.judgement("Clearance, right Outdoor unit")).containsText("Fails");
        mine.context().close();
        theirs.context().close();
    }

    @Test
    @Order(6)
    void keysPaletteUnitsAndTheme() {
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        page.keyboard().press("Control+k");
        page.getByLabel("Go to", new Page.GetByLabelOptions().setExact(true)).fill("foundry");
        page.keyboard().press("Enter");
        steps.question("Do the papers and plates belong together?").waitFor();
        page.keyboard().press("]");
        steps.question("Has every unit the room it needs?").waitFor();
        assertThat(steps.judgement("Clearance, back Outdoor unit")).containsText("2-1/2 in short");
        page.keyboard().press("u");
        assertThat(steps.judgement("Clearance, back Outdoor unit")).containsText("64 mm short");
        page.keyboard().press("u");
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("the line that can change most");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Menu"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Attic theme"))
                .click();
        assertThat(page.locator("html")).hasAttribute("data-theme", "attic");
        page.context().close();
    }

    @Test
    @Order(7)
    void aLoggersFileShowsWhetherItHadSettled() {
        Page page = browser.open(DESK[0], DESK[1]);
        Steps steps = new Steps(page, application.address());
        steps.signIn("inspector");
        steps.openInstallation("Foundry floor, ducted split");
        steps.station("Running");
        // lines that need not be read are folded
        steps.group("Air handler")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("read only where they apply")))
                .click();
        Locator file = steps.line("Supply air, logged");
        file.setInputFiles(log("time,kPa", "12.0"));
        assertThat(page.getByText("First sample:")).containsText("2 September 2026");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it in"))
                .click();
        assertThat(page.getByText("Choose the unit of each column that is taken."))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Leave it"))
                .click();
        assertThat(page.getByText("First sample:")).isHidden();
        file.setInputFiles(log("time,°C", "12.0"));
        assertThat(page.getByText("12.0 °C", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        assertThat(steps.judgement("Running steadily Air handler")).containsText("Meets");
        Download handedOut = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("as CSV")))
                        .click());
        assertThat(handedOut.suggestedFilename().endsWith(".csv")).isTrue();
        page.context().close();
    }

    /** Seven minutes that move by a tenth. */
    private static FilePayload log(String heading, String value) {
        StringBuilder csv = new StringBuilder(heading + "\n");
        for (int second = 0; second <= 420; second += 60) {
            csv.append(Instant.parse("2026-09-02T09:15:00Z").plusSeconds(second))
                    .append(',')
                    .append(second % 120 == 0 ? value : "12.1")
                    .append('\n');
        }
        return new FilePayload("supply.csv", "text/csv", csv.toString().getBytes(StandardCharsets.UTF_8));
    }

    @Test
    @Order(8)
    void firstPageStaysSmall() {
        Page page = browser.open(DESK[0], DESK[1]);
        List<Request> scripts = new ArrayList<>();
        page.onRequestFinished(request -> {
            if (request.url().endsWith(".js")) {
                scripts.add(request);
            }
        });
        page.navigate(application.address());
        page.getByLabel("Password").waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        long bytes = scripts.stream()
                .mapToLong(script -> script.sizes().responseBodySize)
                .sum();
        assertThat(bytes).isBetween(10_000L, 300_000L);
        page.context().close();
    }
}
