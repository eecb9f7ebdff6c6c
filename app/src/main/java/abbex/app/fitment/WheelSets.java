package abbex.app.fitment;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The wheel sets of vehicles, one shop at a time: the public service of the station. */
@Service
public class WheelSets {
    /** A row for each text of a set; a set without any has one. */
    private static final String SETS = """
            select s.id, s.name, s.used, s.version, i.item, i.raw
              from wheel_set s left join wheel_set_item i on i.set_id = s.id
             where s.shop_id = :shop and s.vehicle_id = :vehicle
               and not exists (select 1 from withdrawal w where w.shop_id = s.shop_id and w.of_id = s.id)
             order by s.nr
            """;

    private static final String SAVE = """
            insert into wheel_set (id, shop_id, vehicle_id, name, used, person_id, made_at)
            values (:id, :shop, :vehicle, :name, :used, :person, :at)
                on duplicate key update name = :name, used = :used, version = version + 1
            """;

    private static final String EDITION = "select version from wheel_set where shop_id = :shop and id = :id for update";

    /** One set only is on the vehicle, and one is from new. */
    private static final String MAKE_ROOM = """
            update wheel_set set used = 'OTHER'
             where shop_id = :shop and vehicle_id = :vehicle and used = :used and id <> :id
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Clock clock;

    WheelSets(JdbcClient jdbc, Withdrawals withdrawals, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.clock = clock;
    }

    public List<WheelSet> of(UUID shop, UUID vehicle) {
        return reads.ofVehicle(shop, vehicle, List.of(WheelSets.class, shop, vehicle), () -> read(shop, vehicle));
    }

    private List<WheelSet> read(UUID shop, UUID vehicle) {
        Map<UUID, WheelSet> sets = new LinkedHashMap<>();
        Map<UUID, Map<String, String>> texts = new HashMap<>();
        jdbc.sql(SETS)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query(row -> {
                    UUID id = Ids.id(row, "id");
                    String item = row.getString("item");
                    Map<String, String> of = texts.computeIfAbsent(id, s -> new HashMap<>());
                    if (item != null) {
                        of.put(item, row.getString("raw"));
                    }
                    sets.putIfAbsent(
                            id,
                            new WheelSet(
                                    id,
                                    row.getString("name"),
                                    WheelSet.Use.valueOf(row.getString("used")),
                                    Map.of(),
                                    row.getInt("version")));
                });
        return sets.values().stream()
                .map(s -> new WheelSet(s.id(), s.name(), s.use(), texts.getOrDefault(s.id(), Map.of()), s.edition()))
                .toList();
    }

    static Optional<WheelSet> first(List<WheelSet> sets, WheelSet.Use use) {
        return sets.stream().filter(s -> s.use() == use).findFirst();
    }

    /**
     * Saves a set that was changed from an edition.
     *
     * @param from empty for a new one, or when nobody says which
     * @return false when the set was saved meanwhile: nothing is changed then
     */
    @Transactional
    public boolean save(Person by, UUID vehicle, WheelSet set, Optional<Integer> from) {
        Optional<Integer> standing = jdbc.sql(EDITION)
                .param("shop", by.shop().toString())
                .param("id", set.id().toString())
                .query(Integer.class)
                .optional();
        if (from.isPresent() && standing.isPresent() && !from.equals(standing)) {
            return false;
        }
        save(by, vehicle, set);
        return true;
    }

    @Transactional
    public void save(Person by, UUID vehicle, WheelSet set) {
        jdbc.sql(SAVE)
                .param("id", set.id().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("name", set.name())
                .param("used", set.use().name())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        if (set.use() == WheelSet.Use.NOW || set.use() == WheelSet.Use.NEW) {
            jdbc.sql(MAKE_ROOM)
                    .param("shop", by.shop().toString())
                    .param("vehicle", vehicle.toString())
                    .param("used", set.use().name())
                    .param("id", set.id().toString())
                    .update();
        }
        jdbc.sql("delete from wheel_set_item where set_id = :id")
                .param("id", set.id().toString())
                .update();
        set.texts()
                .forEach((item, raw) -> jdbc.sql(
                                "insert into wheel_set_item (shop_id, set_id, item, raw) values (:shop, :id, :item, :raw)")
                        .param("shop", by.shop().toString())
                        .param("id", set.id().toString())
                        .param("item", item)
                        .param("raw", raw)
                        .update());
    }

    /** It is not offered any more. */
    void withdraw(Person by, VehicleFacts vehicle, WheelSet set) {
        withdrawals.add(by, vehicle.id(), set.id(), Audit.What.WHEELS_DELETED, vehicle.plate());
    }
}
