package abbex.app.people;

import abbex.app.store.Busy;
import abbex.app.store.Times;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Five misses lock a name at an address for a quarter of an hour, whether the name exists or not. An attempt counts before
 * what it brings is looked at, in one statement: a hundred that come at once are a hundred, and five of them are looked at.
 */
@Service
public class Misses {
    static final int ALLOWED = 5;
    static final Duration LOCKED = Duration.ofMinutes(15);

    /** What is older counts no more; the clock of the lock runs from the last attempt that was let through. */
    private static final String CLAIM = """
            insert into attempt (name, address, n, at) values (:name, :address, 1, :now)
                on duplicate key update n = if(at < :since, 1, n + 1), at = if(n <= :allowed, :now, at)
            returning n
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    Misses(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Counts an attempt before it is looked at.
     *
     * @param name what is tried; for a sign-in {@link SignInName#of}
     * @return false when it must not be looked at
     */
    public boolean claim(String name, String address) {
        LocalDateTime now = Times.column(clock.instant());
        int tried = jdbc.sql(CLAIM)
                .param("name", name)
                .param("address", address)
                .param("now", now)
                .param("since", now.minus(LOCKED))
                .param("allowed", ALLOWED)
                .query(Integer.class)
                .single();
        if (tried == 1) {
            // One that tries a name after the other leaves no more rows than its pace brings in the time of the lock.
            sweep(now);
        }
        return tried <= ALLOWED;
    }

    /** Of two that sweep at once one may be turned away: the other does its work. */
    private void sweep(LocalDateTime now) {
        try {
            jdbc.sql("delete from attempt where at < :since limit 200")
                    .param("since", now.minus(LOCKED))
                    .update();
        } catch (PessimisticLockingFailureException beside) {
            // The next first attempt sweeps again.
        }
    }

    /** It was not looked at, because too many came at once: it does not count. */
    public void giveBack(String name, String address) {
        jdbc.sql("update attempt set n = n - 1 where name = :name and address = :address and n > 0")
                .param("name", name)
                .param("address", address)
                .update();
    }

    /** Whether the next attempt will not be looked at. */
    public boolean locked(String name, String address) {
        return jdbc.sql(
                                "select count(*) from attempt where name = :name and address = :address and at >= :since and n >= :allowed")
                        .param("name", name)
                        .param("address", address)
                        .param("since", Times.column(clock.instant().minus(LOCKED)))
                        .param("allowed", ALLOWED)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** It was the right one: what was tried before is forgotten, and with it whatever is too old to count. */
    public void forget(String name, String address) {
        jdbc.sql("delete from attempt where name = :name and address = :address or at < :since")
                .param("name", name)
                .param("address", address)
                .param("since", Times.column(clock.instant().minus(LOCKED)))
                .update();
    }

    /** A locked name is not even looked up: the answer is the one of every miss. */
    static final class Lock extends OncePerRequestFilter {
        private final Misses misses;

        Lock(Misses misses) {
            this.misses = misses;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            boolean signingIn = request.getMethod().equals("POST")
                    && request.getServletPath().equals("/sign-in");
            String name = signingIn ? request.getParameter("username") : null;
            if (name != null && !misses.claim(SignInName.of(name), request.getRemoteAddr())) {
                response.sendRedirect(request.getContextPath() + "/sign-in?error");
                return;
            }
            try {
                chain.doFilter(request, response);
            } catch (Busy notLookedAt) {
                if (name != null) {
                    misses.giveBack(SignInName.of(name), request.getRemoteAddr());
                }
                throw notLookedAt;
            }
        }
    }
}
