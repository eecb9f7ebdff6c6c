package abbex.app.people;

import static org.springframework.security.web.context.HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY;

import abbex.app.store.Strangers;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.WebUtils;

/**
 * A session ends twelve hours after the last act of a person, and after three days whatever is done with it. A page that asks
 * for news by itself is no act. One that was left without a network ends with the first request that gets through.
 */
final class SessionLimits extends OncePerRequestFilter {
    static final Duration IDLE = Duration.ofHours(12);
    static final Duration LONGEST = Duration.ofDays(3);

    /** When somebody last did something, in ms since the epoch. */
    static final String ACTED = "abbex.acted";

    /** It is not written with every request. */
    private static final Duration COARSE = Duration.ofMinutes(5);

    /** Set by left.mjs. */
    private static final String LEFT = "abbex-left";

    private final Clock clock;

    /** @param clock the one that sessions begin by: the machine's */
    SessionLimits(Clock clock) {
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (leftWithoutNetwork(request, response)) {
            if (session != null) {
                session.invalidate();
            }
        } else if (session != null) {
            Instant now = clock.instant();
            Instant begun = Instant.ofEpochMilli(session.getCreationTime());
            Instant acted = session.getAttribute(ACTED) instanceof Long at ? Instant.ofEpochMilli(at) : begun;
            if (begun.plus(LONGEST).isBefore(now) || acted.plus(IDLE).isBefore(now)) {
                session.invalidate();
            } else {
                if (session.getAttribute(SPRING_SECURITY_CONTEXT_KEY) != null) {
                    Strangers.known(request);
                }
                if (!request.getServletPath().endsWith("/news")
                        && acted.plus(COARSE).isBefore(now)) {
                    session.setAttribute(ACTED, now.toEpochMilli());
                }
            }
        }
        chain.doFilter(request, response);
    }

    /** Signed out on the device where nothing could be sent: its first request says so, once. */
    private static boolean leftWithoutNetwork(HttpServletRequest request, HttpServletResponse response) {
        if (WebUtils.getCookie(request, LEFT) == null) {
            return false;
        }
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(LEFT, "")
                        .path("/")
                        .maxAge(0)
                        .sameSite("Lax")
                        .build()
                        .toString());
        return true;
    }
}
