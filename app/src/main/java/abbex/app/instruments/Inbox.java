package abbex.app.instruments;

import abbex.app.people.Person;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** What instruments measured and nobody has taken or refused yet: the public service of the package. */
@Service
public class Inbox {
    /** While so many wait, a device keeps what it measured (ours). */
    private static final int MOST_WAITING = 20;

    /** What nobody took for so long is none of this job (ours), minutes. */
    private static final int FORGOTTEN = 15;

    private static final String ADD = """
            insert into instrument_reading (shop_id, device, boot, nr, kind, raw, person_id, made_at)
            values (:shop, :device, :boot, :nr, :kind, :raw, :person, :at)
            """;

    private static final String WAITING = """
            select seq, device, kind, raw from instrument_reading
             where person_id = :person and shop_id = :shop and done is null and made_at > :since
             order by device, boot, nr limit 40
            """;

    private static final String TAKEN = """
            select device, raw, field, page, made_at from instrument_reading
             where person_id = :person and shop_id = :shop and done = 'TAKEN' order by seq desc limit 20
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    Inbox(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What became of a reading. */
    public enum Outcome {
        KEPT,
        /** It was kept before. */
        AGAIN,
        /** Too many wait: it has to come again. */
        FULL
    }

    /**
     * What was measured.
     *
     * @param boot drawn by the device when it was switched on; its numbers count from there
     * @param raw as somebody would type it, with its unit
     */
    public record Measured(String device, String boot, long nr, String kind, String raw) {}

    /** A reading that waits. */
    record Waiting(long id, String device, String kind, String raw) {}

    /** Keeps a reading for a person, once. */
    public Outcome accept(UUID shop, UUID person, Measured measured) {
        int waiting = jdbc.sql("""
                        select count(*) from instrument_reading
                         where person_id = :person and done is null and device = :device and boot = :boot and made_at > :since
                        """)
                .param("person", person.toString())
                .param("device", measured.device())
                .param("boot", measured.boot())
                .param("since", since())
                .query(Integer.class)
                .single();
        try {
            if (waiting >= MOST_WAITING) {
                return Outcome.FULL;
            }
            jdbc.sql(ADD)
                    .param("shop", shop.toString())
                    .param("device", measured.device())
                    .param("boot", measured.boot())
                    .param("nr", measured.nr())
                    .param("kind", measured.kind())
                    .param("raw", measured.raw())
                    .param("person", person.toString())
                    .param("at", Times.column(clock.instant()))
                    .update();
            return Outcome.KEPT;
        } catch (DuplicateKeyException again) {
            return Outcome.AGAIN;
        }
    }

    private Object since() {
        return Times.column(clock.instant().minusSeconds(60L * FORGOTTEN));
    }

    /** In the order in which each device measured them. */
    List<Waiting> waiting(Person person) {
        return jdbc.sql(WAITING)
                .param("person", person.id().toString())
                .param("shop", person.shop().toString())
                .param("since", since())
                .query((row, n) -> new Waiting(
                        row.getLong("seq"), row.getString("device"), row.getString("kind"), row.getString("raw")))
                .list();
    }

    /**
     * What a reading became.
     *
     * @param into the id under which the field was sent; empty where a form has none
     * @param page the way to the page of the stay; empty on other pages
     * @param field its name
     */
    record Became(Optional<UUID> into, String page, String field) {}

    /** It was taken, or refused; once. */
    void done(Person person, long id, boolean taken, Became became) {
        jdbc.sql("""
                        update instrument_reading set done = :how, into_id = :into, page = :page, field = :field
                         where seq = :id and person_id = :person and shop_id = :shop and done is null
                        """)
                .param("how", taken ? "TAKEN" : "REFUSED")
                .param("into", became.into().map(UUID::toString).orElse(null))
                .param("page", became.page())
                .param("field", became.field())
                .param("id", id)
                .param("person", person.id().toString())
                .param("shop", person.shop().toString())
                .update();
    }

    /** A reading that was taken lately. */
    record Taken(String device, String raw, String field, String page, Instant at) {}

    /** The newest first. */
    List<Taken> taken(Person person) {
        return jdbc.sql(TAKEN)
                .param("person", person.id().toString())
                .param("shop", person.shop().toString())
                .query((row, n) -> new Taken(
                        row.getString("device"),
                        row.getString("raw"),
                        Objects.requireNonNullElse(row.getString("field"), ""),
                        Objects.requireNonNullElse(row.getString("page"), ""),
                        Times.instant(row, "made_at")))
                .list();
    }
}
