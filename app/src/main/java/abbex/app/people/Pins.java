package abbex.app.people;

import abbex.app.store.Journal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Service;

/**
 * The device goes from hand to hand: initials and a PIN instead of name and password, only where somebody of the same shop
 * is signed in already. A PIN is short, so it opens the work and never a lead's pages.
 */
@Service
public class Pins {
    /** How an entered PIN was met. */
    public enum Entry {
        TAKEN,
        WRONG,
        /** Five misses: this person's PIN rests a quarter of an hour on this device; the password still works. */
        LOCKED
    }

    private static final HttpSessionSecurityContextRepository SESSION = new HttpSessionSecurityContextRepository();

    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final People people;
    private final Misses misses;
    private final Audit audit;
    private final Journal journal;

    Pins(JdbcClient jdbc, PasswordEncoder encoder, People people, Misses misses, Audit audit, Journal journal) {
        this.journal = journal;
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.people = people;
        this.misses = misses;
        this.audit = audit;
    }

    /** Four to eight digits that are no run and not all the same. */
    public static boolean fit(String pin) {
        if (!pin.matches("[0-9]{4,8}")) {
            return false;
        }
        int step = pin.charAt(1) - pin.charAt(0);
        for (int i = 2; i < pin.length(); i++) {
            if (pin.charAt(i) - pin.charAt(i - 1) != step) {
                return true;
            }
        }
        return Math.abs(step) > 1;
    }

    public boolean has(UUID person) {
        return hash(person).isPresent();
    }

    public void set(UUID person, String pin) {
        String hash = Objects.requireNonNull(encoder.encode(pin));
        journal.keep(Journal.What.PIN, person, hash);
        jdbc.sql("update person set pin_hash = :hash where id = :id")
                .param("hash", hash)
                .param("id", person.toString())
                .update();
    }

    /** The colleagues whom a PIN lets in here. */
    public List<Person> others(Person me) {
        List<String> with = jdbc.sql("select id from person where shop_id = :shop and active and pin_hash is not null")
                .param("shop", me.shop().toString())
                .query(String.class)
                .list();
        return people.ofShop(me.shop()).stream()
                .filter(p -> with.contains(p.id().toString()) && !p.id().equals(me.id()))
                .toList();
    }

    /** Gives the device to a colleague: the former session ends, so that nothing of it can be sent under the new name. */
    public Entry change(Person to, String pin, HttpServletRequest request, HttpServletResponse response) {
        String name = "pin " + to.id();
        String address = request.getRemoteAddr();
        if (!misses.claim(name, address)) {
            return Entry.LOCKED;
        }
        if (hash(to.id()).filter(hash -> encoder.matches(pin, hash)).isEmpty()) {
            audit.add(to, Audit.What.PIN_FAILED, address);
            if (misses.locked(name, address)) {
                audit.add(to, Audit.What.PIN_LOCKED, address);
                return Entry.LOCKED;
            }
            return Entry.WRONG;
        }
        misses.forget(name, address);
        request.getSession().invalidate();
        request.getSession(true);
        SignedIn who = SignedIn.byPin(to);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
        SecurityContextHolder.setContext(context);
        SESSION.saveContext(context, request, response);
        audit.add(to, Audit.What.CHANGED_HANDS, "");
        return Entry.TAKEN;
    }

    private Optional<String> hash(UUID person) {
        return jdbc.sql("select pin_hash from person where id = :id and active and pin_hash is not null")
                .param("id", person.toString())
                .query(String.class)
                .optional();
    }
}
