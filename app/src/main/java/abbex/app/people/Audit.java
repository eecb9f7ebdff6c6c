package abbex.app.people;

import abbex.app.store.Ids;
import abbex.app.store.Journal;
import abbex.app.store.Sha256;
import abbex.app.store.StaysSo;
import abbex.app.store.Times;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The list of acts that a lead may have to answer for. Appended only; no customer's data in it. Each row of a shop carries a
 * digest over itself and the one before ({@link AuditLog#whole}).
 */
@Service
public class Audit implements StaysSo {
    /** What is kept. */
    public enum What {
        SIGNED_IN,
        SIGN_IN_FAILED,
        SIGN_IN_LOCKED,
        PIN_FAILED,
        PIN_LOCKED,
        SIGNED_OUT_ELSEWHERE,
        PERSON_ADDED,
        PERSON_DEACTIVATED,
        PASSWORD_RESET,
        PASSWORD_CHANGED,
        PIN_SET,
        SECOND_FACTOR_ON,
        SECOND_FACTOR_OFF,
        RECOVERY_CODES_MADE,
        CHANGED_HANDS,
        KEY_MADE,
        KEY_REVOKED,
        CORRECTED,
        HANDED_OVER,
        HAND_OVER_UNDONE,
        EXPORTED,
        CUSTOMER_BLANKED,
        VEHICLE_CHANGED,
        LIMITS_SET,
        CLEARANCES_SET,
        WALK_SET,
        BAYS_SET,
        POINT_NAMED,
        POINT_WITHDRAWN,
        FLOOR_SURVEYED,
        FLOOR_TAKEN_BACK,
        KIT_CHOSEN,
        MOVED,
        STAY_CHANGED,
        STATE_CHANGED,
        READING_UNDONE,
        READINGS_MOVED,
        GAP_DELETED,
        WHEELS_DELETED,
        DRIVE_DELETED,
        MARK_DELETED,
        GROUND_DELETED,
        REMEDY_DELETED,
        SETTING_TAKEN_BACK,
        MEMORY_STRUCK,
        MEMORY_PUT_BACK,
        STEPS_CHANGED,
        ROUND_BEGUN,
        STEPS_UPDATED,
        HOURS_SET,
        AWAY_SET,
        AWAY_TAKEN_BACK,
        CALENDAR_MADE,
        CALENDAR_WITHDRAWN,
        RESTORED
    }

    private static final String ADD = """
            insert into audit (shop_id, person_id, what, detail, at, chain)
            values (:shop, :person, :what, :detail, :at, :chain)
            """;

    private static final String FIRST =
            "insert into audit_head (shop_id, n, chain) values (:shop, 0, :chain) on duplicate key update n = n";

    private static final String HEAD = "select chain from audit_head where shop_id = :shop for update";

    private static final String ON = "update audit_head set n = n + 1, chain = :chain where shop_id = :shop";

    private static final int LONGEST = 200;

    private final JdbcClient jdbc;
    private final Clock clock;

    Audit(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Transactional
    public void add(UUID shop, @Nullable UUID person, What what, String detail) {
        Line line = new Line(
                shop.toString(),
                Objects.requireNonNullElse(Ids.text(person), ""),
                what.name(),
                detail.length() > LONGEST ? detail.substring(0, LONGEST) : detail,
                Times.column(clock.instant()).truncatedTo(ChronoUnit.MICROS));
        jdbc.sql(FIRST)
                .param("shop", line.shop())
                .param("chain", Line.BEGINNING)
                .update();
        byte[] before =
                jdbc.sql(HEAD).param("shop", line.shop()).query(byte[].class).single();
        byte[] chain = line.chained(before);
        jdbc.sql(ADD)
                .param("shop", shop.toString())
                .param("person", Ids.text(person))
                .param("what", what.name())
                .param("detail", line.detail())
                .param("at", line.at())
                .param("chain", chain)
                .update();
        jdbc.sql(ON).param("chain", chain).param("shop", line.shop()).update();
    }

    @Transactional
    public void add(Person by, What what, String detail) {
        add(by.shop(), by.id(), what, detail);
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of();
    }

    @Override
    public boolean again(Journal.Line line) {
        return false;
    }

    /** What was done between the backup and its return is in the data that was put aside; this says that there is such. */
    @Override
    @Transactional
    public void restored() {
        jdbc.sql("select id from shop")
                .query(String.class)
                .list()
                .forEach(shop -> add(UUID.fromString(shop), null, What.RESTORED, ""));
    }

    /** What a digest is taken over. */
    record Line(String shop, String person, String what, String detail, LocalDateTime at) {
        static final byte[] BEGINNING = new byte[32];

        /** SHA-256 over the digest before and each field with its length. */
        byte[] chained(byte[] before) {
            MessageDigest digest = Sha256.digest();
            digest.update(before);
            for (String field : List.of(shop, person, what, detail, at.toString())) {
                byte[] bytes = field.getBytes(StandardCharsets.UTF_8);
                digest.update(
                        ByteBuffer.allocate(Integer.BYTES).putInt(bytes.length).array());
                digest.update(bytes);
            }
            return digest.digest();
        }
    }
}
