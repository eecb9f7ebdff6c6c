package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Spot;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheets as they were handed over: frozen, each with its version, time and person. */
@Service
public class Handovers {
    private static final String OF_JOB = """
            select h.version, h.made_at, p.display_name, h.inputs, h.body
              from handed_over h join person p on p.id = h.person_id
             where h.shop_id = :shop and h.job_id = :job order by h.version
            """;

    private static final String FREEZE = """
            insert into handed_over (id, shop_id, job_id, version, made_at, person_id, inputs, body)
            values (:id, :shop, :job, :version, :at, :person, :inputs, :body)
            """;

    private final JdbcClient jdbc;

    Handovers(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A version as it left the shop.
     *
     * @param inputs what it was made from, a name and a text a line
     * @param body the page's fragment, as it was
     */
    public record Version(int number, Instant madeAt, String by, Map<String, String> inputs, String body) {}

    /** What changed between two makings of the sheet. */
    public record Change(String name, String was, String is) {}

    public List<Version> of(UUID shop, UUID job) {
        return jdbc.sql(OF_JOB)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> new Version(
                        row.getInt("version"),
                        Times.instant(row, "made_at"),
                        row.getString("display_name"),
                        parse(row.getString("inputs")),
                        row.getString("body")))
                .list();
    }

    /** Freezes the next version. Two at once: the second finds the version taken and is refused by the database. */
    @Transactional
    public int freeze(Person by, UUID job, Map<String, String> inputs, String body, Instant at) {
        int version = of(by.shop(), job).size() + 1;
        jdbc.sql(FREEZE)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("job", job.toString())
                .param("version", version)
                .param("at", Times.column(at))
                .param("person", by.id().toString())
                .param(
                        "inputs",
                        inputs.entrySet().stream()
                                .map(e -> e.getKey() + "\t" + e.getValue())
                                .collect(Collectors.joining("\n")))
                .param("body", body)
                .update();
        return version;
    }

    /** Everything that goes into the sheet, by name, as typed. */
    static Map<String, String> inputs(Job job, JobSheets sheets) {
        Map<String, String> inputs = new LinkedHashMap<>();
        inputs.put("vehicle", line(job.vehicle().plate() + ", " + job.vehicle().name()));
        inputs.put("kit", line(job.kit()));
        inputs.put("odometer", line(job.odometer()));
        job.promises().forEach((end, promise) -> inputs.put("advertised " + end.code(), line(promise.text())));
        job.vehicle()
                .measures()
                .forEach((measure, measured) -> inputs.put(
                        measure.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '), line(measured.raw())));
        if (!job.vehicle().build().headAngle().isEmpty()) {
            inputs.put("head angle", line(job.vehicle().build().headAngle()));
        }
        SheetData newest = sheets.newest().orElse(null);
        sheets.sheets().forEach(sheet -> {
            String stage = sheet.row().first()
                    ? "before"
                    : sheet == newest ? "now" : "sheet " + sheet.row().seq();
            sheet.heights()
                    .everything()
                    .forEach(height -> inputs.put(
                            stage + " " + name(height.spot()),
                            height.readings().stream()
                                    .map(r -> line(r.tape().raw().strip()) + " (" + r.who() + ")")
                                    .collect(Collectors.joining(" and "))));
            sheet.state().forEach((item, text) -> {
                if (!text.isEmpty()) {
                    inputs.put(
                            stage + " "
                                    + item.toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                            line(text));
                }
            });
        });
        return inputs;
    }

    /** The place and what is measured there: by its code, or by the name that the shop gave it. */
    private static String name(Spot spot) {
        return spot.way() instanceof PointMethod own && own.named()
                ? spot.place().code() + " " + line(own.name())
                : spot.code().replace('.', ' ');
    }

    static List<Change> changes(Map<String, String> was, Map<String, String> is) {
        List<Change> changes = new ArrayList<>();
        Map<String, String> all = new LinkedHashMap<>(was);
        is.forEach(all::putIfAbsent);
        all.keySet().stream().sorted().forEach(name -> {
            String before = Optional.ofNullable(was.get(name)).orElse("—");
            String after = Optional.ofNullable(is.get(name)).orElse("—");
            if (!before.equals(after)) {
                changes.add(new Change(name, before, after));
            }
        });
        return changes;
    }

    private static String line(String text) {
        return text.replaceAll("\\s+", " ");
    }

    private static Map<String, String> parse(String inputs) {
        Map<String, String> parsed = new LinkedHashMap<>();
        inputs.lines().forEach(l -> {
            int tab = l.indexOf('\t');
            parsed.put(l.substring(0, tab), l.substring(tab + 1));
        });
        return parsed;
    }
}
