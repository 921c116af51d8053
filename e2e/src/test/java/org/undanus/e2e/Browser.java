package org.undanus.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;

/** Debian's Chromium without a monitor. Whatever a page writes to the console as an error is kept. */
public final class Browser implements AutoCloseable {
    private static final Path CHROMIUM = Path.of("/usr/bin/chromium");

    /** Waiting longer costs nothing where all is well, and a busy machine is no failure; milliseconds. */
    private static final int PATIENCE = 45_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    /** The browser's own note that an entry was refused; the page says so to the person. */
    private static final Pattern REFUSED =
            Pattern.compile("Failed to load resource: the server responded with a status of (401|409|422)");

    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final com.microsoft.playwright.Browser chromium = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(CHROMIUM)
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));
    private final List<String> errors = new CopyOnWriteArrayList<>();

    /** A fresh person's window of this size. */
    public Page open(int width, int height) {
        return open(width, height, Map.of());
    }

    /** The window of somebody whose browser asks for a language. */
    Page openIn(String language) {
        return open(1280, 800, Map.of("Accept-Language", language));
    }

    private Page open(int width, int height, Map<String, String> headers) {
        BrowserContext context = chromium.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setExtraHTTPHeaders(headers)
                .setLocale("en-GB")
                .setTimezoneId("UTC")
                .setAcceptDownloads(true));
        Page page = context.newPage();
        page.setDefaultTimeout(PATIENCE);
        page.onConsoleMessage(message -> {
            boolean wrong = message.type().equals("error") || message.type().equals("warning");
            if (wrong && !REFUSED.matcher(message.text()).lookingAt()) {
                errors.add(message.text() + " at " + message.location());
            }
        });
        page.onPageError(error -> errors.add(error));
        return page;
    }

    /** Console errors, warnings and uncaught exceptions so far. */
    public List<String> errors() {
        return errors;
    }

    @Override
    public void close() {
        playwright.close();
    }
}
