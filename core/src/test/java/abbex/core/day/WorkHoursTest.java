package abbex.core.day;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WorkHoursTest {
    private static final ZoneId ZONE = ZoneId.of("America/New_York");
    private static final Optional<WorkHours.Pause> NOON =
            Optional.of(new WorkHours.Pause(LocalTime.of(12, 0), LocalTime.of(12, 30)));

    private static WorkHours hours(String day, String opens, String closes, Optional<WorkHours.Pause> pause) {
        return WorkHours.of(LocalDate.parse(day), ZONE, LocalTime.parse(opens), LocalTime.parse(closes), pause);
    }

    @Test
    void a_pause_is_left_out_of_the_minutes() {
        WorkHours hours = hours("2026-06-02", "08:00", "17:00", NOON);
        assertEquals(510, hours.length());
        assertEquals(Instant.parse("2026-06-02T12:00:00Z"), hours.begins(0));
        assertEquals(Instant.parse("2026-06-02T16:00:00Z"), hours.ends(240), "what ends at noon");
        assertEquals(Instant.parse("2026-06-02T16:30:00Z"), hours.begins(240), "what begins then begins after it");
        assertEquals(Instant.parse("2026-06-02T21:00:00Z"), hours.ends(510));
        assertEquals(240, hours.minute(Instant.parse("2026-06-02T16:10:00Z")), "within the pause");
        assertEquals(0, hours.minute(Instant.parse("2026-06-02T09:00:00Z")), "before the shop opens");
        assertEquals(510, hours.minute(Instant.parse("2026-06-03T09:00:00Z")), "after it has closed");
    }

    /**
     * The clocks of this zone went forward on 8 March 2026 at 02:00 and back on 1 November 2026 at 02:00 (IANA time zone database,
     * northamerica: second Sunday of March, first Sunday of November).
     */
    @Test
    void a_night_in_which_the_clock_changes_is_as_long_as_it_is() {
        assertEquals(
                420, hours("2026-03-07", "22:00", "06:00", Optional.empty()).length());
        assertEquals(
                540, hours("2026-10-31", "22:00", "06:00", Optional.empty()).length());
        assertEquals(
                480, hours("2026-10-30", "22:00", "06:00", Optional.empty()).length());
        WorkHours night = hours("2026-03-07", "22:00", "06:00", Optional.empty());
        assertEquals(Instant.parse("2026-03-08T10:00:00Z"), night.ends(420), "six in the morning");
        WorkHours day = hours("2026-03-08", "08:00", "17:00", NOON);
        assertEquals(510, day.length(), "who works by day notices nothing");
        assertEquals(Instant.parse("2026-03-08T12:00:00Z"), day.begins(0));
    }

    @Test
    void a_time_by_the_clock_is_a_span_of_minutes() {
        WorkHours hours = hours("2026-06-02", "08:00", "17:00", NOON);
        assertEquals(
                new Span(115, 240),
                hours.span(Instant.parse("2026-06-02T13:58:00Z"), Instant.parse("2026-06-02T16:20:00Z")));
        assertEquals(0, WorkHours.NONE.length());
        assertEquals(0, WorkHours.NONE.minute(Instant.EPOCH));
    }
}
