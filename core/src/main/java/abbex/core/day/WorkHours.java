package abbex.core.day;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * When a shop works on a day, by the clock of its zone; where the clock changes meanwhile the hours are as long as they really are.
 *
 * @param stretches one after the other, the pauses between them left out
 */
public record WorkHours(List<Stretch> stretches) {
    /** From an instant to another. */
    public record Stretch(Instant from, Instant to) {
        long minutes() {
            return Math.max(0, Duration.between(from, to).toMinutes());
        }
    }

    /** A pause in which nobody works. */
    public record Pause(LocalTime from, LocalTime to) {}

    public WorkHours {
        stretches = List.copyOf(stretches);
    }

    /** The shop is shut. */
    public static final WorkHours NONE = new WorkHours(List.of());

    /**
     * The hours of a day.
     *
     * @param closes before the opening it is of the next day
     */
    public static WorkHours of(LocalDate day, ZoneId zone, LocalTime opens, LocalTime closes, Optional<Pause> pause) {
        Instant from = day.atTime(opens).atZone(zone).toInstant();
        LocalDate last = closes.isAfter(opens) ? day : day.plusDays(1);
        Instant to = last.atTime(closes).atZone(zone).toInstant();
        List<Stretch> stretches = new ArrayList<>();
        if (pause.isPresent()) {
            Instant stop = on(day, pause.get().from(), opens).atZone(zone).toInstant();
            Instant again = on(day, pause.get().to(), opens).atZone(zone).toInstant();
            if (stop.isAfter(from) && again.isBefore(to) && again.isAfter(stop)) {
                stretches.add(new Stretch(from, stop));
                from = again;
            }
        }
        stretches.add(new Stretch(from, to));
        return new WorkHours(stretches);
    }

    private static java.time.LocalDateTime on(LocalDate day, LocalTime time, LocalTime opens) {
        return (time.isBefore(opens) ? day.plusDays(1) : day).atTime(time);
    }

    /** Minutes of work, down to the grid. */
    public int length() {
        return Day.down(stretches.stream().mapToLong(Stretch::minutes).sum());
    }

    /** Minutes of work that lie before an instant. */
    public int minute(Instant at) {
        long minutes = 0;
        for (Stretch stretch : stretches) {
            Instant end = at.isBefore(stretch.to()) ? at : stretch.to();
            minutes += new Stretch(stretch.from(), end).minutes();
        }
        return (int) minutes;
    }

    /** The instant at which what begins at a minute begins: after a pause that lies there. */
    public Instant begins(int minute) {
        long left = minute;
        for (Stretch stretch : stretches) {
            if (left < stretch.minutes()) {
                return stretch.from().plus(Duration.ofMinutes(left));
            }
            left -= stretch.minutes();
        }
        return past(left);
    }

    /** The instant at which what ends at a minute ends: before a pause that lies there. */
    public Instant ends(int minute) {
        long left = minute;
        for (Stretch stretch : stretches) {
            if (left <= stretch.minutes()) {
                return stretch.from().plus(Duration.ofMinutes(left));
            }
            left -= stretch.minutes();
        }
        return past(left);
    }

    private Instant past(long minutes) {
        if (stretches.isEmpty()) {
            throw new IllegalStateException("the shop is shut");
        }
        return stretches.get(stretches.size() - 1).to().plus(Duration.ofMinutes(minutes));
    }

    /** The minutes of work within some time by the clock, down and up to the grid. */
    public Span span(Instant from, Instant to) {
        int begin = Day.down(minute(from));
        return new Span(begin, Math.max(begin, Math.min(length(), Day.up(minute(to)))));
    }
}
