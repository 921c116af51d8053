package org.undanus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Whoever sees little, or uses no mouse, can use every main page in both themes. */
class BarrierTest extends BrowserTest {
    /** All but fuel and venting, of which a split has nothing. */
    private static final List<String> STATIONS = List.of(
            "Papers",
            "Siting",
            "Access",
            "Mounting",
            "Refrigerant piping",
            "Condensate",
            "Electrical",
            "Air side",
            "Tightness",
            "Evacuation",
            "Release",
            "Running",
            "Handover");

    private static final List<String> PAGES = List.of(
            "/corrections",
            "/crews",
            "/seals",
            "/letters",
            "/rule-books",
            "/data-sheets",
            "/toolcase",
            "/people",
            "/reckoner/bundle");

    @Test
    void noSeriousBarrier() {
        Page page = browser.open(1280, 800);
        Steps steps = new Steps(page, application.address());
        page.navigate(application.address() + "/sign-in");
        page.getByLabel("Password").waitFor();
        barriers(page, "sign-in");
        steps.signIn("lead");
        page.getByText("Foundry floor").first().waitFor();
        barriers(page, "register");
        steps.openInstallation("Foundry floor, ducted split");
        String installation = page.url().replaceAll("/[a-z]+$", "");
        for (String station : STATIONS) {
            steps.station(station);
            page.getByRole(AriaRole.ARTICLE).first().waitFor();
            barriers(page, station);
        }
        for (String path : PAGES) {
            page.navigate(application.address() + path);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            barriers(page, path);
        }
        for (String part : List.of("/after", "/report", "/record", "/site", "/bench/evacuation")) {
            page.navigate(installation + part);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            barriers(page, part);
        }
        page.context().close();
    }

    /** In the other theme only the colours differ, and every station has the same: two of them stand for the rest. */
    private static void barriers(Page page, String where) {
        none(new AxeBuilder(page), where);
        if (STATIONS.indexOf(where) > 1) {
            return;
        }
        page.evaluate("document.documentElement.dataset.theme = 'attic'");
        none(new AxeBuilder(page).withRules(List.of("color-contrast")), where + ", attic theme");
        page.evaluate("document.documentElement.dataset.theme = 'light'");
    }

    private static void none(AxeBuilder axe, String where) {
        assertThat(axe.analyze().getViolations())
                .as(where)
                .filteredOn(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .extracting(rule -> rule.getId() + ": " + rule.getNodes().get(0).getHtml())
                .isEmpty();
    }
}
