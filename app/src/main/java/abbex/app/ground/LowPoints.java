package abbex.app.ground;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.prove.Clearances;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.ground.Profile;
import abbex.core.units.Length;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** What lies low under vehicles and the grounds they have to pass, one shop at a time: the public service of the station. */
@Service
public class LowPoints {
    /** Low points, the foremost first, and the vehicle's own grounds, which have points in place of measures. */
    private static final String OF = """
            select id, kind, name, along_raw, along_from, along_nm, height_raw, height_nm, sheet_id, null points, nr
              from low_point
             where shop_id = :shop and vehicle_id = :vehicle
               and not exists (select 1 from withdrawal w where w.shop_id = low_point.shop_id and w.of_id = low_point.id)
            union all
            select id, '', name, '', '', 0, '', 0, null, points, nr
              from own_ground
             where shop_id = :shop and vehicle_id = :vehicle
               and not exists (select 1 from withdrawal w where w.shop_id = own_ground.shop_id and w.of_id = own_ground.id)
             order by along_nm desc, nr
            """;

    private static final String ADD = """
            insert into low_point (id, shop_id, vehicle_id, kind, name, along_raw, along_from, along_nm, height_raw, height_nm,
                                   sheet_id, person_id, made_at)
            values (:id, :shop, :vehicle, :kind, :name, :alongRaw, :from, :along,
                    :heightRaw, :height, :sheet, :person, :at)
            """;

    private static final String ADD_GROUND = """
            insert into own_ground (id, shop_id, vehicle_id, name, points, person_id, made_at)
            values (:id, :shop, :vehicle, :name, :points, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Clearances clearances;
    private final Clock clock;

    LowPoints(JdbcClient jdbc, Withdrawals withdrawals, Clearances clearances, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.clearances = clearances;
        this.clock = clock;
    }

    /** All that is kept of a vehicle and the ground. */
    private record Kept(List<LowPoint> points, List<OwnGround> grounds) {}

    List<LowPoint> of(UUID shop, UUID vehicle) {
        return kept(shop, vehicle).points();
    }

    List<OwnGround> grounds(UUID shop, UUID vehicle) {
        return kept(shop, vehicle).grounds();
    }

    private Kept kept(UUID shop, UUID vehicle) {
        return reads.ofVehicle(shop, vehicle, List.of(LowPoints.class, shop, vehicle), () -> read(shop, vehicle));
    }

    private Kept read(UUID shop, UUID vehicle) {
        Kept kept = new Kept(new ArrayList<>(), new ArrayList<>());
        jdbc.sql(OF)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query(row -> {
                    String points = row.getString("points");
                    if (points == null) {
                        kept.points().add(point(row));
                    } else {
                        kept.grounds()
                                .add(new OwnGround(
                                        Ids.id(row, "id"), row.getString("name"), OwnGround.profile(points)));
                    }
                });
        return kept;
    }

    private static LowPoint point(ResultSet row) throws SQLException {
        return new LowPoint(
                Ids.id(row, "id"),
                LowPoint.Kind.valueOf(row.getString("kind")),
                row.getString("name"),
                row.getString("along_raw"),
                row.getString("along_from"),
                Length.ofNm(row.getLong("along_nm")),
                row.getString("height_raw"),
                Length.ofNm(row.getLong("height_nm")),
                Ids.maybe(row, "sheet_id"));
    }

    private void add(Person by, UUID vehicle, LowPoint point) {
        jdbc.sql(ADD)
                .param("id", point.id().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("kind", point.kind().name())
                .param("name", point.name())
                .param("alongRaw", point.alongRaw())
                .param("from", point.from())
                .param("along", point.along().nm())
                .param("heightRaw", point.heightRaw())
                .param("height", point.height().nm())
                .param("sheet", Ids.text(point.sheet()))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** Keeps a point that somebody tells with its measures: kind and name, from the front axle, over the floor as it stands. */
    public void add(
            Person by,
            Job job,
            String kind,
            String name,
            String alongRaw,
            String from,
            Length along,
            String heightRaw,
            Length height) {
        add(
                by,
                job.vehicle().id(),
                new LowPoint(
                        Ids.fresh(),
                        LowPoint.Kind.valueOf(kind),
                        name,
                        alongRaw,
                        from,
                        along,
                        heightRaw,
                        height,
                        clearances.standing(job).newest().orElse(null)));
    }

    public UUID ground(Person by, UUID vehicle, String name, Profile profile) {
        UUID id = Ids.fresh();
        jdbc.sql(ADD_GROUND)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("name", name)
                .param("points", OwnGround.text(profile))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return id;
    }

    /** A point or a ground counts no more; nothing happens when the vehicle has neither. */
    void withdraw(Person by, VehicleFacts of, UUID id) {
        UUID vehicle = of.id();
        boolean point = of(by.shop(), vehicle).stream().anyMatch(p -> p.id().equals(id));
        if (point || grounds(by.shop(), vehicle).stream().anyMatch(g -> g.id().equals(id))) {
            withdrawals.add(by, vehicle, id, Audit.What.GROUND_DELETED, of.plate());
        }
    }
}
