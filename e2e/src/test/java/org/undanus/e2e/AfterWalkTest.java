package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From corrections to the seal: what comes after a walk, by an inspector at a desk and a crew on a phone. */
class AfterWalkTest extends BrowserTest {
    private static final String INSTALLATION = "Foundry floor, ducted split";
    private static final int[] DESK = {1280, 800};
    private static final int[] PHONE = {390, 844};

    @TempDir
    Path folder;

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void openCorrection(Page page, String what) {
        page.navigate(application.address() + "/corrections");
        page.locator("section.of", new Page.LocatorOptions().setHasText(INSTALLATION))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(what)))
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile(what)))
                .waitFor();
    }

    /** The stand-in shows the crew what came to it, once it was sent. */
    private static void lettersReach(Page crew) {
        crew.navigate(application.address() + "/letters");
        Locator arrived = crew.locator(".arrived", new Page.LocatorOptions().setHasText("3 corrections"));
        for (int tries = 0; tries < 20 && arrived.count() == 0; tries++) {
            button(crew, "Look again").click();
            crew.waitForTimeout(1000);
        }
        arrived.locator("summary").click();
        assertThat(arrived).containsText("dunmarrow@sallowmere.example");
        assertThat(arrived).containsText("Clearance, back, Outdoor unit");
        assertThat(crew.getByText("sent to Crew lead Dunmarrow").first()).isVisible();
    }

    @Test
    void threeAreRaisedAnsweredOnAPhoneTwoClosedOneRefusedAndTheVisitSealed() throws IOException {
        Page desk = signedIn("inspector", DESK[0], DESK[1]);
        Steps steps = new Steps(desk, application.address());
        steps.openInstallation(INSTALLATION);
        link(desk, "After").click();
        button(desk, "Raise corrections").click();
        button(desk, "None").click();
        for (String what :
                List.of("Clearance, back", "Pad is sound", "Overcurrent protective device fits the plate, Outdoor")) {
            desk.locator("label", new Page.LocatorOptions().setHasText(what))
                    .first()
                    .click();
        }
        button(desk, "Raise 3 corrections").click();
        assertThat(desk.getByText("3 raised, 3 open.")).isVisible();

        Page phone = signedIn("dunmarrow", PHONE[0], PHONE[1]);
        for (String what : List.of("Clearance, back", "Pad is sound", "Overcurrent protective device")) {
            openCorrection(phone, what);
            phone.getByLabel("What was done?").fill("Done: " + what + ".");
            button(phone, "Answer").click();
            phone.getByText("dunmarrow answers").waitFor();
        }
        lettersReach(phone);
        phone.context().close();

        // a re-visit, of which two readings show it
        desk.navigate(application.address() + "/register");
        steps.openInstallation(INSTALLATION);
        button(desk, "Visit").click();
        button(desk, "Begin this visit").click();
        steps.station("Siting");
        steps.read("Clearance, back", "40 in");
        assertThat(steps.judgement("Clearance, back Outdoor unit").first()).containsText("Meets");
        steps.station("Electrical");
        steps.read("Breaker or fuse size (OCPD)", "40 A");
        for (String what : List.of("Clearance, back", "Overcurrent protective device")) {
            openCorrection(desk, what);
            button(desk, "Close: read again, and it meets").click();
            desk.getByText("closed at a re-visit").waitFor();
        }
        openCorrection(desk, "Pad is sound");
        assertThat(button(desk, "Close: read again")).hasCount(0);
        desk.getByLabel("What do you say to it?").fill("Send a photo of the pad.");
        button(desk, "Refuse, and say why").click();
        desk.getByText("answer refused").waitFor();

        seal(desk, steps);
        desk.context().close();
    }

    private void seal(Page desk, Steps steps) throws IOException {
        desk.navigate(application.address() + "/register");
        steps.openInstallation(INSTALLATION);
        link(desk, "After").click();
        assertThat(desk.getByText("Clearance, back, Outdoor unit: before").first())
                .isVisible();
        button(desk, "Seal this visit").click();
        button(desk, "Yes, seal it as it stands").click();
        assertThat(desk.getByText("This visit is sealed as LH-07/2")).isVisible();
        Download download = desk.waitForDownload(() -> link(desk, "Sealed file").click());
        Path sealed = folder.resolve("sealed.zip");
        download.saveAs(sealed);

        desk.navigate(application.address() + "/seals");
        desk.getByLabel("Sealed file").setInputFiles(sealed);
        assertThat(desk.getByText("Nothing was changed since it was sealed: LH-07/2"))
                .isVisible();
        assertThat(application.verify(sealed)).isZero();

        try (FileSystem zip = FileSystems.newFileSystem(sealed)) {
            Path document = zip.getPath("case.json");
            String text = Files.readString(document);
            Files.writeString(document, text.replaceFirst("\"40 in\"", "\"4 in\""), StandardCharsets.UTF_8);
        }
        desk.getByLabel("Sealed file").setInputFiles(sealed);
        assertThat(desk.getByText(Pattern.compile("Changed: readings \\d+: siting.outdoor-clearance-back")))
                .isVisible();
        assertThat(application.verify(sealed)).isEqualTo(1);
    }
}
