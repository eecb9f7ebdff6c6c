package abbex.core.alignment;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import abbex.core.Checks;
import org.junit.jupiter.api.Test;

/** Toe, what it drags, and where a rear axle steers to. */
class ToeTest {
    /** Row of checks.csv; trigonometry. */
    @Test
    void a_fifth_of_a_degree_drags_three_and_a_half_metres_a_kilometre() {
        Checks.row("toe-1");
        assertEquals(3.491, new Toe(0.2).scrubMetresPerKilometre(), 0.001);
        assertEquals(3.491, new Toe(-0.2).scrubMetresPerKilometre(), 0.001);
    }

    /** Row of checks.csv; trigonometry. */
    @Test
    void an_eighth_at_twenty_six_inches() {
        Checks.row("toe-2");
        Toe toe = Toe.of(0.125, 26);
        assertEquals(0.27546, toe.degrees(), 0.0001);
        assertEquals(25.385, toe.scrubFeetPerMile(), 0.001);
        assertEquals(0.125, toe.distance(26), 1e-12);
    }

    /** Row of checks.csv; definition. */
    @Test
    void more_toe_in_at_the_left_steers_to_the_right() {
        Checks.row("thrust-1");
        AxleToe rear = new AxleToe(new Toe(0.30), new Toe(0.10));
        assertEquals(0.10, rear.thrust(), 1e-12);
        assertEquals(0.40, rear.total(), 1e-12);
        assertEquals(-rear.thrust(), new AxleToe(rear.right(), rear.left()).thrust(), 1e-12);
        assertEquals(0.2, AxleToe.each(0.4).degrees(), 1e-12);
    }

    @Test
    void a_distance_without_its_diameter_is_none() {
        assertThrows(IllegalArgumentException.class, () -> Toe.of(0.125, 0));
        assertThrows(IllegalArgumentException.class, () -> Toe.of(27, 26));
    }
}
