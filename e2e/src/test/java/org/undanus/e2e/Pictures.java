package org.undanus.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** Takes every picture of docs/screenshots again from the demo's data. Run by {@code ./undanus pictures}. */
public final class Pictures {
    private static final Path FOLDER = Path.of(System.getProperty("pictures", "../docs/screenshots"));
    private static final int[] DESK = {1280, 800};
    private static final int[] PHONE = {390, 844};

    private final Browser browser;
    private final String address;

    private Pictures(Browser browser, String address) {
        this.browser = browser;
        this.address = address;
    }

    public static void main(String[] arguments) {
        try (Application application = Application.startDemo();
                Browser browser = new Browser()) {
            new Pictures(browser, application.address()).all();
            browser.errors().forEach(System.err::println);
        }
    }

    private void all() {
        Page desk = signedIn(DESK, "light");
        desk.getByText("Foundry floor").first().waitFor();
        take(desk, "register");
        walk(desk, "Boathouse, three zones", "Siting");
        desk.getByText("Smallest cure").waitFor();
        take(desk, "walk-siting");
        desk.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Site").setExact(true))
                .click();
        desk.getByText("Save the drawing").waitFor();
        desk.getByText("Do this move").waitFor();
        take(desk, "site");
        walk(desk, "Stage roof, ducted split with strip heat", "Evacuation");
        desk.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bench"))
                .click();
        desk.locator(".sheet svg").waitFor();
        desk.mouse().move(760, 420);
        take(desk, "bench");
        walk(desk, "Almshouse 3, wall split", "Electrical");
        desk.getByText("Time", new Page.GetByTextOptions().setExact(true)).click();
        desk.getByText("of what is at stake").waitFor();
        take(desk, "hour");
        desk.keyboard().press("Escape");
        walk(desk, "Stage roof, ducted split with strip heat", "Electrical");
        take(desk, "walk-electrical");
        Steps steps = new Steps(desk, address);
        steps.judgement("Overcurrent protective device fits the plate Outdoor unit, roof")
                .click();
        desk.keyboard().press("w");
        desk.getByText("How it follows").waitFor();
        take(desk, "why");
        desk.keyboard().press("Escape");
        walk(desk, "Foundry floor, ducted split", "Running");
        desk.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Report").setExact(true))
                .click();
        desk.getByAltText("Page 1 of").first().waitFor();
        take(desk, "report");
        sealed(desk);
        take(desk, "after");
        walk(desk, "Press room, ducted split", "Papers");
        desk.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("After").setExact(true))
                .click();
        desk.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Record").setExact(true))
                .click();
        desk.getByText("1 doubt").click();
        desk.getByText("What does not fit together").waitFor();
        take(desk, "record");
        desk.locator(".ask input").first().check();
        steps.button("Write to the crew: 1 question").click();
        desk.getByText("Not answered yet.").waitFor();
        desk.navigate(address + "/corrections");
        desk.getByText("Stage roof").first().waitFor();
        take(desk, "corrections");
        desk.navigate(address + "/crews");
        desk.getByText("Threeways Cooling").waitFor();
        desk.getByText("Audit again").waitFor();
        take(desk, "crews");
        desk.navigate(address + "/data-sheets?model=WS-12");
        desk.getByText("Refrigerant and lines").waitFor();
        take(desk, "data-sheets");
        desk.navigate(address + "/instruments");
        desk.getByText("Gauge set 5").waitFor();
        take(desk, "instruments");
        desk.navigate(address + "/calculators/bundle");
        desk.getByText("Hole to ask for").waitFor();
        take(desk, "calculators");
        desk.context().close();

        Page lead = signedIn("lead", DESK, "light");
        lead.navigate(address + "/rule-books?find=clearance, front");
        lead.getByText("Sallowmere 2026, plate practice").click();
        lead.getByLabel("Change Clearance, front, Lake Halls programme").first().click();
        lead.getByLabel(Pattern.compile("^Value of Clearance, front")).fill("45 in");
        lead.getByLabel(Pattern.compile("^Source of Clearance, front")).fill("Letter of the programme, autumn");
        lead.getByText("Try on the archive").click();
        lead.getByText("tried on all").waitFor();
        take(lead, "rule-books");
        lead.context().close();

        Page crew = signedIn("dunmarrow", PHONE, "light");
        crew.navigate(address + "/corrections");
        crew.getByText("Holes in its base open").first().click();
        crew.getByLabel("What was done?").fill("All four drilled free.");
        take(crew, "correction-phone");
        crew.context().close();

        Page hand = signedIn(PHONE, "light");
        walk(hand, "Foundry floor, ducted split", "Siting");
        hand.navigate(hand.url() + "?line=siting.outdoor-clearance-back@outdoor-1");
        hand.locator(".line.one .brief").waitFor();
        hand.locator(".figure svg").waitFor();
        take(hand, "walk-phone");
        hand.context().close();

        Page attic = signedIn(DESK, "attic");
        walk(attic, "Blowing floor, ducted split", "Release");
        new Steps(attic, address).button("Visit").click();
        attic.getByText("Charge and airflow").first().waitFor();
        take(attic, "walk-attic");
        attic.context().close();
    }

    /** A visit sealed, and another begun after it that changed something. */
    private void sealed(Page page) {
        walk(page, "Lodge, wall split in heating", "Siting");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("After").setExact(true))
                .click();
        page.getByText("Seal this visit").click();
        page.getByText("Yes, seal it as it stands").click();
        page.getByText("This visit is sealed as").waitFor();
    }

    private Page signedIn(int[] size, String theme) {
        return signedIn("inspector", size, theme);
    }

    private Page signedIn(String name, int[] size, String theme) {
        Page page = browser.open(size[0], size[1]);
        page.addInitScript("localStorage.setItem('undanus.theme', '" + theme + "')");
        new Steps(page, address).signIn(name);
        return page;
    }

    private void walk(Page page, String installation, String station) {
        page.navigate(address + "/register");
        Steps steps = new Steps(page, address);
        steps.openInstallation(installation);
        steps.station(station);
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .locator("[aria-current=page]", new Locator.LocatorOptions().setHasText(station))
                .waitFor();
        page.getByRole(AriaRole.ARTICLE).first().waitFor();
    }

    private static void take(Page page, String name) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        for (Locator image : page.locator("img").all().stream().limit(2).toList()) {
            image.evaluate("image => image.decode()");
        }
        page.waitForTimeout(600);
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
