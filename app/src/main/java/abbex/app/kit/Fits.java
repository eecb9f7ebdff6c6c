package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.kit.OwnFits;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.time.Clock;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** By how much more than printed kits came down in a shop, by name and kind of vehicle. */
@Component
class Fits {
    private static final String OF = """
            select job_id, end_of, more, standard from kit_fit
             where shop_id = :shop and name = :name and kind = :kind and job_id <> :job order by seq
            """;

    private static final String ADD = """
            insert into kit_fit (shop_id, job_id, name, kind, end_of, more, standard, made_at)
            values (:shop, :job, :name, :kind, :end, :more, :standard, :at)
            """;

    private static final String FORGET = """
            insert into kit_fit (shop_id, job_id, name, kind, end_of, more, standard, made_at)
            select distinct shop_id, job_id, name, kind, end_of, null, null, :at from kit_fit
             where shop_id = :shop and job_id = :job
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Clock clock;

    Fits(JdbcClient jdbc, Reads reads, Clock clock) {
        this.jdbc = jdbc;
        this.reads = reads;
        this.clock = clock;
    }

    /** What the shop's other stays tell of a kit. */
    PerEnd<OwnFits> of(Job job, String name) {
        if (name.isBlank()) {
            return PerEnd.of(end -> OwnFits.NONE);
        }
        return reads.ofShop(
                job.shop(),
                List.of(
                        Fits.class,
                        job.shop(),
                        job.id(),
                        key(name),
                        job.vehicle().kind()),
                () -> read(job, name));
    }

    private PerEnd<OwnFits> read(Job job, String name) {
        Map<End, Map<UUID, OwnFits.Fit>> fits = new HashMap<>();
        jdbc.sql(OF)
                .param("shop", job.shop().toString())
                .param("name", key(name))
                .param("kind", job.vehicle().kind().name())
                .param("job", job.id().toString())
                .query(row -> {
                    Map<UUID, OwnFits.Fit> of =
                            fits.computeIfAbsent(End.valueOf(row.getString("end_of")), e -> new LinkedHashMap<>());
                    UUID stay = UUID.fromString(row.getString("job_id"));
                    double more = row.getDouble("more");
                    if (row.wasNull()) {
                        of.remove(stay);
                    } else {
                        of.put(stay, new OwnFits.Fit(more, row.getDouble("standard")));
                    }
                });
        return PerEnd.of(
                end -> OwnFits.of(List.copyOf(fits.getOrDefault(end, Map.of()).values())));
    }

    /** Nothing that a stay told counts any more. */
    void forget(Job job) {
        jdbc.sql(FORGET)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** What a stay tells of an end. */
    void add(Job job, String name, End end, OwnFits.Fit fit) {
        jdbc.sql(ADD)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("name", key(name))
                .param("kind", job.vehicle().kind().name())
                .param("end", end.name())
                .param("more", fit.more())
                .param("standard", fit.standard())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
