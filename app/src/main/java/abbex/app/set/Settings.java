package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.measure.TurnedSince;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.heights.Method;
import abbex.core.setting.How;
import abbex.core.setting.Option;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was told of adjusters and wishes, and what was turned since. */
@Service
public class Settings implements TurnedSince {
    private static final String MOVES = """
            select m.id, m.sheet_id, m.method, m.heights, m.after_nr, m.moves, m.hows, m.said, m.made_at, p.initials
              from setting_move m join person p on p.id = m.person_id
             where m.shop_id = :shop and m.job_id = :job
               and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id)
             order by m.nr
            """;

    private static final String MOVE = """
            insert into setting_move (id, shop_id, job_id, sheet_id, method, heights, after_nr, moves, hows, said, person_id, made_at)
            values (:id, :shop, :job, :sheet, :method, :heights, :after, :moves, :hows, :said, :person, :at)
            """;

    private static final String LAST = """
            select coalesce(max(m.after_nr), 0) from setting_move m
             where m.shop_id = :shop and m.sheet_id = :sheet
               and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id)
            """;

    private final JdbcClient jdbc;
    private final Reads reads;
    private final Jobs jobs;
    private final Clock clock;
    private final Withdrawals withdrawals;
    private final StayValues values;

    Settings(JdbcClient jdbc, Reads reads, Jobs jobs, Clock clock, Withdrawals withdrawals, StayValues values) {
        this.values = values;
        this.reads = reads;
        this.jobs = jobs;
        this.jdbc = jdbc;
        this.clock = clock;
        this.withdrawals = withdrawals;
    }

    StayValues.Told told(Job job) {
        return values.told(job, StayValues.Station.SET);
    }

    /** Keeps what differs from what stands; false, and nothing kept, when it was changed since the page was made. */
    public boolean tell(Person by, Job job, Map<String, String> texts, Optional<Integer> from) {
        return values.tell(by, job, StayValues.Station.SET, texts, from);
    }

    /** A sheet as it was read before anything was turned on it: LF, RF, RR, LR, mm. */
    public record Turned(UUID sheet, Method method, double[] before) {}

    /** The sheets on which something was turned, in order, each once. */
    public List<Turned> turned(Job job) {
        Map<UUID, Turned> first = new LinkedHashMap<>();
        moves(job)
                .forEach(move -> first.putIfAbsent(
                        move.sheet(), new Turned(move.sheet(), Method.valueOf(move.method()), move.heights())));
        return List.copyOf(first.values());
    }

    /**
     * What was turned.
     *
     * @param heights before it, mm
     * @param afterNr the newest reading then
     * @param moves at the wheel as believed, mm
     * @param hows what was done at each corner
     * @param said the last entry of the sheet's state then; null where nobody knows
     */
    record Move(
            UUID id,
            UUID sheet,
            String method,
            double[] heights,
            long afterNr,
            double[] moves,
            List<How> hows,
            @Nullable Integer said,
            Instant at,
            String initials) {}

    List<Move> moves(Job job) {
        return reads.ofVehicle(
                job.shop(), job.vehicle().id(), List.of(Settings.class, job.shop(), job.id()), () -> read(job));
    }

    private List<Move> read(Job job) {
        return jdbc.sql(MOVES)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .query((row, n) -> new Move(
                        Ids.id(row, "id"),
                        Ids.id(row, "sheet_id"),
                        row.getString("method"),
                        numbers(row.getString("heights")),
                        row.getLong("after_nr"),
                        numbers(row.getString("moves")),
                        Stream.of(row.getString("hows").split(" "))
                                .map(Hows::of)
                                .toList(),
                        row.getObject("said", Integer.class),
                        Times.instant(row, "made_at"),
                        row.getString("initials")))
                .list();
    }

    /**
     * Keeps what was turned, once for a state: false when somebody else turned meanwhile.
     *
     * @param before how many moves stood when the page was made
     */
    @Transactional
    boolean turned(Person by, Job job, SetCase at, List<Option> chosen, int before) {
        jobs.hold(job);
        if (moves(job).size() != before) {
            return false;
        }
        jdbc.sql(MOVE)
                .param("id", Ids.fresh().toString())
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("sheet", at.sheet().id().toString())
                .param("method", at.method().name())
                .param("heights", text(at.now()))
                .param("after", at.newestReading())
                .param("moves", text(chosen.stream().mapToDouble(Option::move).toArray()))
                .param("hows", chosen.stream().map(o -> Hows.code(o.how())).collect(Collectors.joining(" ")))
                .param("said", at.said())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return true;
    }

    @Override
    public long lastBefore(UUID shop, UUID sheet) {
        return jdbc.sql(LAST)
                .param("shop", shop.toString())
                .param("sheet", sheet.toString())
                .query(Long.class)
                .single();
    }

    /** Takes the last one back. */
    @Transactional
    void takeBack(Person by, Job job, UUID move) {
        List<Move> all = moves(job);
        if (!all.isEmpty() && all.get(all.size() - 1).id().equals(move)) {
            withdrawals.add(
                    by,
                    job.vehicle().id(),
                    move,
                    Audit.What.SETTING_TAKEN_BACK,
                    job.vehicle().plate());
        }
    }

    private static double[] numbers(String text) {
        return Arrays.stream(text.split(" ")).mapToDouble(Double::parseDouble).toArray();
    }

    private static String text(double[] numbers) {
        List<String> all = new ArrayList<>();
        DoubleStream.of(numbers).forEach(v -> all.add(String.format(java.util.Locale.ROOT, "%.4f", v)));
        return String.join(" ", all);
    }
}
