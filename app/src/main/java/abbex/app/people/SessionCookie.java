package abbex.app.people;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/**
 * The session's cookie: over HTTPS under a name that a browser takes only whole-host and secure (RFC 6265bis, 4.1.3.2), at
 * the plain door of this computer under a plain one.
 */
final class SessionCookie implements CookieSerializer {
    private final CookieSerializer plain = named("SESSION");
    private final CookieSerializer secure = named("__Host-SESSION");

    private static CookieSerializer named(String name) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName(name);
        cookie.setCookiePath("/");
        cookie.setSameSite("Lax");
        return cookie;
    }

    private CookieSerializer at(HttpServletRequest request) {
        return request.isSecure() ? secure : plain;
    }

    @Override
    public void writeCookieValue(CookieValue value) {
        at(value.getRequest()).writeCookieValue(value);
    }

    @Override
    public List<String> readCookieValues(HttpServletRequest request) {
        return at(request).readCookieValues(request);
    }
}
