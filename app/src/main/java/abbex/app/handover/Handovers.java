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
import abbex.core.verdict.JobVerdict.Answer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheets as they were handed over: frozen, each with its version, time and person. */
@Service
public class Handovers {
    private static final String OF_JOB = """
            select h.id, h.version, h.made_at, p.display_name, h.facts, h.body, h.was_place, h.was_bay, h.was_holder,
                   h.was_due, exists (select 1 from sheet_printed s where s.handed_over_id = h.id) printed
              from handed_over h join person p on p.id = h.person_id
             where h.shop_id = :shop and h.job_id = :job
               and not exists (select 1 from withdrawal w where w.shop_id = h.shop_id and w.of_id = h.id)
             order by h.version
            """;

    private static final String NEXT =
            "select coalesce(max(version), 0) + 1 from handed_over where shop_id = :shop and job_id = :job";

    private static final String FREEZE = """
            insert into handed_over (id, shop_id, job_id, version, made_at, person_id, facts, body, was_place, was_bay,
                                     was_holder, was_due)
            values (:id, :shop, :job, :version, :at, :person, :facts, :body, :place, :bay, :holder, :due)
            """;

    private static final String ANSWER = """
            insert into hand_over_answer (id, shop_id, handed_over_id, item, answer, reason)
            values (:id, :shop, :of, :item, :answer, :reason)
            """;

    /** The newest last, those of what was taken back too. */
    private static final String ANSWERS = """
            select a.item, a.answer, a.reason from hand_over_answer a join handed_over h on h.id = a.handed_over_id
             where h.shop_id = :shop and h.job_id = :job order by h.version
            """;

    private static final String PRINTED = """
            insert into sheet_printed (id, shop_id, handed_over_id, person_id, made_at)
            values (:id, :shop, :of, :person, :at)
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
     * @param before where the vehicle stood; null where that is not known
     * @param printed it went to paper
     */
    public record Version(
            UUID id,
            int number,
            Instant madeAt,
            String by,
            Facts facts,
            String body,
            @Nullable Before before,
            boolean printed) {}

    /** Where a vehicle stood before it was handed over, who held it and when it was to be back. */
    public record Before(
            Job.Where where,
            @Nullable UUID holder,
            @Nullable LocalDate due) {}

    /** How somebody answered for something that was found. */
    public record Given(Answer answer, String reason) {}

    /** Every version that left, but those that were taken back: their numbers are not given again. */
    public List<Version> of(UUID shop, UUID job) {
        return jdbc.sql(OF_JOB)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> new Version(
                        Ids.id(row, "id"),
                        row.getInt("version"),
                        Times.instant(row, "made_at"),
                        row.getString("display_name"),
                        Facts.parse(row.getString("facts")),
                        row.getString("body"),
                        before(row),
                        row.getBoolean("printed")))
                .list();
    }

    private static @Nullable Before before(ResultSet row) throws SQLException {
        String place = row.getString("was_place");
        String holder = row.getString("was_holder");
        return place == null
                ? null
                : new Before(
                        new Job.Where(Job.Place.valueOf(place), row.getString("was_bay")),
                        holder == null ? null : UUID.fromString(holder),
                        row.getObject("was_due", LocalDate.class));
    }

    /** The newest answer to each thing that was ever answered for, by its key. */
    public Map<String, Given> answers(UUID shop, UUID job) {
        Map<String, Given> answers = new HashMap<>();
        jdbc.sql(ANSWERS)
                .param("shop", shop.toString())
                .param("job", job.toString())
                .query((row, n) -> answers.put(
                        row.getString("item"),
                        new Given(Answer.valueOf(row.getString("answer")), row.getString("reason"))))
                .list();
        return answers;
    }

    /**
     * Freezes the next version. Two at once: the second finds the version taken and is refused by the database.
     *
     * @param answers by the key of what they answer
     */
    @Transactional
    public int freeze(Person by, Job job, Facts facts, String body, Map<String, Given> answers, Instant at) {
        int version = jdbc.sql(NEXT)
                .param("shop", by.shop().toString())
                .param("job", job.id().toString())
                .query(Integer.class)
                .single();
        String id = Ids.fresh().toString();
        jdbc.sql(FREEZE)
                .param("id", id)
                .param("shop", by.shop().toString())
                .param("job", job.id().toString())
                .param("version", version)
                .param("at", Times.column(at))
                .param("person", by.id().toString())
                .param("facts", facts.stored())
                .param("body", body)
                .param("place", job.where().place().name())
                .param("bay", job.where().bay())
                .param("holder", Ids.text(job.holder()))
                .param("due", job.dueBack())
                .update();
        answers.forEach((item, given) -> jdbc.sql(ANSWER)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("of", id)
                .param("item", item)
                .param("answer", given.answer().name())
                .param("reason", given.reason())
                .update());
        return version;
    }

    /** A version went to paper. */
    void printed(Person by, Version version, Instant at) {
        jdbc.sql(PRINTED)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("of", version.id().toString())
                .param("person", by.id().toString())
                .param("at", Times.column(at))
                .update();
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
