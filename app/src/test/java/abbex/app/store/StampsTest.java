package abbex.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** What is kept in memory is kept by the database's own count of writes: no writer can forget it, and no clock is asked. */
@ExtendWith(Shop.class)
class StampsTest {
    /** Written in one transaction with the row that they hang on. */
    private static final Set<String> WITH_THEIR_PARENT = Set.of(
            "vehicle_measure",
            "job_advertised",
            "floor_pad",
            "wheel_set_item",
            "road_bump",
            "road_fitment",
            "memory_bin");

    /** Nothing that is kept is read from them. */
    private static final Set<String> NEVER_KEPT = Set.of(
            "audit",
            "audit_head",
            "api_key",
            "sheet_paper",
            "second_factor",
            "recovery_code",
            "step_time",
            "step_time_sum",
            "instrument_pair",
            "instrument_reading",
            "shop_hours",
            "absence",
            "agreed",
            "day_wish",
            "day_plan",
            "day_job",
            "day_stint",
            "calendar_link");

    private static JdbcClient sql() {
        return Shop.bean(JdbcClient.class);
    }

    @Test
    void every_table_of_a_shop_counts_what_is_written_to_it() {
        Set<String> ofShops = new TreeSet<>(sql().sql("""
                        select c.table_name from information_schema.columns c
                          join information_schema.tables t on t.table_schema = c.table_schema and t.table_name = c.table_name
                         where c.table_schema = database() and c.column_name = 'shop_id' and t.table_type = 'BASE TABLE'
                        """).query(String.class).list());
        Set<String> counted = new TreeSet<>(sql().sql(
                        "select event_object_table from information_schema.triggers where trigger_schema = database()")
                .query(String.class)
                .list());
        assertTrue(counted.contains("reading") && ofShops.contains("reading"));
        ofShops.removeAll(counted);
        ofShops.removeAll(WITH_THEIR_PARENT);
        ofShops.removeAll(NEVER_KEPT);
        assertEquals(Set.of(), ofShops);
    }

    /** Every table but those of the server itself, of misses by name, of digests of what was sent and the shop says whose each row is. */
    @Test
    void every_row_says_whose_it_is() {
        List<String> without = sql().sql("""
                        select table_name from information_schema.tables t
                         where table_schema = database() and table_type = 'BASE TABLE'
                           and not exists (select 1 from information_schema.columns c
                                            where c.table_schema = t.table_schema and c.table_name = t.table_name
                                              and c.column_name = 'shop_id')
                         order by table_name
                        """).query(String.class).list();
        assertEquals(
                Set.of(
                        "shop",
                        "attempt",
                        "sent",
                        "stamp",
                        "flyway_schema_history",
                        "SPRING_SESSION",
                        "SPRING_SESSION_ATTRIBUTES"),
                Set.copyOf(without));
    }

    /** A write that none of the application's services made, as another process's would be. */
    @Test
    void what_another_process_writes_is_seen_on_the_next_page() {
        Visitor orla = Visitor.signedIn("orla");
        String job = Jobs.id("KT 4-207");
        String page = "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
        assertEquals(200, orla.get(page).statusCode());
        String was = sql().sql("select kit from job where id = :job")
                .param("job", job)
                .query(String.class)
                .single();
        try {
            kit(job, "made elsewhere");
            assertTrue(orla.get(page).body().contains("made elsewhere"));
        } finally {
            kit(job, was);
        }
        assertFalse(orla.get(page).body().contains("made elsewhere"));
    }

    private static void kit(String job, String kit) {
        sql().sql("update job set kit = :kit where id = :job")
                .param("kit", kit)
                .param("job", job)
                .update();
    }

    /** What a transaction read of its own is not kept: it may never come to be. */
    @Test
    void what_was_rolled_back_is_nowhere_kept() {
        Reads reads = Shop.bean(Reads.class);
        String shop = sql().sql("select shop_id from job where id = :job")
                .param("job", Jobs.id("KT 4-207"))
                .query(String.class)
                .single();
        List<?> question = List.of(StampsTest.class, shop);
        Shop.bean(TransactionTemplate.class).executeWithoutResult(status -> {
            sql().sql("update shop set version = version + 1 where id = :shop")
                    .param("shop", shop)
                    .update();
            assertEquals("never", reads.ofShop(UUID.fromString(shop), question, () -> "never"));
            status.setRollbackOnly();
        });
        sql().sql("update shop set version = version where id = :shop")
                .param("shop", shop)
                .update();
        assertEquals("so", reads.ofShop(UUID.fromString(shop), question, () -> "so"));
        assertEquals(
                "so", reads.ofShop(UUID.fromString(shop), question, () -> "later"), "kept while nothing is written");
    }

    @Test
    void a_withdrawal_says_who_and_when() {
        Visitor orla = Visitor.signedIn("orla");
        String job = Jobs.id("KT 4-207");
        Map<String, Object> probe = sql().sql("""
                        select b.id, b.corner from probe b join job j on j.vehicle_id = b.vehicle_id
                         where j.id = :job and not exists (select 1 from withdrawal w where w.of_id = b.id) limit 1
                        """).param("job", job).query().singleRow();
        String id = String.valueOf(probe.get("id"));
        try {
            orla.post(
                    "/jobs/" + job + "/prove/probes/" + id + "/withdraw",
                    "corner",
                    String.valueOf(probe.get("corner")));
            assertEquals(
                    "orla", sql().sql("""
                                    select p.sign_in_name from withdrawal w join person p on p.id = w.person_id
                                     where w.of_id = :id and w.made_at is not null
                                    """).param("id", id).query(String.class).single());
            assertFalse(orla.get("/jobs/" + job + "/prove?corner=" + probe.get("corner"))
                    .body()
                    .contains(id));
            // A row of another shop that names it changes nothing here.
            sql().sql("""
                            update withdrawal set shop_id = (select id from shop s where s.id <> withdrawal.shop_id limit 1)
                             where of_id = :id
                            """).param("id", id).update();
            sql().sql("update stamp set n = n + 1").update();
            assertTrue(orla.get("/jobs/" + job + "/prove?corner=" + probe.get("corner"))
                    .body()
                    .contains(id));
        } finally {
            sql().sql("delete from withdrawal where of_id = :id")
                    .param("id", id)
                    .update();
            sql().sql("update stamp set n = n + 1").update();
        }
    }
}
