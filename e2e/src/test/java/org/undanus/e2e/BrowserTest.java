package org.undanus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;

/** A freshly started demo and a browser for all tests of a class; what a page says to the console fails the test. */
abstract class BrowserTest {
    static Application application;
    static Browser browser;

    @BeforeAll
    static void start() {
        application = Application.startDemo();
        browser = new Browser();
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    @AfterEach
    void consoleIsQuiet() {
        assertThat(browser.errors()).isEmpty();
    }

    static Page signedIn(String name, int width, int height) {
        Page page = browser.open(width, height);
        new Steps(page, application.address()).signIn(name);
        return page;
    }
}
