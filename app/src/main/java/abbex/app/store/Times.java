package abbex.app.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;

/** Instants in the database are UTC date-times to the microsecond, whatever zone server or client run in. */
public final class Times {
    /** Longer than any device waits for a network. */
    private static final Duration LONGEST_WAIT = Duration.ofDays(30);

    private Times() {}

    /**
     * When something was typed, by how long it waited: a device's own clock may be a day off.
     *
     * @param ago in ms
     * @param earliest before which it cannot have been
     */
    public static Instant typed(Instant now, long ago, Instant earliest) {
        Instant typed = now.minusMillis(Math.min(Math.max(ago, 0), LONGEST_WAIT.toMillis()));
        return typed.isBefore(earliest) ? earliest : typed;
    }

    public static LocalDateTime column(Instant instant) {
        return LocalDateTime.ofInstant(instant.truncatedTo(ChronoUnit.MICROS), ZoneOffset.UTC);
    }

    public static Instant instant(ResultSet row, String column) throws SQLException {
        return row.getObject(column, LocalDateTime.class).toInstant(ZoneOffset.UTC);
    }
}
