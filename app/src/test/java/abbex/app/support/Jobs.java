package abbex.app.support;

import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.vehicle.Corner;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Finds a stay of the demo by its plate. */
public final class Jobs {
    private Jobs() {}

    public static String id(String plate) {
        return id(plate, "Lowline Works");
    }

    public static String id(String plate, String shop) {
        return Shop.bean(JdbcClient.class)
                .sql("""
                        select j.id from job j join vehicle v on v.id = j.vehicle_id join shop s on s.id = j.shop_id
                         where v.plate = :plate and s.name = :shop order by j.arrived_at limit 1
                        """)
                .param("plate", plate)
                .param("shop", shop)
                .query(String.class)
                .single();
    }

    /** Somebody by the name they sign in with. */
    public static String person(String name) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from person where sign_in_name = :name")
                .param("name", name)
                .query(String.class)
                .single();
    }

    /** The newest sheet of a stay. */
    public static String sheet(String job) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from sheet where job_id = :job order by seq desc limit 1")
                .param("job", job)
                .query(String.class)
                .single();
    }

    /** Reads all four corners of the newest sheet one way, in the order LF, RF, RR, LR. */
    public static void walk(Visitor by, String job, String method, String... heights) {
        for (int c = 0; c < heights.length; c++) {
            HttpResponse<String> answer = by.htmx(
                    "/jobs/" + job + "/sheets/" + sheet(job) + "/readings",
                    "corner",
                    Corner.WALK.get(c).code(),
                    "method",
                    method,
                    "raw",
                    heights[c],
                    "client",
                    UUID.randomUUID().toString());
            assertEquals(200, answer.statusCode(), answer.body());
        }
    }
}
