package abbex.app.prove;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Road tests and the marks they left, one shop at a time; the newest in use counts. */
@Service
class Drives {
    /** A row for each corner that has a wheel and each mark, with what the corner's end was driven on. */
    private static final String NEWEST = """
            select r.*, p.initials, b.corner, b.bump_mm, f.tyre, f.wheel, f.spacer,
                   m.id mark_id, m.corner mark_corner, m.place, m.clock, m.face, m.seen_on, q.initials mark_initials
              from (select * from road_test t where shop_id = :shop and vehicle_id = :vehicle
                     and not exists (select 1 from withdrawal w where w.shop_id = t.shop_id and w.of_id = t.id)
                     order by nr desc limit 1) r
              join person p on p.id = r.person_id
              join road_bump b on b.shop_id = r.shop_id and b.road_test_id = r.id
              join road_fitment f on f.shop_id = r.shop_id and f.road_test_id = r.id
                                 and f.end_of = if(b.corner in ('LF', 'RF', 'FRONT'), 'FRONT', 'REAR')
              left join road_mark m on m.shop_id = r.shop_id and m.road_test_id = r.id
                    and not exists (select 1 from withdrawal w where w.shop_id = m.shop_id and w.of_id = m.id)
              left join person q on q.id = m.person_id
             order by b.corner, m.nr
            """;

    private static final String ADD = """
            insert into road_test (id, shop_id, vehicle_id, locks, hung, lean_deg, note, sheet_id, person_id, made_at)
            values (:id, :shop, :vehicle, :locks, :hung, :lean, :note, :sheet, :person, :at)
            """;

    private static final String BUMP = """
            insert into road_bump (shop_id, road_test_id, corner, bump_mm) values (:shop, :id, :corner, :bump)
            """;

    private static final String ON = """
            insert into road_fitment (shop_id, road_test_id, end_of, tyre, wheel, spacer, lower_mm)
            values (:shop, :id, :end, :tyre, :wheel, :spacer, :lower)
            """;

    private static final String MARK = """
            insert into road_mark (id, shop_id, road_test_id, corner, place, clock, face, seen_on, person_id, made_at)
            values (:id, :shop, :drive, :corner, :place, :clock, :face, :on, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Clock clock;

    Drives(JdbcClient jdbc, Withdrawals withdrawals, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.clock = clock;
    }

    Optional<Drive> newest(UUID shop, UUID vehicle) {
        return reads.ofVehicle(shop, vehicle, List.of(Drives.class, shop, vehicle), () -> read(shop, vehicle));
    }

    private Optional<Drive> read(UUID shop, UUID vehicle) {
        List<At> corners = jdbc.sql(NEWEST)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> at(row))
                .list();
        if (corners.isEmpty()) {
            return Optional.empty();
        }
        Drive drive = corners.get(0).drive();
        Map<WheelPlace, Double> bump = new LinkedHashMap<>();
        Map<End, Fitment> on = new EnumMap<>(End.class);
        Map<UUID, Drive.Mark> marks = new LinkedHashMap<>();
        corners.forEach(at -> {
            bump.put(at.corner(), at.bump());
            on.put(at.corner().end(), at.on());
            at.mark().ifPresent(mark -> marks.putIfAbsent(mark.id(), mark));
        });
        return Optional.of(new Drive(
                drive.id(),
                Collections.unmodifiableMap(bump),
                drive.locks(),
                drive.hung(),
                drive.lean(),
                drive.note(),
                PerEnd.of(end -> Objects.requireNonNull(on.get(end), end.code())),
                drive.sheet(),
                List.copyOf(marks.values()),
                drive.by(),
                drive.at()));
    }

    /** A corner of a drive and a mark somewhere on it; the drive says what is the same at all. */
    private record At(Drive drive, WheelPlace corner, double bump, Fitment on, Optional<Drive.Mark> mark) {}

    private static At at(ResultSet row) throws SQLException {
        Fitment on = new Fitment(
                Wheel.parse(row.getString("wheel"))
                        .asWheel()
                        .orElseThrow()
                        .withSpacer(Length.ofNm(row.getLong("spacer"))),
                TyreSize.parse(row.getString("tyre")).asSize().orElseThrow());
        Drive drive = new Drive(
                Ids.id(row, "id"),
                Map.of(),
                row.getBoolean("locks"),
                row.getBoolean("hung"),
                row.getBigDecimal("lean_deg").doubleValue(),
                row.getString("note"),
                new PerEnd<>(on, on),
                Ids.maybe(row, "sheet_id"),
                List.of(),
                row.getString("initials"),
                Times.instant(row, "made_at"));
        return new At(
                drive,
                WheelPlace.named(row.getString("corner")).orElseThrow(),
                row.getBigDecimal("bump_mm").doubleValue(),
                on,
                row.getString("mark_id") == null ? Optional.empty() : Optional.of(mark(row)));
    }

    private static Drive.Mark mark(ResultSet row) throws SQLException {
        return new Drive.Mark(
                Ids.id(row, "mark_id"),
                WheelPlace.named(row.getString("mark_corner")).orElseThrow(),
                ProbePlace.valueOf(row.getString("place")),
                row.getBigDecimal("clock").doubleValue(),
                TyreBody.Face.valueOf(row.getString("face")),
                Drive.SeenOn.valueOf(row.getString("seen_on")),
                row.getString("mark_initials"));
    }

    /**
     * Keeps a drive; its id, marks, initials and time are made here.
     *
     * @param lowered how far each end had come down as the sheets said then, mm: for the list of proven fitments
     */
    @Transactional
    public UUID add(Person by, UUID vehicle, Drive drive, PerEnd<Double> lowered) {
        UUID id = Ids.fresh();
        jdbc.sql(ADD)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("locks", drive.locks())
                .param("hung", drive.hung())
                .param("lean", drive.lean())
                .param("note", drive.note())
                .param("sheet", Ids.text(drive.sheet()))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        drive.bump()
                .forEach((place, bump) -> jdbc.sql(BUMP)
                        .param("shop", by.shop().toString())
                        .param("id", id.toString())
                        .param("corner", place.name())
                        .param("bump", bump)
                        .update());
        drive.on()
                .forEach((end, on) -> jdbc.sql(ON)
                        .param("shop", by.shop().toString())
                        .param("id", id.toString())
                        .param("end", end.name())
                        .param("tyre", on.tyre().text())
                        .param("wheel", on.wheel().withSpacer(Length.ZERO).text())
                        .param("spacer", on.wheel().spacer().nm())
                        .param("lower", lowered.get(end))
                        .update());
        return id;
    }

    /** A drive or a mark of one counts no more. */
    void withdraw(Person by, VehicleFacts vehicle, UUID id, Audit.What what) {
        withdrawals.add(by, vehicle.id(), id, what, vehicle.plate());
    }

    void mark(Person by, UUID drive, Drive.Mark mark) {
        jdbc.sql(MARK)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("drive", drive.toString())
                .param("corner", mark.corner().name())
                .param("place", mark.place().name())
                .param("clock", BigDecimal.valueOf(mark.clock()))
                .param("face", mark.face().name())
                .param("on", mark.on().name())
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }
}
