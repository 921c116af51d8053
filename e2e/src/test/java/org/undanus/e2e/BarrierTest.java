package org.undanus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Whoever sees little, or uses no mouse, can use every main page in both themes. */
class BarrierTest extends BrowserTest {
    /** In the other theme only the colours differ, and every station has the same: two of them stand for the rest. */
    private static final Set<String> IN_BOTH_THEMES = Set.of("sign-in", "register", "papers", "siting");

    @Test
    void noSeriousBarrier() {
        Page page = browser.open(1280, 800);
        Steps steps = new Steps(page, application.address());
        page.navigate(application.address() + "/sign-in");
        page.getByLabel("Password").waitFor();
        barriers(page, "sign-in");
        steps.signIn("lead");
        new MainPages(page, application.address()).each(where -> barriers(page, where));
        page.context().close();
    }

    private static void barriers(Page page, String where) {
        none(new AxeBuilder(page), where);
        if (!where.startsWith("/") && !IN_BOTH_THEMES.contains(where)) {
            return;
        }
        page.evaluate("document.documentElement.dataset.theme = 'attic'");
        none(new AxeBuilder(page).withRules(List.of("color-contrast")), where + ", attic theme");
        page.evaluate("document.documentElement.dataset.theme = 'light'");
    }

    /** No page has frames: nothing is lost where axe does not open a page of its own to gather what each of them says, which takes thrice as long. */
    private static void none(AxeBuilder axe, String where) {
        assertThat(axe.setLegacyMode(true).analyze().getViolations())
                .as(where)
                .filteredOn(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .extracting(rule -> rule.getId() + ": " + rule.getNodes().get(0).getHtml())
                .isEmpty();
    }
}
