package abbex.core.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** How long a job takes in a shop. */
class PaceTest {
    private static final Wanted WANTED = new Wanted(
            VehicleKind.CAR, PerEnd.of(end -> Architecture.STRUT), PerEnd.of(end -> Set.of("spring")), Set.of());

    private static Card card() {
        List<Step> steps = new ArrayList<>();
        for (int n = 0; n < 20; n++) {
            steps.add(CardTest.step("s" + n, Step.Span.WHOLE, Step.Footing.HANGING, List.of()));
        }
        return Card.of(List.of(new Chapter("drawn", Set.of(), Set.of(), steps)), WANTED);
    }

    private static CardState fresh(Card card) {
        return CardState.of(card, WANTED, List.of());
    }

    @Test
    void what_ships_counts_until_ten_were_seen() {
        assertEquals(5, StepTime.UNSEEN.minutes(5));
        StepTime five = StepTime.UNSEEN;
        for (int n = 0; n < 5; n++) {
            five = five.plus(9);
        }
        assertEquals(7, five.minutes(5), 1e-12, "half and half");
        StepTime ten = five;
        for (int n = 0; n < 5; n++) {
            ten = ten.plus(9);
        }
        assertEquals(9, ten.minutes(5), 1e-12);
        assertEquals(0, ten.standard(5), 1e-6);
        assertTrue(five.standard(5) > 0.9);
    }

    @Test
    void called_away_or_ticked_afterwards_tells_nothing() {
        assertTrue(StepTime.aside(90, 5));
        assertTrue(StepTime.aside(0.1, 5));
        assertFalse(StepTime.aside(12, 5));
        assertFalse(StepTime.aside(14, 1));
        assertFalse(StepTime.aside(50, 20));
    }

    @Test
    void what_is_settled_is_not_left() {
        Card card = card();
        Pace.Length all = Pace.SHIPPED.left(card, fresh(card));
        assertEquals(100, all.minutes(), 1e-9);
        assertTrue(all.least() < 80 && all.most() > 120);
        CardState half = CardState.of(
                card,
                WANTED,
                card.steps().subList(0, 10).stream()
                        .<CardEvent>map(s -> new CardEvent.Ticked(s.key()))
                        .toList());
        assertEquals(50, Pace.SHIPPED.left(card, half).minutes(), 1e-9);
        assertTrue(Pace.SHIPPED.withTwo(card, half) < 50);
    }

    /**
     * Shops whose steps truly take other minutes than ship, whose people are slow or fast for a day; skewed to the long side, which
     * no width here is made for. After twelve jobs of a kind the next one's length lies within as often as it says.
     */
    @Test
    void the_next_jobs_length_lies_within() {
        Random random = new Random(41);
        Card card = card();
        for (double times : new double[] {1, 1.5}) {
            int within = 0;
            int shops = 600;
            for (int shop = 0; shop < shops; shop++) {
                double[] truth = random.doubles(20, 2, 11).toArray();
                Map<String, StepTime> seen = new HashMap<>();
                for (int job = 0; job < 12; job++) {
                    double[] took = work(random, truth, times);
                    for (int n = 0; n < 20; n++) {
                        if (!StepTime.aside(took[n], 5)) {
                            seen.merge(
                                    "s" + n,
                                    StepTime.UNSEEN.plus(took[n]),
                                    (a, b) -> new StepTime(
                                            a.count() + b.count(), a.sum() + b.sum(), a.squares() + b.squares()));
                        }
                    }
                }
                Pace.Length next = new Pace(seen).left(card, fresh(card));
                double length =
                        java.util.Arrays.stream(work(random, truth, times)).sum();
                within += length >= next.least() && length <= next.most() ? 1 : 0;
            }
            double share = (double) within / shops;
            System.out.printf("job length, truth %.1f times as wide: within in %.3f%n", times, share);
            assertTrue(share > (times == 1 ? 0.92 : 0.84), times + ": " + share);
        }
    }

    /** Minutes of one job: a day's pace, and each step by itself, both skewed. */
    private static double[] work(Random random, double[] truth, double times) {
        double today = Math.exp(times * 0.1 * random.nextGaussian());
        double[] took = new double[truth.length];
        for (int n = 0; n < took.length; n++) {
            took[n] = truth[n] * today * Math.exp(times * 0.25 * random.nextGaussian());
        }
        return took;
    }
}
