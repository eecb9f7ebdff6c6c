package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.people.Person;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which tools a shop has, and which it hires or borrows for one stay. */
@Component
class Tools {
    private static final String TOLD = """
            select t.tool, t.what, t.job_id from tool_entry t where t.shop_id = :shop order by t.seq
            """;

    private static final String TELL = """
            insert into tool_entry (shop_id, job_id, tool, what, person_id, made_at)
            values (:shop, :job, :tool, :what, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Clock clock;

    Tools(JdbcClient jdbc, Reads reads, Clock clock) {
        this.jdbc = jdbc;
        this.reads = reads;
        this.clock = clock;
    }

    /** Where a tool comes from. */
    enum From {
        /** Nobody has said. */
        OPEN,
        /** The shop has it, for every job. */
        HAVE,
        /** For this stay. */
        HIRE,
        BORROW
    }

    private record Row(String tool, From from, String job) {}

    /** What is told of tools, as far as it counts for a stay. */
    Map<String, From> of(Job job) {
        Map<String, From> told = new LinkedHashMap<>();
        rows(job).stream()
                .filter(row -> row.from() == From.HAVE
                        || row.from() == From.OPEN
                        || row.job().equals(job.id().toString()))
                .forEach(row -> told.put(row.tool(), row.from()));
        return told;
    }

    private List<Row> rows(Job job) {
        return reads.ofShop(
                job.shop(),
                List.of(Tools.class, job.shop()),
                () -> jdbc.sql(TOLD)
                        .param("shop", job.shop().toString())
                        .query((row, n) -> new Row(
                                row.getString("tool"), From.valueOf(row.getString("what")), row.getString("job_id")))
                        .list());
    }

    void tell(Person by, Job job, String tool, From from) {
        if (of(job).getOrDefault(tool, From.OPEN) != from) {
            jdbc.sql(TELL)
                    .param("shop", job.shop().toString())
                    .param("job", job.id().toString())
                    .param("tool", tool)
                    .param("what", from.name())
                    .param("person", by.id().toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
        }
    }
}
