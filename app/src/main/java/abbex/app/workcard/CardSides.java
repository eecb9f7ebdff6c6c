package abbex.app.workcard;

import abbex.app.arrive.Job;
import abbex.app.drawing.FootingDrawing;
import abbex.core.figure.Place;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.workcard.CardStep;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** How a vehicle stands beside a step, drawn. */
@Component
class CardSides {
    private static final String WHEEL = "wheel";

    FootingDrawing of(Job job, Cards.Current current, CardStep step) {
        boolean right = step.place() instanceof Corner corner
                && corner.equals(corner.end().right());
        int height = switch (step.step().footing()) {
            case WHEELS -> 0;
            case CARRIED -> 1;
            case HANGING -> 2;
        };
        return FootingDrawing.of(
                job.vehicle().shape().name().toLowerCase(Locale.ROOT),
                new FootingDrawing.Stand(
                        height,
                        current.wanted().facts().contains("lift"),
                        step.end(),
                        right,
                        Stream.of(End.values())
                                .filter(end -> off(current, end, right))
                                .toList()));
    }

    /** A wheel is off once the step that takes it off is done, until the one that puts it on is. */
    private static boolean off(Cards.Current current, End end, boolean right) {
        Place corner = right ? end.right() : end.left();
        boolean off = false;
        for (CardStep step : current.card().steps()) {
            if (step.place().equals(corner) && current.state().done(step.key())) {
                off = step.step().off().contains(WHEEL)
                        || off && !step.step().on().contains(WHEEL);
            }
        }
        return off;
    }
}
