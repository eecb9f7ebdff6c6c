package abbex.app.people;

import abbex.app.store.Times;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.web.filter.OncePerRequestFilter;

/** Five misses lock a name at an address for a quarter of an hour, whether the name exists or not. */
@Service
public class Misses {
    static final int ALLOWED = 5;
    static final Duration LOCKED = Duration.ofMinutes(15);

    private final JdbcClient jdbc;
    private final Clock clock;

    Misses(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public boolean locked(String name, String address) {
        return jdbc.sql("select count(*) from sign_in_miss where name = :name and address = :address and at > :since")
                        .param("name", key(name))
                        .param("address", address)
                        .param("since", Times.column(clock.instant().minus(LOCKED)))
                        .query(Integer.class)
                        .single()
                >= ALLOWED;
    }

    public void missed(String name, String address) {
        Instant now = clock.instant();
        jdbc.sql("delete from sign_in_miss where at < :old")
                .param("old", Times.column(now.minus(LOCKED)))
                .update();
        jdbc.sql("insert into sign_in_miss (name, address, at) values (:name, :address, :at)")
                .param("name", key(name))
                .param("address", address)
                .param("at", Times.column(now))
                .update();
    }

    void forget(String name, String address) {
        jdbc.sql("delete from sign_in_miss where name = :name and address = :address")
                .param("name", key(name))
                .param("address", address)
                .update();
    }

    private static String key(String name) {
        String plain = name.strip().toLowerCase(java.util.Locale.ROOT);
        return plain.length() > 60 ? plain.substring(0, 60) : plain;
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
            if (name != null && misses.locked(name, request.getRemoteAddr())) {
                response.sendRedirect(request.getContextPath() + "/sign-in?error");
                return;
            }
            chain.doFilter(request, response);
        }
    }
}
