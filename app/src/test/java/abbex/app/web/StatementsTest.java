package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A page reads a job once: the database itself counts what it was asked. */
@ExtendWith(Shop.class)
class StatementsTest {
    /** While nothing is kept of the job; of them one asks whether its card was begun, one what was said of its parts. */
    private static final int PAGE = 20;

    /** Once it was read: who asks, and whether anything was written since. */
    private static final int AGAIN = 6;

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
        for (String page : List.of(
                "/fitment",
                "/prove",
                "/prove/cut?corner=LF&bump=20",
                "/prove/road",
                "/ground",
                "/ground/at?along=500",
                "/plan",
                "/sheet")) {
            most(PAGE, page, asks(orla, "/jobs/" + job + page, true));
            most(AGAIN, page, asks(orla, "/jobs/" + job + page, false));
        }
        String sheet = "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
        most(PAGE, sheet, asks(orla, sheet, true));
        most(AGAIN, sheet, asks(orla, sheet, false));
        assertTrue(asks(orla, "/account", false) > 1, "the count sees what is asked");
    }

    private static void most(int most, String page, long asked) {
        assertTrue(asked <= most, page + " asked " + asked + " times, at most " + most);
    }

    /**
     * The least of a few: what else the application does now and then is not the page's.
     *
     * @param written true when something of the vehicle was written before each
     */
    private static long asks(Visitor visitor, String page, boolean written) {
        long least = Long.MAX_VALUE;
        for (int i = 0; i < 3; i++) {
            if (written) {
                Shop.bean(JdbcClient.class)
                        .sql("update stamp set n = n + 1 where of_id in (select id from vehicle)")
                        .update();
            }
            long before = asked();
            assertEquals(200, visitor.get(page).statusCode(), page);
            least = Math.min(least, asked() - before);
        }
        return least;
    }
}
