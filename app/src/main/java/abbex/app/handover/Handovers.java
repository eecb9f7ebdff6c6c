package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.facts.Fact;
import abbex.app.facts.Fact.Kind;
import abbex.app.facts.Facts;
import abbex.app.measure.JobSheets;
import abbex.app.measure.SheetData;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheets as they were handed over: frozen, each with its version, time and person. */
@Service
public class Handovers {
    private static final String OF_JOB = """
            select h.version, h.made_at, p.display_name, h.facts, h.body
              from handed_over h join person p on p.id = h.person_id
             where h.shop_id = :shop and h.job_id = :job order by h.version
            """;

    private static final String FREEZE = """
            insert into handed_over (id, shop_id, job_id, version, made_at, person_id, facts, body)
            values (:id, :shop, :job, :version, :at, :person, :facts, :body)
            """;

    private final JdbcClient jdbc;

    Handovers(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A version as it left the shop.
     *
     * @param facts what it was made from
     * @param body the page's fragment, as it was
     */
    public record Version(int number, Instant madeAt, String by, Facts facts, String body) {}

    public List<Version> of(UUID shop, UUID job) {
        return jdbc.sql(OF_JOB)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> new Version(
                        row.getInt("version"),
                        Times.instant(row, "made_at"),
                        row.getString("display_name"),
                        Facts.parse(row.getString("facts")),
                        row.getString("body")))
                .list();
    }

    /** Freezes the next version. Two at once: the second finds the version taken and is refused by the database. */
    @Transactional
    public int freeze(Person by, UUID job, Facts facts, String body, Instant at) {
        int version = of(by.shop(), job).size() + 1;
        jdbc.sql(FREEZE)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("job", job.toString())
                .param("version", version)
                .param("at", Times.column(at))
                .param("person", by.id().toString())
                .param("facts", facts.stored())
                .param("body", body)
                .update();
        return version;
    }

    /** What job, vehicle and sheets bring to it. */
    static List<Fact> facts(Job job, JobSheets sheets) {
        List<Fact> facts = new ArrayList<>();
        facts.add(Fact.of(
                Kind.VEHICLE,
                List.of(),
                Fact.line(job.vehicle().plate()),
                Fact.line(job.vehicle().name())));
        facts.add(Fact.of(Kind.KIT, List.of(), Fact.line(job.kit())));
        facts.add(Fact.of(Kind.ODOMETER, List.of(), Fact.line(job.odometer())));
        job.promises()
                .forEach((place, promise) -> facts.add(Fact.of(
                        Kind.ADVERTISED,
                        List.of(place.code()),
                        Fact.line(
                                promise.range().single()
                                        ? promise.leastRaw()
                                        : promise.leastRaw() + " – " + promise.mostRaw()))));
        job.vehicle()
                .measures()
                .forEach((measure, measured) ->
                        facts.add(Fact.of(Kind.MEASURE, List.of(measure.name()), Fact.line(measured.raw()))));
        if (!job.vehicle().build().headAngle().isEmpty()) {
            facts.add(Fact.of(
                    Kind.HEAD_ANGLE, List.of(), Fact.line(job.vehicle().build().headAngle())));
        }
        sheets.sheets().forEach(sheet -> facts.addAll(facts(sheet)));
        return facts;
    }

    private static List<Fact> facts(SheetData sheet) {
        String seq = Integer.toString(sheet.row().seq());
        List<Fact> facts = new ArrayList<>();
        facts.add(Fact.of(Kind.STAGE, List.of(seq), sheet.stage().name()));
        sheet.heights().everything().forEach(height -> {
            List<String> says = new ArrayList<>();
            height.readings()
                    .forEach(r -> says.addAll(List.of(Fact.line(r.tape().raw()), r.who())));
            facts.add(reading(seq, height.spot(), says));
        });
        sheet.state().forEach((item, text) -> {
            if (!text.isEmpty()) {
                sheet.fact(item).ifPresent(kind -> facts.add(state(kind, seq, item, Fact.line(text))));
            }
        });
        return facts;
    }

    /** A height by the code of what is measured there, or by the name that the shop gave it. */
    private static Fact reading(String seq, MeasuringPoint spot, List<String> says) {
        boolean own = spot.way() instanceof PointMethod point && point.named();
        return own
                ? new Fact(
                        Kind.OWN_READING,
                        List.of(seq, spot.place().code(), Fact.line(((PointMethod) spot.way()).name())),
                        says)
                : new Fact(
                        Kind.READING,
                        List.of(seq, spot.place().code(), spot.way().code()),
                        says);
    }

    private static Fact state(Kind kind, String seq, String item, String text) {
        return switch (kind) {
            case PRESSURE -> Fact.of(kind, List.of(seq, SheetData.wheel(item)), text);
            case STAND_IN -> Fact.of(kind, List.of(seq), text);
            default -> Fact.of(kind, List.of(seq, item), text);
        };
    }
}
