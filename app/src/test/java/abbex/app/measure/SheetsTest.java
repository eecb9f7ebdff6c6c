package abbex.app.measure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.VehicleFacts;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.support.Shop;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Stage;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.EmptyResultDataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.CannotCreateTransactionException;

/** The append-only record against the real database. */
@ExtendWith(Shop.class)
class SheetsTest {
    private final Sheets sheets = Shop.bean(Sheets.class);
    private final JdbcClient jdbc = Shop.bean(JdbcClient.class);
    private Person orla;
    private Person milo;
    private Job job;
    private SheetRow sheet;
    private Instant now = Instant.parse("2026-11-25T10:00:00.123456Z");

    @BeforeEach
    void receive() {
        People people = Shop.bean(People.class);
        orla = person(people, "orla");
        milo = person(people, "milo");
        job = job(orla.shop());
        Shop.bean(Jobs.class).receive(job, orla);
        sheet = newest(orla);
    }

    private static Person person(People people, String name) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from person where sign_in_name = :name")
                .param("name", name)
                .query(String.class)
                .optional()
                .flatMap(id -> people.byId(UUID.fromString(id)))
                .orElseThrow();
    }

    private static Job job(UUID shop) {
        VehicleFacts vehicle = new VehicleFacts(
                UUID.randomUUID(),
                "T " + System.nanoTime() % 1_000_000_000,
                VehicleKind.CAR,
                VehicleFacts.Shape.HATCH,
                "test hatch",
                Architecture.STRUT,
                Architecture.OTHER,
                "",
                "",
                VehicleFacts.FramePoints.UNNAMED,
                VehicleFacts.Build.USUAL,
                Map.of());
        return new Job(
                UUID.randomUUID(),
                shop,
                vehicle,
                "",
                "",
                "",
                "",
                "",
                "",
                "",
                "",
                Map.of(),
                new Job.Where(Job.Place.GONE, ""),
                null,
                "",
                null,
                Instant.parse("2026-11-25T09:00:00Z"),
                Job.Edition.FIRST);
    }

    private SheetRow newest(Person by) {
        return sheets.of(by.shop(), job.id()).newest().orElseThrow().row();
    }

    private Sheets.Outcome take(Person by, String raw) {
        now = now.plusSeconds(1);
        return sheets.take(by, sheet, MeasuringPoint.of(Corner.RF, Method.HF), raw, UUID.randomUUID(), now);
    }

    private List<String> standing() {
        return sheets
                .of(orla.shop(), job.id())
                .find(sheet.id())
                .orElseThrow()
                .at(MeasuringPoint.of(Corner.RF, Method.HF))
                .stream()
                .map(r -> r.initials() + " " + r.raw())
                .toList();
    }

    private long rows() {
        return jdbc.sql("select count(*) from reading where sheet_id = :sheet")
                .param("sheet", sheet.id().toString())
                .query(Long.class)
                .single();
    }

    @Test
    void the_same_persons_second_text_corrects_and_nothing_is_overwritten() {
        take(orla, "14 3/8");
        take(orla, "14 7/16");
        assertEquals(List.of("OV 14 7/16"), standing());
        assertEquals(2, rows());
        ReadingRow row = sheets.of(orla.shop(), job.id())
                .newest()
                .orElseThrow()
                .current()
                .get(0);
        assertTrue(row.reading().correction());
        assertEquals(Length.ofInches(14, 7, 16), row.value());
        assertEquals(now, row.takenAt(), "to the microsecond");
    }

    @Test
    void another_persons_text_is_a_repeat() {
        take(orla, "14 3/8");
        take(milo, "14 7/16");
        assertEquals(List.of("OV 14 3/8", "MA 14 7/16"), standing());
        assertEquals(
                Length.ofInches(14, 13, 32),
                sheets.of(orla.shop(), job.id())
                        .newest()
                        .orElseThrow()
                        .heights()
                        .at(MeasuringPoint.of(Corner.RF, Method.HF))
                        .orElseThrow()
                        .value());
    }

    @Test
    void undo_appends_and_steps_back_to_the_beginning() {
        take(orla, "14");
        take(orla, "14 1/8");
        take(orla, "14 1/4");
        assertTrue(sheets.undo(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), now));
        assertEquals(List.of("OV 14 1/8"), standing());
        assertTrue(sheets.undo(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), now.plusSeconds(1)));
        assertEquals(List.of("OV 14"), standing());
        assertTrue(sheets.undo(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), now.plusSeconds(2)));
        assertEquals(List.of(), standing());
        assertFalse(sheets.undo(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), now.plusSeconds(3)));
        assertEquals(6, rows());
        take(orla, "14 1/2");
        assertEquals(List.of("OV 14 1/2"), standing());
        assertFalse(
                sheets.undo(milo, sheet, MeasuringPoint.of(Corner.RF, Method.HF), now),
                "nobody undoes another's reading");
    }

    @Test
    void a_reading_sent_twice_counts_once() {
        UUID client = UUID.randomUUID();
        assertEquals(
                new Sheets.Outcome.Stored(false),
                sheets.take(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), "14", client, now));
        assertEquals(
                new Sheets.Outcome.Stored(true),
                sheets.take(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), "14", client, now));
        assertEquals(
                new Sheets.Outcome.SentOther("14"),
                sheets.take(orla, sheet, MeasuringPoint.of(Corner.RF, Method.HF), "15", client, now));
        assertEquals(
                new Sheets.Outcome.SentOther("14"),
                sheets.take(orla, sheet, MeasuringPoint.of(Corner.LF, Method.HF), "14", client, now));
        assertEquals(1, rows());
    }

    @Test
    void a_text_that_is_no_reading_is_not_stored() {
        Sheets.Outcome.Refused refused = assertInstanceOf(Sheets.Outcome.Refused.class, take(orla, "25 7/15"));
        assertEquals(TapeParse.Refusal.NOT_ON_A_TAPE, refused.why().why());
        assertEquals(0, rows());
    }

    @Test
    void sixteen_at_once_leave_one_chain_and_lose_nothing() throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(16);
        List<Callable<Sheets.Outcome>> calls = new ArrayList<>();
        for (int i = 0; i < 48; i++) {
            String raw = 14 + " " + (1 + i % 15) + "/16";
            Person by = i % 2 == 0 ? orla : milo;
            UUID sent = UUID.randomUUID();
            calls.add(() -> takeAsTheBrowserDoes(by, raw, sent));
        }
        long stored = 0;
        for (var outcome : many.invokeAll(calls)) {
            stored += outcome.get() instanceof Sheets.Outcome.Stored s && !s.again() ? 1 : 0;
        }
        many.shutdown();
        assertEquals(stored, rows());
        assertEquals(2, standing().size(), "one reading a person stands");
    }

    /** Sixteen hands on one row of a busy machine: who is told that nothing was stored sends the same again, under its id. */
    private Sheets.Outcome takeAsTheBrowserDoes(Person by, String raw, UUID sent) {
        for (int again = 0; ; again++) {
            try {
                return sheets.take(by, sheet, MeasuringPoint.of(Corner.RF, Method.HF), raw, sent, Instant.now());
            } catch (CannotCreateTransactionException e) {
                assertTrue(again < 20, "the database was never free: " + e);
            }
        }
    }

    @Test
    void the_raw_text_is_kept_as_typed() {
        take(orla, " 14–3⁄8″ ");
        assertEquals(List.of("OV  14–3⁄8″ "), standing());
    }

    @Test
    void another_shop_sees_and_writes_nothing() {
        take(orla, "14");
        Person nils = person(Shop.bean(People.class), "nils@second-yard");
        assertTrue(sheets.of(nils.shop(), job.id()).sheets().isEmpty());
        assertThrows(
                EmptyResultDataAccessException.class,
                () -> sheets.take(nils, sheet, MeasuringPoint.of(Corner.RF, Method.HF), "15", UUID.randomUUID(), now));
        assertTrue(Shop.bean(Jobs.class).find(nils.shop(), job.id()).isEmpty());
    }

    @Test
    void state_is_said_append_only_and_a_blank_takes_it_back() {
        sheets.say(orla, sheet, Map.of("LOAD", "empty"), Map.of(), now);
        sheets.say(orla, sheet, Map.of("LOAD", "driver"), Map.of("LOAD", "empty"), now);
        assertEquals(
                "driver",
                sheets.of(orla.shop(), job.id()).newest().orElseThrow().state().get("LOAD"));
        sheets.say(orla, sheet, Map.of("LOAD", ""), new HashMap<>(Map.of("LOAD", "driver")), now);
        assertEquals(
                "",
                sheets.of(orla.shop(), job.id()).newest().orElseThrow().state().get("LOAD"));
        assertEquals(
                3,
                jdbc.sql("select count(*) from state_entry where sheet_id = :s")
                        .param("s", sheet.id().toString())
                        .query(Long.class)
                        .single());
    }

    @Test
    void the_second_sheet_is_compared_with_the_first() {
        UUID second = sheets.open(orla, job.id(), Stage.FIRST_SET_DOWN, now);
        assertEquals(second, sheets.open(orla, job.id(), Stage.FIRST_SET_DOWN, now), "no third sheet yet");
        SheetRow row = newest(orla);
        assertEquals(sheet.id(), row.baseline());
        assertEquals(Stage.FIRST_SET_DOWN, row.stage());
    }

    /** What was typed long ago says so; it stands where the server took it, whatever a device's clock says. */
    @Test
    void the_order_is_the_servers_and_the_time_is_the_devices() {
        Instant[] typed = {now, now.minusMillis(300), now.minusSeconds(3600)};
        List<Corner> walk = List.of(Corner.LF, Corner.RF, Corner.RR);
        for (int i = 0; i < typed.length; i++) {
            sheets.take(orla, sheet, MeasuringPoint.of(walk.get(i), Method.HF), "14", UUID.randomUUID(), typed[i]);
        }
        List<ReadingRow> stored =
                sheets.of(orla.shop(), job.id()).newest().orElseThrow().current();
        assertEquals(walk, stored.stream().map(r -> r.spot().place()).toList());
        assertEquals(typed[2], stored.get(2).reading().takenAt());
        assertEquals(
                3,
                jdbc.sql("select count(*) from reading where sheet_id = :s and came_at > now(6) - interval 1 hour")
                        .param("s", sheet.id().toString())
                        .query(Integer.class)
                        .single(),
                "when they came in stands beside it");
    }

    /** A correction that its device dates back to the day before is one of now. */
    @Test
    void a_correction_that_is_dated_back_is_still_said() {
        MeasuringPoint left = MeasuringPoint.of(Corner.LF, Method.HF);
        sheets.take(orla, sheet, left, "14", UUID.randomUUID(), now);
        sheets.open(orla, job.id(), Stage.FIRST_SET_DOWN, now);
        sheets.take(orla, newest(orla), left, "13", UUID.randomUUID(), now);
        sheets.take(orla, sheet, left, "14 1/4", UUID.randomUUID(), now.minusSeconds(86_400));
        String said = sheets.of(orla.shop(), job.id()).judge(job).drops().toString();
        assertTrue(said.contains("BeforeCorrectedLater"), said);
        String detail = jdbc.sql(
                        "select detail from audit where person_id = :p and what = 'CORRECTED' order by id desc limit 1")
                .param("p", orla.id().toString())
                .query(String.class)
                .single();
        assertTrue(detail.contains("(typed 2026-11-24"), detail);
    }
}
