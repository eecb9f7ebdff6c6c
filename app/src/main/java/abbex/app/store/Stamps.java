package abbex.app.store;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * How often something was written, as the database counts it by its own triggers: what was read under a stamp is true for
 * as long as the stamp stands, whichever process wrote. Asked before what it stands for is read.
 */
@Component
class Stamps {
    private static final String OF_JOB =
            "select vehicle_id, vehicle, shop, repeats from vehicle_stamp where shop_id = :shop and job_id = :job";

    private static final String OF_VEHICLE = """
            select vehicle_id, vehicle, shop, repeats from vehicle_stamp
             where shop_id = :shop and vehicle_id = :vehicle limit 1
            """;

    private static final String OF_SHOP = """
            select coalesce(sum(if(what = '', n, 0)), 0) shop, coalesce(sum(if(what = 'repeats', n, 0)), 0) repeats
              from stamp where of_id = :shop
            """;

    /**
     * Of a vehicle with its stays and sheets.
     *
     * @param vehicle grows with whatever is written of it
     * @param shop grows with what the shop's lead sets and with its people
     */
    record Stamp(UUID id, long vehicle, OfShop shop) {}

    /**
     * Of what a shop set.
     *
     * @param repeats grows with readings of a place that another person read too, by one for every sixteen: few more tell next
     *     to nothing of how well a shop reads, and are read over all of its sheets
     */
    record OfShop(long set, long repeats) {}

    private static final long FEW = 16;

    private final JdbcClient jdbc;

    Stamps(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Of the vehicle of a stay; empty when the shop has no such stay. */
    Optional<Stamp> ofJob(UUID shop, UUID job) {
        return stamp(jdbc.sql(OF_JOB).param("shop", shop.toString()).param("job", job.toString()));
    }

    /** Empty when the vehicle was never here. */
    Optional<Stamp> ofVehicle(UUID shop, UUID vehicle) {
        return stamp(jdbc.sql(OF_VEHICLE).param("shop", shop.toString()).param("vehicle", vehicle.toString()));
    }

    OfShop ofShop(UUID shop) {
        return jdbc.sql(OF_SHOP)
                .param("shop", shop.toString())
                .query((row, n) -> new OfShop(row.getLong("shop"), row.getLong("repeats") / FEW))
                .single();
    }

    /** Of where a shop's stays can be found by: grows with whatever is written of a stay or a vehicle. */
    long ofFinds(UUID shop) {
        return jdbc.sql("select n from stamp where of_id = :shop and what = 'finds'")
                .param("shop", shop.toString())
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    private static Optional<Stamp> stamp(JdbcClient.StatementSpec statement) {
        return statement
                .query((row, n) -> new Stamp(
                        Ids.id(row, "vehicle_id"),
                        row.getLong("vehicle"),
                        new OfShop(row.getLong("shop"), row.getLong("repeats") / FEW)))
                .optional();
    }
}
