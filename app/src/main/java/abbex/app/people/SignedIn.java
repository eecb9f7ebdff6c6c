package abbex.app.people;

import java.io.Serial;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who a session belongs to; only the identity is kept in it, the person is read anew. */
public final class SignedIn implements UserDetails, CredentialsContainer {
    @Serial
    private static final long serialVersionUID = 1;

    private final UUID id;
    private final String name;
    private final String role;
    private final boolean pin;
    private String hash;

    SignedIn(Person person, String hash) {
        this(person, hash, false);
    }

    private SignedIn(Person person, String hash, boolean pin) {
        this.id = person.id();
        this.name = person.signInName();
        this.role = person.role().name();
        this.hash = hash;
        this.pin = pin;
    }

    /** Somebody who took over a device by PIN: a lead's pages stay shut. */
    static SignedIn byPin(Person person) {
        return new SignedIn(person, "", true);
    }

    public boolean lead() {
        return role.equals(Role.LEAD.name()) && !pin;
    }

    public UUID id() {
        return id;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + (pin ? "BY_PIN" : role)));
    }

    @Override
    public String getPassword() {
        return hash;
    }

    @Override
    public String getUsername() {
        return name;
    }

    @Override
    public void eraseCredentials() {
        hash = "";
    }
}
