package org.undanus.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.*;
import java.nio.file.Path;

public final class Shots {
    public static void main(String[] a) throws Exception {
        try (Application application = Application.startDemo();
                Browser browser = new Browser()) {
            Page p = browser.open(1280, 800);
            Steps s = new Steps(p, application.address());
            s.signIn("inspector");
            go(p, s, "Foundry floor, ducted split", "Refrigerant piping");
            shot(p, "pip07");
            p.getByLabel("Run of the lines, from the indoor unit").first().click();
            p.waitForTimeout(600);
            p.locator("svg [data-thing='2']")
                    .first()
                    .click(new com.microsoft.playwright.Locator.ClickOptions().setForce(true));
            p.waitForTimeout(700);
            shot(p, "pip07edit");
            s.station("Condensate");
            p.waitForTimeout(900);
            shot(p, "con07");
            s.station("Air side");
            p.waitForTimeout(900);
            shot(p, "air07");
            s.station("Electrical");
            p.waitForTimeout(900);
            shot(p, "ele07");
            p.getByText("Cable, Air handler")
                    .or(p.getByText(java.util.regex.Pattern.compile("^Cable, ")))
                    .first()
                    .click();
            p.waitForTimeout(500);
            shot(p, "ele07cable");
            go(p, s, "Stage roof, ducted split with strip heat", "Air side");
            p.getByText(java.util.regex.Pattern.compile("^Grid, ")).first().click();
            p.waitForTimeout(500);
            shot(p, "air15grid");
            s.station("Condensate");
            p.waitForTimeout(700);
            p.getByText(java.util.regex.Pattern.compile("^Trap, ")).first().click();
            p.waitForTimeout(500);
            shot(p, "con15trap");
            go(p, s, "Dye room, furnace with coil", "Fuel");
            shot(p, "fuel44");
            p.getByText(java.util.regex.Pattern.compile("^Vent's end")).first().click();
            p.waitForTimeout(500);
            shot(p, "fuel44vent");
            go(p, s, "Boathouse, three zones", "Refrigerant piping");
            p.getByText("Ports").first().click();
            p.waitForTimeout(500);
            shot(p, "pip12ports");
            System.err.println(browser.errors());
        }
    }

    static void go(Page p, Steps s, String title, String station) {
        p.navigate(p.url().replaceAll("(https?://[^/]+).*", "$1/register"));
        p.getByText(title).first().waitFor();
        s.openInstallation(title);
        s.station(station);
        p.waitForTimeout(1200);
    }

    static void shot(Page p, String n) {
        p.screenshot(new Page.ScreenshotOptions().setPath(Path.of("/tmp/pv/" + n + ".png")));
    }
}
