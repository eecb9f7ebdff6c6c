package abbex.app.day;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.store.Ids;
import abbex.app.store.Journal;
import abbex.app.store.Sha256;
import abbex.app.store.StaysSo;
import abbex.app.store.Times;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Secret addresses of calendars. Each is 256 random bits, told once and kept as its SHA-256; whoever has it reads that calendar
 * until it is withdrawn, or the person whose it is has left.
 */
@Service
class CalendarLinks implements StaysSo {
    private static final SecureRandom RANDOM = new SecureRandom();

    private static final String SEEN = """
            select l.id, l.of_id, p.display_name, l.made_at from calendar_link l left join person p on p.id = l.of_id
             where l.shop_id = :shop and l.revoked_at is null and (:lead or l.of_id = :person) order by l.made_at, l.id
            """;

    private static final String ADD = """
            insert into calendar_link (id, shop_id, of_id, hash, made_by, made_at)
            values (:id, :shop, :of, :hash, :by, :at)
            """;

    private static final String WHOSE =
            "select shop_id, of_id, made_by from calendar_link where hash = :hash and revoked_at is null";

    private final JdbcClient jdbc;
    private final Clock clock;
    private final Audit audit;
    private final Journal journal;

    CalendarLinks(JdbcClient jdbc, Clock clock, Audit audit, Journal journal) {
        this.jdbc = jdbc;
        this.clock = clock;
        this.audit = audit;
        this.journal = journal;
    }

    /** An address as the list shows it; the address itself is not kept anywhere. */
    public record Link(UUID id, boolean shop, String name, Instant made) {}

    /** Whose calendar is read; of nobody for the whole shop. */
    record Whose(UUID shop, Optional<UUID> person, UUID maker) {}

    /** The addresses that a person may withdraw: their own, and a lead every one. */
    List<Link> of(Person me) {
        return jdbc.sql(SEEN)
                .param("shop", me.shop().toString())
                .param("lead", me.role() == Role.LEAD)
                .param("person", me.id().toString())
                .query((row, n) -> new Link(
                        Ids.id(row, "id"),
                        row.getString("of_id") == null,
                        Optional.ofNullable(row.getString("display_name")).orElse(""),
                        Times.instant(row, "made_at")))
                .list();
    }

    /** Makes an address and returns its secret this once. */
    String make(Person by, boolean shop) {
        byte[] bits = new byte[32];
        RANDOM.nextBytes(bits);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
        jdbc.sql(ADD)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("of", shop ? null : by.id().toString())
                .param("hash", Sha256.hex(secret))
                .param("by", by.id().toString())
                .param("at", Times.column(clock.instant()))
                .update();
        audit.add(by, Audit.What.CALENDAR_MADE, shop ? by.shopName() : by.displayName());
        return secret;
    }

    /** Ends an address at once; false where the person may not, or there is none such. */
    boolean withdraw(Person by, UUID id) {
        Optional<Link> known = of(by).stream().filter(l -> l.id().equals(id)).findFirst();
        if (known.isPresent()) {
            journal.keep(Journal.What.CALENDAR_WITHDRAWN, id);
            jdbc.sql("update calendar_link set revoked_at = :at where id = :id and shop_id = :shop")
                    .param("at", Times.column(clock.instant()))
                    .param("id", id.toString())
                    .param("shop", by.shop().toString())
                    .update();
            audit.add(by, Audit.What.CALENDAR_WITHDRAWN, known.get().name());
        }
        return known.isPresent();
    }

    /** Whose calendar an address is. */
    Optional<Whose> whose(String secret) {
        return jdbc.sql(WHOSE)
                .param("hash", Sha256.hex(secret))
                .query((row, n) -> new Whose(
                        Ids.id(row, "shop_id"), Optional.ofNullable(Ids.maybe(row, "of_id")), Ids.id(row, "made_by")))
                .optional();
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of(Journal.What.CALENDAR_WITHDRAWN);
    }

    @Override
    public boolean again(Journal.Line line) {
        return jdbc.sql("update calendar_link set revoked_at = :at where id = :id and revoked_at is null")
                        .param("at", Times.column(line.at()))
                        .param("id", line.of().toString())
                        .update()
                > 0;
    }
}
