package abbex.app.people;

import abbex.app.store.Ids;
import abbex.app.store.Journal;
import abbex.app.store.StaysSo;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** The people of all shops; sign-in names are unique over the installation. */
@Service
public class People implements StaysSo {
    private static final String COLUMNS = """
            select p.id, p.shop_id, s.name as shop_name, p.sign_in_name, p.display_name, p.initials, p.role,
                   p.password_hash, p.must_change, p.unit, p.tape, p.zone, p.theme, p.single_keys, p.paint
              from person p join shop s on s.id = p.shop_id
            """;

    private static final String BY_NAME = COLUMNS + " where p.sign_in_name = :name and p.active";
    private static final String BY_ID = COLUMNS + " where p.id = :id and p.active";
    private static final String OF_SHOP = COLUMNS + " where p.shop_id = :shop and p.active order by p.display_name";

    private static final RowMapper<Person> PERSON = (row, n) -> person(row);

    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final Journal journal;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    People(
            JdbcClient jdbc,
            PasswordEncoder encoder,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            Journal journal) {
        this.journal = journal;
        this.sessions = sessions;
        this.jdbc = jdbc;
        this.encoder = encoder;
    }

    /** A person with the hash that only sign-in looks at. */
    record WithHash(Person person, String hash) {}

    Optional<WithHash> forSignIn(String name) {
        return jdbc.sql(BY_NAME)
                .param("name", SignInName.of(name))
                .query((row, n) -> new WithHash(person(row), row.getString("password_hash")))
                .optional();
    }

    public Optional<Person> byId(UUID id) {
        return jdbc.sql(BY_ID).param("id", id.toString()).query(PERSON).optional();
    }

    public List<Person> ofShop(UUID shop) {
        return jdbc.sql(OF_SHOP).param("shop", shop.toString()).query(PERSON).list();
    }

    public boolean nobodyYet() {
        return jdbc.sql("select count(*) from shop").query(Long.class).single() == 0;
    }

    /** The first shop's people sign in by their names alone, those of any further one with its word behind them. */
    public UUID addShop(String name) {
        UUID id = Ids.fresh();
        jdbc.sql("insert into shop (id, name, sign_in_word) values (:id, :name, :word)")
                .param("id", id.toString())
                .param("name", name)
                .param("word", nobodyYet() ? null : SignInName.word(name, this::wordTaken))
                .update();
        return id;
    }

    private boolean wordTaken(String word) {
        return jdbc.sql("select count(*) from shop where sign_in_word = :word")
                        .param("word", word)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /**
     * The name that somebody of a shop signs in with.
     *
     * @param own what the shop calls the person, by {@link SignInName#own}
     */
    public String signInName(UUID shop, String own) {
        return jdbc.sql("select sign_in_word from shop where id = :shop")
                .param("shop", shop.toString())
                .query((row, n) -> row.getString(1) == null ? own : own + SignInName.AT + row.getString(1))
                .single();
    }

    /** Adds somebody; the password is kept only as its hash. */
    public UUID add(
            UUID shop,
            String signInName,
            String displayName,
            String initials,
            Role role,
            String password,
            boolean mustChange,
            Person.Likes likes) {
        UUID id = Ids.fresh();
        jdbc.sql("""
                insert into person (id, shop_id, sign_in_name, display_name, initials, role, password_hash, must_change,
                                    active, unit, tape, zone, theme, single_keys, device_key)
                values (:id, :shop, :name, :display, :initials, :role, :hash, :must, true, :unit, :tape, :zone, :theme, :keys,
                        :device)
                """)
                .param("id", id.toString())
                .param("shop", shop.toString())
                .param("name", signInName)
                .param("display", displayName)
                .param("initials", initials)
                .param("role", role.name())
                .param("hash", encoder.encode(password))
                .param("must", mustChange)
                .param("unit", likes.unit().symbol())
                .param("tape", likes.tape().toString())
                .param("zone", likes.zone().getId())
                .param("theme", likes.theme())
                .param("keys", likes.singleKeys())
                .param("device", DeviceKeys.fresh())
                .update();
        return id;
    }

    public void setLikes(UUID person, Person.Likes likes) {
        jdbc.sql("""
                update person set unit = :unit, tape = :tape, zone = :zone, theme = :theme, single_keys = :keys, paint = :paint
                 where id = :id
                """)
                .param("unit", likes.unit().symbol())
                .param("tape", likes.tape().toString())
                .param("zone", likes.zone().getId())
                .param("theme", likes.theme())
                .param("keys", likes.singleKeys())
                .param("paint", likes.paint().map(Enum::name).orElse(""))
                .param("id", person.toString())
                .update();
    }

    public void setPassword(UUID person, String password) {
        String hash = Objects.requireNonNull(encoder.encode(password));
        journal.keep(Journal.What.PASSWORD, person, hash);
        jdbc.sql("update person set password_hash = :hash, must_change = false where id = :id")
                .param("hash", hash)
                .param("id", person.toString())
                .update();
    }

    /** Sets a password that must be changed at the next sign-in; the PIN and the person's sessions end. */
    public void resetPassword(UUID shop, Person person, String password) {
        String hash = Objects.requireNonNull(encoder.encode(password));
        journal.keep(Journal.What.PASSWORD, person.id(), hash);
        journal.keep(Journal.What.PIN, person.id());
        jdbc.sql(
                        "update person set password_hash = :hash, pin_hash = null, must_change = true where id = :id and shop_id = :shop")
                .param("hash", hash)
                .param("id", person.id().toString())
                .param("shop", shop.toString())
                .update();
        endSessions(person);
    }

    /** The person's readings stay; the person signs in no more and is signed out everywhere. */
    public void deactivate(UUID shop, Person person) {
        journal.keep(Journal.What.PERSON_DEACTIVATED, person.id());
        jdbc.sql("update person set active = false where id = :id and shop_id = :shop")
                .param("id", person.id().toString())
                .param("shop", shop.toString())
                .update();
        endSessions(person);
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of(Journal.What.PASSWORD, Journal.What.PIN, Journal.What.PERSON_DEACTIVATED);
    }

    @Override
    public String holds() {
        return jdbc.sql("select count(distinct shop_id) shops, count(*) people from person where active")
                .query((row, n) -> row.getInt("shops") + (row.getInt("shops") == 1 ? " shop, " : " shops, ")
                        + row.getInt("people") + " people")
                .single();
    }

    @Override
    public boolean again(Journal.Line line) {
        String change = switch (line.what()) {
            case PASSWORD -> "password_hash = :value";
            case PIN -> "pin_hash = nullif(:value, '-')";
            default -> "active = (:value <> '-')";
        };
        return jdbc.sql("update person set " + change + " where id = :id")
                        .param("value", line.value())
                        .param("id", line.of().toString())
                        .update()
                > 0;
    }

    private void endSessions(Person person) {
        endSessionsBut(person, "");
    }

    /** Where a person is signed in: since when, and when that was last used. */
    public record SignIn(Instant since, Instant used, boolean here) {}

    /** The person's sign-ins, the one used last first. */
    public List<SignIn> signIns(Person person, String here) {
        return sessions.findByPrincipalName(person.signInName()).values().stream()
                .filter(s -> !s.isExpired())
                .map(s -> new SignIn(
                        s.getCreationTime(), s.getLastAccessedTime(), s.getId().equals(here)))
                .sorted(Comparator.comparing(SignIn::used).reversed())
                .toList();
    }

    /** Wherever else the person is signed in, that ends. */
    public void endSessionsBut(Person person, String kept) {
        sessions.findByPrincipalName(person.signInName()).keySet().stream()
                .filter(id -> !id.equals(kept))
                .forEach(sessions::deleteById);
    }

    public boolean nameTaken(String signInName) {
        return jdbc.sql("select count(*) from person where sign_in_name = :name")
                        .param("name", signInName)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    public boolean passwordIs(String signInName, String password) {
        return forSignIn(signInName)
                .filter(found -> encoder.matches(password, found.hash()))
                .isPresent();
    }

    private static Person person(ResultSet row) throws SQLException {
        return new Person(
                Ids.id(row, "id"),
                Ids.id(row, "shop_id"),
                row.getString("shop_name"),
                row.getString("sign_in_name"),
                row.getString("display_name"),
                row.getString("initials"),
                Role.valueOf(row.getString("role")),
                row.getBoolean("must_change"),
                new Person.Likes(
                        unit(row.getString("unit")),
                        Graduation.parse(row.getString("tape")).orElseThrow(),
                        ZoneId.of(row.getString("zone")),
                        row.getString("theme"),
                        row.getBoolean("single_keys"),
                        Person.Paint.named(row.getString("paint"))));
    }

    /** The unit by its symbol as it is stored. */
    public static LengthUnit unit(String symbol) {
        return symbol.toLowerCase(Locale.ROOT).equals("mm") ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
    }
}
