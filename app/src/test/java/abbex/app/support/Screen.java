package abbex.app.support;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** A page in Debian's headless Chromium; whatever the browser complains about is kept. */
public final class Screen implements AutoCloseable {
    private static final Map<String, List<Cookie>> SESSIONS = new ConcurrentHashMap<>();
    /** How long a page may take on a machine that does three other things, ms: it costs nothing where all is well. */
    private static final double PATIENCE = 40_000;

    private static Browser browser;

    public final BrowserContext context;
    public final Page page;
    private final List<String> complaints = new ArrayList<>();
    private boolean offline;

    private Screen(int width, int height, ColorScheme light) {
        this(
                new Browser.NewContextOptions().setViewportSize(width, height).setColorScheme(light),
                ServiceWorkerPolicy.BLOCK);
    }

    private Screen(Browser.NewContextOptions options, ServiceWorkerPolicy worker) {
        // A certificate that was made for a test is nobody's to vouch for.
        context = browser()
                .newContext(
                        options.setIgnoreHTTPSErrors(true).setLocale("en-GB").setServiceWorkers(worker));
        page = context.newPage();
        page.setDefaultTimeout(PATIENCE);
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")
                    // A certificate of a test's own is trusted by nobody, so no worker comes from it; the page says so.
                    && !m.text().startsWith("An SSL certificate error occurred when fetching the script")
                    && !(offline && m.text().startsWith("htmx:"))
                    // A page that is left, or a newer word to find, gives up what was asked for before: no fault.
                    && !m.text().startsWith("htmx:sendAbort")
                    && !m.text().startsWith("htmx:afterRequest")
                    && !m.text().startsWith("Failed to load resource")
                    && !m.text().startsWith("Response Status Error Code")) {
                complaints.add(m.text());
            }
        });
        page.onPageError(complaints::add);
        page.onRequestFailed(r -> {
            if (!offline && !String.valueOf(r.failure()).contains("ERR_ABORTED")) {
                complaints.add(r.url() + " " + r.failure());
            }
        });
    }

    private static synchronized Browser browser() {
        if (browser == null) {
            PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
            Path chromium = Stream.of(
                            "/usr/bin/chromium-headless-shell", "/usr/bin/chromium", "/usr/bin/chromium-browser")
                    .map(Path::of)
                    .filter(Files::exists)
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no Chromium: ./abbex test installs it"));
            browser = Playwright.create()
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(chromium)
                            .setArgs(List.of(
                                    "--no-sandbox",
                                    "--disable-gpu",
                                    // Two cores: what draws is a thread of the browser and no process beside it.
                                    "--in-process-gpu",
                                    "--num-raster-threads=1",
                                    "--disable-quic",
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync")));
        }
        return browser;
    }

    public static Screen desk() {
        return new Screen(1280, 800, ColorScheme.LIGHT);
    }

    /**
     * A desk that keeps its pages for when there is no network, as every desk does: a page that is opened brings the ones after it
     * along, which costs the tests that are about something else a third of their time.
     */
    public static Screen deskThatKeeps() {
        return new Screen(
                new Browser.NewContextOptions().setViewportSize(1280, 800).setColorScheme(ColorScheme.LIGHT),
                ServiceWorkerPolicy.ALLOW);
    }

    /** A tablet upright, touched by fingers. */
    public static Screen tablet() {
        return new Screen(touched(), ServiceWorkerPolicy.BLOCK);
    }

    /** The same, keeping its pages. */
    public static Screen tabletThatKeeps() {
        return new Screen(touched(), ServiceWorkerPolicy.ALLOW);
    }

    private static Browser.NewContextOptions touched() {
        return new Browser.NewContextOptions()
                .setViewportSize(800, 1280)
                .setColorScheme(ColorScheme.LIGHT)
                .setHasTouch(true)
                .setIsMobile(true);
    }

    /** A window of 1280 by 800 at 200 %. */
    public static Screen enlarged() {
        return new Screen(
                new Browser.NewContextOptions().setViewportSize(640, 400).setDeviceScaleFactor(2),
                ServiceWorkerPolicy.BLOCK);
    }

    public static Screen of(int width, int height, boolean dim) {
        return new Screen(width, height, dim ? ColorScheme.DARK : ColorScheme.LIGHT);
    }

    /** Signs in at the door the first time; later screens of the same person bring that session along, and have no page yet. */
    public Screen signIn(String name) {
        if (SESSIONS.containsKey(name)) {
            context.addCookies(SESSIONS.get(name));
            return this;
        }
        page.navigate(Shop.address() + "/sign-in");
        page.getByLabel(Said.by("sign-in.name")).fill(name);
        page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
        page.keyboard().press("Enter");
        page.waitForURL(Shop.address() + "/");
        SESSIONS.put(
                name,
                context.cookies().stream()
                        .map(c -> new Cookie(c.name, c.value).setUrl(Shop.address()))
                        .toList());
        return this;
    }

    /** Cuts this browser off from the network, or lets it back. */
    public void alone(boolean cut) {
        context.setOffline(cut);
        offline = cut || offline;
    }

    /** The session of somebody else, as a sign-in on this device would bring it. */
    public void as(String name) {
        if (!SESSIONS.containsKey(name)) {
            Screen.desk().signIn(name).close();
        }
        context.addCookies(SESSIONS.get(name));
    }

    public void open(String path) {
        page.navigate(Shop.address() + path);
    }

    /** A car comes in: a hatch by its outline, and on to its first round, as a person does it. */
    public void receive(String plate) {
        open("/arrive");
        page.locator("#plate").fill(plate);
        page.locator("label[for='outline-CAR-HATCH']").click();
        page.locator("#name").fill("test hatch");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("#in-LF")).isVisible();
    }

    /** Script errors and violations of the content policy so far. */
    public List<String> complaints() {
        return complaints;
    }

    @Override
    public void close() {
        context.close();
        if (!complaints.isEmpty()) {
            throw new AssertionError("the browser complained: " + complaints);
        }
    }
}
