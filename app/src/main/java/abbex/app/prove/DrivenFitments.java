package abbex.app.prove;

import abbex.app.arrive.Jobs;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.clearance.Cure.Dose;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.RoadTest;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Fitments that a road test of this shop proved, with all that they took: for who asks before buying. */
@Service
class DrivenFitments {
    private static final int MOST = 300;

    private static final String DRIVEN = """
            select r.id, r.vehicle_id, r.locks, r.lean_deg, r.made_at, f.end_of, f.tyre, f.wheel, f.spacer, f.lower_mm,
                   (select group_concat(b.bump_mm) from road_bump b
                     where b.road_test_id = r.id and b.corner in ('LF', 'RF', 'FRONT') = (f.end_of = 'FRONT')) bump
              from road_test r join road_fitment f on f.road_test_id = r.id
             where r.shop_id = :shop
               and not exists (select 1 from withdrawal w where w.shop_id = r.shop_id and w.of_id = r.id)
               and not exists (select 1 from road_test n where n.vehicle_id = r.vehicle_id
                                  and not exists (select 1 from withdrawal w where w.shop_id = n.shop_id and w.of_id = n.id)
                                  and n.nr > r.nr)
               and not exists (select 1 from road_mark m where m.road_test_id = r.id
                                  and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id))
             order by r.nr desc, f.end_of limit
            """ + 2 * MOST;

    private static final String TOOK = """
            select vehicle_id, corner, remedy, steps, made_at from remedy_taken where shop_id = :shop
               and not exists (select 1 from withdrawal w where w.shop_id = remedy_taken.shop_id and w.of_id = remedy_taken.id)
             order by nr
            """;

    private final JdbcClient jdbc;
    private final Jobs jobs;
    private final ClearanceWords say;

    DrivenFitments(JdbcClient jdbc, Jobs jobs, ClearanceWords say) {
        this.jobs = jobs;
        this.jdbc = jdbc;
        this.say = say;
    }

    /**
     * A fitment of an end.
     *
     * @param lowered further than when it was first probed, mm
     * @param bump to which it is proven, mm; nought where a wheel went nowhere
     */
    public record EndOf(String tyre, String wheel, double spacerMm, double lowered, double bump) {}

    /** What was proven, and the remedies that were in its plan by then. */
    public record Proven(
            Jobs.Known of, EndOf front, EndOf rear, boolean locks, double lean, Instant at, List<String> took) {
        public UUID job() {
            return of.newestJob();
        }

        public String vehicle() {
            return of.name();
        }

        /** True when each of some words is in the vehicle's name or in a size. */
        boolean has(String[] asked) {
            String all = (vehicle() + " " + front.tyre() + " " + front.wheel() + " " + rear.tyre() + " " + rear.wheel())
                    .toLowerCase(Locale.ROOT);
            for (String word : asked) {
                if (!all.contains(word)) {
                    return false;
                }
            }
            return true;
        }
    }

    /** Those that hold every word of a question, the newest first. */
    List<Proven> find(UUID shop, String question) {
        Map<UUID, List<Planned>> took = new HashMap<>();
        jdbc.sql(TOOK).param("shop", shop.toString()).query(row -> {
            Dose dose = new Dose(Remedy.valueOf(row.getString("remedy")), row.getInt("steps"));
            took.computeIfAbsent(Ids.id(row, "vehicle_id"), v -> new ArrayList<>())
                    .add(new Planned(
                            row.getString("corner") + ": " + say.dose(dose, Optional.empty()),
                            Times.instant(row, "made_at")));
        });
        String[] asked = question.strip().toLowerCase(Locale.ROOT).split("\\s+");
        Map<UUID, Jobs.Known> vehicles = jobs.vehicles(shop);
        List<Half> halves = jdbc.sql(DRIVEN)
                .param("shop", shop.toString())
                .query((row, n) -> half(row))
                .list();
        List<Proven> found = new ArrayList<>();
        // Front comes before rear.
        for (int i = 0; i + 1 < halves.size(); i += 2) {
            Half front = halves.get(i);
            Proven proven = new Proven(
                    Objects.requireNonNull(vehicles.get(front.vehicle())),
                    front.end(),
                    halves.get(i + 1).end(),
                    front.locks(),
                    front.lean(),
                    front.at(),
                    took.getOrDefault(front.vehicle(), List.of()).stream()
                            .filter(planned -> planned.at().isBefore(front.at()))
                            .map(Planned::what)
                            .toList());
            if (proven.front().bump() > 0 && proven.rear().bump() > 0 && proven.has(asked)) {
                found.add(proven);
            }
        }
        return found;
    }

    /** A remedy that was in the plan from a moment on. */
    private record Planned(String what, Instant at) {}

    /** An end of what was proven, and what both ends share. */
    private record Half(UUID vehicle, EndOf end, boolean locks, double lean, Instant at) {}

    private static Half half(ResultSet row) throws SQLException {
        return new Half(
                Ids.id(row, "vehicle_id"),
                new EndOf(
                        row.getString("tyre"),
                        row.getString("wheel"),
                        row.getLong("spacer") / 1e6,
                        row.getDouble("lower_mm"),
                        RoadTest.proven(Stream.of(row.getString("bump").split(","))
                                        .map(Double::valueOf)
                                        .toList())
                                .orElse(0)),
                row.getBoolean("locks"),
                row.getDouble("lean_deg"),
                Times.instant(row, "made_at"));
    }
}
