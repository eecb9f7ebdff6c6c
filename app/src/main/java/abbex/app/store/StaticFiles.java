package abbex.app.store;

import java.util.List;
import org.springframework.http.server.PathContainer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/** What every page is drawn with, the same for everybody: no session is looked for, so it comes while the database is away. */
public final class StaticFiles {
    private static final List<String> PATTERNS = List.of(
            "/app.css", "/sw.js", "/js/**", "/fonts/**", "/webjars/**", "/icons.svg", "/shapes.svg", "/favicon.svg");

    private static final List<PathPattern> PARSED =
            PATTERNS.stream().map(PathPatternParser.defaultInstance::parse).toList();

    private StaticFiles() {}

    /** Their addresses, as Spring writes patterns. */
    public static String[] patterns() {
        return PATTERNS.toArray(String[]::new);
    }

    static boolean is(String path) {
        PathContainer asked = PathContainer.parsePath(path);
        return PARSED.stream().anyMatch(pattern -> pattern.matches(asked));
    }
}
