package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.core.day.Stint;
import abbex.core.day.Stints;
import abbex.core.workcard.Pace;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is left of a card, for who plans a day. */
@Component
public class CardWork {
    private static final double MS_PER_MINUTE = 60_000;

    private final Cards cards;
    private final StepTimes times;

    CardWork(Cards cards, StepTimes times) {
        this.cards = cards;
        this.times = times;
    }

    /**
     * What is left.
     *
     * @param stints empty where all is done
     * @param spread one standard deviation of how long it takes, as a part of it
     * @param lift it goes up on a lift
     * @param begun somebody ticked a step
     * @param by initials of who wrote on it last; empty where nobody did
     */
    public record Left(List<Stint> stints, double spread, boolean lift, boolean begun, String by) {}

    public Left of(Job job, Instant now) {
        Cards.Current current = cards.of(job);
        Pace pace = times.pace(job);
        Optional<Cards.Entry> last = current.entries().stream().reduce((first, next) -> next);
        boolean begun = current.begun() && current.entries().stream().anyMatch(e -> e.what() == Cards.What.TICKED);
        double since = last.filter(e -> begun)
                .map(e -> Math.max(0, Duration.between(e.at(), now).toMillis() / MS_PER_MINUTE))
                .orElse(0.0);
        return new Left(
                Stints.of(current.card(), current.state(), pace, since),
                pace.left(current.card(), current.state()).spread(),
                current.wanted().facts().contains("lift"),
                begun,
                last.map(Cards.Entry::initials).orElse(""));
    }
}
