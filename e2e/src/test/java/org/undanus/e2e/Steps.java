package org.undanus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;

/** What a person does, in words. */
final class Steps {
    private final Page page;
    private final String address;

    Steps(Page page, String address) {
        this.page = page;
        this.address = address;
    }

    /** One of the demo's people. */
    void signIn(String name) {
        signIn(name, name + "-demo");
    }

    void signIn(String name, String password) {
        page.navigate(address + "/sign-in");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(name);
        page.getByLabel("Password").fill(password);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Sign in").setExact(true))
                .click();
        page.waitForURL("**/register");
    }

    void openInstallation(String title) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(title))
                .click();
        question("Do the papers and plates belong together?").waitFor();
    }

    /** Goes there, and waits: until it has come the station before is still shown. */
    void station(String title) {
        Locator link = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(title)));
        boolean there = "page".equals(link.getAttribute("aria-current"));
        Locator question = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .first();
        String before = question.textContent();
        link.click();
        if (!there) {
            assertThat(question).not().hasText(before);
        }
    }

    Locator question(String words) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(words));
    }

    /** The first field of this name on the station. */
    Locator line(String title) {
        return page.getByLabel(title, new Page.GetByLabelOptions().setExact(true))
                .first();
    }

    Locator group(String title) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(title).setExact(true));
    }

    /** Types a reading and commits it. */
    void read(String title, String typed) {
        line(title).fill(typed);
        line(title).press("Enter");
    }

    Locator judgement(String name) {
        return page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name));
    }

    /** The first button of this name. */
    Locator button(String name) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }

    void leaveField() {
        page.keyboard().press("Escape");
    }
}
