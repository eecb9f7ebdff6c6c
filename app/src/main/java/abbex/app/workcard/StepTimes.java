package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Pace;
import abbex.core.workcard.StepTime;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How long steps take in a shop, by kind of vehicle: learned from when each was ticked. */
@Component
class StepTimes {
    private static final double MS_PER_MINUTE = 60_000;

    private static final String SUMS = """
            select step, n, total, squares from step_time_sum where shop_id = :shop and kind = :kind
            """;

    private static final String BEFORE = """
            select max(made_at) last from card_entry
             where shop_id = :shop and job_id = :job and person_id = :person and made_at < :at
            """;

    private static final String ADD = """
            insert ignore into step_time (shop_id, job_id, kind, step, step_key, minutes, aside, person_id, made_at)
            values (:shop, :job, :kind, :step, :key, :minutes, :aside, :person, :at)
            """;

    private static final String SUM = """
            insert into step_time_sum (shop_id, kind, step, n, total, squares)
            values (:shop, :kind, :step, 1, :minutes, :minutes * :minutes)
            on duplicate key update n = n + 1, total = total + :minutes, squares = squares + :minutes * :minutes
            """;

    private record Of(UUID shop, VehicleKind kind) {}

    private final JdbcClient jdbc;
    /** What one more job teaches may wait a minute. */
    private final Cache<Of, Pace> paces = Caffeine.newBuilder()
            .maximumSize(200)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    StepTimes(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Pace pace(Job job) {
        return paces.get(new Of(job.shop(), job.vehicle().kind()), this::read);
    }

    private Pace read(Of of) {
        Map<String, StepTime> steps = new HashMap<>();
        jdbc.sql(SUMS)
                .param("shop", of.shop().toString())
                .param("kind", of.kind().name())
                .query(row -> {
                    steps.put(
                            row.getString("step"),
                            new StepTime(row.getInt("n"), row.getDouble("total"), row.getDouble("squares")));
                });
        return new Pace(steps);
    }

    /** A step as the shop works it. */
    record Seen(VehicleKind kind, String step, StepTime time) {}

    /** The steps that were seen most often. */
    List<Seen> seen(UUID shop) {
        return jdbc.sql("""
                        select kind, step, n, total, squares from step_time_sum
                         where shop_id = :shop order by n desc, kind, step limit 40
                        """)
                .param("shop", shop.toString())
                .query((row, n) -> new Seen(
                        VehicleKind.valueOf(row.getString("kind")),
                        row.getString("step"),
                        new StepTime(row.getInt("n"), row.getDouble("total"), row.getDouble("squares"))))
                .list();
    }

    /** What was set aside, by whose hand on which job. */
    record Aside(UUID job, String step, double minutes, String initials, Instant at) {}

    /** The newest of them. */
    List<Aside> aside(UUID shop) {
        return jdbc.sql("""
                        select t.job_id, t.step, t.minutes, t.made_at, p.initials
                          from step_time t join person p on p.id = t.person_id
                         where t.shop_id = :shop and t.aside order by t.seq desc limit 10
                        """)
                .param("shop", shop.toString())
                .query((row, n) -> new Aside(
                        Ids.id(row, "job_id"),
                        row.getString("step"),
                        row.getDouble("minutes"),
                        row.getString("initials"),
                        Times.instant(row, "made_at")))
                .list();
    }

    /** A step was ticked: the time since the person's last word on this card is its own. */
    void ticked(Person by, Job job, CardStep step, Instant at) {
        Optional<Instant> before = jdbc.sql(BEFORE)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("person", by.id().toString())
                .param("at", Times.column(at))
                .query((row, n) -> row.getObject("last") == null
                        ? Optional.<Instant>empty()
                        : Optional.of(Times.instant(row, "last")))
                .single();
        if (before.isEmpty()) {
            return;
        }
        double minutes = Duration.between(before.get(), at).toMillis() / MS_PER_MINUTE;
        boolean aside = StepTime.aside(minutes, step.step().minutes());
        int added = jdbc.sql(ADD)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("kind", job.vehicle().kind().name())
                .param("step", step.step().id())
                .param("key", step.key())
                .param("minutes", minutes)
                .param("aside", aside)
                .param("person", by.id().toString())
                .param("at", Times.column(at))
                .update();
        if (added == 1 && !aside) {
            jdbc.sql(SUM)
                    .param("shop", job.shop().toString())
                    .param("kind", job.vehicle().kind().name())
                    .param("step", step.step().id())
                    .param("minutes", minutes)
                    .update();
        }
    }
}
