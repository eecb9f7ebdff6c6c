package abbex.app.api;

import abbex.app.people.ApiKeys;
import abbex.app.people.Misses;
import abbex.app.people.SignInName;
import abbex.app.store.Busy;
import abbex.app.store.Sha256;
import abbex.app.words.Bundles;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** The filters before the published interface: who calls, whether a name is locked, and how often a caller may. */
final class ApiDoor {
    private static final JsonMapper JSON = JsonMapper.shared();

    private ApiDoor() {}

    static void refuse(HttpServletResponse response, Bundles words) throws IOException {
        response.setHeader("WWW-Authenticate", "Basic realm=\"Abbex\", charset=\"UTF-8\"");
        response.addHeader("WWW-Authenticate", "Bearer realm=\"Abbex\"");
        answer(response, ApiProblem.of(401, "api.sign-in"), words);
    }

    private static void answer(HttpServletResponse response, ApiProblem problem, Bundles words) throws IOException {
        response.setStatus(problem.status());
        response.setContentType("application/problem+json");
        response.getOutputStream().write(JSON.writeValueAsBytes(problem.body(words)));
    }

    private static Optional<String> after(String scheme, HttpServletRequest request) {
        String header = request.getHeader("Authorization");
        return header != null && header.regionMatches(true, 0, scheme + " ", 0, scheme.length() + 1)
                ? Optional.of(header.substring(scheme.length() + 1).strip())
                : Optional.empty();
    }

    /** The name that HTTP Basic brings. */
    static Optional<String> name(HttpServletRequest request) {
        try {
            return after("Basic", request)
                    .map(pair -> new String(Base64.getDecoder().decode(pair), StandardCharsets.UTF_8))
                    .filter(pair -> pair.contains(":"))
                    .map(pair -> pair.substring(0, pair.indexOf(':')));
        } catch (IllegalArgumentException notBase64) {
            return Optional.empty();
        }
    }

    /**
     * A name that five misses have locked is not looked up. A program may send many requests at once: those of one caller that
     * is not known yet are looked at one after the other, and one that brings what was right a minute ago counts no more.
     */
    static final class Lock extends OncePerRequestFilter {
        private static final int STRIPES = 64;

        private final Misses misses;
        private final Bundles words;
        private final Cache<String, Boolean> right = Caffeine.newBuilder()
                .maximumSize(1000)
                .expireAfterWrite(Duration.ofMinutes(1))
                .build();
        private final Object[] turns =
                Stream.generate(Object::new).limit(STRIPES).toArray();

        Lock(Misses misses, Bundles words) {
            this.misses = misses;
            this.words = words;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<String> name = name(request);
            // Kept as a digest: a password lies in no memory for a minute.
            String brought = Sha256.hex(request.getRemoteAddr() + " " + request.getHeader("Authorization"));
            if (name.isEmpty() || right.getIfPresent(brought) != null) {
                chain.doFilter(request, response);
                return;
            }
            String counted = SignInName.of(name.get());
            synchronized (
                    turns[
                            Math.floorMod(
                                    31 * counted.hashCode()
                                            + request.getRemoteAddr().hashCode(),
                                    STRIPES)]) {
                if (right.getIfPresent(brought) == null && !misses.claim(counted, request.getRemoteAddr())) {
                    refuse(response, words);
                    return;
                }
                try {
                    chain.doFilter(request, response);
                } catch (Busy notLookedAt) {
                    misses.giveBack(counted, request.getRemoteAddr());
                    throw notLookedAt;
                }
                if (response.getStatus() != HttpServletResponse.SC_UNAUTHORIZED) {
                    right.put(brought, true);
                    misses.forget(counted, request.getRemoteAddr());
                }
            }
        }
    }

    /** A key instead of name and password. */
    static final class ByKey extends OncePerRequestFilter {
        private final ApiKeys keys;
        private final Bundles words;

        ByKey(ApiKeys keys, Bundles words) {
            this.keys = keys;
            this.words = words;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<String> key = after("Bearer", request);
            if (key.isPresent()) {
                Optional<ApiKeys.Caller> caller = keys.caller(key.get());
                if (caller.isEmpty()) {
                    refuse(response, words);
                    return;
                }
                SecurityContext context = SecurityContextHolder.createEmptyContext();
                UsernamePasswordAuthenticationToken known = UsernamePasswordAuthenticationToken.authenticated(
                        "key " + caller.get().key(), null, List.of());
                known.setDetails(caller.get());
                context.setAuthentication(known);
                SecurityContextHolder.setContext(context);
            }
            chain.doFilter(request, response);
        }
    }

    /** So many requests a minute for each caller, all of which may come at once. Only callers that are known are counted. */
    static final class Pace extends OncePerRequestFilter {
        private final int perMinute;
        private final Bundles words;
        private final Map<String, Bucket> buckets = new ConcurrentHashMap<>();

        Pace(int perMinute, Bundles words) {
            this.perMinute = perMinute;
            this.words = words;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Authentication who = SecurityContextHolder.getContext().getAuthentication();
            if (who != null && who.isAuthenticated()) {
                ConsumptionProbe probe =
                        buckets.computeIfAbsent(who.getName(), n -> bucket()).tryConsumeAndReturnRemaining(1);
                if (!probe.isConsumed()) {
                    long seconds =
                            Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds() + 1;
                    response.setHeader("Retry-After", Long.toString(seconds));
                    answer(response, ApiProblem.of(429, "api.pace", "most", perMinute, "seconds", seconds), words);
                    return;
                }
            }
            chain.doFilter(request, response);
        }

        private Bucket bucket() {
            return Bucket.builder()
                    .addLimit(limit -> limit.capacity(perMinute).refillGreedy(perMinute, Duration.ofMinutes(1)))
                    .build();
        }
    }
}
