package abbex.app.day;

import abbex.core.day.WorkHours;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * When a shop works.
 *
 * @param delivery by when parts of a day are in
 * @param zone by whose clock
 * @param edition how often they were saved
 */
public record ShopHours(
        LocalTime opens,
        LocalTime closes,
        Optional<WorkHours.Pause> pause,
        LocalTime delivery,
        Set<DayOfWeek> weekdays,
        ZoneId zone,
        int edition) {
    /** Until a shop says its own (common practice). */
    static ShopHours usual(ZoneId zone) {
        return new ShopHours(
                LocalTime.of(8, 0),
                LocalTime.of(17, 0),
                Optional.of(new WorkHours.Pause(LocalTime.of(12, 0), LocalTime.of(12, 30))),
                LocalTime.of(11, 0),
                Set.of(
                        DayOfWeek.MONDAY,
                        DayOfWeek.TUESDAY,
                        DayOfWeek.WEDNESDAY,
                        DayOfWeek.THURSDAY,
                        DayOfWeek.FRIDAY,
                        DayOfWeek.SATURDAY),
                zone,
                0);
    }

    WorkHours on(LocalDate day) {
        return weekdays.contains(day.getDayOfWeek()) ? WorkHours.of(day, zone, opens, closes, pause) : WorkHours.NONE;
    }

    /** As they are typed, by the fields of their form. */
    Map<String, String> texts() {
        return Map.of(
                "opens",
                opens.toString(),
                "closes",
                closes.toString(),
                "delivery",
                delivery.toString(),
                "pauseFrom",
                pause.map(p -> p.from().toString()).orElse(""),
                "pauseTo",
                pause.map(p -> p.to().toString()).orElse(""));
    }
}
