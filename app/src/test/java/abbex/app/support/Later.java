package abbex.app.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;

/** The application's clock in tests: the machine's, until a test goes on to a later day. */
public final class Later extends Clock {
    private static volatile Duration by = Duration.ZERO;

    /** Goes on; what is to be undone by whoever called. */
    public static AutoCloseable days(int days) {
        by = Duration.ofDays(days);
        return () -> by = Duration.ZERO;
    }

    /** Goes on to nine o'clock (UTC), today's or tomorrow's: what takes hours is then over before midnight. */
    public static AutoCloseable morning() {
        Instant now = Instant.now();
        Instant nine = now.truncatedTo(ChronoUnit.DAYS).plus(9, ChronoUnit.HOURS);
        by = Duration.between(now, nine.isAfter(now) ? nine : nine.plus(1, ChronoUnit.DAYS));
        return () -> by = Duration.ZERO;
    }

    /** The day that it is (UTC). */
    public static LocalDate today() {
        return LocalDate.ofInstant(Instant.now().plus(by), ZoneOffset.UTC);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.offset(Clock.system(zone), by);
    }

    @Override
    public Instant instant() {
        return Instant.now().plus(by);
    }
}
