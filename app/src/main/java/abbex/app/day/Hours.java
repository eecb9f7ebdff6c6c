package abbex.app.day;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.core.day.WorkHours;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When shops work. */
@Service
class Hours {
    private static final String FIRST = """
            insert into shop_hours (shop_id, opens, closes, pause_from, pause_to, delivery, weekdays, zone, version)
            values (:shop, :opens, :closes, :from, :to, :delivery, :days, :zone, 1)
            """;

    private static final String NEXT = """
            update shop_hours set opens = :opens, closes = :closes, pause_from = :from, pause_to = :to, delivery = :delivery,
                                  weekdays = :days, zone = :zone, version = version + 1
             where shop_id = :shop and version = :version
            """;

    private final JdbcClient jdbc;
    private final Audit audit;

    Hours(JdbcClient jdbc, Audit audit) {
        this.jdbc = jdbc;
        this.audit = audit;
    }

    /**
     * A shop's hours.
     *
     * @param zone whose clock counts until the shop said its own
     */
    ShopHours of(UUID shop, ZoneId zone) {
        return jdbc.sql(
                        "select opens, closes, pause_from, pause_to, delivery, weekdays, zone, version from shop_hours where shop_id = :shop")
                .param("shop", shop.toString())
                .query((row, n) -> hours(row))
                .optional()
                .orElseGet(() -> ShopHours.usual(zone));
    }

    private static ShopHours hours(ResultSet row) throws SQLException {
        LocalTime from = row.getObject("pause_from", LocalTime.class);
        LocalTime to = row.getObject("pause_to", LocalTime.class);
        return new ShopHours(
                row.getObject("opens", LocalTime.class),
                row.getObject("closes", LocalTime.class),
                from == null || to == null ? Optional.empty() : Optional.of(new WorkHours.Pause(from, to)),
                row.getObject("delivery", LocalTime.class),
                Arrays.stream(row.getString("weekdays").split(" "))
                        .filter(d -> !d.isEmpty())
                        .map(d -> DayOfWeek.of(Integer.parseInt(d)))
                        .collect(Collectors.toSet()),
                ZoneId.of(row.getString("zone")),
                row.getInt("version"));
    }

    /** False, and nothing kept, where somebody else saved since. */
    @Transactional
    boolean save(Person by, ShopHours hours, Optional<Integer> from) {
        int version = from.orElseGet(() -> of(by.shop(), hours.zone()).edition());
        JdbcClient.StatementSpec row = jdbc.sql(version == 0 ? FIRST : NEXT)
                .param("shop", by.shop().toString())
                .param("opens", hours.opens())
                .param("closes", hours.closes())
                .param("from", hours.pause().map(WorkHours.Pause::from).orElse(null))
                .param("to", hours.pause().map(WorkHours.Pause::to).orElse(null))
                .param("delivery", hours.delivery())
                .param(
                        "days",
                        hours.weekdays().stream()
                                .sorted()
                                .map(d -> Integer.toString(d.getValue()))
                                .collect(Collectors.joining(" ")))
                .param("zone", hours.zone().getId());
        try {
            if ((version == 0 ? row : row.param("version", version)).update() == 0) {
                return false;
            }
        } catch (DuplicateKeyException saved) {
            return false;
        }
        audit.add(by, Audit.What.HOURS_SET, hours.opens() + " to " + hours.closes());
        return true;
    }
}
