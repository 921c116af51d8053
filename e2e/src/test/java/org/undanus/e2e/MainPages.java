package org.undanus.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.function.Consumer;

/** The way through every main page: all stations, what belongs to an installation, and what stands for itself. */
final class MainPages {
    private static final List<String> STATIONS = List.of(
            "papers",
            "siting",
            "access",
            "mounting",
            "piping",
            "condensate",
            "electrical",
            "airside",
            "tightness",
            "evacuation",
            "charge",
            "running",
            "handover");

    private static final List<String> OF_AN_INSTALLATION =
            List.of("/after", "/report", "/record", "/site", "/bench/evacuation");

    private static final List<String> ALONE = List.of(
            "/corrections",
            "/crews",
            "/seals",
            "/letters",
            "/rule-books",
            "/data-sheets",
            "/instruments",
            "/people",
            "/calculators/bundle");

    private final Page page;
    private final String address;

    MainPages(Page page, String address) {
        this.page = page;
        this.address = address;
    }

    /**
     * From the register on, signed in already.
     *
     * @param look takes the name of what is shown
     */
    void each(Consumer<String> look) {
        String split = installation("Foundry floor, ducted split");
        look.accept("register");
        for (String station : STATIONS) {
            station(split, station, look);
        }
        ALONE.forEach(path -> open(address + path, path, look));
        OF_AN_INSTALLATION.forEach(path -> open(split + path, path, look));
        page.navigate(address + "/register");
        station(installation("Drying room, furnace with coil"), "fuel", look);
    }

    /** @return its address */
    private String installation(String title) {
        String path = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(title))
                .getAttribute("href");
        return address + path.replaceAll("/[a-z]+$", "");
    }

    private void station(String installation, String key, Consumer<String> look) {
        page.navigate(installation + "/" + key);
        page.getByRole(AriaRole.ARTICLE).first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        look.accept(key);
    }

    private void open(String where, String name, Consumer<String> look) {
        page.navigate(where);
        page.getByRole(AriaRole.HEADING).first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        look.accept(name);
    }
}
