package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was agreed with customers: when a vehicle comes, and by when it is promised. */
@Service
class Agreed {
    private static final String OF_JOBS = """
            select seq, job_id, comes, ready from agreed where shop_id = :shop and job_id in (:jobs) order by seq
            """;

    private static final String OF_JOB =
            "select seq, job_id, comes, ready from agreed where shop_id = :shop and job_id = :job order by seq desc limit 1";

    private static final String ADD = """
            insert into agreed (shop_id, job_id, comes, ready, person_id, made_at)
            values (:shop, :job, :comes, :ready, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Jobs jobs;
    private final Clock clock;

    Agreed(JdbcClient jdbc, Jobs jobs, Clock clock) {
        this.jdbc = jdbc;
        this.jobs = jobs;
        this.clock = clock;
    }

    /** What stands of a stay. */
    record Said(long edition, Optional<Instant> comes, Optional<Instant> ready) {
        static final Said NOTHING = new Said(0, Optional.empty(), Optional.empty());
    }

    /** Of several stays at once. */
    Map<UUID, Said> of(UUID shop, Collection<UUID> jobs) {
        Map<UUID, Said> all = new HashMap<>();
        if (!jobs.isEmpty()) {
            jdbc.sql(OF_JOBS)
                    .param("shop", shop.toString())
                    .param("jobs", jobs.stream().map(UUID::toString).toList())
                    .query(row -> {
                        all.put(Ids.id(row, "job_id"), said(row));
                    });
        }
        return all;
    }

    Said of(Job job) {
        return jdbc.sql(OF_JOB)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((row, n) -> said(row))
                .optional()
                .orElse(Said.NOTHING);
    }

    private static Said said(ResultSet row) throws SQLException {
        return new Said(row.getLong("seq"), maybe(row, "comes"), maybe(row, "ready"));
    }

    static Optional<Instant> maybe(ResultSet row, String column) throws SQLException {
        return row.getObject(column) == null ? Optional.empty() : Optional.of(Times.instant(row, column));
    }

    /** False, and nothing kept, where somebody else agreed something since. */
    @Transactional
    boolean agree(Person by, Job job, Optional<Instant> comes, Optional<Instant> ready, Optional<Integer> from) {
        jobs.hold(job);
        Said stands = of(job);
        if (from.isPresent() && from.get() != stands.edition()) {
            return false;
        }
        if (!stands.comes().equals(comes) || !stands.ready().equals(ready)) {
            jdbc.sql(ADD)
                    .param("shop", job.shop().toString())
                    .param("job", job.id().toString())
                    .param("comes", comes.map(Times::column).orElse(null))
                    .param("ready", ready.map(Times::column).orElse(null))
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        }
        return true;
    }
}
