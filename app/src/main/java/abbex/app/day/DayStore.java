package abbex.app.day;

import abbex.app.arrive.Jobs;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.day.LeftOver;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Days as they were planned, one shop at a time. */
@Service
class DayStore {
    private static final String PLAN = """
            select d.version, d.cost, d.bound, d.unit, d.put_job, d.made_at, p.initials
              from day_plan d join person p on p.id = d.person_id where d.shop_id = :shop and d.day = :day
            """;

    private static final String JOBS = """
            select job_id, work, bay, lead_id, begun, put, typical, promised, least, most, kept, why, need, have, was_ready, was_left
              from day_job where shop_id = :shop and day = :day
            """;

    private static final String STINTS = """
            select job_id, starts, ends, helper_id from day_stint where shop_id = :shop and day = :day order by job_id, n
            """;

    private static final String FIRST = """
            insert into day_plan (shop_id, day, version, cost, bound, unit, put_job, person_id, made_at)
            values (:shop, :day, 1, :cost, :bound, :unit, :put, :person, :at)
            """;

    private static final String NEXT = """
            update day_plan set version = version + 1, cost = :cost, bound = :bound, unit = :unit, put_job = :put,
                                person_id = :person, made_at = :at
             where shop_id = :shop and day = :day and version = :version
            """;

    private static final String ADD_JOB = """
            insert into day_job (shop_id, day, job_id, work, bay, lead_id, begun, put, typical, promised, least, most, kept, why,
                                 need, have, was_ready, was_left)
            values (:shop, :day, :job, :work, :bay, :lead, :begun, :put, :typical, :promised, :least, :most, :kept, :why,
                    :need, :have, :was, :wasLeft)
            """;

    private static final String ADD_STINT = """
            insert into day_stint (shop_id, day, job_id, n, starts, ends, helper_id)
            values (:shop, :day, :job, :n, :starts, :ends, :helper)
            """;

    private static final String BETWEEN = """
            select distinct job_id from day_job where shop_id = :shop and day >= :today and day < :day and bay <> ''
            """;

    private final JdbcClient jdbc;
    private final Jobs jobs;
    private final Clock clock;

    DayStore(JdbcClient jdbc, Jobs jobs, Clock clock) {
        this.jdbc = jdbc;
        this.jobs = jobs;
        this.clock = clock;
    }

    private JdbcClient.StatementSpec of(String sql, UUID shop, LocalDate day) {
        return jdbc.sql(sql).param("shop", shop.toString()).param("day", day);
    }

    Planned of(UUID shop, LocalDate day) {
        Map<UUID, List<Planned.Stint>> stints = new HashMap<>();
        of(STINTS, shop, day).query(row -> {
            stints.computeIfAbsent(Ids.id(row, "job_id"), none -> new ArrayList<>())
                    .add(new Planned.Stint(
                            Times.instant(row, "starts"),
                            Times.instant(row, "ends"),
                            Optional.ofNullable(Ids.maybe(row, "helper_id"))));
        });
        Map<UUID, Jobs.Called> called = jobs.called(
                shop,
                of(JOBS, shop, day).query((row, n) -> Ids.id(row, "job_id")).list());
        List<Planned.Entry> entries = of(JOBS, shop, day).query((row, n) -> entry(row, stints, called)).list().stream()
                .sorted(Comparator.comparing(Planned.Entry::plate))
                .toList();
        return of(PLAN, shop, day)
                .query((row, n) -> new Planned(
                        row.getInt("version"),
                        Optional.of(Times.instant(row, "made_at")),
                        row.getString("initials"),
                        row.getLong("cost"),
                        row.getObject("bound") == null
                                ? OptionalDouble.empty()
                                : OptionalDouble.of(row.getDouble("bound")),
                        row.getLong("unit"),
                        Optional.ofNullable(Ids.maybe(row, "put_job")),
                        entries))
                .optional()
                .orElse(Planned.NOT_YET);
    }

    private static Planned.Entry entry(
            ResultSet row, Map<UUID, List<Planned.Stint>> stints, Map<UUID, Jobs.Called> called) throws SQLException {
        UUID job = Ids.id(row, "job_id");
        String why = row.getString("why");
        return new Planned.Entry(
                job,
                called.getOrDefault(job, Jobs.Called.NOBODY).plate(),
                called.getOrDefault(job, Jobs.Called.NOBODY).name(),
                Draft.Work.valueOf(row.getString("work")),
                row.getString("bay"),
                Optional.ofNullable(Ids.maybe(row, "lead_id")),
                row.getBoolean("begun"),
                row.getBoolean("put"),
                row.getBoolean("typical"),
                Agreed.maybe(row, "promised"),
                Agreed.maybe(row, "least"),
                Agreed.maybe(row, "most"),
                row.getDouble("kept"),
                why.isEmpty() ? Optional.empty() : Optional.of(LeftOver.Why.valueOf(why)),
                row.getInt("need"),
                row.getInt("have"),
                Agreed.maybe(row, "was_ready"),
                row.getBoolean("was_left"),
                stints.getOrDefault(job, List.of()));
    }

    /** What is planned for a day from today on that comes before another. */
    Set<UUID> plannedBetween(UUID shop, LocalDate today, LocalDate day) {
        return new HashSet<>(of(BETWEEN, shop, day)
                .param("today", today)
                .query((row, n) -> Ids.id(row, "job_id"))
                .list());
    }

    /** A day in which a vehicle is planned, as a calendar shows it. */
    record OnDay(LocalDate day, int version, Instant made, Planned.Entry entry) {}

    /** All that is planned from a day on. */
    List<OnDay> from(UUID shop, LocalDate first) {
        List<LocalDate> days = jdbc.sql("select day from day_plan where shop_id = :shop and day >= :first order by day")
                .param("shop", shop.toString())
                .param("first", first)
                .query((row, n) -> row.getObject("day", LocalDate.class))
                .list();
        List<OnDay> all = new ArrayList<>();
        for (LocalDate day : days) {
            Planned planned = of(shop, day);
            planned.jobs().stream()
                    .filter(entry -> !entry.left())
                    .forEach(entry -> all.add(
                            new OnDay(day, planned.version(), planned.at().orElseGet(clock::instant), entry)));
        }
        return all;
    }

    /** Writes a day over what it was; false, and nothing kept, where it was planned since. */
    @Transactional
    boolean save(Person by, LocalDate day, Planned plan) {
        boolean first = plan.version() == 0;
        JdbcClient.StatementSpec row = of(first ? FIRST : NEXT, by.shop(), day)
                .param("cost", plan.cost())
                .param("bound", plan.bound().isPresent() ? plan.bound().getAsDouble() : null)
                .param("unit", plan.unit())
                .param("put", Ids.text(plan.put().orElse(null)))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()));
        try {
            if ((first ? row : row.param("version", plan.version())).update() == 0) {
                return false;
            }
        } catch (DuplicateKeyException planned) {
            return false;
        }
        of("delete from day_job where shop_id = :shop and day = :day", by.shop(), day)
                .update();
        of("delete from day_stint where shop_id = :shop and day = :day", by.shop(), day)
                .update();
        plan.jobs().forEach(entry -> add(by.shop(), day, entry));
        return true;
    }

    private void add(UUID shop, LocalDate day, Planned.Entry entry) {
        of(ADD_JOB, shop, day)
                .param("job", entry.job().toString())
                .param("work", entry.work().name())
                .param("bay", entry.bay())
                .param("lead", Ids.text(entry.lead().orElse(null)))
                .param("begun", entry.begun())
                .param("put", entry.put())
                .param("typical", entry.typical())
                .param("promised", entry.promised().map(Times::column).orElse(null))
                .param("least", entry.least().map(Times::column).orElse(null))
                .param("most", entry.most().map(Times::column).orElse(null))
                .param("kept", entry.kept())
                .param("why", entry.why().map(Enum::name).orElse(""))
                .param("need", entry.need())
                .param("have", entry.have())
                .param("was", entry.wasReady().map(Times::column).orElse(null))
                .param("wasLeft", entry.wasLeft())
                .update();
        for (int n = 0; n < entry.stints().size(); n++) {
            Planned.Stint stint = entry.stints().get(n);
            of(ADD_STINT, shop, day)
                    .param("job", entry.job().toString())
                    .param("n", n)
                    .param("starts", Times.column(stint.starts()))
                    .param("ends", Times.column(stint.ends()))
                    .param("helper", Ids.text(stint.helper().orElse(null)))
                    .update();
        }
    }
}
