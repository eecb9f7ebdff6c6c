package abbex.app.memory;

import abbex.app.arrive.Job;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.TextColumn;
import abbex.app.store.Times;
import abbex.core.settling.Bins;
import abbex.core.vehicle.VehicleKind;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What handed-over stays told of their kits, counted in bins: the public service of the package. */
@Service
public class Memory {
    private static final String BINS = """
            select what, bin, n from memory_bin
             where shop_id = :shop and kit_key = :kit and kind = :kind and n > 0 order by what, bin
            """;

    private static final String KITS = """
            select kit_key, kind, sum(n) n from memory_bin
             where shop_id = :shop and what = 'STAYS' group by kit_key, kind having sum(n) > 0
             order by sum(n) desc, kit_key limit 200
            """;

    private static final String COUNT = """
            insert into memory_bin (shop_id, kit_key, kind, what, bin, n)
            select shop_id, kit_key, kind, what, round(value / :width), :by from memory_seen
             where shop_id = :shop and job_id = :job
                on duplicate key update n = memory_bin.n + :by
            """;

    private static final String ADD = """
            insert into memory_seen (shop_id, job_id, kit_key, kind, what, value, made_at)
            values (:shop, :job, :kit, :kind, :what, :value, :at)
            """;

    private static final String STRUCK = """
            select s.id, s.job_id, s.reason, p.initials, s.made_at from memory_struck s
              join person p on p.id = s.person_id
             where s.shop_id = :shop and s.job_id = :job
               and not exists (select 1 from withdrawal w where w.shop_id = s.shop_id and w.of_id = s.id)
            """;

    private static final String STRIKE = """
            insert into memory_struck (id, shop_id, job_id, reason, person_id, made_at)
            values (:id, :shop, :job, :reason, :person, :at)
            """;

    private static final String NEWEST = """
            select job_id from memory_seen
             where shop_id = :shop and kit_key = :kit and kind = :kind and what = 'STAYS' order by seq desc limit 20
            """;

    private static final String OF_JOB = "select what, value from memory_seen where shop_id = :shop and job_id = :job";

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Clock clock;
    private final Withdrawals withdrawals;
    private final Audit audit;

    Memory(JdbcClient jdbc, Reads reads, Clock clock, Withdrawals withdrawals, Audit audit) {
        this.jdbc = jdbc;
        this.reads = reads;
        this.clock = clock;
        this.withdrawals = withdrawals;
        this.audit = audit;
    }

    /** A kit on a kind of vehicle. */
    public record Kit(String key, VehicleKind kind) {}

    /** A kit and how many stays told of it. */
    public record Counted(Kit kit, int stays) {}

    /** A stay that does not count. */
    public record Struck(UUID id, UUID job, String reason, String by, Instant at) {}

    /** What names a kit: case and blanks do not matter. */
    public static String key(String name) {
        String key = name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        return key.length() > 120 ? key.substring(0, 120) : key;
    }

    public List<Counted> kits(UUID shop) {
        return jdbc.sql(KITS)
                .param("shop", shop.toString())
                .query((row, n) -> new Counted(
                        new Kit(row.getString("kit_key"), VehicleKind.valueOf(row.getString("kind"))), row.getInt("n")))
                .list();
    }

    /** What was counted of a kit, by what it is. */
    public Map<String, Bins> of(UUID shop, Kit kit) {
        return reads.ofShop(shop, List.of(Memory.class, shop, kit), () -> read(shop, kit));
    }

    private Map<String, Bins> read(UUID shop, Kit kit) {
        Map<String, Map<Integer, Integer>> all = new TreeMap<>();
        jdbc.sql(BINS)
                .param("shop", shop.toString())
                .param("kit", kit.key())
                .param("kind", kit.kind().name())
                .query(row -> {
                    all.computeIfAbsent(row.getString("what"), w -> new TreeMap<>())
                            .put(row.getInt("bin"), row.getInt("n"));
                });
        Map<String, Bins> bins = new TreeMap<>();
        all.forEach((what, counts) -> bins.put(what, new Bins(counts)));
        return bins;
    }

    /** What a stay told; empty where it told nothing. */
    public Map<String, Double> told(UUID shop, UUID job) {
        Map<String, Double> told = new TreeMap<>();
        jdbc.sql(OF_JOB)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query(row -> {
                    told.put(row.getString("what"), row.getDouble("value"));
                });
        return told;
    }

    /** The newest stays that told of a kit. */
    public List<UUID> newest(UUID shop, Kit kit) {
        return jdbc
                .sql(NEWEST)
                .param("shop", shop.toString())
                .param("kit", kit.key())
                .param("kind", kit.kind().name())
                .query(String.class)
                .list()
                .stream()
                .map(UUID::fromString)
                .toList();
    }

    /** What a stay tells from now on, instead of what it told before. */
    @Transactional
    public void learn(Job job, String kit, Map<String, Double> values) {
        forget(job);
        if (key(kit).isEmpty() || values.isEmpty()) {
            return;
        }
        Map<String, Double> all = new TreeMap<>(values);
        all.put("STAYS", 0.0);
        List<Map.Entry<String, Double>> rows = new ArrayList<>(all.entrySet());
        rows.forEach(value -> jdbc.sql(ADD)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("kit", key(kit))
                .param("kind", job.vehicle().kind().name())
                .param("what", value.getKey())
                .param("value", value.getValue())
                .param("at", Times.column(clock.instant()))
                .update());
        if (struck(job.shop(), job.id()).isEmpty()) {
            count(job.shop(), job.id(), 1);
        }
    }

    /** Nothing that a stay told counts any more. */
    @Transactional
    public void forget(Job job) {
        if (struck(job.shop(), job.id()).isEmpty()) {
            count(job.shop(), job.id(), -1);
        }
        jdbc.sql("delete from memory_seen where shop_id = :shop and job_id = :job")
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .update();
    }

    private void count(UUID shop, UUID job, int by) {
        jdbc.sql(COUNT)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .param("width", Bins.WIDTH)
                .param("by", by)
                .update();
    }

    public Optional<Struck> struck(UUID shop, UUID job) {
        return jdbc
                .sql(STRUCK)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> new Struck(
                        Ids.id(row, "id"),
                        Ids.id(row, "job_id"),
                        row.getString("reason"),
                        row.getString("initials"),
                        Times.instant(row, "made_at")))
                .list()
                .stream()
                .findFirst();
    }

    /** From now on a stay does not count, for a reason; nothing when it did not anyway. */
    @Transactional
    public void strike(Person by, Job job, String reason) {
        if (struck(job.shop(), job.id()).isPresent()) {
            return;
        }
        count(job.shop(), job.id(), -1);
        jdbc.sql(STRIKE)
                .param("id", Ids.fresh().toString())
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("reason", reason)
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(by, Audit.What.MEMORY_STRUCK, job.vehicle().plate());
    }

    /** It counts again. */
    @Transactional
    public void putBack(Person by, Job job) {
        struck(job.shop(), job.id()).ifPresent(struck -> {
            withdrawals.add(
                    by,
                    null,
                    struck.id(),
                    Audit.What.MEMORY_PUT_BACK,
                    job.vehicle().plate());
            count(job.shop(), job.id(), 1);
        });
    }

    /** Reasons are in somebody's own words. */
    @Configuration
    static class Texts {
        @Bean
        TextColumn memoryReasons(JdbcClient jdbc) {
            return new TextColumn(
                    jdbc,
                    "memory",
                    "select id, reason text from memory_struck where shop_id = :shop and job_id = :job",
                    "update memory_struck set reason = :now where shop_id = :shop and id = :id");
        }
    }
}
