package abbex.app.store;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What a field may hold, one rule at the door: characters that no page and no paper can show (XML 1.0, 2.2: controls but tab
 * and line ends, halves of surrogate pairs, U+FFFE and U+FFFF) arrive as U+FFFD, which shows where they stood; a form says so.
 */
@Configuration
public class PlainText {
    /** In place of what cannot be shown. */
    public static final char INSTEAD = '\uFFFD';

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> shownCharacters() {
        FilterRegistrationBean<OncePerRequestFilter> filter = new FilterRegistrationBean<>(new Door());
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE + 20);
        return filter;
    }

    /** Whether a character can be shown. */
    private static boolean shown(int c) {
        return c == '\t'
                || c == '\n'
                || c == '\r'
                || c >= 0x20 && c < 0x7f
                || c >= 0xa0 && c <= 0xd7ff
                || c >= 0xe000 && c <= 0xfffd
                || c >= 0x10000;
    }

    /** The text with every character that cannot be shown replaced. */
    public static String of(String text) {
        return text.codePoints().allMatch(PlainText::shown)
                ? text
                : text.codePoints()
                        .map(c -> shown(c) ? c : INSTEAD)
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString();
    }

    private static final class Door extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            chain.doFilter(new Plain(request), response);
        }
    }

    private static final class Plain extends HttpServletRequestWrapper {
        Plain(HttpServletRequest request) {
            super(request);
        }

        @Override
        public @Nullable String getParameter(String name) {
            String value = super.getParameter(name);
            return value == null ? null : of(value);
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] values = super.getParameterValues(name);
            return values == null ? null : plain(values);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> all = new LinkedHashMap<>();
            super.getParameterMap().forEach((name, values) -> all.put(name, plain(values)));
            return all;
        }

        private static String[] plain(String[] values) {
            return Arrays.stream(values).map(PlainText::of).toArray(String[]::new);
        }
    }
}
