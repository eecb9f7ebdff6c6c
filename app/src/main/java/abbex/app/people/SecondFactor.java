package abbex.app.people;

import abbex.app.store.Journal;
import abbex.app.store.Sha256;
import abbex.app.store.StaysSo;
import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A code from a person's phone beside the password: six digits of every half minute (RFC 6238 with SHA-1, which all such
 * programs know), each taken once, the half minutes before and after too. For a lost phone there are ten codes, each for once.
 */
@Service
public class SecondFactor implements StaysSo {
    private static final TimeBasedOneTimePasswordGenerator CODES = new TimeBasedOneTimePasswordGenerator();
    private static final long STEP_SECONDS = CODES.getTimeStep().toSeconds();
    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY = 10;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final JdbcClient jdbc;
    private final Journal journal;
    private final Clock clock;

    SecondFactor(JdbcClient jdbc, Journal journal, Clock clock) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.clock = clock;
    }

    /** A key that nobody has, in Base32 (RFC 4648). */
    public static String freshSecret() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        return new Base32().encodeAsString(secret);
    }

    /** The six digits of a moment. */
    static String code(String secret, Instant at) {
        try {
            return CODES.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), CODES.getAlgorithm()), at, Locale.ROOT);
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    public boolean on(UUID person) {
        return secret(person).isPresent();
    }

    public int recoveryCodesLeft(UUID person) {
        return digests(person).size();
    }

    /**
     * Asks for codes from now on.
     *
     * @param code what the phone shows, so that nobody is shut out by a key that was not taken over
     * @return the codes for a lost phone, to be seen once; empty when the phone's code is another
     */
    @Transactional
    public Optional<List<String>> turnOn(Person person, String secret, String code) {
        Optional<Long> step = step(secret, code);
        if (step.isEmpty()) {
            return Optional.empty();
        }
        keep(person, secret, step.get());
        return Optional.of(freshRecoveryCodes(person));
    }

    private void keep(Person person, String secret, long step) {
        journal.keep(Journal.What.SECOND_FACTOR, person.id(), secret);
        jdbc.sql("""
                insert into second_factor (person_id, shop_id, secret, last_step) values (:id, :shop, :secret, :step)
                    on duplicate key update secret = :secret, last_step = :step
                """)
                .param("id", person.id().toString())
                .param("shop", person.shop().toString())
                .param("secret", secret)
                .param("step", step)
                .update();
    }

    /** Asks for none any more; true when it did before. */
    @Transactional
    public boolean off(Person person) {
        if (!on(person.id())) {
            return false;
        }
        journal.keep(Journal.What.SECOND_FACTOR, person.id());
        return again(new Journal.Line(clock.instant(), Journal.What.SECOND_FACTOR, person.id(), "-"));
    }

    /** Others than before, which count no more. */
    @Transactional
    public List<String> freshRecoveryCodes(Person person) {
        List<String> codes = Stream.generate(Passwords::make).limit(RECOVERY).toList();
        List<String> digests = codes.stream().map(SecondFactor::digest).toList();
        journal.keep(Journal.What.RECOVERY_CODES, person.id(), String.join(",", digests));
        setDigests(person.id().toString(), digests);
        return codes;
    }

    /** Takes a code, of the phone or for a lost one: the same one fits once. */
    @Transactional
    public boolean takes(UUID person, String typed) {
        String code = typed.replace(" ", "").toLowerCase(Locale.ROOT);
        Optional<String> secret = secret(person);
        if (secret.isEmpty()) {
            return false;
        }
        Optional<Long> step = step(secret.get(), code);
        return step.isPresent() ? once(person, step.get()) : recovered(person, digest(code));
    }

    private boolean once(UUID person, long step) {
        return jdbc.sql("update second_factor set last_step = :step where person_id = :id and last_step < :step")
                        .param("step", step)
                        .param("id", person.toString())
                        .update()
                > 0;
    }

    private boolean recovered(UUID person, String digest) {
        boolean taken = jdbc.sql("delete from recovery_code where person_id = :id and digest = unhex(:digest)")
                        .param("id", person.toString())
                        .param("digest", digest)
                        .update()
                > 0;
        if (taken) {
            journal.keep(Journal.What.RECOVERY_CODES, person, orNone(String.join(",", digests(person))));
        }
        return taken;
    }

    /** The half minute whose code it is, of the present one and its neighbours. */
    private Optional<Long> step(String secret, String code) {
        long now = clock.instant().getEpochSecond() / STEP_SECONDS;
        return Stream.of(now, now - 1, now + 1)
                .filter(step ->
                        code(secret, Instant.ofEpochSecond(step * STEP_SECONDS)).equals(code.replace(" ", "")))
                .findFirst();
    }

    private Optional<String> secret(UUID person) {
        return jdbc.sql("select secret from second_factor where person_id = :id")
                .param("id", person.toString())
                .query(String.class)
                .optional();
    }

    private List<String> digests(UUID person) {
        return jdbc.sql("select lower(hex(digest)) from recovery_code where person_id = :id order by digest")
                .param("id", person.toString())
                .query(String.class)
                .list();
    }

    private void setDigests(String person, List<String> digests) {
        jdbc.sql("delete from recovery_code where person_id = :id")
                .param("id", person)
                .update();
        digests.forEach(digest ->
                jdbc.sql("""
                insert into recovery_code (person_id, shop_id, digest)
                    select id, shop_id, unhex(:digest) from person where id = :id
                """).param("digest", digest).param("id", person).update());
    }

    private static String digest(String code) {
        return Sha256.hex(code);
    }

    private static String orNone(String digests) {
        return digests.isEmpty() ? "-" : digests;
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of(Journal.What.SECOND_FACTOR, Journal.What.RECOVERY_CODES);
    }

    @Override
    public boolean again(Journal.Line line) {
        String person = line.of().toString();
        if (line.what() == Journal.What.RECOVERY_CODES) {
            Set<String> then = Stream.of(line.value().split(","))
                    .filter(d -> !d.equals("-"))
                    .collect(Collectors.toSet());
            boolean otherwise = !Set.copyOf(digests(line.of())).equals(then);
            setDigests(person, List.copyOf(then));
            return otherwise;
        }
        if (line.value().equals("-")) {
            setDigests(person, List.of());
            return jdbc.sql("delete from second_factor where person_id = :id")
                            .param("id", person)
                            .update()
                    > 0;
        }
        return jdbc.sql("""
                insert into second_factor (person_id, shop_id, secret, last_step)
                    select id, shop_id, :secret, 0 from person where id = :id
                    on duplicate key update secret = :secret
                """).param("secret", line.value()).param("id", person).update() > 0;
    }
}
