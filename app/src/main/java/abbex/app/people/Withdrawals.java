package abbex.app.people;

import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Rows that count no more, of whatever table: who said so and when. Appended only. Whoever reads a table that rows are
 * withdrawn from leaves out those that have a row here.
 */
@Service
public class Withdrawals {
    private static final String ADD = """
            insert into withdrawal (id, shop_id, vehicle_id, of_id, person_id, made_at)
            values (:id, :shop, :vehicle, :of, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final Audit audit;

    Withdrawals(JdbcClient jdbc, Clock clock, Audit audit) {
        this.audit = audit;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * From now on the row counts no more.
     *
     * @param vehicle that it belongs to; null when it is the shop's
     * @param of the row's id; a row of another shop is not touched by it
     * @param what how the record calls it
     * @param detail the vehicle's plate, or what else says which one it was
     */
    @Transactional
    public void add(Person by, @Nullable UUID vehicle, UUID of, Audit.What what, String detail) {
        jdbc.sql(ADD)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", Ids.text(vehicle))
                .param("of", of.toString())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(by, what, detail);
    }
}
