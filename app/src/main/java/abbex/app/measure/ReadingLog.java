package abbex.app.measure;

import abbex.app.measure.ReadingRow.Act;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.rules.Ways;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import abbex.core.heights.MeasuringPoint;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.vehicle.Places;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The append-only record of readings. */
@Component
class ReadingLog {
    private static final String READING_COLUMNS = """
            select r.id, r.sheet_id, r.person_id, p.initials, r.corner, r.method, r.act, r.raw, r.bare_unit, r.tape,
                   r.value_nm, r.supersedes, r.restores, r.taken_at, r.nr
              from reading r join person p on p.id = r.person_id
            """;

    private static final String CURRENT = READING_COLUMNS + """
             join sheet s on s.id = r.sheet_id
             where r.shop_id = :shop and s.job_id in (:jobs) and r.act <> 'WITHDRAW'
               and not exists (select 1 from reading n where n.supersedes = r.id)
             order by r.nr
            """;

    private static final String OF_SPOT = READING_COLUMNS + """
             where r.shop_id = :shop and r.sheet_id = :sheet
               and r.corner = :corner and r.method = :method
             order by r.nr
            """;

    private static final String BY_CLIENT = READING_COLUMNS + " where r.shop_id = :shop and r.client_id = :client";

    private static final String APPEND = """
            insert into reading (id, shop_id, sheet_id, client_id, person_id, corner, method, act, raw, bare_unit, tape,
                                 value_nm, supersedes, restores, taken_at, came_at)
            values (:id, :shop, :sheet, :client, :person, :corner, :method, :act, :raw, :unit, :tape,
                    :value, :supersedes, :restores, :at, :came)
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    ReadingLog(JdbcClient jdbc, Clock clock) {
        this.clock = clock;
        this.jdbc = jdbc;
    }

    /** What stands on the sheets of some jobs, by sheet. */
    Map<UUID, List<ReadingRow>> current(UUID shop, Collection<UUID> jobs, Ways ways) {
        Map<UUID, List<ReadingRow>> readings = new HashMap<>();
        jdbc.sql(CURRENT)
                .param("shop", shop.toString())
                .param("jobs", jobs.stream().map(UUID::toString).toList())
                .query(row -> {
                    ReadingRow reading = reading(row, ways);
                    readings.computeIfAbsent(reading.sheet(), s -> new ArrayList<>())
                            .add(reading);
                });
        return readings;
    }

    /** What was stored under a client's id. */
    Optional<ReadingRow> sent(UUID shop, UUID client, Ways ways) {
        return jdbc.sql(BY_CLIENT)
                .param("shop", shop.toString())
                .param("client", client.toString())
                .query((row, n) -> reading(row, ways))
                .optional();
    }

    /** All that a person ever wrote at a spot and what others did to that, in order. */
    List<ReadingRow> mine(Person by, SheetRow sheet, MeasuringPoint spot, Ways ways) {
        Map<UUID, UUID> whose = new HashMap<>();
        List<ReadingRow> rows = jdbc.sql(OF_SPOT)
                .param("shop", by.shop().toString())
                .param("sheet", sheet.id().toString())
                .param("corner", spot.place().code())
                .param("method", spot.way().code())
                .query((row, n) -> reading(row, ways))
                .list();
        // Who replaces another's reading after a turn withdraws it; the next reading follows that.
        rows.forEach(row -> whose.put(
                row.id(),
                row.supersedes() == null ? row.person() : whose.getOrDefault(row.supersedes(), row.person())));
        return rows.stream().filter(row -> by.id().equals(whose.get(row.id()))).toList();
    }

    /** What was read for another sheet stands on this one, as who read it typed it. */
    void bring(UUID shop, SheetRow to, ReadingRow read, @Nullable UUID supersedes) {
        insert(
                shop,
                read.person(),
                to,
                read.spot(),
                Ids.fresh(),
                new Written(
                        Act.TAKE,
                        read.raw(),
                        read.unit(),
                        read.tape(),
                        read.value(),
                        supersedes,
                        null,
                        read.takenAt()));
    }

    void append(
            Person by,
            SheetRow sheet,
            MeasuringPoint spot,
            UUID client,
            Act act,
            @Nullable String raw,
            @Nullable Length value,
            @Nullable UUID supersedes,
            @Nullable UUID restores,
            Instant at) {
        insert(
                by.shop(),
                by.id(),
                sheet,
                spot,
                client,
                new Written(act, raw, sheet.unit(), sheet.tape(), value, supersedes, restores, at));
    }

    /** What a row says beside where it stands and who wrote it. */
    private record Written(
            Act act,
            @Nullable String raw,
            LengthUnit unit,
            Graduation tape,
            @Nullable Length value,
            @Nullable UUID supersedes,
            @Nullable UUID restores,
            Instant at) {}

    private void insert(UUID shop, UUID person, SheetRow sheet, MeasuringPoint spot, UUID client, Written written) {
        jdbc.sql(APPEND)
                .param("id", Ids.fresh().toString())
                .param("shop", shop.toString())
                .param("sheet", sheet.id().toString())
                .param("client", client.toString())
                .param("person", person.toString())
                .param("corner", spot.place().code())
                .param("method", spot.way().code())
                .param("act", written.act().name())
                .param("raw", written.raw())
                .param("unit", written.unit().symbol())
                .param("tape", written.tape().toString())
                .param("value", written.value() == null ? null : written.value().nm())
                .param("supersedes", Ids.text(written.supersedes()))
                .param("restores", Ids.text(written.restores()))
                .param("at", Times.column(written.at()))
                .param("came", Times.column(clock.instant()))
                .update();
    }

    private static ReadingRow reading(ResultSet row, Ways ways) throws SQLException {
        long nm = row.getLong("value_nm");
        Length value = row.wasNull() ? null : Length.ofNm(nm);
        LengthUnit unit = People.unit(row.getString("bare_unit"));
        return new ReadingRow(
                Ids.id(row, "id"),
                Ids.id(row, "sheet_id"),
                Ids.id(row, "person_id"),
                row.getString("initials"),
                MeasuringPoint.of(
                        Places.of(row.getString("corner")).orElseThrow(),
                        ways.of(row.getString("method")).orElseThrow()),
                Act.valueOf(row.getString("act")),
                row.getString("raw"),
                unit,
                Graduation.parse(row.getString("tape")).orElseThrow(),
                value,
                Ids.maybe(row, "supersedes"),
                Ids.maybe(row, "restores"),
                Times.instant(row, "taken_at"),
                row.getLong("nr"));
    }
}
