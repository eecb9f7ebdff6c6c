package abbex.app.support;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** The application's clock in tests: the machine's, until a test goes on to a later day. */
public final class Later extends Clock {
    private static volatile Duration by = Duration.ZERO;

    /** Goes on; what is to be undone by whoever called. */
    public static AutoCloseable days(int days) {
        by = Duration.ofDays(days);
        return () -> by = Duration.ZERO;
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
