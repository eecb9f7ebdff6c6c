package abbex.app.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.Audit.What;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The record of who did what: nothing is changed in it without being seen, and what matters is in it. */
@ExtendWith(Shop.class)
class AuditTest {
    private final Audit audit = Shop.bean(Audit.class);
    private final AuditLog log = Shop.bean(AuditLog.class);

    private static UUID shop(int lines) {
        UUID shop = Shop.bean(People.class).addShop("Audited " + UUID.randomUUID());
        for (int i = 0; i < lines; i++) {
            Shop.bean(Audit.class).add(shop, null, What.MOVED, "line " + i);
        }
        return shop;
    }

    @Test
    void the_application_cannot_change_or_delete_a_line() {
        UUID shop = shop(2);
        JdbcClient jdbc = Shop.bean(JdbcClient.class);
        for (String sql : List.of(
                "update audit set detail = 'x' where shop_id = :shop", "delete from audit where shop_id = :shop")) {
            assertThrows(
                    Exception.class,
                    () -> jdbc.sql(sql).param("shop", shop.toString()).update(),
                    sql);
        }
        assertEquals(2, log.whole(shop).lines());
    }

    /** By somebody who may do everything in the database but does not write the digests anew. */
    @Test
    void a_line_that_was_changed_put_in_or_taken_out_is_seen() throws IOException {
        for (String change : List.of(
                "update audit set detail = 'line 9' where shop_id = :shop and detail = 'line 2'",
                "update audit set at = at + interval 1 microsecond where shop_id = :shop and detail = 'line 2'",
                "update audit set shop_id = :other where shop_id = :shop and detail = 'line 2'",
                "update audit set chain = null where shop_id = :shop and detail = 'line 2'",
                "delete from audit where shop_id = :shop and detail = 'line 2'",
                "delete from audit where shop_id = :shop and detail = 'line 0'",
                "delete from audit where shop_id = :shop and detail = 'line 4'",
                "delete from audit where shop_id = :shop",
                "insert into audit (shop_id, what, detail, at, chain) select shop_id, what, 'put in', at, chain"
                        + " from audit where shop_id = :shop and detail = 'line 4'")) {
            UUID shop = shop(5);
            assertTrue(log.whole(shop).broken().isEmpty());
            asOwner(change.replace(":shop", "'" + shop + "'").replace(":other", "'" + shop(0) + "'"));
            assertTrue(log.whole(shop).broken().isPresent(), change);
        }
        assertTrue(log.whole(shop(0)).broken().isEmpty(), "nothing yet");
    }

    private static void asOwner(String sql) throws IOException {
        JdbcClient owner = Shop.owner();
        List<String> triggers = List.of("audit_stays before update", "audit_is_kept before delete");
        for (String trigger : triggers) {
            owner.sql("drop trigger " + trigger.split(" ")[0]).update();
        }
        try {
            owner.sql(sql).update();
        } finally {
            for (String trigger : triggers) {
                owner.sql("create trigger " + trigger + " on audit for each row signal sqlstate '45000'")
                        .update();
            }
        }
    }

    @Test
    void lines_that_are_added_at_once_follow_one_another() throws Exception {
        UUID shop = shop(0);
        ExecutorService hands = Executors.newFixedThreadPool(6);
        try {
            List<Future<?>> all = new ArrayList<>();
            for (int hand = 0; hand < 6; hand++) {
                all.add(hands.submit(() -> {
                    for (int i = 0; i < 25; i++) {
                        audit.add(shop, null, What.MOVED, "at once " + i);
                    }
                }));
            }
            for (Future<?> one : all) {
                one.get();
            }
        } finally {
            hands.shutdownNow();
        }
        AuditLog.Whole whole = log.whole(shop);
        assertEquals(150, whole.lines());
        assertTrue(whole.broken().isEmpty());
        audit.add(shop, null, What.MOVED, "one more");
        assertNotEquals(whole.mark(), log.whole(shop).mark());
    }

    @Test
    void all_of_it_is_read_page_by_page_and_found_by_what_it_says() {
        UUID shop = shop(250);
        AuditLog.Asked all = new AuditLog.Asked("", null, "");
        List<String> read = new ArrayList<>();
        long before = Long.MAX_VALUE;
        while (true) {
            AuditLog.Page page = log.find(shop, all, before);
            page.entries().forEach(e -> read.add(e.detail()));
            if (page.older().isEmpty()) {
                break;
            }
            before = page.older().get();
        }
        assertEquals(250, read.size());
        assertEquals(List.of("line 249", "line 248"), read.subList(0, 2));
        assertEquals("line 0", read.get(249));
        assertEquals(
                11,
                log.find(shop, new AuditLog.Asked("", What.MOVED, "line 24"), Long.MAX_VALUE)
                        .entries()
                        .size());
        assertEquals(
                0,
                log.find(shop, new AuditLog.Asked("", What.SIGNED_IN, ""), Long.MAX_VALUE)
                        .entries()
                        .size());
        assertEquals(
                0,
                log.find(shop, new AuditLog.Asked("nobody", null, ""), Long.MAX_VALUE)
                        .entries()
                        .size());
    }

    @Test
    void the_acts_of_a_stay_are_in_it_and_its_customer_is_not() {
        Visitor tamsin = Visitor.signedIn("tamsin");
        String job = UUID.randomUUID().toString();
        String plate = "AU " + System.nanoTime() % 1_000_000;
        String customer = "Quillon " + System.nanoTime();
        tamsin.post("/arrive", "job", job, "plate", plate, "name", "test hatch", "kind", "CAR", "shape", "HATCH");
        tamsin.get("/jobs/" + job + "/measure");
        String sheet = "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
        tamsin.post(
                "/jobs/" + job + "/arrive", "plate", plate, "name", "test hatch", "customer", customer, "wish", "low");
        tamsin.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 9");
        tamsin.post("/jobs/" + job + "/move", "place", "WAITING");
        tamsin.post(sheet + "/state", "LOAD", "empty", "FUEL", "half");
        tamsin.post(
                sheet + "/readings",
                "corner",
                "LF",
                "method",
                "HF",
                "raw",
                "14",
                "client",
                UUID.randomUUID().toString());
        tamsin.post(sheet + "/undo", "corner", "LF", "method", "HF");
        tamsin.post("/jobs/" + job + "/fitment/sets", "name", "road", "use", "NOW", "TYRE_FRONT", "225/45R17 91W");
        String set = Shop.bean(JdbcClient.class)
                .sql("select id from wheel_set order by nr desc limit 1")
                .query(String.class)
                .single();
        tamsin.post("/jobs/" + job + "/fitment/sets/" + set + "/withdraw");
        String page = tamsin.get("/audit").body();
        for (String line : List.of(
                Said.by("audit.STAY_CHANGED") + "|" + plate + ": customer, wish",
                Said.by("audit.MOVED") + "|" + plate + ": Bay 9",
                Said.by("audit.MOVED") + "|" + plate + ": waiting",
                Said.by("audit.STATE_CHANGED") + "|1, FUEL:  – half, LOAD:  – empty",
                Said.by("audit.READING_UNDONE") + "|1, LF HF: 14",
                Said.by("audit.WHEELS_DELETED") + "|" + plate)) {
            String cells = "<td>" + line.replace("|", "</td>\n<td>") + "</td>";
            assertTrue(page.replaceAll(">\\s+<", ">\n<").contains(cells), cells);
        }
        assertFalse(page.contains(customer));
        String only = tamsin.get("/audit?what=MOVED&text=" + plate.replace(" ", "%20"))
                .body();
        assertTrue(only.contains("Bay 9") && !only.contains(": customer, wish"));
    }

    @Test
    void the_page_says_that_it_is_whole_and_leads_to_what_is_older() {
        Visitor tamsin = Visitor.signedIn("tamsin");
        UUID shop = Shop.bean(People.class)
                .forSignIn("tamsin")
                .orElseThrow()
                .person()
                .shop();
        for (int i = 0; i < 120; i++) {
            audit.add(shop, null, What.MOVED, "older & newer");
        }
        String page = tamsin.get("/audit?text=older+%26+newer&check=yes").body();
        assertTrue(page.contains(log.whole(shop).mark()), page);
        Matcher older = Pattern.compile("href=\"(/audit[^\"]*before=[^\"]*)\"").matcher(page);
        assertTrue(older.find(), page);
        String next = tamsin.get(older.group(1).replace("&amp;", "&")).body();
        assertTrue(next.contains("older &amp; newer") && next.contains(Said.by("audit.newest")), next);
        assertTrue(tamsin.get("/audit?text=nowhere-at-all").body().contains(Said.by("audit.none")));
    }
}
