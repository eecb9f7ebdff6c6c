package abbex.app.workcard;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Person;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What one vehicle taught at a step, for the next of its kind. */
@Service
class Tips {
    private static final String OF = """
            select t.step, t.text, p.initials from step_tip t join person p on p.id = t.person_id
             where t.shop_id = :shop and t.vehicle = :vehicle order by t.seq
            """;

    private static final String ADD = """
            insert into step_tip (shop_id, client, vehicle, step, text, person_id, made_at)
            values (:shop, :client, :vehicle, :step, :text, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Clock clock;

    Tips(JdbcClient jdbc, Reads reads, Clock clock) {
        this.jdbc = jdbc;
        this.reads = reads;
        this.clock = clock;
    }

    /** A tip and who gave it. */
    public record Tip(String text, String initials) {}

    /** By the id of a step, wherever it is done; the first first. */
    Map<String, List<Tip>> of(UUID shop, VehicleFacts vehicle) {
        String kind = Specs.kind(vehicle);
        return reads.ofShop(shop, List.of(Tips.class, shop, kind), () -> {
            Map<String, List<Tip>> all = new HashMap<>();
            jdbc.sql(OF).param("shop", shop.toString()).param("vehicle", kind).query(row -> {
                all.computeIfAbsent(row.getString("step"), s -> new ArrayList<>())
                        .add(new Tip(row.getString("text"), row.getString("initials")));
            });
            return all;
        });
    }

    @Transactional
    void add(Person by, VehicleFacts vehicle, UUID client, String step, String text) {
        try {
            jdbc.sql(ADD)
                    .param("shop", by.shop().toString())
                    .param("client", client.toString())
                    .param("vehicle", Specs.kind(vehicle))
                    .param("step", step)
                    .param("text", text)
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        } catch (DuplicateKeyException twice) {
            // It stands already.
        }
    }
}
