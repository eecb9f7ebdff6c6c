package abbex.app.store;

import java.util.List;

/** What every page is drawn with, the same for everybody: no session is looked for, so it comes while the database is away. */
public final class StaticFiles {
    private static final List<String> PATTERNS = List.of(
            "/app.css", "/sw.js", "/js/**", "/fonts/**", "/webjars/**", "/icons.svg", "/shapes.svg", "/favicon.svg");

    private StaticFiles() {}

    /** Their addresses, as Spring writes patterns. */
    public static String[] patterns() {
        return PATTERNS.toArray(String[]::new);
    }

    /** A path comes decoded, with whatever signs somebody typed: it is compared, not parsed. */
    static boolean is(String path) {
        return PATTERNS.stream()
                .anyMatch(pattern -> pattern.endsWith("/**")
                        ? path.startsWith(pattern.substring(0, pattern.length() - 2))
                        : path.equals(pattern));
    }
}
