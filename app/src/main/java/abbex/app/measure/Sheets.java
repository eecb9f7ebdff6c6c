package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.arrive.KnownWheels;
import abbex.app.measure.ReadingRow.Act;
import abbex.app.page.Reader;
import abbex.app.people.Audit;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.rules.Rules;
import abbex.app.rules.ShopRules;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.heights.Advertised;
import abbex.core.heights.Assessment;
import abbex.core.heights.Limits;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.SheetState;
import abbex.core.heights.Stage;
import abbex.core.units.Graduation;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sheets and their append-only readings, one shop at a time: the public service of the station. */
@Service
public class Sheets {
    /** A row for each entry of a sheet's state, the newest last; a sheet without any has one. */
    private static final String SHEETS = """
            select s.id, s.job_id, s.seq, s.stage, s.baseline_id, s.unit, s.tape, s.made_at, e.item, e.raw,
                   coalesce((select max(l.id) from state_entry l where l.sheet_id = s.id), 0) said
              from sheet s left join state_entry e on e.sheet_id = s.id
             where s.shop_id = :shop and s.job_id in (:jobs) order by s.job_id, s.seq, e.id
            """;

    /** What took longer to come in says when it was typed (ours). */
    private static final Duration ON_THE_WAY = Duration.ofMinutes(1);

    /** No vehicle is measured more often in one stay (ours, against a button that is held). */
    private static final int MOST_SHEETS = 30;

    private static final String LOCK = "select id from sheet where id = :sheet and shop_id = :shop for update";

    private static final String ADD_SHEET = """
            insert into sheet (id, shop_id, job_id, seq, stage, baseline_id, unit, tape, made_at, made_by)
            values (:id, :shop, :job, :seq, :stage, :baseline, :unit, :tape, :at, :by)
            """;

    private static final String SAY = """
            insert into state_entry (shop_id, sheet_id, item, raw, person_id, said_at)
            values (:shop, :sheet, :item, :raw, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final NextAct nextAct;
    private final Audit audit;
    private final ReadingLog log;
    private final Rules rules;
    private final Jobs jobs;
    private final KnownWheels wheels;
    private final TurnedSince turned;
    private final StateEntries entries;
    private final ObjectProvider<AdvertisedBy> advertised;

    Sheets(
            JdbcClient jdbc,
            Jobs jobs,
            KnownWheels wheels,
            NextAct nextAct,
            Audit audit,
            ReadingLog log,
            Rules rules,
            Reads reads,
            Clock clock,
            TurnedSince turned,
            StateEntries entries,
            ObjectProvider<AdvertisedBy> advertised) {
        this.advertised = advertised;
        this.entries = entries;
        this.turned = turned;
        this.clock = clock;
        this.wheels = wheels;
        this.reads = reads;
        this.jobs = jobs;
        this.log = log;
        this.rules = rules;
        this.audit = audit;
        this.jdbc = jdbc;
        this.nextAct = nextAct;
    }

    /** What became of a text that was sent as a reading. */
    public sealed interface Outcome {
        /** It stands now, or stood already because it was sent twice. */
        record Stored(boolean again) implements Outcome {}

        record Refused(TapeParse.Refused why) implements Outcome {}

        /** The same client id was used for another text before. */
        record SentOther(String raw) implements Outcome {}
    }

    public JobSheets of(UUID shop, UUID job) {
        return jobs.find(shop, job)
                .map(stay -> ofVehicle(stay).getOrDefault(job, JobSheets.NONE))
                .orElse(JobSheets.NONE);
    }

    /** The sheets of all stays of a job's vehicle, the first stay first. */
    Map<UUID, JobSheets> ofVehicle(Job job) {
        UUID shop = job.shop();
        UUID vehicle = job.vehicle().id();
        return reads.ofVehicle(shop, vehicle, List.of(Sheets.class, shop, vehicle), () -> {
            Map<UUID, UUID> stays = new LinkedHashMap<>();
            jobs.stays(job).forEach(stay -> stays.put(stay, vehicle));
            return read(shop, stays);
        });
    }

    /** The sheets of several jobs, each as it was judged last while nothing was written of its vehicle. */
    public Map<UUID, JobSheets> of(Collection<Job> jobs) {
        Map<UUID, JobSheets> sheets = new LinkedHashMap<>();
        jobs.forEach(job -> sheets.put(job.id(), ofVehicle(job).getOrDefault(job.id(), JobSheets.NONE)));
        return sheets;
    }

    private Map<UUID, JobSheets> read(UUID shop, Map<UUID, UUID> vehicles) {
        Collection<UUID> jobs = vehicles.keySet();
        if (jobs.isEmpty()) {
            return Map.of();
        }
        Map<UUID, SheetRow> sheets = new LinkedHashMap<>();
        Map<UUID, Map<String, String>> states = new HashMap<>();
        many(SHEETS, shop, jobs).query(row -> {
            SheetRow sheet = sheet(row);
            sheets.putIfAbsent(sheet.id(), sheet);
            String item = row.getString("item");
            if (item != null) {
                states.computeIfAbsent(sheet.id(), s -> new HashMap<>()).put(item, row.getString("raw"));
            }
        });
        ShopRules own = rules.of(shop);
        Map<UUID, List<ReadingRow>> readings = log.current(shop, jobs, rules.ways(shop));
        Map<UUID, List<TurnedSince.Turn>> turns = turned.turns(shop, vehicles);
        Map<UUID, List<SheetData>> byJob = new HashMap<>();
        Map<UUID, Set<UUID>> upTo = new HashMap<>();
        sheets.values().forEach(s -> {
            Set<UUID> seen = upTo.computeIfAbsent(s.job(), j -> new HashSet<>());
            seen.add(s.id());
            byJob.computeIfAbsent(s.job(), j -> new ArrayList<>())
                    .add(new SheetData(
                            s,
                            readings.getOrDefault(s.id(), List.of()),
                            states.getOrDefault(s.id(), Map.of()),
                            own,
                            wheels.of(shop, Objects.requireNonNull(vehicles.get(s.job()))),
                            turns.getOrDefault(s.job(), List.of()).stream()
                                    .filter(turn -> seen.contains(turn.sheet()))
                                    .toList()));
        });
        Map<UUID, JobSheets> all = new LinkedHashMap<>();
        for (UUID job : jobs) {
            List<SheetData> of = byJob.get(job);
            if (of != null) {
                all.put(job, new JobSheets(of, own, this::advertised));
            }
        }
        return all;
    }

    private Advertised advertised(Job job, SheetData sheet) {
        return advertised
                .orderedStream()
                .findFirst()
                .map(by -> by.on(job, sheet))
                .orElseGet(job::advertised);
    }

    public Limits limits(UUID shop) {
        return rules.of(shop).limits();
    }

    private JdbcClient.StatementSpec many(String sql, UUID shop, Collection<UUID> jobs) {
        return jdbc.sql(sql)
                .param("shop", shop.toString())
                .param("jobs", jobs.stream().map(UUID::toString).toList());
    }

    /** Grows with everything that is written on a job's sheets. */
    long stamp(UUID shop, UUID job) {
        return reads.stamp(shop, job);
    }

    public Progress progress(UUID shop, Job job, Reader reader) {
        return progress(job, of(shop, job.id()), reader);
    }

    public Progress progress(Job job, JobSheets sheets, Reader reader) {
        return progress(job, sheets, sheets.judge(job), reader);
    }

    Progress progress(Job job, JobSheets sheets, Assessment judged, Reader reader) {
        return nextAct.of(job, sheets, judged, reader);
    }

    /** Opens the next sheet of a job; one of the same stage that nobody has written on yet is gone on with. */
    @Transactional
    public UUID open(Person by, UUID job, Stage stage, Instant at) {
        JobSheets there = of(by.shop(), job);
        Optional<SheetData> newest = there.newest();
        if (newest.isPresent() && newest.get().fresh(stage) || there.sheets().size() >= MOST_SHEETS) {
            return newest.orElseThrow().row().id();
        }
        UUID id = Ids.fresh();
        jdbc.sql(ADD_SHEET)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("job", job.toString())
                .param("seq", there.sheets().size() + 1)
                .param("stage", stage.name())
                .param(
                        "baseline",
                        there.before().map(s -> s.row().id().toString()).orElse(null))
                .param("unit", by.likes().unit().symbol())
                .param("tape", by.likes().tape().toString())
                .param("at", Times.column(at))
                .param("by", by.id().toString())
                .update();
        // A sheet is taken where the vehicle stands, unless somebody says otherwise.
        jobs.find(by.shop(), job)
                .map(j -> j.where().bay())
                .filter(bay -> !bay.isEmpty())
                .ifPresent(bay -> jdbc.sql(SAY)
                        .param("shop", by.shop().toString())
                        .param("sheet", id.toString())
                        .param("item", SheetState.Item.BAY.name())
                        .param("raw", bay)
                        .param("person", by.id().toString())
                        .param("at", Times.column(at))
                        .update());
        return id;
    }

    /**
     * Appends a reading. The same person's second text at a spot corrects the first; another person's is a repeat, but not of
     * one that was read before something was turned: that is corrected by anybody's. A text sent twice under one client id
     * counts once.
     */
    @Transactional
    public Outcome take(Person by, SheetRow sheet, MeasuringPoint spot, String raw, UUID client, Instant at) {
        lock(by.shop(), sheet.id());
        Optional<ReadingRow> sent = log.sent(by.shop(), client, rules.ways(by.shop()));
        if (sent.isPresent()) {
            ReadingRow was = sent.get();
            boolean same = raw.equals(was.raw())
                    && was.spot().equals(spot)
                    && was.sheet().equals(sheet.id());
            return same ? new Outcome.Stored(true) : new Outcome.SentOther(String.valueOf(was.raw()));
        }
        TapeParse parse =
                TapeText.parse(raw, sheet.unit(), sheet.tape(), spot.way().allowed());
        if (parse instanceof TapeParse.Refused refused) {
            return new Outcome.Refused(refused);
        }
        TapeReading read = parse.asReading().orElseThrow();
        ReadingRow last = last(log.mine(by, sheet, spot, rules.ways(by.shop())));
        long before = turned.lastBefore(by.shop(), sheet.id());
        if (last != null && last.stands() && raw.equals(last.raw()) && last.nr() > before) {
            return new Outcome.Stored(true);
        }
        Act act = Act.TAKE;
        if (last != null && last.stands()) {
            act = Act.CORRECT;
            audit.add(by, Audit.What.CORRECTED, named(sheet, spot) + ": " + last.raw() + " – " + raw + waited(at));
        }
        if (before > 0) {
            replace(by, sheet, spot, raw, before, at);
        }
        log.append(by, sheet, spot, client, act, raw, read.value(), last == null ? null : last.id(), null, at);
        return new Outcome.Stored(false);
    }

    /** What others read before it was turned is no repeat of what is read now. */
    private void replace(Person by, SheetRow sheet, MeasuringPoint spot, String raw, long before, Instant at) {
        of(by.shop(), sheet.job()).find(sheet.id()).stream()
                .flatMap(data -> data.current().stream())
                .filter(other -> other.spot().equals(spot))
                .filter(other -> other.nr() <= before && !other.person().equals(by.id()))
                .forEach(other -> {
                    audit.add(by, Audit.What.CORRECTED, named(sheet, spot) + ": " + other.raw() + " – " + raw);
                    log.append(by, sheet, spot, Ids.fresh(), Act.WITHDRAW, null, null, other.id(), null, at);
                });
    }

    private static String named(SheetRow sheet, MeasuringPoint spot) {
        return sheet.seq() + ", " + spot.place().code() + " " + spot.way().code();
    }

    /** When the device says that it was typed, where that is not when it came in. */
    private String waited(Instant typed) {
        return typed.isBefore(clock.instant().minus(ON_THE_WAY))
                ? " (typed " + typed.truncatedTo(ChronoUnit.SECONDS) + ")"
                : "";
    }

    /** Takes back this person's last act at the spot by appending; false when there is nothing to take back. */
    @Transactional
    public boolean undo(Person by, SheetRow sheet, MeasuringPoint spot, Instant at) {
        lock(by.shop(), sheet.id());
        List<ReadingRow> mine = log.mine(by, sheet, spot, rules.ways(by.shop()));
        ReadingRow last = last(mine);
        if (last == null || !last.stands()) {
            return false;
        }
        Map<UUID, ReadingRow> byId = new HashMap<>();
        mine.forEach(r -> byId.put(r.id(), r));
        ReadingRow shown = byId.getOrDefault(last.restores(), last);
        ReadingRow earlier = byId.get(shown.supersedes());
        ReadingRow restored = earlier == null ? null : byId.getOrDefault(earlier.restores(), earlier);
        UUID client = Ids.fresh();
        if (restored == null || !restored.stands()) {
            log.append(by, sheet, spot, client, Act.WITHDRAW, null, null, last.id(), null, at);
        } else {
            log.append(
                    by, sheet, spot, client, Act.UNDO, restored.raw(), restored.value(), last.id(), restored.id(), at);
        }
        audit.add(by, Audit.What.READING_UNDONE, named(sheet, spot) + ": " + last.raw());
        return true;
    }

    /** In which state a sheet was taken up to an entry of it. */
    public SheetState state(UUID shop, SheetRow sheet, int upTo) {
        return SheetData.state(entries.upTo(shop, sheet, upTo));
    }

    /** Says what differs from what was said last; a blank takes it back. */
    @Transactional
    public void say(Person by, SheetRow sheet, Map<String, String> items, Map<String, String> known, Instant at) {
        Set<String> changed = new TreeSet<>(items.keySet());
        changed.removeIf(item -> known.getOrDefault(item, "").equals(items.get(item)));
        if (!changed.isEmpty()) {
            audit.add(
                    by,
                    Audit.What.STATE_CHANGED,
                    changed.stream()
                            .map(item -> item + ": " + known.getOrDefault(item, "") + " – " + items.get(item))
                            .collect(Collectors.joining(", ", sheet.seq() + ", ", "")));
        }
        items.forEach((item, raw) -> {
            if (changed.contains(item)) {
                jdbc.sql(SAY)
                        .param("shop", by.shop().toString())
                        .param("sheet", sheet.id().toString())
                        .param("item", item)
                        .param("raw", raw)
                        .param("person", by.id().toString())
                        .param("at", Times.column(at))
                        .update();
            }
        });
    }

    /** One writer a sheet at a time, so that no reading is replaced twice. */
    void lock(UUID shop, UUID sheet) {
        jdbc.sql(LOCK)
                .param("sheet", sheet.toString())
                .param("shop", shop.toString())
                .query(String.class)
                .single();
    }

    /** The row that no other replaces; one at most, since each replaces the last. */
    @Nullable
    static ReadingRow last(List<ReadingRow> rows) {
        return rows.stream()
                .filter(r -> rows.stream().noneMatch(n -> r.id().equals(n.supersedes())))
                .reduce((a, b) -> b)
                .orElse(null);
    }

    private static SheetRow sheet(ResultSet row) throws SQLException {
        return new SheetRow(
                Ids.id(row, "id"),
                Ids.id(row, "job_id"),
                row.getInt("seq"),
                Stage.valueOf(row.getString("stage")),
                Ids.maybe(row, "baseline_id"),
                People.unit(row.getString("unit")),
                Graduation.parse(row.getString("tape")).orElseThrow(),
                Times.instant(row, "made_at"),
                row.getInt("said"));
    }
}
