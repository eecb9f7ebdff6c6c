package abbex.app.workcard;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Steps of a shop's own, each a file of its own; nothing is written over. */
@Service
class OwnSteps {
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Audit audit;

    OwnSteps(JdbcClient jdbc, Clock clock, Audit audit) {
        this.audit = audit;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** The files that count, by step, in the order in which their steps were first added. */
    Map<String, String> of(UUID shop) {
        Map<String, String> files = new LinkedHashMap<>();
        jdbc.sql("select step, body from own_step where shop_id = :shop order by seq")
                .param("shop", shop.toString())
                .query(row -> {
                    files.put(row.getString("step"), row.getString("body"));
                });
        files.values().removeIf(String::isEmpty);
        return files;
    }

    /** The newest row of a step: what was on the page that it is changed from; 0 for none. */
    long edition(UUID shop, String step) {
        return jdbc.sql("select coalesce(max(seq), 0) from own_step where shop_id = :shop and step = :step")
                .param("shop", shop.toString())
                .param("step", step)
                .query(Long.class)
                .single();
    }

    /**
     * Adds or changes a step.
     *
     * @param body its file; empty to take it away
     */
    @Transactional
    void put(Person by, UUID client, String step, String body) {
        try {
            jdbc.sql("""
                            insert into own_step (shop_id, client, step, body, person_id, made_at)
                            values (:shop, :client, :step, :body, :person, :at)
                            """)
                    .param("shop", by.shop().toString())
                    .param("client", client.toString())
                    .param("step", step)
                    .param("body", body)
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
            audit.add(by, Audit.What.STEPS_CHANGED, step);
        } catch (DuplicateKeyException twice) {
            // It stands already.
        }
    }

    /** Adds or changes several, all or none. */
    @Transactional
    void put(Person by, Map<String, String> bodies) {
        bodies.forEach((step, body) -> put(by, UUID.randomUUID(), step, body));
    }

    /** What would be the files with one of them changed. */
    List<String> with(UUID shop, String step, String body) {
        Map<String, String> files = of(shop);
        files.put(step, body);
        files.values().removeIf(String::isEmpty);
        return new ArrayList<>(files.values());
    }
}
