package abbex.app.measure;

import abbex.app.people.People;
import abbex.app.rules.RepeatedReadings;
import abbex.app.store.Times;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.Reading;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Spots that two people read, out of the readings. */
@Component
class RepeatLog implements RepeatedReadings {
    /** Two people's readings of one spot that both stand, of the last two years. */
    private static final String REPEATS = """
            select r.sheet_id, r.corner, r.method, r.raw, r.bare_unit, r.tape, r.value_nm, p.initials, r.taken_at
              from reading r join person p on p.id = r.person_id
             where r.shop_id = :shop and r.act <> 'WITHDRAW' and r.taken_at > :since
               and not exists (select 1 from reading n where n.supersedes = r.id)
               and exists (select 1 from reading o
                            where o.sheet_id = r.sheet_id and o.corner = r.corner and o.method = r.method
                              and o.person_id <> r.person_id and o.act <> 'WITHDRAW'
                              and not exists (select 1 from reading n where n.supersedes = o.id))
             order by r.sheet_id, r.corner, r.method, r.id
            """;

    private static final Duration REMEMBERED = Duration.ofDays(730);

    private final JdbcClient jdbc;
    private final Clock clock;

    RepeatLog(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Override
    public List<List<Reading>> of(UUID shop) {
        Map<String, List<Reading>> bySpot = new LinkedHashMap<>();
        jdbc.sql(REPEATS)
                .param("shop", shop.toString())
                .param("since", Times.column(clock.instant().minus(REMEMBERED)))
                .query(row -> {
                    String method = row.getString("method");
                    if (Stream.of(Method.values()).noneMatch(m -> m.name().equals(method))) {
                        return;
                    }
                    MeasuringPoint spot = MeasuringPoint.of(
                            Corner.valueOf(row.getString("corner")), Method.valueOf(row.getString("method")));
                    TapeReading tape = TapeText.stored(
                            row.getString("raw"),
                            People.unit(row.getString("bare_unit")),
                            Graduation.parse(row.getString("tape")).orElseThrow(),
                            spot.method().allowed(),
                            Length.ofNm(row.getLong("value_nm")));
                    bySpot.computeIfAbsent(row.getString("sheet_id") + spot.code(), s -> new ArrayList<>())
                            .add(new Reading(
                                    spot, tape, row.getString("initials"), Times.instant(row, "taken_at"), false));
                });
        return List.copyOf(bySpot.values());
    }
}
