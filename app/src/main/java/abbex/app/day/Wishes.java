package abbex.app.day;

import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** What somebody set by hand for a day. */
@Service
class Wishes {
    private static final String OF_DAY = """
            select job_id, what, bay, lead_id, at from day_wish where shop_id = :shop and day = :day order by seq
            """;

    private static final String ADD = """
            insert into day_wish (shop_id, day, job_id, what, bay, lead_id, at, person_id, made_at)
            values (:shop, :day, :job, :what, :bay, :lead, :when, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    Wishes(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What is set. */
    enum What {
        /** It is done there, then, by them; what is empty is free. */
        PUT,
        /** Back to where it fits best. */
        FREE,
        /** Not on this day. */
        OUT
    }

    record Wish(What what, String bay, Optional<UUID> lead, Optional<Instant> at) {
        static final Wish FREE = new Wish(What.FREE, "", Optional.empty(), Optional.empty());
        static final Wish OUT = new Wish(What.OUT, "", Optional.empty(), Optional.empty());
    }

    /** By stay; those that are free again are not among them. */
    Map<UUID, Wish> of(UUID shop, LocalDate day) {
        Map<UUID, Wish> wishes = new HashMap<>();
        jdbc.sql(OF_DAY).param("shop", shop.toString()).param("day", day).query(row -> {
            Wish wish = new Wish(
                    What.valueOf(row.getString("what")),
                    row.getString("bay"),
                    Optional.ofNullable(Ids.maybe(row, "lead_id")),
                    Agreed.maybe(row, "at"));
            wishes.put(Ids.id(row, "job_id"), wish);
        });
        wishes.values().removeIf(wish -> wish.what() == What.FREE);
        return wishes;
    }

    void set(Person by, LocalDate day, UUID job, Wish wish) {
        jdbc.sql(ADD)
                .param("shop", by.shop().toString())
                .param("day", day)
                .param("job", job.toString())
                .param("what", wish.what().name())
                .param("bay", wish.bay())
                .param("lead", Ids.text(wish.lead().orElse(null)))
                .param("when", wish.at().map(Times::column).orElse(null))
                .param("person", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
    }
}
