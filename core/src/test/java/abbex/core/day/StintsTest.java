package abbex.core.day;

import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Card;
import abbex.core.workcard.CardEvent;
import abbex.core.workcard.CardState;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Pace;
import abbex.core.workcard.Step;
import abbex.core.workcard.Wanted;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A card's open steps as pieces of a day. */
class StintsTest {
    private static final Wanted WANTED = new Wanted(
            VehicleKind.CAR, PerEnd.of(end -> Architecture.STRUT), PerEnd.of(end -> Set.of("spring")), Set.of());

    private static Card card(int... minutes) {
        List<Step> steps = new ArrayList<>();
        for (int n = 0; n < minutes.length; n++) {
            int hands = minutes[n] < 0 ? 2 : 1;
            steps.add(new Step(
                    "s" + n,
                    "Do it",
                    "It is to be done",
                    Step.Span.WHOLE,
                    Step.Footing.WHEELS,
                    Math.abs(minutes[n]),
                    hands,
                    Step.Access.NONE,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    n == 0 ? List.of() : List.of("s" + (n - 1)),
                    List.of(),
                    Optional.empty()));
        }
        return Card.of(List.of(new Chapter("drawn", Set.of(), Set.of(), steps)), WANTED);
    }

    private static List<Stint> of(Card card, double since, CardEvent... events) {
        return Stints.of(card, CardState.of(card, WANTED, List.of(events)), Pace.SHIPPED, since);
    }

    /** A second is called for two of the steps; the rest is cut where it would get longer than half an hour. */
    @Test
    void a_stint_ends_where_hands_are_called_or_let_go() {
        assertEquals(
                List.of(new Stint(25, 1), new Stint(15, 2), new Stint(30, 1), new Stint(25, 1)),
                of(card(12, 13, -8, -7, 10, 20, 25), 0));
    }

    /** Nine steps of two minutes are eighteen, not nine times the grid. */
    @Test
    void short_pieces_do_not_grow() {
        assertEquals(
                List.of(new Stint(5, 1), new Stint(10, 2), new Stint(5, 1)),
                of(card(2, -2, 2, -2, 2, -2, 2, -2, 4), 0),
                "who was called stays");
        assertEquals(List.of(new Stint(20, 1)), of(card(2, 2, 2, 2, 2, 2, 2, 2, 2), 0));
    }

    @Test
    void what_is_done_is_gone_and_what_runs_over_takes_a_quarter_more() {
        Card card = card(20, 20, 20);
        CardEvent first = new CardEvent.Ticked(card.steps().get(0).key());
        assertEquals(
                List.of(new Stint(20, 1), new Stint(20, 1)),
                of(card, 0, first),
                "forty would be longer than half an hour");
        assertEquals(List.of(new Stint(30, 1)), of(card, 10, first));
        assertEquals(List.of(new Stint(25, 1)), of(card, 90, first), "a quarter of the step that runs over");
        assertEquals(List.of(), of(card(), 0));
    }
}
