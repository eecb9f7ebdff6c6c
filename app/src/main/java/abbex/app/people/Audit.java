package abbex.app.people;

import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** The list of acts that a lead may have to answer for. Appended only; no customer's data in it. */
@Service
public class Audit {
    /** What is kept. */
    public enum What {
        SIGNED_IN,
        SIGN_IN_FAILED,
        SIGN_IN_LOCKED,
        PIN_FAILED,
        PIN_LOCKED,
        SIGNED_OUT_ELSEWHERE,
        PERSON_ADDED,
        PERSON_DEACTIVATED,
        PASSWORD_RESET,
        PASSWORD_CHANGED,
        PIN_SET,
        CHANGED_HANDS,
        KEY_MADE,
        KEY_REVOKED,
        CORRECTED,
        HANDED_OVER,
        HAND_OVER_UNDONE,
        EXPORTED,
        CUSTOMER_BLANKED,
        VEHICLE_CHANGED,
        LIMITS_SET,
        CLEARANCES_SET,
        WALK_SET,
        BAYS_SET,
        POINT_NAMED,
        POINT_WITHDRAWN,
        FLOOR_SURVEYED,
        FLOOR_TAKEN_BACK,
        KIT_CHOSEN
    }

    /** A line of the list. */
    public record Entry(String who, What what, String detail, Instant at) {}

    private static final String ADD = """
            insert into audit (shop_id, person_id, what, detail, at) values (:shop, :person, :what, :detail, :at)
            """;

    private static final String NEWEST = """
            select p.display_name, a.what, a.detail, a.at
              from audit a left join person p on p.id = a.person_id
             where a.shop_id = :shop order by a.id desc limit 200
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    Audit(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public void add(UUID shop, @Nullable UUID person, What what, String detail) {
        jdbc.sql(ADD)
                .param("shop", shop.toString())
                .param("person", Ids.text(person))
                .param("what", what.name())
                .param("detail", detail.length() > 200 ? detail.substring(0, 200) : detail)
                .param("at", Times.column(clock.instant()))
                .update();
    }

    public void add(Person by, What what, String detail) {
        add(by.shop(), by.id(), what, detail);
    }

    public List<Entry> newest(UUID shop) {
        return jdbc.sql(NEWEST)
                .param("shop", shop.toString())
                .query((row, n) -> {
                    String who = row.getString("display_name");
                    return new Entry(
                            who == null ? "" : who,
                            What.valueOf(row.getString("what")),
                            row.getString("detail"),
                            Times.instant(row, "at"));
                })
                .list();
    }
}
