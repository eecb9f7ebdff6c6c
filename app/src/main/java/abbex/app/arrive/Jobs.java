package abbex.app.arrive;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
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
    private static final String VEHICLES = """
            select v.id, v.name,
                   (select j.id from job j where j.vehicle_id = v.id order by j.nr desc limit 1) job
              from vehicle v where v.shop_id = :shop
            """;

    private static final String CHANGE_VEHICLE = """
            update vehicle set plate = :plate, plate_key = :key, kind = :kind, shape = :shape, name = :name,
                   arch_front = :front, arch_rear = :rear, tyre_front = :tyreFront, tyre_rear = :tyreRear,
                   frame_front = :frameFront, frame_rear = :frameRear, head_angle = :headAngle, twin_rear = :dualRear, version = version + 1
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
                   odometer = :odometer, worn = :worn, changed = :changed, kit = :kit, version = version + 1
             where id = :id and shop_id = :shop
            """;

    private static final String ADD_JOB = """
            insert into job (id, shop_id, vehicle_id, customer, contact, wish, usage_text, odometer, worn, changed, kit,
                             place, bay, holder_id, due_back, arrived_at)
            values (:id, :shop, :vehicle, :customer, :contact, :wish, :usage, :odometer, :worn, :changed, :kit,
                    :place, :bay, :holder, :due, :arrived)
            """;

    /** One who changes a stay or its vehicle at a time. */
    private static final String EDITION = """
            select j.version + v.version from job j join vehicle v on v.id = j.vehicle_id
             where j.shop_id = :shop and j.id = :job for update
            """;

    private static final String MOVE = """
            update job set place = :place, bay = :bay, holder_id = :holder, due_back = :due, moved = moved + 1
             where id = :job and shop_id = :shop and moved = coalesce(:moved, moved)
            """;

    private final Reads reads;
    private final JobRows rows;
    private static final String CALLED = """
            select j.id, v.plate, v.name from job j join vehicle v on v.id = j.vehicle_id
             where j.shop_id = :shop and j.id in (:jobs)
            """;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final Audit audit;

    Jobs(JdbcClient jdbc, Clock clock, ApplicationEventPublisher events, Audit audit, Reads reads, JobRows rows) {
        this.rows = rows;
        this.reads = reads;
        this.audit = audit;
        this.jdbc = jdbc;
        this.events = events;
        this.clock = clock;
    }

    public Optional<Job> find(UUID shop, UUID job) {
        return found(shop, job).map(JobRows.Found::job);
    }

    private Optional<JobRows.Found> found(UUID shop, UUID job) {
        return reads.ofJob(shop, job, List.of(Jobs.class, shop, job), () -> rows.find(shop, job));
    }

    public List<Job> onTheFloor(UUID shop) {
        return rows.onTheFloor(shop);
    }

    /** How a vehicle is called. */
    public record Called(String plate, String name) {
        public static final Called NOBODY = new Called("", "");
    }

    /** How the vehicles of stays are called. */
    public Map<UUID, Called> called(UUID shop, Collection<UUID> stays) {
        Map<UUID, Called> called = new HashMap<>();
        if (!stays.isEmpty()) {
            jdbc.sql(CALLED)
                    .param("shop", shop.toString())
                    .param("jobs", stays.stream().map(UUID::toString).toList())
                    .query(row -> {
                        called.put(Ids.id(row, "id"), new Called(row.getString("plate"), row.getString("name")));
                    });
        }
        return called;
    }

    public List<Job> finished(UUID shop) {
        return rows.finished(shop);
    }

    /** Until the present transaction ends, whoever else holds the stay waits: what is counted on it is counted by one at a time. */
    public void hold(Job job) {
        jdbc.sql("select id from job where id = :job and shop_id = :shop for update")
                .param("job", job.id().toString())
                .param("shop", job.shop().toString())
                .query(String.class)
                .optional();
    }

    /** All stays of a stay's vehicle, the first one first. */
    public List<UUID> stays(Job job) {
        return found(job.shop(), job.id()).map(JobRows.Found::stays).orElse(List.of());
    }

    /** How often a vehicle has been here. */
    int stays(UUID shop, UUID vehicle) {
        return jdbc.sql("select count(*) from job where shop_id = :shop and vehicle_id = :vehicle")
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query(Integer.class)
                .single();
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
        return rows.byPlate(shop, plate);
    }

    /** The stay of a vehicle that has not left yet, the newest if there are more. */
    Optional<UUID> openStay(UUID shop, UUID vehicle) {
        return jdbc.sql("""
                        select id from job where shop_id = :shop and vehicle_id = :vehicle and place not in ('GONE', 'OUT')
                         order by nr desc limit 1
                        """)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> Ids.id(row, "id"))
                .optional();
    }

    /** Saves a new stay and says so, in one transaction. */
    @Transactional
    public void receive(Job job, Person by) {
        save(job);
        events.publishEvent(new JobReceived(by, job.id(), job.arrivedAt()));
    }

    /**
     * Saves a stay and its vehicle that were changed from an edition.
     *
     * @param from the edition of the texts that was changed; empty when nobody says which
     * @return false when another one was saved meanwhile: nothing is changed then
     */
    @Transactional
    public boolean save(Job job, Optional<Integer> from) {
        int standing = jdbc.sql(EDITION)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query(Integer.class)
                .single();
        if (from.isPresent() && from.get() != standing) {
            return false;
        }
        save(job);
        return true;
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

    /**
     * Moves a vehicle on the floor, gives it to somebody, or says when it is due back.
     *
     * @param from the edition of the moves that it was seen at; empty when nobody says which
     * @return false when it was moved meanwhile: nothing is changed then
     */
    public boolean move(
            UUID shop,
            UUID job,
            Job.Where where,
            @Nullable UUID holder,
            @Nullable LocalDate dueBack,
            Optional<Integer> from) {
        return jdbc.sql(MOVE)
                        .param("moved", from.orElse(null))
                        .param("place", where.place().name())
                        .param("bay", where.bay())
                        .param("holder", Ids.text(holder))
                        .param("due", dueBack)
                        .param("job", job.toString())
                        .param("shop", shop.toString())
                        .update()
                > 0;
    }

    public LocalDate today(java.time.ZoneId zone) {
        return LocalDate.ofInstant(clock.instant(), zone);
    }
}
