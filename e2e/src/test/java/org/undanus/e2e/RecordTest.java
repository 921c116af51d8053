package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A commissioning record typed from paper, its values boxed, two of them read again, a doubt explained and asked about. */
class RecordTest extends BrowserTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static byte[] paper() throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB), "png", out);
            return out.toByteArray();
        }
    }

    @Test
    void aRecordIsTypedBoxedReadAgainAndAskedAbout() throws IOException {
        Page page = signedIn("inspector", 1280, 800);
        Steps steps = new Steps(page, application.address());
        steps.openInstallation("Almshouse 3, wall split");
        link(page, "After").click();
        link(page, "Record").click();
        button(page, "Type it").click();
        page.getByLabel("Signed by").fill("Fitter");
        page.getByLabel("Day", new Page.GetByLabelOptions().setExact(true)).fill("2026-07-18");
        fill(page, "Hold, pressure at the start", "430 psig");
        fill(page, "Hold, temperature at the start", "84 °F");
        fill(page, "Hold, pressure at the end", "430");
        fill(page, "Hold, temperature at the end", "68 °F");
        button(page, "Save 4 values").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was saved");
        fill(page, "Hold, pressure at the end", "430 psig");
        button(page, "Save 4 values").click();

        // what does not fit together, and why
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText(Pattern.compile("1 of \\d+ checks leaves a doubt"));
        Locator doubt = page.locator("article.doubtful");
        assertThat(doubt).containsText("the record says that it stood at");
        assertThat(doubt).containsText("The thermometer lay in the sun");
        assertThat(doubt).containsText("Claimed: ");

        // the paper, and a box round a value
        page.getByLabel("Add a photo or PDF of the paper")
                .setInputFiles(new FilePayload("paper.png", "image/png", paper()));
        page.getByAltText("Paper: paper.png").waitFor();
        page.getByLabel("Value to draw a box round").selectOption(new SelectOption().setIndex(1));
        BoundingBox area = page.locator(".paper").boundingBox();
        page.mouse().move(area.x + 40, area.y + 40);
        page.mouse().down();
        page.mouse().move(area.x + 160, area.y + 80);
        page.mouse().up();
        assertThat(page.locator(".paper .box")).hasCount(1);

        // two values read again, which then stand beside the record's
        page.locator(".again a").first().click();
        steps.read("Hold, pressure at the end", "417 psig");
        steps.read("Hold, temperature at the end", "68 °F");
        link(page, "After").click();
        link(page, "Record").click();
        page.getByText("signed by Fitter").click();
        assertThat(page.locator("tr", new Page.LocatorOptions().setHasText("Hold, pressure at the end")))
                .containsText("417");
        assertThat(page.locator("article.doubtful")).hasCount(2);

        // a letter that asks
        page.locator(".ask input").first().check();
        button(page, "Write to the crew: 1 question").click();
        page.getByText("Not answered yet.").waitFor();
        String record = page.url();
        page.navigate(application.address() + "/letters");
        assertThat(page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName("LH-36: a question about your record")))
                .isVisible();

        // the crew answers on a phone, in words and by a reading
        Page phone = signedIn("nettlebank", 390, 844);
        phone.navigate(record);
        phone.getByLabel("Answer", new Page.GetByLabelOptions().setExact(true)).fill("The thermometer lay outdoors.");
        button(phone, "Add a reading").click();
        phone.getByLabel("Line", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setIndex(3));
        phone.getByLabel("Reading, with its unit").fill("83 °F");
        phone.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Answer").setExact(true))
                .click();
        assertThat(phone.locator(".answer")).containsText("outdoors");
        assertThat(phone.locator(".answer")).containsText("Hold, temperature at the end");
        phone.context().close();
        page.context().close();
    }

    private static void fill(Page page, String line, String value) {
        page.locator("tr", new Page.LocatorOptions().setHasText(line))
                .locator("input")
                .first()
                .fill(value);
    }

    @Test
    void manyComeInFromOneFileAndWhatCannotBeTakenIsNamed() throws IOException {
        Page page = signedIn("inspector", 1280, 800);
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        try (ZipOutputStream to = new ZipOutputStream(zip)) {
            for (String value : List.of("400 psig", "401 psig", "402")) {
                String table = "format,undanus-record/1\ninstallation,LH-40\nsigned by,Fitter\nday,2026-08-06\n"
                        + "line,of,what,value,read at,instrument\ntightness.start-pressure,line-set-indoor-1,,"
                        + value + ",,\n";
                to.putNextEntry(new ZipEntry(value + ".csv"));
                to.write(table.getBytes(StandardCharsets.UTF_8));
            }
        }
        page.navigate(application.address() + "/crews");
        page.getByLabel("Bring in many records")
                .setInputFiles(new FilePayload("records.zip", "application/zip", zip.toByteArray()));
        Locator coming = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Records coming in"));
        assertThat(coming).containsText("2 of 3 records are saved; 1 cannot be taken");
        assertThat(coming).containsText("Line 6: The unit is missing.");
        page.context().close();
    }

    @Test
    void theCrewThatCopiesIsVisibleAndTheCarefulOneIsNot() {
        Page page = signedIn("lead", 1280, 800);
        page.navigate(application.address() + "/crews");
        Locator copies = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Threeways Cooling"));
        assertThat(copies).containsText("Same readings on several jobs");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Dunmarrow Services")))
                .containsText("Pressure hold against temperature");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Nettlebank Mechanical")))
                .containsText("0 of ");
        page.context().close();
    }
}
