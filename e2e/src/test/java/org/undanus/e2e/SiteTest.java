package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Drawing a site, dragging a unit, bringing in a sheet, dropping a photo, reckoning: as a person does it. */
class SiteTest extends BrowserTest {
    private static Page signedIn(String name) {
        return signedIn(name, 1280, 800);
    }

    private static void site(Page page, String installation) {
        Steps steps = new Steps(page, application.address());
        steps.openInstallation(installation);
        steps.station("Siting");
        steps.question("Has every unit the room it needs?").waitFor();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Site").setExact(true))
                .click();
        button(page, "Save the drawing").waitFor();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void type(Page page, String label, String typed) {
        Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
        field.fill(typed);
        field.press("Enter");
    }

    @Test
    void aSiteIsDrawnByTypedDimensionsAndKept() {
        Page page = signedIn("inspector");
        site(page, "Lodge, wall split in heating");
        button(page, "Place Outdoor unit").click();
        page.getByLabel("What to add").selectOption("wall");
        button(page, "Add").click();
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen: wall"))
                .waitFor();
        type(page, "Title", "North wall");
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen: North wall"))
                .waitFor();
        type(page, "Left edge", "0 m");
        type(page, "Lower edge", "10 ft");
        type(page, "Across", "6 m");
        assertThat(page.getByLabel("Lower edge")).hasValue("3.048 m");
        button(page, "Save the drawing").click();
        assertThat(page.getByText("The drawing is saved.")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Back to siting"))
                .click();
        assertThat(page.getByText("North wall")).isVisible();
        assertThat(page.getByText("Draw a boundary or a permitted area")).isVisible();
        page.context().close();
    }

    @Test
    void aDraggedUnitIsJudgedAnewAndTheCureIsDrawn() {
        Page page = signedIn("inspector");
        site(page, "Ticket hall, wall split");
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText(Pattern.compile("kept|Smallest cure"));
        Locator unit = page.locator("polygon[data-thing=outdoor-1]").first();
        BoundingBox box = unit.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + 8;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x, y - 30);
        page.mouse().move(x, y - 60);
        page.mouse().up();
        assertThat(page.getByText("overlaps Ticket hall").first()).isVisible();
        button(page, "Save the drawing").click();
        assertThat(page.getByText("Nothing was saved").first()).isVisible();
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("Smallest cure");
        button(page, "Do this move").click();
        assertThat(page.getByText("overlaps Ticket hall").first()).isHidden();
        assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("every distance is kept");
        button(page, "Undo").click();
        assertThat(page.getByText("overlaps Ticket hall").first()).isVisible();
        page.context().close();
    }

    @Test
    void whereNoPlaceCuresTurningMayAndAnUnkeptMoveIsTakenUpAgain() {
        Page page = signedIn("inspector");
        site(page, "Drying room, furnace with coil");
        Locator status = page.getByRole(AriaRole.STATUS).last();
        assertThat(status).containsText("No place in the permitted area");
        page.getByLabel("Units may be turned by quarter turns").check();
        assertThat(status).containsText("turned 180°");
        button(page, "Do this move").click();
        assertThat(status).containsText("every distance is kept");
        Locator judged = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Judged as drawn"));
        assertThat(judged).containsText("to spare");
        page.reload();
        assertThat(page.getByText("Restored")).isVisible();
        assertThat(status).containsText("every distance is kept");
        page.keyboard().press("u");
        assertThat(judged).containsText("1/2 in to spare");
        assertThat(page.getByText("Restored")).isVisible();
        button(page, "Revert to what is saved").click();
        assertThat(status).containsText("No place in the permitted area");
        assertThat(page.getByText("Restored")).isHidden();
        page.context().close();
    }

    @Test
    void aFileThatIsNoSiteDrawingIsSaid() {
        Page page = signedIn("inspector");
        site(page, "Boathouse, three zones");
        page.getByLabel("Import GeoJSON")
                .setInputFiles(json("degrees.geojson", "{\"type\": \"FeatureCollection\", \"features\": []}"));
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("degrees");
        assertThat(page.getByText("Boat rack")).isVisible();
        page.context().close();
    }

    private static FilePayload json(String name, String text) {
        return new FilePayload(name, "application/json", text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aSheetIsReadComparedAndBroughtIn() {
        Page page = signedIn("lead");
        page.navigate(application.address() + "/data-sheets?model=WS-12");
        page.getByText("Ondrel 4410, edition 3, version 1").waitFor();
        String sheet = String.valueOf(page.evaluate(
                "async () => JSON.stringify(await (await fetch('/api/data-sheets/file.json?model=WS-12')).json())"));
        page.getByLabel("Read a file")
                .setInputFiles(json("sheet.json", sheet.replace("\"front\":\"24 in\"", "\"front\":\"48 in\"")));
        Locator preview =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What this file would change"));
        assertThat(preview).containsText("Clearances, front");
        assertThat(preview).containsText("LH-01");
        button(page, "Import").click();
        assertThat(page.getByText("Ondrel 4410, edition 3, version 2")).isVisible();
        page.getByLabel("Compare with").selectOption("1");
        assertThat(page.getByText("→ 48 in")).isVisible();
        page.getByLabel("Read a file").setInputFiles(json("other.json", "{\"format\": \"x\", \"dataSheets\": []}"));
        assertThat(page.getByText("This reads undanus-data-sheets/1")).isVisible();
        page.context().close();
    }

    private static byte[] png() {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(320, 240, BufferedImage.TYPE_INT_RGB), "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aPhotoHangsOnALineAndAnExecutableDoesNot() {
        Page page = signedIn("inspector");
        Steps steps = new Steps(page, application.address());
        steps.openInstallation("Lodge, wall split in heating");
        steps.station("Mounting");
        steps.question("Is it fixed, and does the hole drain?").waitFor();
        steps.line("Hole, clear diameter").focus();
        Locator photo = page.getByLabel("Photo of Hole, clear diameter", new Page.GetByLabelOptions().setExact(true));
        photo.setInputFiles(new FilePayload("hole.png", "image/png", png()));
        Locator thumbnail = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("Photo of Hole, clear diameter, 20.*")));
        assertThat(thumbnail).isVisible();
        thumbnail.click();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Photo, enlarged")))
                .isVisible();
        button(page, "Turn").click();
        page.keyboard().press("Escape");
        photo.setInputFiles(
                new FilePayload("holiday.jpg", "image/jpeg", "MZ this runs".getBytes(StandardCharsets.US_ASCII)));
        assertThat(page.getByText("by its content")).isVisible();
        assertThat(thumbnail).hasCount(1);
        page.context().close();
    }

    @Test
    void theCalculatorsCarryWhatWasTypedInItsAddress() {
        Page page = signedIn("inspector");
        page.navigate(application.address() + "/calculators/bundle");
        page.getByLabel("Outer diameters, with insulation").fill("1 in; 1 in");
        assertThat(page.locator(".answer .last")).containsText("56 mm");
        assertThat(page).hasURL(Pattern.compile(".*diameters=1(\\+|%20)in.*"));
        page.reload();
        assertThat(page.getByLabel("Outer diameters, with insulation")).hasValue("1 in; 1 in");
        page.getByLabel("Outer diameters, with insulation").fill("wide");
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        page.context().close();
    }
}
