package abbex.app.instruments;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.instruments.Fault;
import abbex.instruments.Instrument;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Instruments of a process of their own, on the line: in hand, measuring, at fault. */
@ExtendWith(Shop.class)
class InstrumentsTest {
    private static final Random RANDOM = new Random(31);

    private final Visitor orla = Visitor.signedIn("orla");
    /** Who has instruments in hand here: of other tests something may wait for others. */
    private final Visitor milo = Visitor.signedIn("milo");

    private static int port() {
        return Shop.bean(InstrumentPort.class).port();
    }

    private static Instrument on(String kind) {
        return new Instrument(("D" + UUID.randomUUID()).substring(0, 9), kind, port(), RANDOM).start();
    }

    private static void wait(String what, BooleanSupplier until) {
        long end = System.currentTimeMillis() + 40_000;
        while (!until.getAsBoolean()) {
            assertTrue(System.currentTimeMillis() < end, what);
            try {
                Thread.sleep(20);
            } catch (InterruptedException ended) {
                throw new IllegalStateException(ended);
            }
        }
    }

    private void inHand(Visitor who, Instrument one) {
        wait("taken in hand", () -> who.post("/instruments", "code", one.code()).statusCode() == 302);
        wait("told so", one::paired);
    }

    private static List<String> kept(Instrument one) {
        return Shop.bean(JdbcClient.class)
                .sql("select raw from instrument_reading where device = :device order by boot, nr")
                .param("device", one.name())
                .query(String.class)
                .list();
    }

    private String received() {
        String job = UUID.randomUUID().toString();
        orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                "IN " + job.substring(0, 8),
                "name",
                "coupe " + job.substring(0, 8),
                "archFront",
                "STRUT",
                "promiseFRONT",
                "1");
        return job;
    }

    /** By thumbs: the code typed once, then readings come to the field in hand, are taken, or refused. */
    @Test
    void a_gauge_walks_and_scales_weigh_four_wheels() {
        String job = received();
        try (Instrument gauge = on("height");
                Instrument scale = on("weight");
                Screen screen = Screen.tablet().signIn("milo")) {
            Page page = screen.page;
            for (Instrument one : List.of(gauge, scale)) {
                screen.open("/instruments");
                page.locator("#code").fill("99");
                page.locator(".card-form .btn").tap();
                assertThat(page.locator("#code-bad")).containsText("99");
                page.locator("#code").fill(one.code());
                page.locator(".card-form .btn").tap();
                assertThat(page.locator(".in-hand")).containsText(one.name());
                wait("told so", one::paired);
            }
            screen.open("/jobs/" + job + "/measure");
            page.locator("input.reading").first().focus();
            gauge.measure(352.5, "mm");
            Locator came = page.locator(".instruments .came");
            assertThat(came).containsText("352.5 mm");
            assertThat(page.locator("input.reading").first()).hasValue("");
            came.locator("[data-how=refused]").tap();
            assertThat(came).hasCount(0);
            gauge.measure(351.0, "mm");
            assertThat(came).containsText("351.0 mm");
            came.locator("[data-how=taken]").tap();
            wait(
                    "kept on the sheet",
                    () -> Shop.bean(JdbcClient.class)
                            .sql("select raw from reading where sheet_id = :sheet")
                            .param("sheet", Jobs.sheet(job))
                            .query(String.class)
                            .list()
                            .equals(List.of("351.0 mm")));
            // Shown, and then there is no way: it is taken all the same, and waits like what was typed.
            gauge.measure(352.0, "mm");
            assertThat(came).containsText("352.0 mm");
            screen.alone(true);
            came.locator("[data-how=taken]").tap();
            assertThat(page.locator("#waits")).isVisible();
            screen.alone(false);
            assertThat(page.locator("#waits")).isHidden();
            wait("told when there was a way", () -> done(gauge).equals(List.of("REFUSED", "TAKEN", "TAKEN")));
            screen.open("/instruments");
            assertThat(page.locator(".taken li")).hasCount(2);
            assertThat(page.locator(".taken li").first()).containsText("352.0 mm");
            assertThat(page.locator(".taken a").first()).hasAttribute("href", Pattern.compile("/jobs/" + job + "/.*"));
            Jobs.walk(orla, job, "HF", "351 mm", "352 mm", "343 mm", "344 mm");
            screen.open("/jobs/" + job + "/set");
            String[] weights = {"812.0 lb", "830.5 lb", "777.0 lb", "790.0 lb"};
            page.locator("#weightLF").focus();
            for (String weight : weights) {
                scale.measure(Double.parseDouble(weight.split(" ")[0]), "lb");
                assertThat(came).containsText(weight);
                came.locator("[data-how=taken]").tap();
                assertThat(came).hasCount(0);
            }
            assertThat(page.locator("#weightLF")).hasValue(weights[0]);
            assertThat(page.locator("#weightRF")).hasValue(weights[1]);
            assertThat(page.locator("#weightRR")).hasValue(weights[2]);
            assertThat(page.locator("#weightLR")).hasValue(weights[3]);
            // Silent: said within three seconds, and typing goes on.
            scale.set(Fault.SILENT, true);
            assertThat(page.locator(".instruments .device.look")).containsText(Said.by("instruments.silent"));
            page.locator("#weightLR").fill("791 lb");
            assertThat(page.locator("#weightLR")).hasValue("791 lb");
            assertEquals(List.of(), screen.complaints());
        }
    }

    private static List<String> done(Instrument one) {
        return Shop.bean(JdbcClient.class)
                .sql("select coalesce(done, '') from instrument_reading where device = :device order by seq")
                .param("device", one.name())
                .query(String.class)
                .list();
    }

    /** A wrench fills the torque of the step in hand; what it shows counts only once it is saved. */
    @Test
    void a_wrench_fills_a_torque_step() {
        String job = received();
        orla.post("/jobs/" + job + "/fit", "lift", "yes");
        String step = "/jobs/" + job + "/fit/wheel-nuts@front";
        orla.post(
                step,
                "what",
                "SPEC",
                "item",
                "wheel-nut@front",
                "spec-wheel-nut@front",
                "110 N·m",
                "source",
                "SERVICE_MANUAL");
        try (Instrument wrench = on("torque");
                Screen screen = Screen.tablet().signIn("milo")) {
            inHand(milo, wrench);
            Page page = screen.page;
            screen.open("/instruments");
            screen.open(step);
            wrench.measure(108.6, "Nm");
            // What came just now, whatever else waits for the same person.
            page.locator(".instruments .came [data-how=taken]", new Page.LocatorOptions().setHasText("108.6"))
                    .tap();
            assertThat(page.locator("[name='reading-wheel-nut@front']")).hasValue("108.6 N·m");
            assertThat(page.locator(".fastener").first()).not().containsText("80 lbf·ft");
            page.locator(".tighten button").first().tap();
            // 108.6 N·m in the reader's unit: 1 lbf·ft is 1.355818 N·m (NIST SP 811).
            assertThat(page.locator(".fastener").first()).containsText("80 lbf·ft");
            assertEquals(List.of(), screen.complaints());
        }
    }

    /** Each fault by itself: what was measured is kept once and in order, and nothing else is. */
    @Test
    void what_is_at_fault_makes_no_reading_and_loses_none() {
        for (Fault fault : List.of(Fault.DOUBLED, Fault.OUT_OF_ORDER, Fault.GARBLED, Fault.LATE, Fault.LOW_BATTERY)) {
            try (Instrument wrench = on("torque")) {
                inHand(milo, wrench);
                wrench.set(fault, true);
                for (int n = 1; n <= 12; n++) {
                    wrench.measure(n, "Nm");
                }
                wait(fault + ": acknowledged", () -> wrench.open() == 0);
                assertEquals(12, kept(wrench).size(), fault + ": " + kept(wrench));
                assertEquals("1.0 N·m", kept(wrench).get(0), fault.name());
                assertEquals("12.0 N·m", kept(wrench).get(11), fault.name());
            }
        }
        for (Fault fault : List.of(Fault.WRONG_UNIT, Fault.ANOTHER_JOB)) {
            try (Instrument wrench = on("torque")) {
                inHand(milo, wrench);
                wrench.set(fault, true);
                wrench.measure(90, "Nm");
                wrench.set(Fault.SILENT, false);
                wait("heard", () -> Shop.bean(Live.class).showing(wrench.code()).isPresent());
                assertEquals(List.of(), kept(wrench), fault.name());
            }
        }
    }

    /** The line is cut and opened again in the middle of 300 readings with faults: none is lost, none is kept twice. */
    @Test
    void cut_off_and_back_in_between() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        InstrumentPort line = new InstrumentPort(Shop.bean(Intake.class), port);
        line.start();
        try (Instrument wrench =
                new Instrument(("D" + UUID.randomUUID()).substring(0, 9), "torque", port, RANDOM).start()) {
            inHand(milo, wrench);
            for (Fault fault : List.of(Fault.DOUBLED, Fault.GARBLED, Fault.OUT_OF_ORDER)) {
                wrench.set(fault, true);
            }
            for (int n = 1; n <= 300; n++) {
                wrench.measure(n, "Nm");
                if (n % 75 == 0) {
                    line.stop();
                    line.start();
                }
            }
            wait("all of them", () -> {
                Shop.bean(JdbcClient.class)
                        .sql("update instrument_reading set done = 'TAKEN' where device = :device")
                        .param("device", wrench.name())
                        .update();
                return wrench.open() == 0;
            });
            List<String> kept = kept(wrench);
            assertEquals(300, kept.size());
            for (int n = 1; n <= 300; n++) {
                assertEquals(n + ".0 N·m", kept.get(n - 1), "in their order");
            }
        } finally {
            line.stop();
        }
    }

    /** Somebody else holds the port when the application starts: instruments come in once it is free. */
    @Test
    void a_port_that_is_held_is_tried_again() throws IOException {
        ServerSocket other = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        int port = other.getLocalPort();
        InstrumentPort line = new InstrumentPort(Shop.bean(Intake.class), port);
        line.start();
        try {
            assertEquals(-1, line.port());
            other.close();
            wait("open", () -> line.port() == port);
        } finally {
            line.stop();
        }
        assertEquals(-1, line.port());
    }

    /** Nobody reads for it: it keeps what it measured; two have it one after the other: the second alone gets it. */
    @Test
    void in_nobodys_hand_and_in_anothers() {
        try (Instrument wrench = on("torque")) {
            wait("heard", () -> Shop.bean(Live.class).showing(wrench.code()).isPresent());
            wrench.measure(50, "Nm");
            wait("not kept", () -> wrench.open() == 0);
            assertEquals(List.of(), kept(wrench));
            inHand(milo, wrench);
            Visitor nils = Visitor.signedIn("nils@second-yard");
            inHand(nils, wrench);
            wait("the other has it", () -> {
                wrench.measure(60, "Nm");
                return nils.get("/instruments/now").body().contains("60.0 N·m");
            });
            assertTrue(!milo.get("/instruments/now").body().contains("60.0 N·m"));
        }
    }

    /** While twenty wait, a device keeps the rest; a line of a megabyte and 10,000 frames at once close no door. */
    @Test
    void too_much_at_once() throws IOException {
        try (Instrument wrench = on("torque")) {
            inHand(milo, wrench);
            for (int n = 0; n < 25; n++) {
                wrench.measure(n + 1, "Nm");
            }
            wait("twenty wait", () -> wrench.open() == 5);
            assertEquals(20, kept(wrench).size());
            try (Socket fool = new Socket(InetAddress.getLoopbackAddress(), port())) {
                OutputStream out = fool.getOutputStream();
                out.write("x".repeat(1_000_000).getBytes(StandardCharsets.ISO_8859_1));
                out.write("\n{1 FOOL 00000000 - alive - - 0 50*0000}\n"
                        .repeat(10_000)
                        .getBytes(StandardCharsets.ISO_8859_1));
                out.flush();
            }
            Shop.bean(JdbcClient.class)
                    .sql("update instrument_reading set done = 'TAKEN' where device = :device")
                    .param("device", wrench.name())
                    .update();
            wait("the rest", () -> wrench.open() == 0);
            assertEquals(25, kept(wrench).size());
        }
    }
}
