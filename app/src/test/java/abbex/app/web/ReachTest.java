package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Script;
import abbex.app.support.Shop;
import com.microsoft.playwright.Response;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ConfigurableApplicationContext;

/** Tablets come in by HTTPS at another address than loopback's own; a certificate that cannot serve is refused in a sentence. */
@ExtendWith(Shop.class)
class ReachTest {
    private static final Path TLS = Path.of("target", "tls").toAbsolutePath();
    private static final String ADDRESS = "127.0.0.2";

    @BeforeAll
    static void pairs() throws IOException {
        Files.createDirectories(TLS);
        for (String name : new String[] {"one", "two"}) {
            Script.Run made = Script.run(
                    "openssl",
                    "req",
                    "-x509",
                    "-newkey",
                    "ec",
                    "-pkeyopt",
                    "ec_paramgen_curve:P-256",
                    "-nodes",
                    "-days",
                    "2",
                    "-subj",
                    "/CN=" + ADDRESS,
                    "-addext",
                    "subjectAltName=IP:" + ADDRESS,
                    "-keyout",
                    TLS.resolve(name + ".key").toString(),
                    "-out",
                    TLS.resolve(name + ".pem").toString());
            assertEquals(0, made.status(), made.said());
        }
    }

    private static String file(String name) {
        return TLS.resolve(name).toString();
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = '|', textBlock = """
                    one.pem | two.key | does not match the certificate
                    one.key | one.key | is not a PEM certificate
                    one.pem | one.pem | is not a PEM private key
                    one.pem | none.key | can’t read
                    """)
    void a_pair_that_does_not_fit_starts_nothing(String cert, String key, String says) {
        Path folder = Path.of("target", "not-started").toAbsolutePath();
        Script.Run run = Script.abbex(
                "start",
                "--background",
                "--data",
                folder.toString(),
                "--listen",
                ADDRESS,
                "--cert",
                file(cert),
                "--key",
                file(key));
        assertEquals(1, run.status(), run.said());
        assertTrue(run.said().contains(says), run.said());
        assertFalse(Files.exists(folder.resolve("mysql")), "nothing was started");
    }

    @ParameterizedTest(name = "--listen {0}")
    @CsvSource(delimiter = '|', textBlock = """
                    the-shop | an address of this computer, such as
                    203.0.113.9 | is not an address of this computer
                    """)
    void an_address_that_is_not_ours_is_refused(String address, String says) {
        Path folder = Path.of("target", "not-started").toAbsolutePath();
        Script.Run run = Script.abbex("start", "--background", "--data", folder.toString(), "--listen", address);
        assertEquals(1, run.status(), run.said());
        assertTrue(run.said().contains(says), run.said());
    }

    @Test
    void a_tablet_measures_over_https() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        try (ConfigurableApplicationContext app = Shop.start(
                        "--abbex.https.address=" + ADDRESS,
                        "--abbex.https.port=" + port,
                        "--abbex.https.certificate=" + file("one.pem"),
                        "--abbex.https.key=" + file("one.key"));
                Screen tablet = Screen.tabletThatKeeps()) {
            String address = "https://" + ADDRESS + ":" + port;
            tablet.page.navigate(address + "/sign-in");
            tablet.page.getByLabel(Said.by("sign-in.name")).fill("milo");
            tablet.page.getByLabel(Said.by("sign-in.password")).fill(Shop.password());
            tablet.page.keyboard().press("Enter");
            tablet.page.waitForURL(address + "/");
            assertTrue(tablet.context.cookies().stream().allMatch(c -> c.secure && c.httpOnly), "only over HTTPS");
            assertTrue(
                    tablet.context.cookies().stream().anyMatch(c -> c.name.equals("__Host-SESSION")),
                    "of this host only");
            assertEquals(true, tablet.page.evaluate("isSecureContext"));
            assertThat(tablet.page.locator("#notice")).containsText(Said.part("script.untrusted"));
            tablet.page.navigate(address + "/arrive");
            tablet.page.locator("#plate").fill("TL " + System.nanoTime() % 1_000_000);
            tablet.page.locator("label[for='outline-CAR-HATCH']").click();
            tablet.page.locator("#name").fill("test hatch");
            tablet.page.keyboard().press("Enter");
            tablet.page.locator("#in-LF").fill("14 3/8");
            tablet.page.keyboard().press("Enter");
            assertThat(tablet.page.locator("#arch-LF .hero")).hasText("14\u202f3⁄8");
            assertEquals(404, tablet.page.navigate(address + "/health").status(), "health is loopback's");
            assertEquals(
                    200,
                    tablet.page
                            .navigate(address + "/jobs/" + Jobs.id("GN 2-118") + "/sheet")
                            .status());
            tablet.page.navigate(address + "/account");
            Response left = tablet.page.waitForResponse(
                    "**/sign-out", () -> tablet.page.locator(".sign-out button").click());
            assertEquals("\"cache\"", left.headerValue("Clear-Site-Data"), "kept pages go");
        }
    }
}
