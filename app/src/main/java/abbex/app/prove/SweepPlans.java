package abbex.app.prove;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.clearance.Cure.Dose;
import abbex.core.clearance.Remedy;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.WheelPlace;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** How far corners are swept, and the remedies that were taken into the plan; one shop at a time. */
@Service
class SweepPlans {
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
            select id, corner, remedy, steps, made_at from remedy_taken
             where shop_id = :shop and vehicle_id = :vehicle
               and not exists (select 1 from withdrawal w where w.shop_id = remedy_taken.shop_id and w.of_id = remedy_taken.id)
             order by nr
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

    /** A remedy in the plan of a corner. */
    record Taken(UUID id, WheelPlace corner, Dose dose, Instant at) {}

    /** What was saved of an end last, and how often something was. */
    private record Saved(Map<SweepField, Double> values, boolean chains, int edition) {}

    /** What was saved of an end, over what is usual there. */
    SweepPlan of(UUID shop, UUID vehicle, End end, VehicleKind kind) {
        SweepPlan usual = SweepPlan.usual(end, kind);
        return saved(shop, vehicle, end)
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
        return reads
                .ofVehicle(shop, vehicle, List.of(SweepPlans.class, "taken", shop, vehicle), () -> taken(shop, vehicle))
                .stream()
                .filter(taken -> taken.corner() == corner)
                .toList();
    }

    private List<Taken> taken(UUID shop, UUID vehicle) {
        return jdbc.sql(TAKEN)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> new Taken(
                        Ids.id(row, "id"),
                        WheelPlace.named(row.getString("corner")).orElseThrow(),
                        new Dose(Remedy.valueOf(row.getString("remedy")), row.getInt("steps")),
                        Times.instant(row, "made_at")))
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

    /** It is in the plan no more. */
    void withdraw(Person by, VehicleFacts of, UUID taken) {
        UUID vehicle = of.id();
        if (taken(by.shop(), vehicle).stream().anyMatch(t -> t.id().equals(taken))) {
            withdrawals.add(by, vehicle, taken, Audit.What.REMEDY_DELETED, of.plate());
        }
    }
}
