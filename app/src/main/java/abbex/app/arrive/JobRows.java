package abbex.app.arrive;

import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.VehicleKind;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Stays and their vehicles as they are stored: two questions, however many. */
@Component
class JobRows {
    private static final String VEHICLE_COLUMNS = """
            v.id as vehicle_id, v.plate, v.kind, v.shape, v.name, v.arch_front, v.arch_rear, v.tyre_front, v.tyre_rear,
            v.frame_front, v.frame_rear, v.head_angle, v.twin_rear
            """;

    private static final String JOBS = """
            select j.id, j.shop_id, j.customer, j.contact, j.wish, j.usage_text, j.odometer, j.worn, j.changed, j.kit,
                   j.place, j.bay, j.holder_id, j.due_back, j.arrived_at, j.version + v.version texts, j.moved, p.initials, %s
              from job j
              join vehicle v on v.id = j.vehicle_id
              left join person p on p.id = j.holder_id
             where j.shop_id = :shop
            """.formatted(VEHICLE_COLUMNS);

    private static final String ONE_JOB = JOBS + " and j.id = :job";
    private static final String ON_THE_FLOOR = JOBS + " and j.place <> 'GONE' order by j.bay, j.arrived_at, v.plate";
    private static final String FINISHED = JOBS + " and j.place = 'GONE' order by j.arrived_at desc limit 12";

    private static final String BY_PLATE = """
            select %s from vehicle v where v.shop_id = :shop and v.plate_key = :plate
            """.formatted(VEHICLE_COLUMNS);

    /** Measures of the vehicles, promises of the stays and all stays of the vehicles, told apart by what each is. */
    private static final String AROUND = """
            select 'measure' what, m.vehicle_id id, m.name, m.raw, m.nm, null most_raw, null most_nm, 0 at
              from vehicle_measure m where m.shop_id = :shop and m.vehicle_id in (:vehicles)
            union all
            select 'promise', a.job_id, a.end_code, a.least_raw, a.least_nm, a.most_raw, a.most_nm, 0
              from job_advertised a where a.shop_id = :shop and a.job_id in (:jobs)
            union all
            select 'stay', j.vehicle_id, j.id, null, null, null, null, j.nr
              from job j where j.shop_id = :shop and j.vehicle_id in (:vehicles)
             order by at, name
            """;

    private final JdbcClient jdbc;

    JobRows(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A stay with those of the same vehicle.
     *
     * @param stays of the vehicle, the first one first
     */
    record Found(Job job, List<UUID> stays) {}

    Optional<Found> find(UUID shop, UUID job) {
        return list(shop, jdbc.sql(ONE_JOB).param("shop", shop.toString()).param("job", job.toString())).stream()
                .findFirst();
    }

    List<Job> onTheFloor(UUID shop) {
        return jobs(list(shop, jdbc.sql(ON_THE_FLOOR).param("shop", shop.toString())));
    }

    List<Job> finished(UUID shop) {
        return jobs(list(shop, jdbc.sql(FINISHED).param("shop", shop.toString())));
    }

    private static List<Job> jobs(List<Found> found) {
        return found.stream().map(Found::job).toList();
    }

    Optional<VehicleFacts> byPlate(UUID shop, String plate) {
        return jdbc.sql(BY_PLATE)
                .param("shop", shop.toString())
                .param("plate", VehicleFacts.plateKey(plate))
                .query((row, n) -> vehicle(row, Map.of()))
                .optional()
                .map(v -> around(shop, List.of(v.id()), List.of()).of(v));
    }

    private List<Found> list(UUID shop, JdbcClient.StatementSpec statement) {
        List<Job> jobs = statement.query((row, n) -> job(row)).list();
        if (jobs.isEmpty()) {
            return List.of();
        }
        Around around = around(
                shop,
                jobs.stream().map(j -> j.vehicle().id()).toList(),
                jobs.stream().map(Job::id).toList());
        List<Found> whole = new ArrayList<>();
        for (Job j : jobs) {
            Job job = j.with(around.of(j.vehicle()), around.promises().getOrDefault(j.id(), Map.of()));
            whole.add(new Found(job, around.stays().getOrDefault(j.vehicle().id(), List.of())));
        }
        return whole;
    }

    private record Around(
            Map<UUID, Map<VehicleFacts.Measure, VehicleFacts.Measured>> measures,
            Map<UUID, Map<Place, Job.Promise>> promises,
            Map<UUID, List<UUID>> stays) {
        VehicleFacts of(VehicleFacts vehicle) {
            return vehicle.with(measures.getOrDefault(vehicle.id(), Map.of()));
        }
    }

    private Around around(UUID shop, List<UUID> vehicles, List<UUID> jobs) {
        Around around = new Around(new HashMap<>(), new HashMap<>(), new HashMap<>());
        jdbc.sql(AROUND)
                .param("shop", shop.toString())
                .param("vehicles", vehicles.stream().map(UUID::toString).toList())
                .param(
                        "jobs",
                        jobs.isEmpty()
                                ? List.of("")
                                : jobs.stream().map(UUID::toString).toList())
                .query(row -> {
                    UUID id = Ids.id(row, "id");
                    switch (row.getString("what")) {
                        case "measure" ->
                            around.measures()
                                    .computeIfAbsent(id, v -> new EnumMap<>(VehicleFacts.Measure.class))
                                    .put(
                                            VehicleFacts.Measure.valueOf(row.getString("name")),
                                            new VehicleFacts.Measured(
                                                    row.getString("raw"), Length.ofNm(row.getLong("nm"))));
                        case "promise" ->
                            around.promises()
                                    .computeIfAbsent(id, j -> new LinkedHashMap<>())
                                    .put(
                                            Places.of(row.getString("name").toLowerCase(Locale.ROOT))
                                                    .orElseThrow(),
                                            promise(row));
                        default ->
                            around.stays()
                                    .computeIfAbsent(id, v -> new ArrayList<>())
                                    .add(UUID.fromString(row.getString("name")));
                    }
                });
        return around;
    }

    private static Job.Promise promise(ResultSet row) throws SQLException {
        return new Job.Promise(
                row.getString("raw"),
                row.getString("most_raw"),
                new Advertised.Range(Length.ofNm(row.getLong("nm")), Length.ofNm(row.getLong("most_nm"))));
    }

    private static Job job(ResultSet row) throws SQLException {
        java.sql.Date due = row.getDate("due_back");
        String initials = row.getString("initials");
        return new Job(
                Ids.id(row, "id"),
                Ids.id(row, "shop_id"),
                vehicle(row, Map.of()),
                row.getString("customer"),
                row.getString("contact"),
                row.getString("wish"),
                row.getString("usage_text"),
                row.getString("odometer"),
                row.getString("worn"),
                row.getString("changed"),
                row.getString("kit"),
                Map.of(),
                new Job.Where(Job.Place.valueOf(row.getString("place")), row.getString("bay")),
                Ids.maybe(row, "holder_id"),
                initials == null ? "" : initials,
                due == null ? null : due.toLocalDate(),
                Times.instant(row, "arrived_at"),
                new Job.Edition(row.getInt("texts"), row.getInt("moved")));
    }

    private static VehicleFacts vehicle(ResultSet row, Map<VehicleFacts.Measure, VehicleFacts.Measured> measures)
            throws SQLException {
        return new VehicleFacts(
                Ids.id(row, "vehicle_id"),
                row.getString("plate"),
                VehicleKind.valueOf(row.getString("kind")),
                VehicleFacts.Shape.valueOf(row.getString("shape").toUpperCase(Locale.ROOT)),
                row.getString("name"),
                Architecture.valueOf(row.getString("arch_front")),
                Architecture.valueOf(row.getString("arch_rear")),
                row.getString("tyre_front"),
                row.getString("tyre_rear"),
                new VehicleFacts.FramePoints(row.getString("frame_front"), row.getString("frame_rear")),
                new VehicleFacts.Build(row.getString("head_angle"), row.getBoolean("twin_rear")),
                measures);
    }
}
