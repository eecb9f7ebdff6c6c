package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.fitment.PlannedWheels;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.state.ActSource;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.clearance.ClearanceModel;
import abbex.core.clearance.Cure.Dose;
import abbex.core.clearance.Remedy;
import abbex.core.state.StateAct;
import abbex.core.state.VehicleHistory;
import abbex.core.vehicle.End;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How far corners are swept, and the remedies that were taken into the plan; one shop at a time. */
@Service
class SweepPlans implements ActSource, PlannedWheels {
    private static final String COLUMNS =
            Stream.of(SweepField.values()).map(SweepField::column).collect(Collectors.joining(", "));

    private static final String NEWEST = "select end_of, chains, " + COLUMNS + """
             , (select count(*) from sweep_plan a
                 where a.shop_id = p.shop_id and a.vehicle_id = p.vehicle_id and a.end_of = p.end_of) edition
             from sweep_plan p where p.shop_id = :shop and p.vehicle_id = :vehicle
               and not exists (select 1 from sweep_plan n
                                where n.shop_id = p.shop_id and n.vehicle_id = p.vehicle_id and n.end_of = p.end_of
                                  and n.nr > p.nr)
            """;

    private static final String SAVE =
            "insert into sweep_plan (id, shop_id, vehicle_id, end_of, chains, person_id, made_at, " + COLUMNS
                    + ") values (:id, :shop, :vehicle, :end, :chains, :person, :at, "
                    + Stream.of(SweepField.values()).map(f -> ":" + f.id()).collect(Collectors.joining(", ")) + ")";

    private static final String TAKEN = """
            select t.id, t.corner, t.remedy, t.steps, t.made_at, f.id fitting, f.made_at fitted_at, p.initials
              from remedy_taken t
              left join remedy_fitted f on f.remedy_id = t.id and f.shop_id = t.shop_id
               and not exists (select 1 from withdrawal w where w.shop_id = f.shop_id and w.of_id = f.id)
              left join person p on p.id = f.person_id
             where t.shop_id = :shop and t.vehicle_id = :vehicle
               and not exists (select 1 from withdrawal w where w.shop_id = t.shop_id and w.of_id = t.id)
             order by t.nr
            """;

    private static final String FIT = """
            insert into remedy_fitted (id, shop_id, vehicle_id, remedy_id, person_id, made_at)
            values (:id, :shop, :vehicle, :remedy, :person, :at)
            """;

    private static final String TAKE = """
            insert into remedy_taken (id, shop_id, vehicle_id, corner, remedy, steps, person_id, made_at)
            values (:id, :shop, :vehicle, :corner, :remedy, :steps, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Clock clock;

    SweepPlans(JdbcClient jdbc, Withdrawals withdrawals, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.clock = clock;
    }

    /**
     * A remedy in the plan of a corner.
     *
     * @param fitted since when it is on the vehicle; empty while it is only planned
     */
    record Taken(UUID id, WheelPlace corner, Dose dose, Instant at, Optional<Fitting> fitted) {
        /** It was on the vehicle when something was measured. */
        boolean on(Instant measured) {
            return fitted.filter(f -> f.at().isBefore(measured)).isPresent();
        }
    }

    /** A remedy that was done to the vehicle. */
    record Fitting(UUID id, Instant at, String by) {}

    /** What was saved of an end last, and how often something was. */
    private record Saved(Map<SweepField, Double> values, boolean chains, int edition) {}

    /** What was saved of an end, over what is usual there. */
    SweepPlan of(UUID shop, VehicleFacts vehicle, End end) {
        SweepPlan usual = SweepPlan.usual(end, vehicle.kind(), vehicle.sprung(end));
        return saved(shop, vehicle.id(), end)
                .map(saved -> usual.with(saved.values(), saved.chains()))
                .orElse(usual);
    }

    /** How often the plan of an end was saved. */
    int edition(UUID shop, UUID vehicle, End end) {
        return saved(shop, vehicle, end).map(Saved::edition).orElse(0);
    }

    private Optional<Saved> saved(UUID shop, UUID vehicle, End end) {
        Map<End, Saved> plans = reads.ofVehicle(
                shop, vehicle, List.of(SweepPlans.class, "plan", shop, vehicle), () -> plans(shop, vehicle));
        return Optional.ofNullable(plans.get(end));
    }

    private Map<End, Saved> plans(UUID shop, UUID vehicle) {
        Map<End, Saved> plans = new EnumMap<>(End.class);
        jdbc.sql(NEWEST)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query(row -> {
                    Map<SweepField, Double> values = new EnumMap<>(SweepField.class);
                    for (SweepField field : SweepField.values()) {
                        BigDecimal value = row.getBigDecimal(field.column());
                        if (value != null) {
                            values.put(field, value.doubleValue());
                        }
                    }
                    plans.put(
                            End.valueOf(row.getString("end_of")),
                            new Saved(values, row.getBoolean("chains"), row.getInt("edition")));
                });
        return plans;
    }

    /**
     * Keeps the plan of an end that was changed from an edition.
     *
     * @param from empty when nobody says which
     * @return false when another was saved meanwhile: nothing is changed then
     */
    boolean save(Person by, UUID vehicle, End end, SweepPlan plan, Optional<Integer> from) {
        if (from.isPresent() && from.get() != edition(by.shop(), vehicle, end)) {
            return false;
        }
        save(by, vehicle, end, plan);
        return true;
    }

    void save(Person by, UUID vehicle, End end, SweepPlan plan) {
        JdbcClient.StatementSpec save = jdbc.sql(SAVE)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("end", end.name())
                .param("chains", plan.chains())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()));
        for (SweepField field : SweepField.values()) {
            save = save.param(field.id(), plan.values().get(field));
        }
        save.update();
    }

    List<Taken> taken(UUID shop, UUID vehicle, WheelPlace corner) {
        return all(shop, vehicle).stream()
                .filter(taken -> taken.corner() == corner)
                .toList();
    }

    private List<Taken> all(UUID shop, UUID vehicle) {
        return reads.ofVehicle(
                shop, vehicle, List.of(SweepPlans.class, "taken", shop, vehicle), () -> taken(shop, vehicle));
    }

    private static Optional<Fitting> fitting(ResultSet row) throws SQLException {
        UUID id = Ids.maybe(row, "fitting");
        return id == null
                ? Optional.empty()
                : Optional.of(new Fitting(id, Times.instant(row, "fitted_at"), row.getString("initials")));
    }

    private List<Taken> taken(UUID shop, UUID vehicle) {
        return jdbc.sql(TAKEN)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> new Taken(
                        Ids.id(row, "id"),
                        WheelPlace.named(row.getString("corner")).orElseThrow(),
                        new Dose(Remedy.valueOf(row.getString("remedy")), row.getInt("steps")),
                        Times.instant(row, "made_at"),
                        fitting(row)))
                .list();
    }

    void take(Person by, UUID vehicle, WheelPlace corner, Dose dose) {
        jdbc.sql(TAKE)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("corner", corner.name())
                .param("remedy", dose.remedy().name())
                .param("steps", dose.steps())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** It is on the vehicle; said twice it is once. */
    @Transactional
    void fit(Person by, UUID vehicle, UUID taken) {
        taken(by.shop(), vehicle).stream()
                .filter(t -> t.id().equals(taken) && t.fitted().isEmpty())
                .forEach(t -> jdbc.sql(FIT)
                        .param("id", Ids.fresh().toString())
                        .param("shop", by.shop().toString())
                        .param("vehicle", vehicle.toString())
                        .param("remedy", taken.toString())
                        .param("person", by.id().toString())
                        .param("at", Times.column(clock.instant()))
                        .update());
    }

    /** It is off again, and planned as before. */
    @Transactional
    void takeOff(Person by, VehicleFacts of, UUID taken) {
        taken(by.shop(), of.id()).stream()
                .filter(t -> t.id().equals(taken))
                .flatMap(t -> t.fitted().stream())
                .forEach(f -> withdrawals.add(by, of.id(), f.id(), Audit.What.REMEDY_DELETED, of.plate()));
    }

    @Override
    public List<VehicleHistory.Entry> acts(Job job) {
        List<VehicleHistory.Entry> acts = new ArrayList<>();
        all(job.shop(), job.vehicle().id())
                .forEach(t -> t.fitted()
                        .ifPresent(f -> acts.add(new VehicleHistory.Entry(
                                f.at(), f.by(), new StateAct.RemedyFitted(t.id().toString())))));
        return acts;
    }

    /** What is planned for the wheels of an end and not fitted, or fitted: of both sides the one that goes further. */
    @Override
    public Fitment after(Job job, End end, Fitment wheels) {
        return all(job.shop(), job.vehicle().id()).stream()
                .filter(t -> t.corner().end() == end && t.dose().remedy().ofWheel())
                .collect(Collectors.toMap(
                        t -> t.dose().remedy(),
                        Taken::dose,
                        (one, other) -> one.steps() >= other.steps() ? one : other,
                        TreeMap::new))
                .values()
                .stream()
                .reduce(
                        wheels,
                        (on, dose) -> ClearanceModel.fitment(on, dose.remedy(), dose.steps()),
                        (one, other) -> other);
    }

    /** It is in the plan no more; what is on the vehicle stays until it was taken off. */
    void withdraw(Person by, VehicleFacts of, UUID taken) {
        UUID vehicle = of.id();
        if (taken(by.shop(), vehicle).stream()
                .anyMatch(t -> t.id().equals(taken) && t.fitted().isEmpty())) {
            withdrawals.add(by, vehicle, taken, Audit.What.REMEDY_DELETED, of.plate());
        }
    }
}
