package abbex.app.day;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is away, and days on which a shop is shut. */
@Service
class Absences {
    private static final int MOST = 60;

    private static final String FROM = """
            select a.id, a.away_id, p.display_name, a.first_day, a.last_day, a.from_time, a.to_time
              from absence a left join person p on p.id = a.away_id
             where a.shop_id = :shop and a.withdrawn_at is null and a.last_day >= :day order by a.first_day, a.id
            """;

    private static final String ADD = """
            insert into absence (id, shop_id, away_id, first_day, last_day, from_time, to_time, person_id, made_at)
            values (:id, :shop, :away, :first, :last, :from, :to, :person, :at)
            """;

    private static final String BACK = """
            update absence set withdrawn_at = :at where id = :id and shop_id = :shop and withdrawn_at is null
            """;

    private final JdbcClient jdbc;
    private final Audit audit;
    private final Clock clock;

    Absences(JdbcClient jdbc, Audit audit, Clock clock) {
        this.jdbc = jdbc;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * Somebody is away.
     *
     * @param who empty for the whole shop
     * @param from and to on each of the days; empty for all of it
     */
    record Absence(
            UUID id,
            Optional<UUID> who,
            String name,
            LocalDate first,
            LocalDate last,
            Optional<LocalTime> from,
            Optional<LocalTime> to) {
        boolean on(LocalDate day) {
            return !day.isBefore(first) && !day.isAfter(last);
        }
    }

    /** All that reach a day or come after it. */
    List<Absence> from(UUID shop, LocalDate day) {
        return jdbc.sql(FROM + " limit " + MOST)
                .param("shop", shop.toString())
                .param("day", day)
                .query((row, n) -> new Absence(
                        Ids.id(row, "id"),
                        Optional.ofNullable(Ids.maybe(row, "away_id")),
                        Optional.ofNullable(row.getString("display_name")).orElse(""),
                        row.getObject("first_day", LocalDate.class),
                        row.getObject("last_day", LocalDate.class),
                        Optional.ofNullable(row.getObject("from_time", LocalTime.class)),
                        Optional.ofNullable(row.getObject("to_time", LocalTime.class))))
                .list();
    }

    @Transactional
    void add(Person by, Absence absence) {
        jdbc.sql(ADD)
                .param("id", absence.id().toString())
                .param("shop", by.shop().toString())
                .param("away", Ids.text(absence.who().orElse(null)))
                .param("first", absence.first())
                .param("last", absence.last())
                .param("from", absence.from().orElse(null))
                .param("to", absence.to().orElse(null))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(by, Audit.What.AWAY_SET, absence.first() + " to " + absence.last());
    }

    /** Back after all; false where there is none such. */
    @Transactional
    boolean back(Person by, UUID id) {
        boolean was = jdbc.sql(BACK)
                        .param("at", Times.column(clock.instant()))
                        .param("id", id.toString())
                        .param("shop", by.shop().toString())
                        .update()
                > 0;
        if (was) {
            audit.add(by, Audit.What.AWAY_TAKEN_BACK, "");
        }
        return was;
    }
}
