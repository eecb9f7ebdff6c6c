package abbex.app.arrive;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.VehicleKind;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Vehicles and their stays, one shop at a time: the public service of the station. */
@Service
public class Jobs {
    private static final String VEHICLE_COLUMNS = """
            v.id as vehicle_id, v.plate, v.kind, v.shape, v.name, v.arch_front, v.arch_rear, v.tyre_front, v.tyre_rear,
            v.frame_front, v.frame_rear, v.head_angle, v.twin_rear
            """;

    private static final String JOBS = """
            select j.id, j.shop_id, j.customer, j.contact, j.wish, j.usage_text, j.odometer, j.worn, j.changed, j.kit,
                   j.place, j.bay, j.holder_id, j.due_back, j.arrived_at, p.initials, %s
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

    private static final String STAYS =
            "select id from job where shop_id = :shop and vehicle_id = :vehicle order by arrived_at, id";

    private static final String VEHICLES = """
            select v.id, v.name,
                   (select j.id from job j where j.vehicle_id = v.id order by j.arrived_at desc, j.id limit 1) job
              from vehicle v where v.shop_id = :shop
            """;

    private static final String MEASURES = """
            select m.vehicle_id, m.name, m.raw, m.nm
              from vehicle_measure m
             where m.shop_id = :shop and m.vehicle_id in (:vehicles)
            """;

    private static final String PROMISES = """
            select a.job_id, a.end_code, a.least_raw, a.least_nm, a.most_raw, a.most_nm
              from job_advertised a
             where a.shop_id = :shop and a.job_id in (:jobs)
            """;

    private static final String CHANGE_VEHICLE = """
            update vehicle set plate = :plate, plate_key = :key, kind = :kind, shape = :shape, name = :name,
                   arch_front = :front, arch_rear = :rear, tyre_front = :tyreFront, tyre_rear = :tyreRear,
                   frame_front = :frameFront, frame_rear = :frameRear, head_angle = :headAngle, twin_rear = :dualRear
             where id = :id and shop_id = :shop
            """;

    private static final String ADD_VEHICLE = """
            insert into vehicle (id, shop_id, plate, plate_key, kind, shape, name, arch_front, arch_rear, tyre_front, tyre_rear,
                                 frame_front, frame_rear, head_angle, twin_rear)
            values (:id, :shop, :plate, :key, :kind, :shape, :name, :front, :rear, :tyreFront, :tyreRear, :frameFront,
                    :frameRear, :headAngle, :dualRear)
            """;

    private static final String CHANGE_JOB = """
            update job set customer = :customer, contact = :contact, wish = :wish, usage_text = :usage,
                   odometer = :odometer, worn = :worn, changed = :changed, kit = :kit, vehicle_id = :vehicle
             where id = :id and shop_id = :shop
            """;

    private static final String ADD_JOB = """
            insert into job (id, shop_id, vehicle_id, customer, contact, wish, usage_text, odometer, worn, changed, kit,
                             place, bay, holder_id, due_back, arrived_at)
            values (:id, :shop, :vehicle, :customer, :contact, :wish, :usage, :odometer, :worn, :changed, :kit,
                    :place, :bay, :holder, :due, :arrived)
            """;

    private static final String MOVE = """
            update job set place = :place, bay = :bay, holder_id = :holder, due_back = :due
             where id = :job and shop_id = :shop
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final Audit audit;

    Jobs(JdbcClient jdbc, Clock clock, ApplicationEventPublisher events, Audit audit, Reads reads) {
        this.reads = reads;
        this.audit = audit;
        this.jdbc = jdbc;
        this.events = events;
        this.clock = clock;
    }

    public Optional<Job> find(UUID shop, UUID job) {
        return reads.once(List.of(Jobs.class, "find", shop, job), () -> read(shop, job));
    }

    private Optional<Job> read(UUID shop, UUID job) {
        return list(shop, jdbc.sql(ONE_JOB).param("shop", shop.toString()).param("job", job.toString())).stream()
                .findFirst();
    }

    public List<Job> onTheFloor(UUID shop) {
        return list(shop, jdbc.sql(ON_THE_FLOOR).param("shop", shop.toString()));
    }

    public List<Job> finished(UUID shop) {
        return list(shop, jdbc.sql(FINISHED).param("shop", shop.toString()));
    }

    /** The stays of a vehicle, the first one first. */
    public List<UUID> stays(UUID shop, UUID vehicle) {
        return reads.once(List.of(Jobs.class, "stays", shop, vehicle), () -> readStays(shop, vehicle));
    }

    private List<UUID> readStays(UUID shop, UUID vehicle) {
        return jdbc.sql(STAYS)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> Ids.id(row, "id"))
                .list();
    }

    /** A vehicle by its name, with its newest stay. */
    public record Known(String name, UUID newestJob) {}

    /** Every vehicle that a shop has seen, by id. */
    public Map<UUID, Known> vehicles(UUID shop) {
        Map<UUID, Known> known = new HashMap<>();
        jdbc.sql(VEHICLES).param("shop", shop.toString()).query(row -> {
            known.put(Ids.id(row, "id"), new Known(row.getString("name"), Ids.id(row, "job")));
        });
        return known;
    }

    /** The vehicle that the shop knows by this plate. */
    public Optional<VehicleFacts> byPlate(UUID shop, String plate) {
        return jdbc.sql(BY_PLATE)
                .param("shop", shop.toString())
                .param("plate", VehicleFacts.plateKey(plate))
                .query((row, n) -> vehicle(row, Map.of()))
                .optional()
                .map(v -> withMeasures(
                        v, measures(shop, List.of(v.id().toString())).get(v.id())));
    }

    /** Saves a new stay and says so, in one transaction. */
    @Transactional
    public void receive(Job job, Person by) {
        save(job);
        events.publishEvent(new JobReceived(by, job.id(), job.arrivedAt()));
    }

    /**
     * Saves a stay and its vehicle; saving the same id again changes it. A vehicle whose plate the shop knows is the known
     * one, and a plate that belongs to another vehicle is never taken over.
     */
    @Transactional
    public void save(Job job) {
        VehicleFacts v = job.vehicle();
        // The driver counts rows that were found, whether or not they changed.
        if (vehicle(CHANGE_VEHICLE, job.shop(), v).update() == 0) {
            vehicle(ADD_VEHICLE, job.shop(), v).update();
        }
        saveMeasures(job.shop(), v);
        if (stay(CHANGE_JOB, job).update() == 0) {
            stay(ADD_JOB, job)
                    .param("place", job.where().place().name())
                    .param("bay", job.where().bay())
                    .param("holder", Ids.text(job.holder()))
                    .param("due", job.dueBack())
                    .param("arrived", Times.column(job.arrivedAt()))
                    .update();
        }
        savePromises(job);
    }

    private JdbcClient.StatementSpec vehicle(String sql, UUID shop, VehicleFacts v) {
        return jdbc.sql(sql)
                .param("id", v.id().toString())
                .param("shop", shop.toString())
                .param("plate", v.plate())
                .param("key", VehicleFacts.plateKey(v.plate()))
                .param("kind", v.kind().name())
                .param("shape", v.shape().name())
                .param("name", v.name())
                .param("front", v.front().name())
                .param("rear", v.rear().name())
                .param("tyreFront", v.tyreFront())
                .param("tyreRear", v.tyreRear())
                .param("frameFront", v.points().front())
                .param("frameRear", v.points().rear())
                .param("headAngle", v.build().headAngle())
                .param("dualRear", v.build().dualRear());
    }

    private JdbcClient.StatementSpec stay(String sql, Job job) {
        return jdbc.sql(sql)
                .param("id", job.id().toString())
                .param("shop", job.shop().toString())
                .param("vehicle", job.vehicle().id().toString())
                .param("customer", job.customer())
                .param("contact", job.contact())
                .param("wish", job.wish())
                .param("usage", job.usage())
                .param("odometer", job.odometer())
                .param("worn", job.worn())
                .param("changed", job.changed())
                .param("kit", job.kit());
    }

    private void saveMeasures(UUID shop, VehicleFacts v) {
        jdbc.sql("delete from vehicle_measure where vehicle_id = :id")
                .param("id", v.id().toString())
                .update();
        v.measures()
                .forEach((name, measured) -> jdbc.sql(
                                "insert into vehicle_measure (shop_id, vehicle_id, name, raw, nm) values (:shop, :id, :name, :raw, :nm)")
                        .param("shop", shop.toString())
                        .param("id", v.id().toString())
                        .param("name", name.name())
                        .param("raw", measured.raw())
                        .param("nm", measured.length().nm())
                        .update());
    }

    private void savePromises(Job job) {
        jdbc.sql("delete from job_advertised where job_id = :id")
                .param("id", job.id().toString())
                .update();
        job.promises()
                .forEach((end, promise) -> jdbc.sql("""
                        insert into job_advertised (shop_id, job_id, end_code, least_raw, least_nm, most_raw, most_nm)
                        values (:shop, :id, :end, :leastRaw, :least, :mostRaw, :most)
                        """)
                        .param("shop", job.shop().toString())
                        .param("id", job.id().toString())
                        .param("end", end.code().toUpperCase(Locale.ROOT))
                        .param("leastRaw", promise.leastRaw())
                        .param("least", promise.range().least().nm())
                        .param("mostRaw", promise.mostRaw())
                        .param("most", promise.range().most().nm())
                        .update());
    }

    /** Moves a vehicle on the floor, gives it to somebody, or says when it is due back. */
    public void move(UUID shop, UUID job, Job.Where where, @Nullable UUID holder, @Nullable LocalDate dueBack) {
        jdbc.sql(MOVE)
                .param("place", where.place().name())
                .param("bay", where.bay())
                .param("holder", Ids.text(holder))
                .param("due", dueBack)
                .param("job", job.toString())
                .param("shop", shop.toString())
                .update();
    }

    /** The customer's name and contact go; what was measured stays. */
    @Transactional
    public void blankCustomer(Person by, Job job) {
        jdbc.sql("update job set customer = '', contact = '' where id = :job and shop_id = :shop")
                .param("job", job.id().toString())
                .param("shop", by.shop().toString())
                .update();
        audit.add(by, Audit.What.CUSTOMER_BLANKED, job.vehicle().plate());
    }

    public LocalDate today(java.time.ZoneId zone) {
        return LocalDate.ofInstant(clock.instant(), zone);
    }

    private List<Job> list(UUID shop, JdbcClient.StatementSpec statement) {
        List<Job> jobs = statement.query((row, n) -> job(row)).list();
        if (jobs.isEmpty()) {
            return jobs;
        }
        Map<UUID, Map<VehicleFacts.Measure, VehicleFacts.Measured>> measures = measures(
                shop, jobs.stream().map(j -> j.vehicle().id().toString()).toList());
        Map<UUID, Map<Place, Job.Promise>> promises = promises(shop, jobs);
        List<Job> whole = new ArrayList<>();
        for (Job j : jobs) {
            whole.add(new Job(
                    j.id(),
                    j.shop(),
                    withMeasures(j.vehicle(), measures.get(j.vehicle().id())),
                    j.customer(),
                    j.contact(),
                    j.wish(),
                    j.usage(),
                    j.odometer(),
                    j.worn(),
                    j.changed(),
                    j.kit(),
                    promises.getOrDefault(j.id(), Map.of()),
                    j.where(),
                    j.holder(),
                    j.holderInitials(),
                    j.dueBack(),
                    j.arrivedAt()));
        }
        return whole;
    }

    private Map<UUID, Map<VehicleFacts.Measure, VehicleFacts.Measured>> measures(UUID shop, List<String> vehicles) {
        Map<UUID, Map<VehicleFacts.Measure, VehicleFacts.Measured>> measures = new HashMap<>();
        jdbc.sql(MEASURES)
                .param("shop", shop.toString())
                .param("vehicles", vehicles)
                .query(row -> {
                    measures.computeIfAbsent(Ids.id(row, "vehicle_id"), id -> new EnumMap<>(VehicleFacts.Measure.class))
                            .put(
                                    VehicleFacts.Measure.valueOf(row.getString("name")),
                                    new VehicleFacts.Measured(row.getString("raw"), Length.ofNm(row.getLong("nm"))));
                });
        return measures;
    }

    private Map<UUID, Map<Place, Job.Promise>> promises(UUID shop, List<Job> jobs) {
        Map<UUID, Map<Place, Job.Promise>> promises = new HashMap<>();
        jdbc.sql(PROMISES)
                .param("shop", shop.toString())
                .param("jobs", jobs.stream().map(j -> j.id().toString()).toList())
                .query(row -> {
                    promises.computeIfAbsent(Ids.id(row, "job_id"), id -> new LinkedHashMap<>())
                            .put(
                                    Places.of(row.getString("end_code").toLowerCase(Locale.ROOT))
                                            .orElseThrow(),
                                    new Job.Promise(
                                            row.getString("least_raw"),
                                            row.getString("most_raw"),
                                            new Advertised.Range(
                                                    Length.ofNm(row.getLong("least_nm")),
                                                    Length.ofNm(row.getLong("most_nm")))));
                });
        return promises;
    }

    private static VehicleFacts withMeasures(
            VehicleFacts v, @Nullable Map<VehicleFacts.Measure, VehicleFacts.Measured> measures) {
        return new VehicleFacts(
                v.id(),
                v.plate(),
                v.kind(),
                v.shape(),
                v.name(),
                v.front(),
                v.rear(),
                v.tyreFront(),
                v.tyreRear(),
                v.points(),
                v.build(),
                measures == null ? Map.of() : measures);
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
                Times.instant(row, "arrived_at"));
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
