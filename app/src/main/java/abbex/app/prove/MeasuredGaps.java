package abbex.app.prove;

import abbex.app.arrive.VehicleFacts;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Withdrawals;
import abbex.app.store.Ids;
import abbex.app.store.Reads;
import abbex.app.store.Times;
import abbex.core.clearance.GapReading;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.units.Length;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** The probed gaps of vehicles, one shop at a time: the public service of the station. */
@Service
public class MeasuredGaps {
    private static final String OF = """
            select b.id, b.corner, b.place, b.clock, b.face, b.gap_raw, b.gap_nm, b.along_raw, b.across_raw, b.across_nm, b.tyre, b.wheel, b.spacer_nm, b.sheet_id, b.made_at, p.initials
              from probe b join person p on p.id = b.person_id
             where b.shop_id = :shop and b.vehicle_id = :vehicle and not exists (select 1 from withdrawal w where w.shop_id = b.shop_id and w.of_id = b.id)
             order by b.nr
            """;

    private static final String ADD = """
            insert into probe (id, shop_id, vehicle_id, corner, place, clock, face, gap_raw, gap_nm, along_raw, across_raw, across_nm,
                               tyre, wheel, spacer_nm, sheet_id, person_id, made_at)
            values (:id, :shop, :vehicle, :corner, :place, :clock, :face, :raw, :nm, :along, :across, :acrossNm,
                    :tyre, :wheel, :spacer, :sheet, :person, :at)
            """;

    private final Reads reads;
    private final JdbcClient jdbc;
    private final Withdrawals withdrawals;
    private final Clock clock;

    MeasuredGaps(JdbcClient jdbc, Withdrawals withdrawals, Clock clock, Reads reads) {
        this.reads = reads;
        this.jdbc = jdbc;
        this.withdrawals = withdrawals;
        this.clock = clock;
    }

    List<MeasuredGap> of(UUID shop, UUID vehicle) {
        return reads.ofVehicle(shop, vehicle, List.of(MeasuredGaps.class, shop, vehicle), () -> read(shop, vehicle));
    }

    private List<MeasuredGap> read(UUID shop, UUID vehicle) {
        return jdbc.sql(OF)
                .param("shop", shop.toString())
                .param("vehicle", vehicle.toString())
                .query((row, n) -> new MeasuredGap(
                        Ids.id(row, "id"),
                        WheelPlace.named(row.getString("corner")).orElseThrow(),
                        new GapReading(
                                ProbePlace.valueOf(row.getString("place")),
                                row.getBigDecimal("clock").doubleValue(),
                                TyreBody.Face.valueOf(row.getString("face")),
                                Length.ofNm(row.getLong("gap_nm")),
                                Length.ZERO,
                                spot(row)),
                        row.getString("gap_raw"),
                        new MeasuredGap.Taped(text(row, "along_raw"), text(row, "across_raw")),
                        new Fitment(
                                Wheel.parse(row.getString("wheel"))
                                        .asWheel()
                                        .orElseThrow()
                                        .withSpacer(Length.ofNm(row.getLong("spacer_nm"))),
                                TyreSize.parse(row.getString("tyre")).asSize().orElseThrow()),
                        Ids.maybe(row, "sheet_id"),
                        row.getString("initials"),
                        Times.instant(row, "made_at")))
                .list();
    }

    private static GapReading.Spot spot(ResultSet row) throws SQLException {
        long across = row.getLong("across_nm");
        Optional<Length> told = row.wasNull() ? Optional.empty() : Optional.of(Length.ofNm(across));
        boolean taped = row.getString("along_raw") != null;
        return new GapReading.Spot(taped ? GapReading.Spot.TAPED : GapReading.Spot.EYE, told);
    }

    private static String text(ResultSet row, String column) throws SQLException {
        String text = row.getString(column);
        return text == null ? "" : text;
    }

    /** Keeps a gap whose spot the eye told. */
    public void add(
            Person by,
            UUID vehicle,
            WheelPlace corner,
            GapReading probe,
            String raw,
            Fitment measured,
            Optional<UUID> sheet) {
        add(by, vehicle, corner, probe, raw, MeasuredGap.Taped.NOTHING, measured, sheet);
    }

    /**
     * Keeps a gap with the wheel that it was measured from.
     *
     * @param sheet that tells how low the vehicle stands
     */
    void add(
            Person by,
            UUID vehicle,
            WheelPlace corner,
            GapReading probe,
            String raw,
            MeasuredGap.Taped spot,
            Fitment measured,
            Optional<UUID> sheet) {
        jdbc.sql(ADD)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("vehicle", vehicle.toString())
                .param("corner", corner.name())
                .param("place", probe.place().name())
                .param("clock", BigDecimal.valueOf(probe.clock()))
                .param("face", probe.face().name())
                .param("raw", raw)
                .param("nm", probe.gap().nm())
                .param("along", spot.along().isEmpty() ? null : spot.along())
                .param("across", spot.across().isEmpty() ? null : spot.across())
                .param("acrossNm", probe.spot().across().map(Length::nm).orElse(null))
                .param("tyre", measured.tyre().text())
                .param("wheel", measured.wheel().withSpacer(Length.ZERO).text())
                .param("spacer", measured.wheel().spacer().nm())
                .param("sheet", sheet.map(UUID::toString).orElse(null))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }

    /** It counts no more. */
    void withdraw(Person by, VehicleFacts vehicle, UUID probe) {
        withdrawals.add(by, vehicle.id(), probe, Audit.What.GAP_DELETED, vehicle.plate());
    }
}
