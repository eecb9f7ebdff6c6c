package abbex.app.instruments;

import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** In whose hand an instrument is. */
@Component
class Pairs {
    private static final SecureRandom RANDOM = new SecureRandom();

    private static final String PAIRS =
            "select token, shop_id, device, boot, person_id from instrument_pair where ended_at is null";

    private final JdbcClient jdbc;
    private final Clock clock;

    Pairs(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    record Pair(String token, UUID shop, String device, String boot, UUID person) {}

    /** From now on a device measures for a person, and for nobody else. */
    @Transactional
    Pair take(Person by, String device, String boot) {
        jdbc.sql("""
                        update instrument_pair set ended_at = :at
                         where device = :device and boot = :boot and ended_at is null
                        """)
                .param("at", Times.column(clock.instant()))
                .param("device", device)
                .param("boot", boot)
                .update();
        byte[] bytes = new byte[4];
        RANDOM.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes).toUpperCase(Locale.ROOT);
        jdbc.sql("""
                        insert into instrument_pair (token, shop_id, device, boot, person_id, made_at)
                        values (:token, :shop, :device, :boot, :person, :at)
                        """)
                .param("token", token)
                .param("shop", by.shop().toString())
                .param("device", device)
                .param("boot", boot)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return new Pair(token, by.shop(), device, boot, by.id());
    }

    /** The person puts it down; false for what they never had. */
    boolean putDown(Person by, String token) {
        jdbc.sql("""
                        update instrument_pair set ended_at = :at
                         where token = :token and person_id = :person and ended_at is null
                        """)
                .param("at", Times.column(clock.instant()))
                .param("token", token)
                .param("person", by.id().toString())
                .update();
        return jdbc.sql("select 1 from instrument_pair where token = :token and person_id = :person")
                .param("token", token)
                .param("person", by.id().toString())
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    Optional<Pair> of(String token) {
        return jdbc.sql(PAIRS + " and token = :token")
                .param("token", token)
                .query(Pairs::pair)
                .optional();
    }

    /** What a person has in hand. */
    List<Pair> of(Person person) {
        return jdbc.sql(PAIRS + " and person_id = :person order by device")
                .param("person", person.id().toString())
                .query(Pairs::pair)
                .list();
    }

    private static Pair pair(ResultSet row, int n) throws SQLException {
        return new Pair(
                row.getString("token"),
                Ids.id(row, "shop_id"),
                row.getString("device"),
                row.getString("boot"),
                Ids.id(row, "person_id"));
    }
}
