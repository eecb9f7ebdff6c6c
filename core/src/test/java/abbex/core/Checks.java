package abbex.core;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** The rows of checks.csv: values from outside the project, each with its source. */
public final class Checks {
    /** One row, kept as it stands. */
    public record Row(String id, String area, String given, String expected, String tolerance, String source) {
        @Override
        public String toString() {
            return id + ": " + given + " → " + expected + " (" + source + ")";
        }
    }

    private static final Pattern FIELD = Pattern.compile("\"([^\"]*)\"|([^,]*)(?:,|$)");
    private static final Map<String, Row> ROWS = read();

    private Checks() {}

    public static Row row(String id) {
        Row row = ROWS.get(id);
        if (row == null) {
            throw new IllegalArgumentException("checks.csv has no row " + id);
        }
        return row;
    }

    public static List<Row> rows(String prefix) {
        List<Row> rows =
                ROWS.values().stream().filter(r -> r.id().startsWith(prefix)).toList();
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("checks.csv has no rows " + prefix);
        }
        return rows;
    }

    private static Map<String, Row> read() {
        Map<String, Row> rows = new LinkedHashMap<>();
        try (var in = Checks.class.getResourceAsStream("/checks.csv")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            text.lines().skip(1).forEach(line -> {
                List<String> f = split(line);
                rows.put(f.get(0), new Row(f.get(0), f.get(1), f.get(2), f.get(3), f.get(4), f.get(5)));
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return rows;
    }

    private static List<String> split(String line) {
        List<String> fields = new java.util.ArrayList<>();
        var m = FIELD.matcher(line);
        int at = 0;
        while (at < line.length() && m.find(at)) {
            boolean quoted = m.group(1) != null;
            fields.add(quoted ? m.group(1) : m.group(2));
            at = quoted ? m.end() + 1 : m.end();
        }
        return fields;
    }
}
