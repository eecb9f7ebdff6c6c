package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A page reads a job once: the database itself counts what it was asked. */
@ExtendWith(Shop.class)
class StatementsTest {
    private static final int PAGE = 15;

    /** Reads what three stations know; two of its questions could be one. */
    private static final int SHEET = 18;

    private static long asked() {
        return Shop.bean(JdbcClient.class)
                .sql("show global status like 'Com_select'")
                .query((row, n) -> row.getLong(2))
                .single();
    }

    @Test
    void a_page_asks_the_database_a_few_times() throws Exception {
        Visitor orla = Visitor.signedIn("orla");
        String job = Shop.bean(JdbcClient.class).sql("""
                        select j.id from job j join vehicle v on v.id = j.vehicle_id
                         where v.plate = 'KT 4-207' order by j.arrived_at desc limit 1
                        """).query(String.class).single();
        Map<String, Integer> most = Map.of(
                "/fitment", PAGE,
                "/prove", PAGE,
                "/prove/cut?corner=LF&bump=20", PAGE,
                "/prove/road", PAGE,
                "/ground", PAGE,
                "/ground/at?along=500", PAGE,
                "/sheet", SHEET);
        for (Map.Entry<String, Integer> page : most.entrySet()) {
            long asked = asks(orla, "/jobs/" + job + page.getKey());
            assertTrue(
                    asked <= page.getValue(), page.getKey() + " asked " + asked + " times, at most " + page.getValue());
        }
        assertTrue(asks(orla, "/account") > 1, "the count sees what is asked");
    }

    /** The least of a few: what else the application does now and then is not the page's. */
    private static long asks(Visitor visitor, String page) {
        long least = Long.MAX_VALUE;
        for (int i = 0; i < 3; i++) {
            long before = asked();
            assertEquals(200, visitor.get(page).statusCode(), page);
            least = Math.min(least, asked() - before);
        }
        return least;
    }
}
