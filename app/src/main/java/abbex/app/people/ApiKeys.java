package abbex.app.people;

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
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Keys of other programs: each of one shop, made and revoked by a lead. A key is 256 random bits, so a plain SHA-256 of it
 * is kept: there is nothing to guess that a slow hash would have to guard.
 */
@Service
public class ApiKeys implements StaysSo {
    private static final String PREFIX = "abbex_";
    private static final SecureRandom RANDOM = new SecureRandom();

    /** A key as the list shows it; the key itself is not kept anywhere. */
    public record Key(
            UUID id,
            String name,
            String hint,
            String madeBy,
            Instant madeAt,
            @Nullable Instant revokedAt) {}

    /** A caller by its key. */
    public record Caller(UUID key, UUID shop) {}

    private static final String OF_SHOP = """
            select k.id, k.name, k.hint, p.display_name, k.made_at, k.revoked_at
              from api_key k join person p on p.id = k.made_by
             where k.shop_id = :shop order by k.revoked_at is not null, k.made_at desc
            """;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final Audit audit;
    private final Journal journal;

    ApiKeys(JdbcClient jdbc, Clock clock, Audit audit, Journal journal) {
        this.journal = journal;
        this.jdbc = jdbc;
        this.clock = clock;
        this.audit = audit;
    }

    /** Makes a key and returns it this once. */
    public String make(Person by, String name) {
        byte[] bits = new byte[32];
        RANDOM.nextBytes(bits);
        String key = PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
        jdbc.sql("""
                insert into api_key (id, shop_id, name, hint, key_hash, made_at, made_by)
                values (:id, :shop, :name, :hint, :hash, :at, :by)
                """)
                .param("id", Ids.fresh().toString())
                .param("shop", by.shop().toString())
                .param("name", name)
                .param("hint", key.substring(key.length() - 4))
                .param("hash", Sha256.hex(key))
                .param("at", Times.column(clock.instant()))
                .param("by", by.id().toString())
                .update();
        audit.add(by, Audit.What.KEY_MADE, name);
        return key;
    }

    /** Ends a key of the person's shop at once; false when there is none such. */
    public boolean revoke(Person by, UUID key) {
        Optional<Key> known =
                ofShop(by.shop()).stream().filter(k -> k.id().equals(key)).findFirst();
        if (known.isPresent() && known.get().revokedAt() == null) {
            journal.keep(Journal.What.KEY_REVOKED, key);
            jdbc.sql("update api_key set revoked_at = :at where id = :id and shop_id = :shop")
                    .param("at", Times.column(clock.instant()))
                    .param("id", key.toString())
                    .param("shop", by.shop().toString())
                    .update();
            audit.add(by, Audit.What.KEY_REVOKED, known.get().name());
        }
        return known.isPresent();
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of(Journal.What.KEY_REVOKED);
    }

    @Override
    public boolean again(Journal.Line line) {
        return jdbc.sql("update api_key set revoked_at = :at where id = :id and revoked_at is null")
                        .param("at", Times.column(line.at()))
                        .param("id", line.of().toString())
                        .update()
                > 0;
    }

    public List<Key> ofShop(UUID shop) {
        return jdbc.sql(OF_SHOP)
                .param("shop", shop.toString())
                .query((row, n) -> new Key(
                        Ids.id(row, "id"),
                        row.getString("name"),
                        row.getString("hint"),
                        row.getString("display_name"),
                        Times.instant(row, "made_at"),
                        row.getTimestamp("revoked_at") == null ? null : Times.instant(row, "revoked_at")))
                .list();
    }

    /** Whose key this is, if it is one that has not been revoked. */
    public Optional<Caller> caller(String key) {
        return jdbc.sql("select id, shop_id from api_key where key_hash = :hash and revoked_at is null")
                .param("hash", Sha256.hex(key))
                .query((row, n) -> new Caller(Ids.id(row, "id"), Ids.id(row, "shop_id")))
                .optional();
    }
}
