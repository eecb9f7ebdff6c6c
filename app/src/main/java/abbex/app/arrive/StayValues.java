package abbex.app.arrive;

import abbex.app.people.Person;
import abbex.app.store.Reads;
import abbex.app.store.TextColumn;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is told of a stay at a station that keeps texts by fields; append-only, of each field the newest counts. */
@Service
public class StayValues {
    private static final String VALUES = """
            select v.station, v.field, v.raw, v.seq from stay_value v
             where v.shop_id = :shop and v.job_id = :job order by v.seq
            """;

    private static final String TELL = """
            insert into stay_value (shop_id, job_id, station, field, raw, person_id, made_at)
            values (:shop, :job, :station, :field, :raw, :person, :at)
            """;

    private static final Told NOTHING = new Told(Map.of(), 0);

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Jobs jobs;
    private final Clock clock;

    StayValues(JdbcClient jdbc, Reads reads, Jobs jobs, Clock clock) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.jobs = jobs;
        this.clock = clock;
    }

    /** The stations that keep what is told so. */
    public enum Station {
        SET,
        ALIGN,
        LEFT,
        RETURN
    }

    /**
     * What is told.
     *
     * @param edition grows with each change
     */
    public record Told(Map<String, String> texts, long edition) {
        public String text(String field) {
            return texts.getOrDefault(field, "");
        }
    }

    /** What is told at a station as texts in somebody's own words. */
    public static TextColumn texts(JdbcClient jdbc, String name, Station station) {
        return new TextColumn(
                jdbc,
                name,
                "select seq id, raw text from stay_value where shop_id = :shop and job_id = :job and station = '"
                        + station + "'",
                "update stay_value set raw = :now where shop_id = :shop and seq = :id");
    }

    public Told told(Job job, Station station) {
        return reads.ofVehicle(
                        job.shop(),
                        job.vehicle().id(),
                        List.of(StayValues.class, job.shop(), job.id()),
                        () -> read(job))
                .getOrDefault(station, NOTHING);
    }

    /** Of every station at once: a page asks several. */
    private Map<Station, Told> read(Job job) {
        Map<Station, Told> all = new EnumMap<>(Station.class);
        jdbc.sql(VALUES)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query(row -> {
                    Station station = Station.valueOf(row.getString("station"));
                    Told before = all.getOrDefault(station, NOTHING);
                    Map<String, String> texts = new HashMap<>(before.texts());
                    texts.put(row.getString("field"), row.getString("raw"));
                    all.put(station, new Told(texts, row.getLong("seq")));
                });
        return all;
    }

    /** Keeps what differs from what stands; false, and nothing kept, when it was changed since the page was made. */
    @Transactional
    public boolean tell(Person by, Job job, Station station, Map<String, String> texts, Optional<Integer> from) {
        jobs.hold(job);
        Told standing = told(job, station);
        if (from.isPresent() && from.get() != standing.edition()) {
            return false;
        }
        texts.forEach((field, raw) -> {
            if (!raw.equals(standing.text(field))) {
                jdbc.sql(TELL)
                        .param("shop", job.shop().toString())
                        .param("job", job.id().toString())
                        .param("station", station.name())
                        .param("field", field)
                        .param("raw", raw)
                        .param("person", by.id().toString())
                        .param("at", Times.column(clock.instant()))
                        .update();
            }
        });
        return true;
    }
}
