package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.store.Reads;
import abbex.core.parts.BillLine;
import abbex.core.parts.PartEvent;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** All that was said and measured of a stay's parts, asked for at once. */
@Component
class PartRows {
    private static final String ROWS = """
            select 'SAID' kind, e.seq, e.line, e.what, e.due, e.text, e.pieces, e.price, e.freight, p.initials, 0e0 value
              from part_entry e join person p on p.id = e.person_id
             where e.shop_id = :shop and e.job_id = :job
             union all
            select 'MEASURED', f.seq, f.line, f.figure, null, f.raw, 0, null, null, '', f.value
              from part_figure f where f.shop_id = :shop and f.job_id = :job
             order by kind, seq
            """;

    private final JdbcClient jdbc;
    private final Reads reads;

    PartRows(JdbcClient jdbc, Reads reads) {
        this.jdbc = jdbc;
        this.reads = reads;
    }

    /**
     * What is written.
     *
     * @param entries what was said, in order
     * @param figures what was measured of each line, as it stands
     */
    record Told(List<PartLog.Entry> entries, Map<String, Map<OldNewLog.Figure, OldNewLog.Told>> figures) {}

    /** Kept while nothing of the vehicle is written. */
    Told of(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(PartRows.class, job.shop(), job.id()), () -> read(job));
    }

    /** Read afresh, for what is written is counted from it. */
    Told read(Job job) {
        Told told = new Told(new ArrayList<>(), new HashMap<>());
        jdbc.sql(ROWS)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query(row -> {
                    if (row.getString("kind").equals("SAID")) {
                        told.entries().add(entry(row));
                    } else {
                        measured(row, told.figures());
                    }
                });
        return told;
    }

    private static PartLog.Entry entry(ResultSet row) throws SQLException {
        PartLog.What what = PartLog.What.valueOf(row.getString("what"));
        String line = row.getString("line");
        Optional<LocalDate> due = Optional.ofNullable(row.getObject("due", LocalDate.class));
        String text = row.getString("text");
        PartEvent event = switch (what) {
            case ASKED -> new PartEvent.Asked(line, due);
            case HERE -> new PartEvent.Arrived(line);
            case NOT_NEEDED -> new PartEvent.NotNeeded(line);
            case REOPENED -> new PartEvent.Reopened(line);
            case NOTED -> new PartEvent.Noted(line, facts(row, text));
            case LISTED, ADDED -> new PartEvent.Added(line, text, row.getInt("pieces"), what == PartLog.What.LISTED);
        };
        return new PartLog.Entry(event, what, text, row.getString("initials"));
    }

    private static BillLine.Facts facts(ResultSet row, String number) throws SQLException {
        return new BillLine.Facts(
                number,
                Optional.ofNullable(row.getBigDecimal("price")),
                Optional.ofNullable(row.getBigDecimal("freight")));
    }

    private static void measured(ResultSet row, Map<String, Map<OldNewLog.Figure, OldNewLog.Told>> figures)
            throws SQLException {
        Map<OldNewLog.Figure, OldNewLog.Told> line =
                figures.computeIfAbsent(row.getString("line"), k -> new EnumMap<>(OldNewLog.Figure.class));
        OldNewLog.Figure figure = OldNewLog.Figure.valueOf(row.getString("what"));
        if (row.getString("text").isEmpty()) {
            line.remove(figure);
        } else {
            line.put(figure, new OldNewLog.Told(row.getString("text"), row.getDouble("value")));
        }
    }
}
