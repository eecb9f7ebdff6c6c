package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.workcard.CardWork;
import abbex.core.day.Day;
import abbex.core.day.Stint;
import abbex.core.day.WorkHours;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** When a vehicle that is worked on will be ready, and by when it is promised. */
@Service
public class ReadyTimes {
    private final CardWork cards;
    private final Agreed agreed;
    private final Hours hours;
    private final Clock clock;

    ReadyTimes(CardWork cards, Agreed agreed, Hours hours, Clock clock) {
        this.cards = cards;
        this.agreed = agreed;
        this.hours = hours;
        this.clock = clock;
    }

    /**
     * Both.
     *
     * @param about when the rest of its card is done within the shop's hours of today; empty where it is not today
     * @param promised empty where nothing was
     */
    public record Ready(Optional<Instant> about, Optional<Instant> promised) {}

    public Ready of(Job job, ZoneId zone) {
        Instant now = clock.instant();
        ShopHours shop = hours.of(job.shop(), zone);
        WorkHours today = shop.on(LocalDate.ofInstant(now, shop.zone()));
        int minutes =
                cards.of(job, now).stints().stream().mapToInt(Stint::minutes).sum();
        int ends = Day.up(today.minute(now) + minutes);
        return new Ready(
                ends > 0 && ends <= today.length() ? Optional.of(today.ends(ends)) : Optional.empty(),
                agreed.of(job).ready());
    }
}
