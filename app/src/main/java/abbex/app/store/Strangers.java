package abbex.app.store;

import abbex.app.words.Bundles;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Whoever is not known yet has a pace an address: what comes on top is answered before anything is looked up, and late, so that
 * one who guesses as fast as there are answers gets few. The late answer holds no worker. Somebody whose session was good a
 * moment ago is no stranger, whatever else comes from that address.
 */
@Configuration
public class Strangers implements DisposableBean {
    private static final String KNOWN = Strangers.class.getName() + ".known";
    /** More than these are answered at once. */
    private static final int MOST_LATE = 2000;

    private final ScheduledExecutorService later = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "late answers");
        thread.setDaemon(true);
        return thread;
    });

    /** Says that the request is of somebody who is signed in. */
    public static void known(HttpServletRequest request) {
        request.setAttribute(KNOWN, true);
    }

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> paced(
            Bundles words,
            @Value("${abbex.strangers.at-once}") int atOnce,
            @Value("${abbex.strangers.per-second}") int perSecond,
            @Value("${abbex.strangers.late-millis}") long lateMillis) {
        FilterRegistrationBean<OncePerRequestFilter> filter =
                new FilterRegistrationBean<>(new Paced(later, words, atOnce, perSecond, lateMillis));
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE + 5);
        return filter;
    }

    @Override
    public void destroy() {
        later.shutdownNow();
    }

    private static final class Paced extends OncePerRequestFilter {
        private final ScheduledExecutorService later;
        private final Bundles words;
        private final Bandwidth pace;
        private final long lateMillis;
        private final AtomicInteger late = new AtomicInteger();
        private final Cache<String, Bucket> byAddress = Caffeine.newBuilder()
                .maximumSize(10_000)
                .expireAfterAccess(Duration.ofMinutes(10))
                .build();
        /** Digests of session cookies that were good. */
        private final Cache<String, Boolean> good = Caffeine.newBuilder()
                .maximumSize(10_000)
                .expireAfterAccess(Duration.ofMinutes(15))
                .build();

        Paced(ScheduledExecutorService later, Bundles words, int atOnce, int perSecond, long lateMillis) {
            this.lateMillis = lateMillis;
            this.later = later;
            this.words = words;
            pace = Bandwidth.builder()
                    .capacity(atOnce)
                    .refillGreedy(perSecond, Duration.ofSeconds(1))
                    .build();
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            Optional<String> session = session(request);
            boolean free = StaticFiles.is(request.getServletPath())
                    || request.getServletPath().startsWith("/api/")
                    || request.getServletPath().equals("/health")
                    || session.isPresent() && good.getIfPresent(session.get()) != null;
            if (!free && !bucket(request.getRemoteAddr()).tryConsume(1)) {
                late(request, response);
                return;
            }
            chain.doFilter(request, response);
            if (request.getAttribute(KNOWN) != null) {
                session.ifPresent(of -> good.put(of, true));
            }
        }

        private Bucket bucket(String address) {
            return byAddress.get(address, a -> Bucket.builder().addLimit(pace).build());
        }

        private static Optional<String> session(HttpServletRequest request) {
            Cookie[] cookies = request.getCookies();
            return cookies == null
                    ? Optional.empty()
                    : Stream.of(cookies)
                            .filter(c -> c.getName().endsWith("SESSION"))
                            .map(c -> Sha256.hex(c.getValue()))
                            .findFirst();
        }

        private void late(HttpServletRequest request, HttpServletResponse response) throws IOException {
            if (late.incrementAndGet() > MOST_LATE) {
                late.decrementAndGet();
                refuse(response);
                return;
            }
            AsyncContext context = request.startAsync(request, response);
            context.setTimeout(2 * lateMillis);
            later.schedule(
                    () -> {
                        late.decrementAndGet();
                        try {
                            refuse(response);
                        } catch (IOException | IllegalStateException gone) {
                            // Nobody is there any more.
                        }
                        context.complete();
                    },
                    lateMillis,
                    TimeUnit.MILLISECONDS);
        }

        private void refuse(HttpServletResponse response) throws IOException {
            response.setStatus(429);
            response.setHeader("Retry-After", "10");
            response.setHeader("Cache-Control", "no-store");
            response.setHeader("Connection", "close");
            response.setContentType("text/plain;charset=UTF-8");
            response.getOutputStream().write((words.pattern("strangers.many") + "\n").getBytes(StandardCharsets.UTF_8));
        }
    }
}
