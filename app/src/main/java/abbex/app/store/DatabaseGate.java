package abbex.app.store;

import abbex.app.words.Bundles;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.Set;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.HtmlUtils;

/**
 * Answers 503 from fixed text while the database is away, before the session is looked for in it: a page that hangs tells
 * nobody anything. Nothing is confirmed that is not on disk; what waits is sent again by the page under the same id.
 */
@Configuration
class DatabaseGate {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseGate.class);
    private static final long FINE_FOR_NANOS = 500_000_000L;

    private static final String PAGE = """
            <!doctype html><html lang="en"><head><meta charset="utf-8"><title>%1$s · Abbex</title>
            <meta name="viewport" content="width=device-width, initial-scale=1">
            %3$s<link rel="stylesheet" href="/app.css"></head>
            <body><main class="sheet-page narrow"><h1>%1$s</h1>
            <p>%2$s</p>%4$s</main></body></html>
            """;

    private static final String ASK_AGAIN = "<meta http-equiv=\"refresh\" content=\"3\">";

    /**
     * What was sent goes along. By itself it goes again only under its id, which counts once: a connection may end after
     * something was stored. What has none is sent again by whoever sees the button.
     */
    private static final String SEND_AGAIN = """
            <form method="post" action="%s"%s>%s<p><button class="btn btn-primary">%s</button></p></form>
            <script type="module" src="/js/again.mjs"></script>
            """;

    /** Passwords and PINs are written on no page. */
    private static final Set<String> SECRET = Set.of("/sign-in", "/hands", "/account/password", "/account/pin");

    private static final String PROBLEM = """
            {"type":"about:blank","title":"%s","status":503,"detail":"%s"}
            """;

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> gate(DataSource database, Bundles words) {
        FilterRegistrationBean<OncePerRequestFilter> gate = new FilterRegistrationBean<>(new Gate(database, words));
        gate.setOrder(Ordered.HIGHEST_PRECEDENCE + 10);
        return gate;
    }

    /** A request that brings no cookie, so that nothing looks for its session. */
    private static final class Anybody extends HttpServletRequestWrapper {
        Anybody(HttpServletRequest request) {
            super(request);
        }

        @Override
        public Cookie @Nullable [] getCookies() {
            return null;
        }
    }

    private static final class Gate extends OncePerRequestFilter {
        private final DataSource database;
        private final Bundles words;
        private volatile long fineAt = Long.MIN_VALUE;

        Gate(DataSource database, Bundles words) {
            this.words = words;
            this.database = database;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            if (StaticFiles.is(request.getServletPath())) {
                chain.doFilter(new Anybody(request), response);
                return;
            }
            if (request.getServletPath().equals("/health") && onLoopback(request)) {
                health(response, answers());
                return;
            }
            if (!reached()) {
                say(Trouble.AWAY, request, response);
                return;
            }
            try {
                chain.doFilter(request, response);
            } catch (ServletException | RuntimeException e) {
                Optional<Trouble> trouble = Trouble.of(e);
                if (trouble.isEmpty() || response.isCommitted()) {
                    throw e;
                }
                LOG.warn("{}: {}", trouble.get(), e.toString());
                if (trouble.get() != Trouble.BUSY && trouble.get() != Trouble.CROSSED) {
                    fineAt = Long.MIN_VALUE;
                }
                response.reset();
                say(trouble.get(), request, response);
            }
        }

        /** Whether it lives is told to this computer only. */
        private static boolean onLoopback(HttpServletRequest request) throws IOException {
            return !request.isSecure()
                    && InetAddress.getByName(request.getLocalAddr()).isLoopbackAddress();
        }

        private static void health(HttpServletResponse response, boolean reached) throws IOException {
            response.setStatus(reached ? HttpServletResponse.SC_OK : HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setContentType("application/json");
            response.setHeader("Cache-Control", "no-store");
            response.getOutputStream()
                    .write(("{\"application\":\"up\",\"database\":\"" + (reached ? "up" : "away") + "\"}\n")
                            .getBytes(StandardCharsets.UTF_8));
        }

        private boolean reached() {
            long now = System.nanoTime();
            if (fineAt != Long.MIN_VALUE && now - fineAt < FINE_FOR_NANOS) {
                return true;
            }
            if (answers()) {
                fineAt = now;
                return true;
            }
            return false;
        }

        private boolean answers() {
            try (Connection connection = database.getConnection()) {
                return connection.isValid(1);
            } catch (SQLException gone) {
                LOG.warn("the database cannot be reached: {}", gone.getMessage());
                return false;
            }
        }

        private static boolean posted(HttpServletRequest request) {
            return request.getMethod().equals("POST");
        }

        /** Empty where nothing was sent, or something that is written on no page. */
        private String sendAgain(HttpServletRequest request) {
            String type = String.valueOf(request.getContentType());
            if (!posted(request)
                    || SECRET.contains(request.getServletPath())
                    || !type.startsWith("application/x-www-form-urlencoded")) {
                return "";
            }
            StringBuilder fields = new StringBuilder();
            request.getParameterMap().forEach((name, values) -> {
                for (String value : values) {
                    fields.append("<input type=\"hidden\" name=\"")
                            .append(HtmlUtils.htmlEscape(name, "UTF-8"))
                            .append("\" value=\"")
                            .append(HtmlUtils.htmlEscape(value, "UTF-8").replace("\n", "&#10;"))
                            .append("\">");
                }
            });
            boolean once = request.getParameter("client") != null
                    || request.getParameter(SentOnce.FIELD) != null
                    || request.getServletPath().equals("/arrive");
            return SEND_AGAIN.formatted(
                    HtmlUtils.htmlEscape(request.getRequestURI(), "UTF-8"),
                    once ? " data-again" : "",
                    fields,
                    words.pattern("trouble.again"));
        }

        private void say(Trouble trouble, HttpServletRequest request, HttpServletResponse response) throws IOException {
            boolean api = request.getServletPath().startsWith("/api/");
            response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setHeader("Retry-After", "3");
            response.setHeader("Cache-Control", "no-store");
            response.setContentType(api ? "application/problem+json" : "text/html;charset=UTF-8");
            String key = "trouble." + trouble;
            String title = words.pattern(key + ".title");
            String text = words.pattern(key) + " " + words.pattern(api ? "trouble.api" : "trouble.page");
            String again = api ? "" : sendAgain(request);
            String body = api
                    ? PROBLEM.formatted(title, text)
                    : PAGE.formatted(title, text, again.isEmpty() && !posted(request) ? ASK_AGAIN : "", again);
            response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
        }
    }
}
