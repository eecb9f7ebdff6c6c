package abbex.app.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;

/**
 * The token against forged requests: in the session of whoever has one; before, at the door, in a cookie, so that a stranger
 * makes no row in the database.
 */
final class CsrfTokens implements CsrfTokenRepository {
    private final CsrfTokenRepository inSession = new HttpSessionCsrfTokenRepository();
    private final CsrfTokenRepository plain = cookie("DOOR");
    private final CsrfTokenRepository secure = cookie("__Host-DOOR");

    private static CsrfTokenRepository cookie(String name) {
        CookieCsrfTokenRepository cookie = new CookieCsrfTokenRepository();
        cookie.setCookieName(name);
        cookie.setHeaderName("X-CSRF-TOKEN");
        cookie.setCookiePath("/");
        cookie.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Lax"));
        return cookie;
    }

    private CsrfTokenRepository of(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            return inSession;
        }
        return request.isSecure() ? secure : plain;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return of(request).generateToken(request);
    }

    @Override
    public void saveToken(@Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        of(request).saveToken(token, request, response);
    }

    @Override
    public @Nullable CsrfToken loadToken(HttpServletRequest request) {
        return of(request).loadToken(request);
    }
}
