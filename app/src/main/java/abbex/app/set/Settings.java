package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.StayValues;
import abbex.app.measure.TurnedSince;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.state.ActSource;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.heights.Method;
import abbex.core.heights.OnPurpose;
import abbex.core.setting.Car;
import abbex.core.setting.How;
import abbex.core.setting.Option;
import abbex.core.state.StateAct;
import abbex.core.state.VehicleHistory;
import abbex.core.vehicle.PerCorner;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
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
public class Settings implements TurnedSince, ActSource {
    private static final String MOVES = """
            select m.id, m.sheet_id, m.method, m.heights, m.after_nr, m.moves, m.hows, m.said, m.made_at, p.initials,
                   m.over_hub, m.over_ground, m.widths
              from setting_move m join person p on p.id = m.person_id
             where m.shop_id = :shop and m.job_id = :job
               and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id)
             order by m.nr
            """;

    private static final String MOVE = """
            insert into setting_move (id, shop_id, job_id, sheet_id, method, heights, after_nr, moves, hows, said, over_hub,
                                      over_ground, widths, person_id, made_at)
            values (:id, :shop, :job, :sheet, :method, :heights, :after, :moves, :hows, :said, :hub, :ground, :widths,
                    :person, :at)
            """;

    private static final String TURNS = """
            select m.job_id, m.sheet_id, m.after_nr, m.over_hub, m.over_ground, m.widths from setting_move m
             where m.shop_id = :shop and m.job_id in (:jobs)
               and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id)
             order by m.nr
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
     * @param does what it was to do to heights
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
            String initials,
            OnPurpose does) {}

    List<Move> moves(Job job) {
        return moves(job.shop(), job.vehicle().id(), job.id());
    }

    private List<Move> moves(UUID shop, UUID vehicle, UUID job) {
        return reads.ofVehicle(shop, vehicle, List.of(Settings.class, shop, job), () -> read(shop, job));
    }

    private List<Move> read(UUID shop, UUID job) {
        return jdbc.sql(MOVES)
                .param("shop", shop.toString())
                .param("job", job.toString())
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
                        row.getString("initials"),
                        does(row)))
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
                .param("hub", text(at.moved(chosen, Car.Read.HUB)))
                .param("ground", text(at.moved(chosen, Car.Read.GROUND)))
                .param("widths", text(at.widths(chosen)))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        return true;
    }

    /** Of so few stays each is read by itself, which whoever asks for its moves reads as well. */
    private static final int FEW = 2;

    @Override
    public Map<UUID, List<Turn>> turns(UUID shop, Map<UUID, UUID> vehicles) {
        Map<UUID, List<Turn>> all = new HashMap<>();
        if (vehicles.size() <= FEW) {
            vehicles.forEach((job, vehicle) -> {
                List<Turn> turns = moves(shop, vehicle, job).stream()
                        .map(move -> new Turn(move.sheet(), move.afterNr(), move.does()))
                        .toList();
                if (!turns.isEmpty()) {
                    all.put(job, turns);
                }
            });
            return all;
        }
        jdbc.sql(TURNS)
                .param("shop", shop.toString())
                .param("jobs", vehicles.keySet().stream().map(UUID::toString).toList())
                .query(row -> {
                    all.computeIfAbsent(Ids.id(row, "job_id"), job -> new ArrayList<>())
                            .add(new Turn(Ids.id(row, "sheet_id"), row.getLong("after_nr"), does(row)));
                });
        return all;
    }

    private static OnPurpose does(ResultSet row) throws SQLException {
        String hub = row.getString("over_hub");
        return hub.isEmpty()
                ? OnPurpose.NOTHING
                : new OnPurpose(
                        corners(numbers(hub)),
                        corners(numbers(row.getString("over_ground"))),
                        corners(numbers(row.getString("widths"))));
    }

    private static PerCorner<Double> corners(double[] walk) {
        return PerCorner.of(corner -> walk[corner.ordinal()]);
    }

    @Override
    public List<VehicleHistory.Entry> acts(Job job) {
        return moves(job).stream()
                .map(move -> new VehicleHistory.Entry(
                        move.at(), move.initials(), new StateAct.Turned(corners(move.moves()))))
                .toList();
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
