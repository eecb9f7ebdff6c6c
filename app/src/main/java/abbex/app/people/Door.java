package abbex.app.people;

import jakarta.servlet.http.HttpServletRequest;
import java.io.Serial;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/**
 * Password and, of whoever asked for it, a code of the phone, in one answer: a wrong code looks like a wrong password. A
 * program that signs in with a name brings no code, so that it needs a key of its own.
 */
final class Door extends DaoAuthenticationProvider {
    private final SecondFactor second;

    Door(UserDetailsService signInBy, PasswordEncoder encoder, SecondFactor second) {
        super(signInBy);
        setPasswordEncoder(encoder);
        this.second = second;
    }

    @Override
    protected void additionalAuthenticationChecks(UserDetails found, UsernamePasswordAuthenticationToken typed) {
        super.additionalAuthenticationChecks(found, typed);
        if (found instanceof SignedIn who && second.on(who.id()) && !second.takes(who.id(), code(typed))) {
            throw new BadCredentialsException("no code, or another");
        }
    }

    private static String code(UsernamePasswordAuthenticationToken typed) {
        return typed.getDetails() instanceof Typed form ? form.code : "";
    }

    /** What the form of the door brings besides name and password; the code is not kept with the session. */
    static final class Typed extends WebAuthenticationDetails {
        @Serial
        private static final long serialVersionUID = 1;

        private final transient String code;

        Typed(HttpServletRequest request) {
            super(request);
            String sent = request.getParameter("code");
            this.code = sent == null || sent.length() > 60 ? "" : sent;
        }
    }
}
