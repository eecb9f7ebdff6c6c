package abbex.app.workcard;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Person;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.torque.TorqueSpec;
import abbex.core.units.Torque;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What fasteners are tightened to, by shop and kind of vehicle: said once, known on every job of the kind. */
@Component
class Specs {
    private static final String OF = """
            select seq, fastener, raw, least, most, angle, source, reference from torque_spec
             where shop_id = :shop and vehicle = :vehicle order by seq
            """;

    private static final String ADD = """
            insert into torque_spec (shop_id, vehicle, fastener, raw, least, most, angle, source, reference, person_id, made_at)
            values (:shop, :vehicle, :fastener, :raw, :least, :most, :angle, :source, :reference, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Clock clock;

    Specs(JdbcClient jdbc, Reads reads, Clock clock) {
        this.jdbc = jdbc;
        this.reads = reads;
        this.clock = clock;
    }

    /** A figure as it was said. */
    record Said(long seq, String raw, TorqueSpec spec) {}

    /** All that was said, by fastener, the first first. */
    Map<String, List<Said>> of(UUID shop, VehicleFacts vehicle) {
        return reads.ofShop(shop, List.of(Specs.class, shop, kind(vehicle)), () -> {
            Map<String, List<Said>> all = new HashMap<>();
            jdbc.sql(OF)
                    .param("shop", shop.toString())
                    .param("vehicle", kind(vehicle))
                    .query(row -> {
                        all.computeIfAbsent(row.getString("fastener"), f -> new ArrayList<>())
                                .add(new Said(
                                        row.getLong("seq"),
                                        row.getString("raw"),
                                        new TorqueSpec(
                                                new Torque(row.getDouble("least")),
                                                new Torque(row.getDouble("most")),
                                                row.getDouble("angle"),
                                                TorqueSpec.Source.valueOf(row.getString("source")),
                                                row.getString("reference"))));
                    });
            return all;
        });
    }

    /** The newest figure of all, by which a reading tells what was known when it was taken. */
    long newest(UUID shop, VehicleFacts vehicle) {
        return of(shop, vehicle).values().stream()
                .flatMap(List::stream)
                .mapToLong(Said::seq)
                .max()
                .orElse(0);
    }

    void add(Person by, VehicleFacts vehicle, String fastener, String raw, TorqueSpec spec) {
        jdbc.sql(ADD)
                .param("shop", by.shop().toString())
                .param("vehicle", kind(vehicle))
                .param("fastener", fastener)
                .param("raw", raw)
                .param("least", spec.least().newtonMetres())
                .param("most", spec.most().newtonMetres())
                .param("angle", spec.angle())
                .param("source", spec.source().name())
                .param("reference", spec.reference())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** Vehicles that share their torques: of one name and kind; one without a name shares with none. */
    static String kind(VehicleFacts vehicle) {
        String name = vehicle.name().strip().toLowerCase(Locale.ROOT);
        if (name.isEmpty()) {
            return vehicle.id().toString();
        }
        return vehicle.kind() + " " + name.substring(0, Math.min(80, name.length()));
    }
}
