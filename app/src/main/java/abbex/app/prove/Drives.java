package abbex.app.prove;

import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Road tests and the marks they left, one shop at a time; the newest in use counts. */
@Service
class Drives {
    private static final String NEWEST = """
            select r.*, p.initials from road_test r join person p on p.id = r.person_id
             where r.shop_id = :shop and r.vehicle_id = :vehicle and r.in_use order by r.made_at desc, r.id desc limit 1
            """;

    private static final String MARKS = """
            select m.id, m.corner, m.place, m.clock, m.face, m.seen_on, p.initials
              from road_mark m join person p on p.id = m.person_id
             where m.shop_id = :shop and m.road_test_id = :drive and m.in_use order by m.made_at, m.id
            """;

    private static final String ADD = """
            insert into road_test (id, shop_id, vehicle_id, bump_lf, bump_rf, bump_rr, bump_lr, locks, hung, lean_deg, note,
                                   front_tyre, front_wheel, front_spacer, front_lower_mm,
                                   rear_tyre, rear_wheel, rear_spacer, rear_lower_mm, sheet_id, in_use, person_id, made_at)
            values (:id, :shop, :vehicle, :lf, :rf, :rr, :lr, :locks, :hung, :lean, :note,
                    :frontTyre, :frontWheel, :frontSpacer, :frontLower,
                    :rearTyre, :rearWheel, :rearSpacer, :rearLower, :sheet, true, :person, :at)
            """;

    private static final String REST =
            "update road_test set in_use = false where shop_id = :shop and vehicle_id = :vehicle and id = :id";

    private static final String MARK = """
            insert into road_mark (id, shop_id, road_test_id, corner, place, clock, face, seen_on, in_use, person_id, made_at)
            values (:id, :shop, :drive, :corner, :place, :clock, :face, :on, true, :person, :at)
            """;

    private static final String REST_MARK =
            "update road_mark set in_use = false where shop_id = :shop and road_test_id = :drive and id = :id";

    private final JdbcClient jdbc;
    private final Clock clock;

    Drives(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    Optional<Drive> newest(UUID shop, UUID vehicle) {
        return jdbc.sql(NEWEST)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> drive(shop, row))
                .optional();
    }

    private Drive drive(UUID shop, ResultSet row) throws SQLException {
        UUID id = Ids.id(row, "id");
        return new Drive(
                id,
                new PerCorner<>(bump(row, "lf"), bump(row, "rf"), bump(row, "rr"), bump(row, "lr")),
                row.getBoolean("locks"),
                row.getBoolean("hung"),
                row.getBigDecimal("lean_deg").doubleValue(),
                row.getString("note"),
                new PerEnd<>(on(row, "front"), on(row, "rear")),
                Ids.maybe(row, "sheet_id"),
                marks(shop, id),
                row.getString("initials"),
                Times.instant(row, "made_at"));
    }

    private static double bump(ResultSet row, String corner) throws SQLException {
        return row.getBigDecimal("bump_" + corner).doubleValue();
    }

    private static Fitment on(ResultSet row, String end) throws SQLException {
        return new Fitment(
                Wheel.parse(row.getString(end + "_wheel"))
                        .asWheel()
                        .orElseThrow()
                        .withSpacer(Length.ofNm(row.getLong(end + "_spacer"))),
                TyreSize.parse(row.getString(end + "_tyre")).asSize().orElseThrow());
    }

    private List<Drive.Mark> marks(UUID shop, UUID drive) {
        return jdbc.sql(MARKS)
                .param("shop", shop.toString())
                .param("drive", drive.toString())
                .query((row, n) -> new Drive.Mark(
                        Ids.id(row, "id"),
                        Corner.valueOf(row.getString("corner")),
                        ProbePlace.valueOf(row.getString("place")),
                        row.getBigDecimal("clock").doubleValue(),
                        TyreBody.Face.valueOf(row.getString("face")),
                        Drive.SeenOn.valueOf(row.getString("seen_on")),
                        row.getString("initials")))
                .list();
    }

    /**
     * Keeps a drive; its id, marks, initials and time are made here.
     *
     * @param lowered how far each end had come down as the sheets said then, mm: for the list of proven fitments
     */
    UUID add(Person by, UUID vehicle, Drive drive, PerEnd<Double> lowered) {
        UUID id = Ids.fresh();
        JdbcClient.StatementSpec add = jdbc.sql(ADD)
                .param("id", id.toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("locks", drive.locks())
                .param("hung", drive.hung())
                .param("lean", drive.lean())
                .param("note", drive.note())
                .param("sheet", Ids.text(drive.sheet()))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()));
        for (Corner corner : Corner.values()) {
            add = add.param(corner.name().toLowerCase(Locale.ROOT), drive.bump().get(corner));
        }
        for (End end : End.values()) {
            String of = end.name().toLowerCase(Locale.ROOT);
            Wheel wheel = drive.on().get(end).wheel();
            add = add.param(of + "Tyre", drive.on().get(end).tyre().text())
                    .param(of + "Wheel", wheel.withSpacer(Length.ZERO).text())
                    .param(of + "Spacer", wheel.spacer().nm())
                    .param(of + "Lower", lowered.get(end));
        }
        add.update();
        return id;
    }

    void rest(Person by, UUID vehicle, UUID drive) {
        jdbc.sql(REST)
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("id", drive.toString())
                .update();
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

    void restMark(Person by, UUID drive, UUID mark) {
        jdbc.sql(REST_MARK)
                .param("shop", by.shop().toString())
                .param("drive", drive.toString())
                .param("id", mark.toString())
                .update();
    }
}
