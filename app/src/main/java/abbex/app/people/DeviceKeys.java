package abbex.app.people;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * A key for each person, with which a device seals what it keeps for them while there is no network: 256 random bits, made
 * with the person and never changed, so that what waits can still be opened after the next sign-in or a restored backup. Only
 * that person's pages carry it.
 */
@Service
public class DeviceKeys {
    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private static final String READ = "select device_key from person where id = :person";

    private final JdbcClient jdbc;
    private final LoadingCache<UUID, String> kept =
            Caffeine.newBuilder().maximumSize(1000).build(this::load);

    DeviceKeys(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A new one, in Base64. */
    static String fresh() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getEncoder().encodeToString(bytes);
    }

    /** In Base64. */
    public String of(UUID person) {
        return kept.get(person);
    }

    private String load(UUID person) {
        return jdbc.sql(READ)
                .param("person", person.toString())
                .query(String.class)
                .single();
    }
}
