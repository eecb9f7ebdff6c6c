package abbex.app.rules;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.figure.Place;
import abbex.core.heights.PointMethod;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.VehicleKind;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The points that shops named, kept under a code each. */
@Component
class OwnPoints {
    private static final String ALL = """
            select id, code, name, kind, vehicle_id, places, tyre, floor, sideways,
                   not exists (select 1 from withdrawal w where w.shop_id = point.shop_id and w.of_id = point.id) in_use
              from point
             where shop_id = :shop order by nr
            """;

    private static final String ADD = """
            insert into point (id, shop_id, code, name, kind, vehicle_id, places, tyre, floor, sideways, person_id, made_at)
            values (:id, :shop, :code, :name, :kind, :vehicle, :places, :tyre, :floor, :sideways, :person, :at)
            """;

    /** One who names a point at a time, so that no code is given twice. */
    private static final String LOCK = "select id from shop where id = :shop for update";

    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Audit audit;
    private final Clock clock;

    OwnPoints(JdbcClient jdbc, Withdrawals withdrawals, Audit audit, Clock clock) {
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.audit = audit;
        this.clock = clock;
    }

    List<OwnPoint> of(UUID shop) {
        return jdbc.sql(ALL)
                .param("shop", shop.toString())
                .query((row, n) -> new OwnPoint(
                        Ids.id(row, "id"),
                        way(row),
                        VehicleKind.valueOf(row.getString("kind")),
                        Ids.maybe(row, "vehicle_id"),
                        row.getBoolean("in_use")))
                .list();
    }

    private static PointMethod way(ResultSet row) throws SQLException {
        PointMethod way = PointMethod.named(
                row.getString("code"),
                row.getString("name"),
                Stream.of(row.getString("places").split(" "))
                        .flatMap(code -> Places.of(code).stream())
                        .toList(),
                row.getBoolean("tyre"),
                row.getBoolean("floor"));
        return row.getBoolean("sideways") ? way.sideways() : way;
    }

    void add(
            Person by,
            String name,
            VehicleKind kind,
            @Nullable UUID vehicle,
            List<Place> places,
            boolean tyre,
            boolean floor,
            boolean sideways) {
        String shop = by.shop().toString();
        jdbc.sql(LOCK).param("shop", shop).query(String.class).single();
        int number = jdbc.sql("select count(*) from point where shop_id = :shop")
                .param("shop", shop)
                .query(Integer.class)
                .single();
        jdbc.sql(ADD)
                .param("id", Ids.fresh().toString())
                .param("shop", shop)
                .param("code", "P" + (number + 1))
                .param("name", name)
                .param("kind", kind.name())
                .param("vehicle", Ids.text(vehicle))
                .param("places", places.stream().map(Place::code).collect(Collectors.joining(" ")))
                .param("tyre", tyre)
                .param("floor", floor)
                .param("sideways", sideways)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(by, Audit.What.POINT_NAMED, name);
    }

    void withdraw(Person by, OwnPoint point) {
        withdrawals.add(
                by, null, point.id(), Audit.What.POINT_WITHDRAWN, point.way().name());
    }
}
