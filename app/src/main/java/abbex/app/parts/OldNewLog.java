package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.people.Person;
import abbex.app.store.Times;
import abbex.core.parts.Bill;
import abbex.core.parts.BillLine;
import abbex.core.parts.OldNew;
import abbex.core.parts.PartFigures;
import abbex.core.torque.ScrewThread;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was measured of parts that come off and of those that go on. */
@Component
class OldNewLog {
    private static final String TELL = """
            insert into part_figure (shop_id, job_id, line, figure, raw, value, person_id, made_at)
            values (:shop, :job, :line, :figure, :raw, :value, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final PartRows rows;
    private final Jobs jobs;
    private final Clock clock;

    OldNewLog(JdbcClient jdbc, PartRows rows, Jobs jobs, Clock clock) {
        this.jdbc = jdbc;
        this.rows = rows;
        this.jobs = jobs;
        this.clock = clock;
    }

    /** A figure of one of the two parts, or why the new one goes on although it differs. */
    enum Figure {
        OLD_LENGTH,
        NEW_LENGTH,
        OLD_BORE,
        NEW_BORE,
        OLD_BAR,
        NEW_BAR,
        OLD_THREAD,
        NEW_THREAD,
        OLD_SIDE,
        NEW_SIDE,
        BECAUSE;

        static Figure of(OldNew.Feature feature, boolean fresh) {
            return valueOf((fresh ? "NEW_" : "OLD_") + feature);
        }

        /** The name of its field. */
        String field() {
            String[] words = name().toLowerCase(Locale.ROOT).split("_");
            return words.length == 1
                    ? words[0]
                    : words[0] + words[1].substring(0, 1).toUpperCase(Locale.ROOT) + words[1].substring(1);
        }
    }

    /**
     * A figure as typed.
     *
     * @param value mm where it is a length
     */
    record Told(String raw, double value) {}

    /** What is told of each line. */
    Map<String, Map<Figure, Told>> of(Job job) {
        return rows.of(job).figures();
    }

    /** Writes down what changed of a line. */
    @Transactional
    void tell(Person by, Job job, String line, Map<Figure, Told> told) {
        jobs.hold(job);
        Map<Figure, Told> stands = rows.read(job).figures().getOrDefault(line, Map.of());
        for (Figure figure : Figure.values()) {
            Told is = told.getOrDefault(figure, new Told("", 0));
            if (!is.raw().equals(stands.getOrDefault(figure, new Told("", 0)).raw())) {
                jdbc.sql(TELL)
                        .param("shop", job.shop().toString())
                        .param("job", job.id().toString())
                        .param("line", line)
                        .param("figure", figure.name())
                        .param("raw", is.raw())
                        .param("value", is.value())
                        .param("person", by.id().toString())
                        .param("at", Times.column(clock.instant()))
                        .update();
            }
        }
    }

    /** The pairs of what is still on the bill. */
    List<OldNew> pairs(Job job, Bill bill) {
        Map<String, Map<Figure, Told>> all = of(job);
        return bill.lines().stream()
                .filter(line -> all.containsKey(line.key()))
                .map(line -> pair(line, all.getOrDefault(line.key(), Map.of())))
                .toList();
    }

    static OldNew pair(BillLine line, Map<Figure, Told> told) {
        return new OldNew(
                line.place(),
                line.kind(),
                line.own(),
                figures(told, false),
                figures(told, true),
                told.getOrDefault(Figure.BECAUSE, new Told("", 0)).raw());
    }

    private static PartFigures figures(Map<Figure, Told> told, boolean fresh) {
        return new PartFigures(
                length(told, Figure.of(OldNew.Feature.LENGTH, fresh)),
                length(told, Figure.of(OldNew.Feature.BORE, fresh)),
                length(told, Figure.of(OldNew.Feature.BAR, fresh)),
                raw(told, Figure.of(OldNew.Feature.THREAD, fresh)).flatMap(ScrewThread::read),
                raw(told, Figure.of(OldNew.Feature.SIDE, fresh))
                        .flatMap(side -> Arrays.stream(PartFigures.Side.values())
                                .filter(one -> one.name().equals(side))
                                .findFirst()));
    }

    private static OptionalDouble length(Map<Figure, Told> told, Figure figure) {
        Told one = told.get(figure);
        return one == null ? OptionalDouble.empty() : OptionalDouble.of(one.value());
    }

    private static Optional<String> raw(Map<Figure, Told> told, Figure figure) {
        return Optional.ofNullable(told.get(figure)).map(Told::raw);
    }
}
